import type { Component } from 'svelte';
import type { Plan } from '$core/model/lookup/plan.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';

/** What every view of a station is given. */
export interface ViewProps {
  plan: Plan;
  view: JobView;
  /** Back to the station's own picture; nothing where there is none. */
  onclose: () => void;
}

/** What a station can show, each loaded when it is asked for. */
export interface StationView {
  id: string;
  label: string;
  /** The part of the plan it is about: not offered without it. */
  needs?: 'case' | 'board';
  load: () => Promise<{ default: Component<ViewProps> }>;
}

/** Which view a station shows: the one asked for last, else its first, else its own picture. */
export class ViewSwitch {
  open = $state.raw<StationView | undefined>(undefined);
  Shown = $state.raw<Component<ViewProps> | undefined>(undefined);
  #first: StationView | undefined;

  constructor(first?: StationView) {
    this.#first = first;
    if (first) void this.show(first);
  }

  /** Shows a view; asked for again, the station's own picture where it has one. */
  show = async (next: StationView): Promise<void> => {
    if (this.open?.id === next.id && !this.#first) return this.close();
    this.open = next;
    if (!this.#first) this.Shown = undefined;
    const loaded = (await next.load()).default;
    if (this.open === next) this.Shown = loaded;
  };

  close = (): void => {
    if (this.#first) return;
    this.open = undefined;
    this.Shown = undefined;
  };
}
