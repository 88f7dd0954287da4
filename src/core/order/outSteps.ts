import type { Placed, Plan } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import { numberOf } from '../model/lookup/lookup.ts';
import type { Kind } from '../model/types/types.ts';
import { LIFT_ALONE_KG } from '../standards/lifting.ts';
import { finishCautions } from '../finish/cautions.ts';
import { cautions } from './cautions.ts';
import { outId, type Step, step } from '../model/types/step.ts';
import { hands, onBoard } from './handwork.ts';

/** The shell is more than one person lifts: known, not guessed. */
export const heavyShell = (plan: Plan): boolean =>
  plan.seats.some(
    ({ kind, part }) =>
      kind === 'case' && (numberOf(plan.shop, part, 'mass')?.hi ?? 0) > LIFT_ALONE_KG,
  );

/** Before the first screw: the reading to compare with, discharge, lid off. */
export function beforeSteps(plan: Plan): Step[] {
  const steps: Step[] = [];
  if (plan.machine?.starts) {
    steps.push(
      step({
        id: 'before-reading',
        phase: 'before',
        title: 'Take the before reading: temperature, speed, watts at the wall',
        minutes: 10,
        tools: ['wall meter'],
        why: 'without it there is nothing to compare with',
      }),
    );
  }
  if (heavyShell(plan))
    steps.push(
      step({
        id: 'lift',
        phase: 'before',
        title: 'Lift it onto the bench',
        minutes: 5,
        people: 2,
        cautions: [finishCautions.heavy],
        why: `over ${LIFT_ALONE_KG} kg`,
      }),
    );
  if (plan.machine) {
    steps.push(
      step({
        id: 'discharge',
        phase: 'open',
        title: 'Unplug, hold the power button 10 to 15 s',
        minutes: 1,
        cautions: [cautions.unplug, cautions.mains],
        after: steps.map((each) => each.id),
      }),
      step({
        id: 'open',
        phase: 'open',
        title: 'Lid off, photograph the leads',
        photo: 'Which lead went where',
        minutes: 3,
        cautions: [cautions.static],
        after: ['discharge'],
      }),
    );
  }
  return steps;
}

/** Out: leads, cards, drives, supply, then the board with what sits on it. */
export function outSteps(plan: Plan, moved: Placed[], boardMoves: boolean): Step[] {
  const rank: Kind[] = [
    'leads',
    'card',
    'drive',
    'fan',
    'supply',
    'small',
    'board',
    'cooler',
    'memory',
    'processor',
  ];
  const leaving = [
    ...plan.goes.map((gone) => ({ ...gone, moving: false })),
    ...moved.map((placed) => ({
      seat: placed.seat,
      kind: placed.kind,
      part: placed.part,
      moving: true,
    })),
  ].filter((each) => each.kind !== 'case');
  const withBoard = (kind: Kind) => boardMoves && onBoard.includes(kind);
  const boardStays = plan.seats.some(
    (placed) => placed.kind === 'board' && placed.state === 'stays',
  );
  const out = leaving
    .filter((each) => !(each.moving && withBoard(each.kind) && boardStays))
    .map((each) =>
      step({
        id: outId(each.seat),
        phase: 'out',
        title: `${each.kind === 'leads' ? 'Note and unplug' : 'Take out'} the ${seatName(each.seat)}: ${each.part.name}`,
        minutes: hands[each.kind].out,
        seats: [each.seat],
        tools: hands[each.kind].tools,
        cautions:
          each.kind === 'drive' && !each.moving
            ? [cautions.data]
            : each.kind === 'supply'
              ? [cautions.mains]
              : [],
        after: ['open'],
      }),
    );
  const kindOf = new Map(leaving.map((each) => [outId(each.seat), each.kind]));
  for (const later of out) {
    for (const earlier of out) {
      const a = rank.indexOf(kindOf.get(earlier.id) ?? 'small');
      const b = rank.indexOf(kindOf.get(later.id) ?? 'small');
      const board = rank.indexOf('board');
      if (a < b && (b >= board || a === 0)) later.after.push(earlier.id);
    }
  }
  return out;
}
