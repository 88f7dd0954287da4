export { along, curveOf, efficiencyOf, wallOf } from './efficiencyOf.ts';
export { cardsOwnSupply, secondLabelW } from './second.ts';
export { isFedApart, tapsOf } from './apart.ts';
export { cardsDraws, drawsOf, shareIn, SLOT_12_W } from './draws.ts';
export {
  boardW,
  feedAmps,
  feedCorner,
  tapLead,
  tappedDraws,
  type Tap,
  feedOf,
  isDcBoard,
  isSingleFeed,
  tipOf,
  type Feed,
  type FeedConverter,
  type FeedCorner,
} from './feed.ts';
export { contactLimit, leadsOf, loopOhm, worstShare } from './leads.ts';
export { ampsLeft, treeOf } from './tree.ts';
export {
  isFan,
  railNames,
  railVolts,
  states,
  type Branch,
  type Draw,
  type Lead,
  type Rail,
  type State,
  type Tree,
} from './types.ts';
