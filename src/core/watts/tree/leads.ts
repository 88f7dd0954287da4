import type { NumberKey } from '../../model/properties/index.ts';
import { plugIn } from '../../model/lookup/ownPlugs.ts';
import {
  appliedOf,
  partsOfKind,
  listAt,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
  isSort,
  sortOf,
} from '../../model/lookup/plan.ts';
import { keptByReads, plugsOf } from '../../model/lookup/reads.ts';
import { contactA, isOfGroup, plug, type Plug } from '../../standards/plugs/index.ts';
import { contactOhm } from '../../standards/wire.ts';
import { range, type Range } from '../../units/range.ts';
import { wireOhmPerM } from '../../units/wire.ts';
import { type Draw, type Lead, type Rail, railNames } from './types.ts';
import { branchings } from '../../model/properties/smallSorts.ts';

const signals: Record<Rail, string> = { '12 V': '+12V', '5 V': '+5V', '3.3 V': '+3.3V' };

/** Wire of a supply's leads when nobody looked: AWG 18 mostly (common practice, no source). */
const AWG = 18;
const SATA_LENGTH = range(400, 800);
/** SATA plugs that hang on one lead (common practice, no source). */
const SATA_EACH = 3;

/** Every lead the supply brings, hubs and splitters of the plan after those they hang on; none without a supply. */
export const leadsOf = keptByReads((plan: Plan): Lead[] => {
  const supply = partOfKind(plan, 'supply');
  return supply ? bringsLeads(plan, supply) : [];
});

function bringsLeads(plan: Plan, supply: Placed): Lead[] {
  const main = plugIn(plugsOf(plan), textAt(plan, supply, 'mainPlug')?.text ?? '');
  const others = listAt(plan, supply, 'plugs')?.items ?? [];
  const length = (key: NumberKey) => numberAt(plan, supply, key) ?? range(280, 650);
  const list: Lead[] = [];
  const add = (
    id: string,
    label: string,
    own: Plug,
    over: Draw['over'],
    lengthMm: Range,
    more: Partial<Lead> = {},
  ) =>
    list.push({
      id,
      label,
      plug: own,
      feeds: Object.fromEntries(
        railNames.flatMap((rail) => {
          const n = own.pins.filter((pin) => pin === signals[rail]).length;
          return n > 0 ? [[rail, n]] : [];
        }),
      ),
      returns: Math.max(1, own.pins.filter((pin) => pin === 'COM').length),
      awg: AWG,
      lengthMm,
      over,
      ...more,
    });
  const known = main && !main.pins.includes('?') ? main : plug('main24');
  if (known) add('main', known.name, known, 'main', length('leadMain'));
  others
    .filter((id) => isOfGroup(id, 'processor'))
    .forEach((id, i) => {
      const own = plug(id);
      if (own) add(`processor${i + 1}`, own.name, own, 'processor', length('leadProcessor'));
    });
  others
    .filter((id) => isOfGroup(id, 'card'))
    .forEach((id, i) => {
      const own = plug(id);
      if (own) add(`card lead${i + 1}`, own.name, own, 'card', length('leadCard'));
    });
  const sata = plug('sata');
  const satas = others.filter((id) => id === 'sata').length;
  for (let i = 0; sata && i * SATA_EACH < satas; i += 1)
    add(`sata lead${i + 1}`, `SATA lead ${i + 1}`, sata, 'drive', SATA_LENGTH, {
      sharedWire: true,
    });
  const drive = plug('drive4');
  if (drive && others.includes('drive4'))
    add('drive lead', '4-pin peripheral lead', drive, 'drive', SATA_LENGTH, { sharedWire: true });
  const missing = !others.some((id) => isOfGroup(id, 'processor'));
  return [...list, ...smallLeads(plan, list), ...(missing ? instead(plan) : [])];
}

/**
 * What feeds a board's CPU header where the supply brings no plug for it: the adapter from two drive plugs that was
 * taken, by one contact of each; else a lead that is missing, on which the CPU hangs in the sums and which nobody
 * judges: the missing plug is a finding of its own.
 */
function instead(plan: Plan): Lead[] {
  const board = partOfKind(plan, 'board');
  const wanted = board && textAt(plan, board, 'processorPlug')?.text;
  const own = plug('drive4');
  if (!own || wanted === 'none') return [];
  const taken = appliedOf(plan, 'processorAdapter').length > 0;
  return [
    {
      id: 'processor1',
      label: taken ? 'adapter from two drive plugs' : 'CPU plug, missing',
      plug: own,
      feeds: { '12 V': 2 },
      returns: 4,
      awg: AWG,
      lengthMm: SATA_LENGTH,
      over: 'processor',
      ...(!taken && { missing: true }),
    },
  ];
}

/** Hubs, splitters and risers among the small parts, hung on a lead of the plug they ask for. */
function smallLeads(plan: Plan, leads: readonly Lead[]): Lead[] {
  return partsOfKind(plan, 'small').flatMap((placed): Lead[] => {
    const id = textAt(plan, placed, 'plug')?.text;
    const own = id === undefined ? undefined : plug(id);
    const on = leads.find((lead) => lead.plug.id === id);
    if (!own || !on || !isSort(plan, placed, branchings)) return [];
    return [
      {
        ...on,
        id: placed.seat,
        label: placed.part.name,
        of: placed.seat,
        hub: sortOf(plan, placed) === 'fan hub',
        sharedWire: false,
      },
    ];
  });
}

/** Amps one contact of the lead's plug bears. */
export const contactLimit = (lead: Lead): number =>
  lead.plug.contactA ?? contactA(lead.plug.ways, lead.awg);

/**
 * Ohms of one way along a lead: its wire, and its contacts at both ends. A drive lead has one wire and one contact at
 * the supply for all its plugs; at a SATA plug three contacts stand side by side for each rail.
 */
function onePath(lead: Lead, contacts: number): Range {
  const wire = (mm: number, celsius: number) => (wireOhmPerM(lead.awg, celsius) * mm) / 1000;
  const own = contactOhm(lead.plug.pitchMm);
  const far = lead.sharedWire
    ? {
        fresh: contactOhm(4.2).fresh + own.fresh / contacts,
        aged: contactOhm(4.2).aged + own.aged / contacts,
      }
    : own;
  return range(wire(lead.lengthMm.lo, 20) + far.fresh, wire(lead.lengthMm.hi, 50) + far.aged);
}

/** Ohms there and back for a rail of the lead; a drive lead has one wire out and two back. */
export function loopOhm(lead: Lead, rail: Rail): Range {
  const side = Math.max(1, lead.feeds[rail] ?? 1);
  const path = onePath(lead, side);
  const feeds = lead.sharedWire ? 1 : side;
  const returns = lead.sharedWire ? 2 : lead.returns;
  return range(path.lo * (1 / feeds + 1 / returns), path.hi * (1 / feeds + 1 / returns));
}

/** Share of the amps one contact of several may come to carry: it new, the others aged. */
export function worstShare(lead: Lead, rail: Rail): number {
  const n = lead.feeds[rail] ?? 1;
  const contact = contactOhm(lead.plug.pitchMm);
  /* The wires of one plug are alike, the contacts are not. */
  const wire = lead.sharedWire ? 0 : (wireOhmPerM(lead.awg) * lead.lengthMm.lo) / 1000;
  const best = 1 / (contact.fresh + wire);
  return best / (best + (n - 1) / (contact.aged + wire));
}
