/** The lists of a shop: records by tag. */
export const collections = [
  'models',
  'machines',
  'parts',
  'jobs',
  'plugs',
  'ledger',
  'photos',
] as const;
export type Collection = (typeof collections)[number];
