import { listAt, partsOfKind, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { boardFormat } from '../standards/boards.ts';
import { supplyFormat } from '../standards/room.ts';

/** What of a closed machine can stay, and why (common practice, no source). */
export interface Staying {
  seat: string;
  name: string;
  says: 'stays' | 'may stay' | 'goes';
  why: string;
}

/** Processor, card, memory and drives stay by rule; board, supply, case and cooler as near standard as they are. */
export function staying(plan: Plan): Staying[] {
  const list: Staying[] = [];
  const add = (
    kind: 'board' | 'supply' | 'case' | 'cooler',
    says: Staying['says'],
    why: string,
  ) => {
    const placed = partOfKind(plan, kind);
    if (placed) list.push({ seat: placed.seat, name: placed.part.name, says, why });
  };
  for (const kind of ['processor', 'card', 'memory', 'drive'] as const)
    for (const placed of partsOfKind(plan, kind))
      list.push({
        seat: placed.seat,
        name: placed.part.name,
        says: 'stays',
        why: 'goes into any board of its kind',
      });
  const board = partOfKind(plan, 'board');
  const format = board && textAt(plan, board, 'format')?.text;
  const main = board && textAt(plan, board, 'mainPlug')?.text;
  const standardPlug = main === undefined ? undefined : ['main20', 'main24'].includes(main);
  if (boardFormat(format) && standardPlug !== false)
    add(
      'board',
      standardPlug ? 'stays' : 'may stay',
      standardPlug
        ? `${format}, standard main plug`
        : `${format}; which main plug has not been said`,
    );
  else
    add(
      'board',
      format || main ? 'goes' : 'may stay',
      format || main
        ? 'a format or main plug of its maker: no other case or PSU takes it'
        : 'measure its holes, look at its main plug',
    );
  const supply = partOfKind(plan, 'supply');
  const supplyName = supply && textAt(plan, supply, 'format')?.text;
  const gives = supply && textAt(plan, supply, 'mainPlug')?.text;
  const plain = gives === undefined ? undefined : ['main20', 'main24'].includes(gives);
  if (supplyFormat(supplyName) && plain !== false)
    add('supply', 'may stay', `${supplyName}: enough while the watts are`);
  else
    add(
      'supply',
      plain === false ? 'goes' : 'may stay',
      plain === false
        ? "a maker's main plug: it feeds its own board only"
        : 'measure it, look at its plugs',
    );
  add(
    'case',
    boardFormat(format) && standardPlug !== false ? 'may stay' : 'goes',
    'kept for its looks or its board; mostly the first to go',
  );
  const leaves = list.find(({ seat }) => seat === 'board')?.says === 'goes';
  const cooler = partOfKind(plan, 'cooler');
  const kits = cooler && listAt(plan, cooler, 'sockets')?.items;
  add(
    'cooler',
    leaves && !kits?.length ? 'goes' : 'may stay',
    leaves && !kits?.length
      ? "with its board: on a maker's plate, or nobody said which holes it has a kit for"
      : 'enough for the CPU it came with, mostly loud',
  );
  return list;
}
