import { contactA, type Plug } from '../../standards/plugs/index.ts';
import { wireA } from '../../standards/wire.ts';

/** Amps of one contact by its housing and wire. */
export function ratedA(plug: Plug, awg: number): number {
  if (plug.contactA === undefined) return contactA(plug.ways, awg);
  /* A rating of the publication holds for the wire its crimp is made for; thinner carries less. */
  if (plug.pitchMm < 2.9) return plug.contactA;
  const made = plug.contactAwg ?? 18;
  return plug.contactA * Math.min(1, wireA(awg, 1) / wireA(made, 1));
}

/** Gauges a crimp of this pitch takes (common practice, no source). */
export function crimps(plug: Plug): readonly number[] {
  if (plug.pitchMm >= 2.9) return [16, 18, 20, 22];
  return plug.pitchMm >= 2 ? [22, 24] : [18, 20, 22, 24];
}
