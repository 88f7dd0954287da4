import type { Component } from 'svelte';
import type { Plan } from '$core/model/plan.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';

export interface PlugViewProps {
  plan: Plan;
  view: JobView;
  onclose: () => void;
}

/** What Plugs shows instead of the main plugs and their pairs, each loaded when it is asked for. */
export interface PlugView {
  id: string;
  label: string;
  load: () => Promise<{ default: Component<PlugViewProps> }>;
}

export const plugViews: readonly PlugView[] = [
  { id: 'what', label: 'What is this plug?', load: () => import('./WhatPlug.svelte') },
  { id: 'adapter', label: 'Adapter', load: () => import('./Adapter.svelte') },
  { id: 'front', label: 'Front and fans', load: () => import('./FrontAndFans.svelte') },
  { id: 'leads', label: 'Leads', load: () => import('./BuzzOut.svelte') },
  { id: 'pair', label: 'Plug on socket', load: () => import('./PlugOnSocket.svelte') },
];
