import type { StationView } from '$lib/frame/views.svelte.ts';

/** The two papers of a hand-over: the shop's with everything, the customer's to go out with the machine. */
export const shopsSheet: StationView = {
  id: 'shop',
  label: "Shop's sheet",
  load: () => import('./ShopsSheet.svelte'),
};
export const handoverViews: readonly StationView[] = [
  shopsSheet,
  { id: 'customer', label: "Customer's sheet", load: () => import('./CustomersSheet.svelte') },
];
