import { belongings } from '../model/properties/smallSorts.ts';
import type { TextKey } from '../model/properties/index.ts';
import type { Placed } from '../model/lookup/plan.ts';
import { textAt } from '../model/lookup/plan.ts';
import type { Machine, Shop } from '../model/types/types.ts';
import { beforeSteps, outSteps } from '../order/outSteps.ts';
import { foundOf } from '../plan/planOf.ts';
import { wantedBy } from '../model/lookup/wanted.ts';

/** What it takes to get parts out of a donor, and what that does to the rest of it. */
export interface Stripping {
  /** Minutes of hands, lid and leads included (common practice, no source). */
  minutes: number;
  spoils: string[];
  /** Jobs that have planned one of these parts. */
  wanted: { partId: string; jobs: string[] }[];
}

/** Plates and kits of a board or cooler, by what the small part is called. */
/** Taking these parts out of a machine. Parts that do not sit in it are left out. */
export function stripping(shop: Shop, machine: Machine, partIds: readonly string[]): Stripping {
  const whole = foundOf(shop, machine.seats);
  const out = whole.seats.filter(({ part }) => partIds.includes(part.id));
  const stays = whole.seats.filter(({ part }) => !partIds.includes(part.id));
  if (out.length === 0) return { minutes: 0, spoils: [], wanted: [] };
  const plan = { ...whole, machine, seats: stays, goes: out };
  const steps = [
    ...beforeSteps(plan).filter((step) => step.id !== 'before-reading'),
    ...outSteps(
      plan,
      out.some(({ kind }) => kind === 'board')
        ? stays.filter(({ kind }) => kind === 'card' || kind === 'supply')
        : [],
      out.some(({ kind }) => kind === 'board'),
    ),
  ];
  const wanted = wantedBy(shop);
  return {
    minutes: steps.reduce((sum, step) => sum + step.minutes, 0),
    spoils: spoiled(machine, out, stays, (placed, key) => textAt(whole, placed, key)?.text),
    wanted: out.flatMap(({ part }) => {
      const jobs = wanted.get(part.id);
      return jobs ? [{ partId: part.id, jobs }] : [];
    }),
  };
}

type Read = (placed: Placed, key: TextKey) => string | undefined;

/** What is worth less, or dead, once they are out (common practice, no source). */
function spoiled(machine: Machine, out: Placed[], stays: Placed[], read: Read): string[] {
  const goes = (kind: Placed['kind']) => out.find((placed) => placed.kind === kind);
  const left = (kind: Placed['kind']) => stays.find((placed) => placed.kind === kind);
  const list: string[] = [];
  const vital = (['board', 'processor', 'supply'] as const).filter(goes);
  const lastMemory = goes('memory') && !left('memory');
  if (machine.starts && (vital.length > 0 || lastMemory))
    list.push(
      `${machine.name} starts today; without its ${vital[0] ?? 'RAM'} it is no machine any more.`,
    );
  const board = left('board');
  const main = board && read(board, 'mainPlug');
  if (goes('supply') && main !== undefined && !['main20', 'main24'].includes(main))
    list.push("Its board takes a maker's main plug: without this PSU it needs an adapter.");
  if (goes('cooler') && left('processor'))
    list.push('Its CPU must not be started without a cooler.');
  if (goes('processor') && board) list.push('The socket stands open: cover its contacts.');
  for (const placed of out) {
    if (
      placed.kind === 'small' &&
      board &&
      belongings.some((sort) => sort === read(placed, 'sort'))
    )
      list.push(`Without its ${placed.part.name} the board is worth less: note it at the board.`);
    if (placed.kind === 'drive')
      list.push(`${placed.part.name} carries other people's data until it is cleared.`);
  }
  if (goes('case') && board) list.push('The board loses its case, plate and standoffs.');
  return list;
}
