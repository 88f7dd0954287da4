import type { Component } from 'svelte';
import type { JobView } from '$lib/shop/jobView.svelte.ts';

export interface DonorsViewProps {
  view: JobView;
}

/** What Donors shows, each loaded when it is asked for. */
export interface DonorsView {
  id: string;
  label: string;
  load: () => Promise<{ default: Component<DonorsViewProps> }>;
}

export const donorsViews: readonly DonorsView[] = [
  { id: 'strands', label: 'Who gets what', load: () => import('./WhoGetsWhat.svelte') },
  { id: 'shelf', label: 'Shelf', load: () => import('./Shelf.svelte') },
  { id: 'worth', label: 'Worth it?', load: () => import('./WorthIt.svelte') },
  { id: 'book', label: 'Book', load: () => import('./JobBook.svelte') },
];
