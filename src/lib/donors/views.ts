import type { StationView } from '$lib/frame/views.svelte.ts';

/** What Donors shows, each loaded when it is asked for. */
export const donorsViews: readonly StationView[] = [
  { id: 'strands', label: 'Who gets what', load: () => import('./WhoGetsWhat.svelte') },
  { id: 'plan', label: 'Best plan', load: () => import('./BestPlan.svelte') },
  { id: 'shelf', label: 'Shelf', load: () => import('./Shelf.svelte') },
  { id: 'worth', label: 'Worth it?', load: () => import('./WorthIt.svelte') },
  { id: 'book', label: 'Book', load: () => import('./JobBook.svelte') },
];
