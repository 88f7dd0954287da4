import type { Check } from '../findings/finding.ts';
import { asks } from './asks.ts';
import { memory } from './memory.ts';
import { socket } from './socket.ts';

/** Will it be seen? */
export const linkChecks: readonly Check[] = [socket, memory, asks];
