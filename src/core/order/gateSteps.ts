import {
  appliedOf,
  isSort,
  partOfKind,
  partsOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { trainingOf } from '../model/lookup/training.ts';
import type { Schools } from '../model/types/types.ts';
import { hotSockets } from '../standards/sockets.ts';
import { cautions } from './cautions.ts';
import { inId, type Step, step } from '../model/types/step.ts';
import { pictureFrom, type Gated } from './gates.ts';

/** Between two gates nothing is fitted under standby power. */
const off = (id: string, after: string[]): Step =>
  step({
    id,
    phase: 'gate',
    title: 'Off, unplug, hold the power button 10 to 15 s',
    minutes: 1,
    cautions: [cautions.unplug],
    after,
  });

/** Gates from the least parts to the lid, each with what must be seen. */
export function gateSteps(
  plan: Plan,
  boardMoves: boolean,
  schools: Schools,
  coming: readonly Placed[],
  gated: Gated,
): Step[] {
  const warn = hasUnprovedAdapter(plan) ? [cautions.adapter] : [];
  const steps: Step[] = [];
  if (boardMoves && schools.start === 'bench') {
    steps.push(
      step({
        id: 'bench-start',
        phase: 'bench start',
        title: 'Start the board on the bench: CPU with its cooler, one module, screen',
        minutes: 15,
        uses: 'test screen',
        gate: `a picture, and all the RAM counted; ${trainingOf(plan).words}, leave it`,
        cautions: warn,
        after: ['prepare', 'out'],
        why: 'a fault found here costs minutes, in the case an hour',
      }),
      { ...off('off-bench', ['bench-start']), phase: 'bench start' },
    );
  }
  const late = new Set([...gated.cards, ...gated.drives]);
  steps.push(
    step({
      id: 'gate-picture',
      phase: 'gate',
      title: firstTitle(plan, late.size > 0),
      minutes: 5,
      uses: 'test screen',
      gate: 'a picture; if it started outside and not here, look for a short under the board',
      cautions: warn,
      after: [
        ...coming.filter((each) => !late.has(each.seat)).map((each) => inId(each.seat)),
        'shell',
        'out',
      ],
    }),
  );
  let last = 'gate-picture';
  const next = (id: string, title: string, gate: string, seats: ReadonlySet<string>) => {
    if (seats.size > 0) steps.push(off(offBefore(id), [last]));
    steps.push(
      step({
        id,
        phase: 'gate',
        title,
        minutes: 5,
        uses: 'test screen',
        gate,
        after: [last, ...[...seats].map((seat) => inId(seat))],
      }),
    );
    last = id;
  };
  if (gated.cards.size > 0)
    next('gate-card', 'Start with the card', 'a picture from the card', gated.cards);
  if (partOfKind(plan, 'drive'))
    next('gate-drives', 'Start with the drives', 'every drive is listed', gated.drives);
  steps.push(
    step({
      id: 'gate-stress',
      phase: 'gate',
      title: 'Stress run, ten minutes at full load',
      minutes: 2,
      leaveMinutes: 10,
      uses: 'test screen',
      gate: `no stop, no throttling, ${limitOf(plan)}`,
      after: [last],
    }),
    step({
      id: 'close',
      phase: 'close',
      title: 'Lid on, take the after reading',
      minutes: 10,
      uses: 'test screen',
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

/** The step that unplugs before what a gate is for is fitted. */
export const offBefore = (gate: string): string => `off-${gate}`;

function firstTitle(plan: Plan, least: boolean): string {
  const from = pictureFrom(plan);
  const cards = partsOfKind(plan, 'card').length;
  if (!least) return 'Start in the case';
  if (from === 'card') return 'Start in the case: screen on the card, RAM, no drives';
  return from === 'unknown' && cards > 0
    ? 'Start in the case: screen and RAM only; the card too where the CPU has no graphics of its own'
    : 'Start in the case: screen and RAM only';
}

function limitOf(plan: Plan): string {
  const processor = partOfKind(plan, 'processor');
  const board = partOfKind(plan, 'board');
  const socket =
    (processor && textAt(plan, processor, 'socket')?.text) ??
    (board && textAt(plan, board, 'socket')?.text);
  const hot = "CPU 10 K under its maker's limit, 95 to 100 °C";
  if (socket === undefined) return `CPU under 85 °C; since about 2022: ${hot}`;
  return hotSockets.includes(socket) ? hot : 'CPU under 85 °C';
}

/** An adapter between plugs that has not carried power yet, or is still to be got. */
const hasUnprovedAdapter = (plan: Plan): boolean =>
  appliedOf(plan, 'plugAdapter').length > 0 ||
  appliedOf(plan, 'processorAdapter').length > 0 ||
  partsOfKind(plan, 'small').some(
    (each) => isSort(plan, each, ['plug adapter']) && textAt(plan, each, 'proved')?.text !== 'live',
  );
