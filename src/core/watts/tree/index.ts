export {
  drawsOf,
  limitId,
  limitsIn,
  railNames,
  railVolts,
  SLOT_12_W,
  states,
  type Draw,
  type Rail,
  type State,
} from './draws.ts';
export {
  boardW,
  feedAmps,
  feedCorner,
  feedOf,
  isSingleFeed,
  tipOf,
  type Feed,
  type FeedConverter,
  type FeedCorner,
} from './feed.ts';
export { contactLimit, leadsOf, loopOhm, worstShare, type Lead } from './leads.ts';
export { feedId, leadAmps, treeOf, wallOf, type Branch, type Tree } from './tree.ts';
