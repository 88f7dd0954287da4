import type { Component } from 'svelte';
import type { StationId } from '$core/findings/finding.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';

type Stage = () => Promise<{ default: Component<{ view: JobView }> }>;

/** The stage of each station, loaded when it is first entered. */
export const stageOf: Record<StationId, Stage> = {
  'take-in': () => import('../../../../lib/intake/TakeIn.svelte'),
  fit: () => import('../../../../lib/fit/Fit.svelte'),
  make: () => import('../../../../lib/make/Make.svelte'),
  plugs: () => import('../../../../lib/plugs/Plugs.svelte'),
  watts: () => import('../../../../lib/watts/Watts.svelte'),
  links: () => import('../../../../lib/links/Links.svelte'),
  donors: () => import('../../../../lib/donors/Donors.svelte'),
  order: () => import('../../../../lib/order/Order.svelte'),
  'power-up': () => import('../../../../lib/startup/PowerUp.svelte'),
  heat: () => import('../../../../lib/heat/Heat.svelte'),
  'hand-over': () => import('../../../../lib/handover/HandOver.svelte'),
};
