import type { Finding } from '../findings/finding.ts';
import type { Placed, Plan } from '../model/plan.ts';
import { seatName } from '../model/seats.ts';
import type { Kind, Schools } from '../model/types.ts';
import { cautions } from './cautions.ts';
import type { Step } from './step.ts';

/** What each kind takes out and puts in: minutes, tools and screws are common practice, no source. */
const hands: Record<Kind, { out: number; in: number; tools: string[]; fasteners?: string }> = {
  case: { out: 0, in: 0, tools: [] },
  board: {
    out: 10,
    in: 15,
    tools: ['long magnetic driver'],
    fasteners: '6-32 or M3 in every hole: finger-tight all, then tighten',
  },
  processor: { out: 5, in: 5, tools: [] },
  cooler: { out: 5, in: 12, tools: ['paste', 'driver'] },
  memory: { out: 1, in: 2, tools: [] },
  card: { out: 3, in: 5, tools: ['driver'], fasteners: '6-32, one a slot' },
  drive: {
    out: 4,
    in: 5,
    tools: ['driver'],
    fasteners: '3.5 in: 6-32, at most 3.8 mm deep; 2.5 in: M3, at most 3 mm deep',
  },
  supply: { out: 8, in: 10, tools: ['driver'], fasteners: '6-32, four' },
  fan: { out: 3, in: 5, tools: ['driver'], fasteners: 'self-tapping, four a fan' },
  leads: { out: 3, in: 6, tools: ['tweezers', 'torch'] },
  small: { out: 2, in: 3, tools: [] },
};

/** Kinds that are fitted to the board before it goes into the case. */
const onBoard: readonly Kind[] = ['processor', 'memory', 'cooler'];

interface Draft extends Omit<Step, 'after' | 'cautions' | 'undoable' | 'tools' | 'seats'> {
  after?: string[];
  cautions?: string[];
  undoable?: boolean;
  tools?: string[];
  seats?: string[];
}

const step = (draft: Draft): Step => ({
  after: [],
  cautions: [],
  undoable: true,
  tools: [],
  seats: [],
  ...draft,
});

/** Every step a plan asks for, unordered, each knowing what must come first. */
export function stepsOf(plan: Plan, found: readonly Finding[], schools: Schools): Step[] {
  const comes = plan.seats.filter((placed) => placed.state === 'comes');
  const newCase = comes.some((placed) => placed.kind === 'case');
  const moved = newCase
    ? plan.seats.filter((placed) => placed.state === 'stays' && placed.kind !== 'case')
    : [];
  const boardMoves = newCase || comes.some((placed) => placed.kind === 'board');
  const changes = comes.length + plan.goes.length + plan.taken.size;
  if (changes === 0) return [];
  const steps = [
    ...beforeSteps(plan),
    ...outSteps(plan, moved, boardMoves),
    ...shellSteps(plan, found),
    ...inSteps(plan, [...comes, ...moved], boardMoves, schools),
    ...gateSteps(plan, boardMoves, schools),
  ];
  return joined(steps);
}

function beforeSteps(plan: Plan): Step[] {
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
        minutes: 3,
        cautions: [cautions.static],
        after: ['discharge'],
      }),
    );
  }
  return steps;
}

/** Out: leads, cards, drives, supply, then the board with what sits on it. */
function outSteps(plan: Plan, moved: Placed[], boardMoves: boolean): Step[] {
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
        id: `out:${each.seat}`,
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
  const kindOf = new Map(leaving.map((each) => [`out:${each.seat}`, each.kind]));
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

/** What is done to the shell itself: remedies taken. */
function shellSteps(plan: Plan, found: readonly Finding[]): Step[] {
  const steps: Step[] = [];
  for (const id of plan.taken) {
    const [what, detail = ''] = id.split(':');
    const cut = what === 'cut-front' || what === 'drill';
    const title =
      {
        'cage-out': 'Take the drive cage out',
        'cut-front': 'Cut the wall in front of the card',
        drill: `Drill and set standoff ${[...detail].join(', ')}`,
        'standoffs-out': `Take standoff ${[...detail].join(', ')} out`,
      }[what ?? ''] ?? `Do: ${remedyTitle(found, id)}`;
    steps.push(
      step({
        id: `remedy:${id}`,
        phase: 'shell',
        title,
        minutes:
          { 'cage-out': 20, 'cut-front': 55, drill: 25, 'standoffs-out': 5 }[what ?? ''] ?? 15,
        tools: cut ? ['file', 'drill', 'goggles'] : ['driver'],
        cautions: cut ? [cautions.edges, cautions.chips] : [],
        undoable: !cut,
        why: cut ? 'metal is cut while the case is empty' : undefined,
      }),
    );
  }
  return steps;
}

const remedyTitle = (found: readonly Finding[], id: string) =>
  found.flatMap((finding) => finding.remedies).find((remedy) => remedy.id === id)?.title ?? id;

function inSteps(plan: Plan, coming: Placed[], boardMoves: boolean, schools: Schools): Step[] {
  const present = new Set(coming.map((placed) => placed.seat));
  const ids = (kinds: readonly Kind[]) =>
    coming.filter((placed) => kinds.includes(placed.kind)).map((placed) => `in:${placed.seat}`);
  return coming
    .filter((placed) => placed.kind !== 'case')
    .filter(
      (placed) =>
        !(
          placed.state === 'stays' &&
          onBoard.includes(placed.kind) &&
          present.has('board') &&
          boardStaysFitted(plan)
        ),
    )
    .map((placed) => {
      const fitted = onBoard.includes(placed.kind);
      const prepare = fitted && boardMoves;
      return step({
        id: `in:${placed.seat}`,
        phase: prepare ? 'prepare' : 'in',
        title: inTitle(placed, prepare),
        minutes: hands[placed.kind].in,
        seats: [placed.seat],
        tools: hands[placed.kind].tools,
        fasteners: hands[placed.kind].fasteners,
        cautions: placed.kind === 'supply' ? [cautions.mains, cautions.maker] : [],
        after: inAfter(placed, ids, boardMoves, schools),
        why:
          placed.kind === 'supply' && boardMoves
            ? schools.supply === 'first'
              ? 'first: its leads can be hidden behind the board'
              : 'last: leaves room for hands at the board'
            : placed.kind === 'leads'
              ? 'while there is room for fingers'
              : undefined,
      });
    });
}

const boardStaysFitted = (plan: Plan) =>
  plan.seats.some((placed) => placed.kind === 'board' && placed.state === 'stays');

function inTitle(placed: Placed, prepare: boolean): string {
  const where = prepare ? ', on the bench' : '';
  if (placed.kind === 'leads') return `Plug in the front leads: ${placed.part.name}`;
  return `Fit the ${seatName(placed.seat)}: ${placed.part.name} (${placed.part.id})${where}`;
}

function inAfter(
  placed: Placed,
  ids: (kinds: readonly Kind[]) => string[],
  boardMoves: boolean,
  schools: Schools,
): string[] {
  const out = [`out:${placed.seat}`, 'open'];
  const bench = schools.start === 'bench' && boardMoves ? ['bench-start'] : [];
  switch (placed.kind) {
    case 'processor':
      return out;
    case 'memory':
      return [...out, ...ids(['processor'])];
    case 'cooler':
      return [...out, ...ids(['processor', 'memory'])];
    case 'board':
      return [
        ...out,
        ...bench,
        ...ids(onBoard),
        ...(schools.supply === 'first' ? ids(['supply']) : []),
        'shell',
      ];
    case 'leads':
      return [...out, ...ids(['board'])];
    case 'supply':
      return [...out, 'shell', ...(schools.supply === 'last' ? ids(['board', 'leads']) : [])];
    case 'card':
      return [...out, 'shell', ...ids(['board', 'leads', 'supply'])];
    case 'drive':
    case 'fan':
      return [...out, 'shell', ...ids(['board', 'supply'])];
    default:
      return [...out, ...ids(['board'])];
  }
}

function gateSteps(plan: Plan, boardMoves: boolean, schools: Schools): Step[] {
  const has = (kind: Kind) => plan.seats.some((placed) => placed.kind === kind);
  const homeMade = [...(plan.job?.wants ?? [])].some((want) => want.what.startsWith('adapter'));
  const warn = homeMade ? [cautions.adapter] : [];
  const steps: Step[] = [];
  if (boardMoves && schools.start === 'bench') {
    steps.push(
      step({
        id: 'bench-start',
        phase: 'bench start',
        title: 'Start the board on the bench: processor, one module, screen',
        minutes: 15,
        gate: 'a picture, and all the memory counted; new memory may take two minutes, leave it',
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
      title: 'Start in the case: screen and memory only',
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
      title: 'Stress run, ten minutes flat out',
      minutes: 2,
      leaveMinutes: 10,
      gate: 'no stop, processor under 85 °C',
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

/** Phase names in `after` mean every step of that phase; ids that do not exist fall away. */
function joined(steps: Step[]): Step[] {
  const ids = new Set(steps.map((each) => each.id));
  return steps.map((each) => ({
    ...each,
    after: [
      ...new Set(
        each.after.flatMap((name) =>
          ids.has(name)
            ? [name]
            : steps
                .filter((other) => other.phase === name && other.id !== each.id)
                .map((other) => other.id),
        ),
      ),
    ],
  }));
}
