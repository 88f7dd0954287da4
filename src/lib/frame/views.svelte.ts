import type { Component } from 'svelte';
import { goto } from '$app/navigation';
import { resolve } from '$app/paths';
import { page } from '$app/state';
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

/**
 * Which view a station shows: the one its address names (`/job/5/fit#holes`), so that going back leads back and a
 * link leads there; else its first, or its own picture where it has one.
 */
export class ViewSwitch {
  #views: readonly StationView[];
  #first: () => StationView | undefined;
  Shown = $state.raw<Component<ViewProps> | undefined>(undefined);
  readonly open = $derived.by((): StationView | undefined => this.#named() ?? this.#first());

  constructor(
    views: readonly StationView[],
    first: () => StationView | undefined = () => undefined,
  ) {
    this.#views = views;
    this.#first = first;
    $effect(() => {
      const wanted = this.open;
      if (!wanted) {
        this.Shown = undefined;
        return;
      }
      void wanted.load().then((loaded) => {
        if (this.open?.id === wanted.id) this.Shown = loaded.default;
      });
    });
  }

  #named(): StationView | undefined {
    const name = page.url.hash.slice(1);
    return this.#views.find(({ id }) => id === name);
  }

  /** Shows a view; asked for again, the station's own picture where it has one. */
  show = (next: StationView): void => {
    if (this.open?.id === next.id) this.close();
    else this.#go(`#${next.id}`);
  };

  close = (): void => {
    if (!this.#first()) this.#go('');
  };

  #go(hash: `#${string}` | ''): void {
    const { id = '', station = '' } = page.params;
    const path: `/job/${string}/${string}` = `/job/${id}/${station}`;
    const options = { keepFocus: true, noScroll: true };
    void (hash === '' ? goto(resolve(path), options) : goto(resolve(`${path}${hash}`), options));
  }
}
