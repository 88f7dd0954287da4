export { curveOf, efficiencyOf, type CurvePoint } from './efficiencyOf.ts';
export { cardsOwnSupply, secondLabelW } from './second.ts';
export {
  cardsDraws,
  drawsOf,
  railNames,
  railVolts,
  shareIn,
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
  isDcBoard,
  isSingleFeed,
  tipOf,
  type Feed,
  type FeedConverter,
  type FeedCorner,
} from './feed.ts';
export { contactLimit, leadsOf, loopOhm, worstShare, type Lead } from './leads.ts';
export { leadAmps, treeOf, wallOf, type Branch, type Tree } from './tree.ts';
