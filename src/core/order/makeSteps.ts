import type { Plan } from '../model/lookup/plan.ts';
import { step, type Step } from '../model/types/step.ts';
import { minutesOf } from '../make/minutes.ts';
import { pieceOf } from '../make/pieceOf.ts';
import { makesOf, sheetOf } from '../make/sums.ts';
import { cautions } from './cautions.ts';

/** Steps of the work order for what is made: in the case while it is empty, or beside it. */
export function makeSteps(plan: Plan): Step[] {
  return makesOf(plan).flatMap((make) => {
    const made = pieceOf(plan, make);
    if ('lacks' in made) return [];
    const { piece } = made;
    const inWall = piece.outline === undefined;
    return [
      step({
        id: `make:${make.id}`,
        phase: 'shell',
        title: `${inWall ? 'Cut by the template' : 'Make'}: ${piece.name}, ${sheetOf(make)}`,
        minutes: minutesOf(piece),
        tools: ['template at true size', 'punch', 'drill', 'file', 'goggles'],
        cautions: [cautions.edges, cautions.chips],
        undoable: !inWall,
        why: inWall ? 'metal is cut while the case is empty' : undefined,
      }),
    ];
  });
}
