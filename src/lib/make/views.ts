import type { StationView } from '$lib/frame/views.svelte.ts';

/** What Make shows beside its sheet, each loaded when it is asked for. */
export const makeViews: readonly StationView[] = [
  { id: 'prints', label: 'Prints', load: () => import('./Prints.svelte') },
  { id: 'photo', label: 'Photograph', load: () => import('./PhotoView.svelte') },
];
