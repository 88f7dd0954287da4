import type { StationView } from '$lib/frame/views.svelte.ts';

/** What the work order shows besides its steps. */
export const orderViews: readonly StationView[] = [
  { id: 'finish', label: 'Paint, glue, print', load: () => import('./Finish.svelte') },
];
