import type { Component } from 'svelte';
import type { Plan } from '$core/model/plan.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';

export interface HeatViewProps {
  plan: Plan;
  view: JobView;
}

/** What Heat shows, each loaded when it is asked for. */
export interface HeatView {
  id: string;
  label: string;
  load: () => Promise<{ default: Component<HeatViewProps> }>;
}

export const heatViews: readonly HeatView[] = [
  { id: 'runs', label: 'Runs', load: () => import('./Runs.svelte') },
  { id: 'air', label: 'Air', load: () => import('./Air.svelte') },
  { id: 'fans', label: 'Fan steps', load: () => import('./FanSteps.svelte') },
  { id: 'trials', label: 'Undervolt', load: () => import('./Trials.svelte') },
];
