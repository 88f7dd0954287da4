import type { StationView } from '$lib/frame/views.svelte.ts';

/** What Plugs shows instead of the main plugs and their pairs, each loaded when it is asked for. */
export const plugViews: readonly StationView[] = [
  { id: 'what', label: 'What is this plug?', load: () => import('./WhatPlug.svelte') },
  { id: 'adapter', label: 'Adapter', load: () => import('./Adapter.svelte') },
  { id: 'front', label: 'Front and fans', load: () => import('./FrontAndFans.svelte') },
  { id: 'leads', label: 'Leads', load: () => import('./BuzzOut.svelte') },
  { id: 'pair', label: 'Plug on socket', load: () => import('./PlugOnSocket.svelte') },
];
