import type { Component } from 'svelte';
import type { StationId } from '$core/findings/finding.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';

type Stage = () => Promise<{ default: Component<{ view: JobView }> }>;

/** The stage of each station, loaded when it is first entered. */
export const stageOf: Record<StationId, Stage> = {
  'take-in': () => import('./TakeIn.svelte'),
  fit: () => import('./Fit.svelte'),
  plugs: () => import('./Plugs.svelte'),
  watts: () => import('./Watts.svelte'),
  links: () => import('./Links.svelte'),
  donors: () => import('./Donors.svelte'),
  order: () => import('./Order.svelte'),
  'power-up': () => import('./PowerUp.svelte'),
  heat: () => import('./Heat.svelte'),
  'hand-over': () => import('./HandOver.svelte'),
};
