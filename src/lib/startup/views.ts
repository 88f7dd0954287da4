import type { StationView } from '$lib/frame/views.svelte.ts';

/** What Power-up shows, each loaded when it is asked for. */
export const startChecks: StationView = {
  id: 'checks',
  label: 'Start-up checks',
  load: () => import('./StartChecks.svelte'),
};
export const faultSearch: StationView = {
  id: 'fault',
  label: 'Find the fault',
  load: () => import('./FaultSearch.svelte'),
};
export const startupViews: readonly StationView[] = [
  startChecks,
  faultSearch,
  { id: 'practice', label: 'Practice', load: () => import('./PracticeBench.svelte') },
];
