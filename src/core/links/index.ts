import type { Check } from '../findings/finding.ts';
import { asks } from './asks.ts';
import { drivePlaces, links } from './chain.ts';
import { memory } from './memory.ts';
import { socket } from './socket.ts';

export { chainsOf, type Chain, type Element } from './chain.ts';
export { populate, populations, slotsFirst, type Module, type Population } from './channels.ts';
export { DumpError, trainedLinks, triesFor, type Trained } from './trained.ts';

/** Will it be seen? */
export const linkChecks: readonly Check[] = [socket, memory, asks, links, drivePlaces];
