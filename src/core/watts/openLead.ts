import { contactOhm } from '../standards/wire.ts';
import { wireOhmPerM } from '../units/wire.ts';
import { contactLimit, railNames, type Lead, type Rail, type Tree } from './tree/index.ts';

/** One wire of a lead with its contact, at the worst of all ranges. */
export interface OpenWire {
  /** Pin of the plug it ends in. */
  pin: number;
  signal: string;
  /** There, or back to the supply. */
  back: boolean;
  amps: number;
  /** Amps its contact bears. */
  bears: number;
  contactOhm: number;
  wireOhm: number;
  contactW: number;
  wireW: number;
}

export interface OpenedLead {
  wires: OpenWire[];
  /** Amps there on this rail, and back for all rails of the lead. */
  amps: number;
  backAmps: number;
  /** Watts lost in all of it. */
  lossW: number;
}

const signals: Record<Rail, string> = { '12 V': '+12V', '5 V': '+5V', '3.3 V': '+3.3V' };
const HOT_C = 50;

/**
 * A lead laid open: what each wire and contact of a rail carries when one contact is as new and the
 * others have aged, so that it carries most. Wires side by side share by their conductance; the
 * returns bear every rail of the lead. Undefined where the lead carries nothing on that rail.
 */
export function openLead(tree: Tree, lead: Lead, rail: Rail): OpenedLead | undefined {
  const ampsOn = (name: Rail) =>
    tree.branches.find((branch) => branch.id === `${name} ${lead.id}`)?.amps?.hi ?? 0;
  const amps = ampsOn(rail);
  if (amps <= 0) return undefined;
  const backAmps = railNames.reduce((sum, name) => sum + ampsOn(name), 0);
  const wires = [...share(lead, signals[rail], amps, false), ...share(lead, 'COM', backAmps, true)];
  return {
    wires,
    amps,
    backAmps,
    lossW: wires.reduce((sum, each) => sum + each.wireW + each.contactW, 0),
  };
}

function share(lead: Lead, signal: string, amps: number, back: boolean): OpenWire[] {
  const pins = lead.plug.pins.flatMap((each, i) => (each === signal ? [i + 1] : []));
  const contact = contactOhm(lead.plug.pitchMm);
  const mm = lead.lengthMm.lo;
  /* One wire feeds all contacts of a drive plug: its ohms lie before them all. */
  const wire = (wireOhmPerM(lead.awg, HOT_C) * mm) / 1000;
  /* A cold, short wire evens out least. */
  const alone = lead.sharedWire ? 0 : (wireOhmPerM(lead.awg) * mm) / 1000;
  const ways = pins.map((pin, i) => ({ pin, contact: i === 0 ? contact.fresh : contact.aged }));
  const whole = ways.reduce((sum, way) => sum + 1 / (way.contact + alone), 0);
  return ways.map((way) => {
    const own = amps / (way.contact + alone) / whole;
    return {
      pin: way.pin,
      signal,
      back,
      amps: own,
      bears: contactLimit(lead),
      contactOhm: way.contact,
      wireOhm: wire,
      contactW: own ** 2 * way.contact,
      wireW: lead.sharedWire ? (amps ** 2 * wire) / ways.length : own ** 2 * wire,
    };
  });
}
