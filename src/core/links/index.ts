export { linkChecks } from './checks.ts';
export { chainsOf, type Chain, type Element } from './chain.ts';
export { populate, populations, slotsFirst, type Module, type Population } from './channels.ts';
export { compactIds, idIn, idIndex, nameOfId, type IdIndex } from './ids.ts';
export { DumpError, trainedLinks, triesFor, type Trained } from './trained.ts';
