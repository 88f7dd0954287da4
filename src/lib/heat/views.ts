import type { StationView } from '$lib/frame/views.svelte.ts';

/** What Heat shows, each loaded when it is asked for. */
export const heatViews: readonly StationView[] = [
  { id: 'runs', label: 'Runs', load: () => import('./Runs.svelte') },
  { id: 'air', label: 'Air', load: () => import('./Air.svelte') },
  { id: 'fans', label: 'Fan steps', load: () => import('./FanSteps.svelte') },
  { id: 'trials', label: 'Undervolt', load: () => import('./Trials.svelte') },
];
