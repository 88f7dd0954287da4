import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import {
  listAt,
  numberAt,
  partOfKind,
  partsOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { standsOutside } from '../remedies/supplyOutside.ts';
import { plug } from '../standards/plugs/index.ts';
import type { Source } from '../standards/source.ts';
import { range, type Range } from '../units/range.ts';

/** A bundle of n wires is about 1.2 times the root of n wires thick: the rule harness makers work by. */
const bundleSource: Source = {
  title: 'wire bundle diameter, 1.2 √n d, harness practice',
  memory: true,
};
const LOOSE = 1.2;
/** A power lead's wire over its insulation, AWG 20 to 16, mm (common practice, no source). */
const WIRE_MM = range(1.8, 2.4);
/** What is not used lies folded, this many times (common practice, no source). */
const FOLDED = range(2, 3);

/** The PSU's leads as a bundle against the room they lie in, beside the PSU or behind the tray. */
export function leadRoom(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const supply = partOfKind(plan, 'supply');
  const room = shell && numberAt(plan, shell, 'leadRoom');
  if (!shell || !supply || !room || standsOutside(plan)) return [];
  const wires = wiresIn(plan, supply);
  if (!wires) return [];
  const thick = (n: number, mm: number) => LOOSE * Math.sqrt(n) * mm;
  const modular = textAt(plan, supply, 'modular');
  return [
    gap({
      id: 'lead-room',
      station: 'fit',
      title: "the PSU's leads in their room",
      seats: ['supply', 'case'],
      unit: 'mm',
      terms: [
        termOf(shell, 'leadRoom', 'room for leads', 1, room),
        {
          ...plain(
            `bundle of ${wires.lo === wires.hi ? '' : 'up to '}${Math.round(wires.hi)} wires`,
            range(Math.round(thick(wires.lo, WIRE_MM.lo)), Math.round(thick(wires.hi, WIRE_MM.hi))),
            -1,
          ),
          ...(!modular && {
            how: 'class' as const,
            input: { partId: supply.part.id, key: 'modular' as const, seat: supply.seat },
          }),
        },
      ],
      minimumMargin: 0,
      source: bundleSource,
      undoMinutes: 30,
      say: (rest, mark) =>
        mark === 'stop'
          ? `The panel would press on the leads: the bundle is ${Math.ceil(-rest.hi)} mm thicker than its room.`
          : mark === 'clear'
            ? 'The leads lie in their room without pressing on the panel.'
            : 'The panel may press on the leads: spread them flat, or leave those out that plug in and feed nothing.',
    }),
  ];
}

/** Wires that lie there: those in use once, the rest folded; what plugs in and feeds nothing stays out. */
function wiresIn(plan: Plan, supply: Placed): Range | undefined {
  const main = textAt(plan, supply, 'mainPlug')?.text;
  const others = listAt(plan, supply, 'plugs')?.items;
  if (main === undefined || !others) return undefined;
  const ways = (id: string) => plug(id)?.ways ?? 0;
  /* Plugs of drives share a lead of four wires, three to a lead. */
  const drives = others.filter((id) => plug(id)?.group === 'drive').length;
  const driveLeads = Math.ceil(drives / 3);
  const own = others.filter((id) => plug(id)?.group !== 'drive').map(ways);
  const all = ways(main) + own.reduce((sum, n) => sum + n, 0) + driveLeads * DRIVE_WIRES;
  const used = Math.min(all, usedWires(plan, ways(main), ways));
  const modular = textAt(plan, supply, 'modular')?.text;
  const spare = (fixed: number) => range(used + fixed * FOLDED.lo, used + fixed * FOLDED.hi);
  if (modular === 'all plug in' || modular === 'main lead fixed') return range(used);
  return modular === 'fixed' ? spare(all - used) : range(used, spare(all - used).hi);
}

const DRIVE_WIRES = 5;

/** What the plan's parts plug in: the main lead, the CPU's, the cards', one lead for up to three drives. */
function usedWires(plan: Plan, main: number, ways: (id: string) => number): number {
  const board = partOfKind(plan, 'board');
  const cpu = board && textAt(plan, board, 'processorPlug')?.text;
  const cards = partsOfKind(plan, 'card').flatMap(
    (card) => listAt(plan, card, 'plugs')?.items ?? [],
  );
  const drives = partsOfKind(plan, 'drive').filter(
    (drive) => textAt(plan, drive, 'form')?.text !== 'M.2',
  ).length;
  return (
    main +
    (cpu === undefined || cpu === 'none' ? 0 : ways(cpu)) +
    cards.reduce((sum, id) => sum + ways(id), 0) +
    Math.ceil(drives / 3) * DRIVE_WIRES
  );
}
