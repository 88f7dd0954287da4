import { wireA } from '../../standards/wire.ts';
import { ratedA } from './rated.ts';
import type { Contacts } from './nets.ts';

/** A converter's pad bears what its wires do. */
export const PAD_A = 1000;

/** Amps one contact of a kind bears on this wire in this bundle. */
export function ampacity(kind: Contacts, awg: number, loaded: number): number {
  if (!kind.plug) return kind.takesUp ?? PAD_A;
  return Math.min(ratedA(kind.plug, awg), wireA(awg, loaded));
}
