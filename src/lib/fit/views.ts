import type { Component } from 'svelte';
import type { Plan } from '$core/model/plan.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';

export interface FitViewProps {
  plan: Plan;
  view: JobView;
  onclose: () => void;
}

/** What Fit shows instead of the case cut open, each loaded when it is asked for. */
export interface FitView {
  id: string;
  label: string;
  needs: 'case' | 'board';
  load: () => Promise<{ default: Component<FitViewProps> }>;
}

export const fitViews: readonly FitView[] = [
  { id: 'measure', label: 'Measure', needs: 'case', load: () => import('./MeasureWalk.svelte') },
  { id: 'holes', label: 'Holes', needs: 'board', load: () => import('./BoardHoles.svelte') },
  { id: 'rear', label: 'Rear', needs: 'board', load: () => import('./RearOpening.svelte') },
  { id: 'limits', label: 'Limits', needs: 'case', load: () => import('./Limits.svelte') },
  { id: 'screws', label: 'Screws', needs: 'case', load: () => import('./Screws.svelte') },
  { id: 'trade', label: 'Trade-offs', needs: 'case', load: () => import('./TradeOffs.svelte') },
];
