import { wireAlone } from '../../standards/wire.ts';

/** What limits a lead of one gauge, and to how many amps. */
export interface LeadLimit {
  amps: number;
  of: 'contact' | 'wire';
}

/** A plain 4.2 mm contact in a two-pin housing, A, and the gauges its crimp takes (makers' tables, unverified). */
const CONTACT_A = 9;
const CRIMP = { thickest: 16, thinnest: 28 };

/**
 * Amps a lead of this gauge carries: its 4.2 mm contact where the crimp takes the wire, at equal warming
 * for thinner ones (current as diameter to the power 1.5), never more than the wire alone; else the wire.
 * Undefined where no table has a figure.
 */
export function leadLimit(awg: number): LeadLimit | undefined {
  const wire = wireAlone[awg];
  if (wire === undefined) return undefined;
  if (awg < CRIMP.thickest || awg > CRIMP.thinnest) return { amps: wire, of: 'wire' };
  const contact = Math.round(CONTACT_A * Math.min(1, 2 ** ((18 - awg) / 4)) * 10) / 10;
  return contact < wire ? { amps: contact, of: 'contact' } : { amps: wire, of: 'wire' };
}
