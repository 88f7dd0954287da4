import type { Plan } from '../model/lookup/plan.ts';
import type { Kind, Schools } from '../model/types/types.ts';
import { cautions } from './cautions.ts';
import { step } from './draft.ts';
import type { Step } from './step.ts';

/** Gates from the least parts to the lid, each with what must be seen. */
export function gateSteps(plan: Plan, boardMoves: boolean, schools: Schools): Step[] {
  const has = (kind: Kind) => plan.seats.some((placed) => placed.kind === kind);
  const homeMade = [...(plan.job?.wants ?? [])].some((want) => want.what.startsWith('adapter'));
  const warn = homeMade ? [cautions.adapter] : [];
  const steps: Step[] = [];
  if (boardMoves && schools.start === 'bench') {
    steps.push(
      step({
        id: 'bench-start',
        phase: 'bench start',
        title: 'Start the board on the bench: CPU, one module, screen',
        minutes: 15,
        gate: 'a picture, and all the RAM counted; new RAM may take two minutes, leave it',
        cautions: warn,
        after: ['prepare', 'out'],
        why: 'a fault found here costs minutes, in the case an hour',
      }),
    );
  }
  steps.push(
    step({
      id: 'gate-picture',
      phase: 'gate',
      title: 'Start in the case: screen and RAM only',
      minutes: 5,
      gate: 'a picture; if it started outside and not here, look for a short under the board',
      cautions: warn,
      after: ['in', 'shell', 'out'],
    }),
  );
  if (has('card'))
    steps.push(
      step({
        id: 'gate-card',
        phase: 'gate',
        title: 'Start with the card',
        minutes: 5,
        gate: 'a picture from the card',
        after: ['gate-picture'],
      }),
    );
  if (has('drive'))
    steps.push(
      step({
        id: 'gate-drives',
        phase: 'gate',
        title: 'Start with the drives',
        minutes: 5,
        gate: 'every drive is listed',
        after: ['gate-picture', 'gate-card'],
      }),
    );
  steps.push(
    step({
      id: 'gate-stress',
      phase: 'gate',
      title: 'Stress run, ten minutes at full load',
      minutes: 2,
      leaveMinutes: 10,
      gate: 'no stop, CPU under 85 °C',
      after: ['gate-picture', 'gate-card', 'gate-drives'],
    }),
    step({
      id: 'close',
      phase: 'close',
      title: 'Lid on, take the after reading',
      minutes: 10,
      tools: ['wall meter'],
      after: ['gate-stress'],
      why: 'at the same load and room as before',
    }),
    step({
      id: 'label',
      phase: 'hand over',
      title: 'Label the machine, print the swap sheet',
      minutes: 5,
      after: ['close'],
    }),
  );
  return steps;
}
