export { assign, crossings, type Wire } from './assign.ts';
export { route, type Carried, type Kind, type Prices, type Taking, type Tree } from './route.ts';
export { ampacity } from './ampacity.ts';
export { crimps, ratedA } from './rated.ts';
export { adapterRecipe } from './adapter.ts';
export { SPLICE_MINUTES, WIRE_MINUTES } from './wiring.ts';
export { needOf, netsOf, placeConverters, railsWanted, wantedA, type Net } from './nets.ts';
export { giveView, layOut, takeView, type Laid } from './places.ts';
export { amps, sharingNet, worstShares, type SharingNet } from './share.ts';
export { alarms } from './ties.ts';
export {
  AdapterError,
  type End,
  type AdapterSpec,
  type AdapterWire,
  type LeftOpen,
  type PlacedConverter,
  type Recipe,
  type Tie,
} from './types.ts';
export { endName, plugLetter, same, shopping, wireLine, type ShopLine } from './names.ts';
export { continuity, live, type ContinuityRow, type LiveRow } from './sheets.ts';
