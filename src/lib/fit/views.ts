import type { StationView } from '$lib/frame/views.svelte.ts';

/** What Fit shows instead of the case cut open, each loaded when it is asked for. */
export const fitViews: readonly StationView[] = [
  { id: 'measure', label: 'Measure', needs: 'case', load: () => import('./MeasureWalk.svelte') },
  { id: 'holes', label: 'Holes', needs: 'board', load: () => import('./BoardHoles.svelte') },
  { id: 'rear', label: 'Rear', needs: 'board', load: () => import('./RearOpening.svelte') },
  { id: 'limits', label: 'Limits', needs: 'case', load: () => import('./Limits.svelte') },
  { id: 'screws', label: 'Screws', needs: 'case', load: () => import('./Screws.svelte') },
  { id: 'trade', label: 'Trade-offs', needs: 'case', load: () => import('./TradeOffs.svelte') },
];
