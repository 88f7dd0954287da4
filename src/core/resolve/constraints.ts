import type { Check, Finding } from '../findings/finding.ts';
import { cardHeight } from '../fit/cardHeight.ts';
import { cardLength } from '../fit/cardLength.ts';
import { cardSlots } from '../fit/cardSlots.ts';
import { clashesBetween } from '../fit/clashes.ts';
import { coolerHeight } from '../fit/coolerHeight.ts';
import { coolerMount } from '../fit/coolerMount.ts';
import { coolerSinks } from '../fit/coolerSinks.ts';
import { driveMounts } from '../fit/driveMounts.ts';
import { leadRoom } from '../fit/leadRoom.ts';
import { memoryHeight } from '../fit/memoryHeight.ts';
import { driveDepth, mountDepth } from '../fit/mountDepth.ts';
import { radiators } from '../fit/radiator.ts';
import { stack } from '../fit/stack.ts';
import { supplyBay } from '../fit/supplyBay.ts';
import { foundTogether } from '../plan/foundTogether.ts';
import { withOrderedRemedies } from '../plan/ordered.ts';
import { promisedElsewhere, twoSeats } from '../plan/promised.ts';
import { partsOfKind, type Plan } from '../model/lookup/plan.ts';
import { angledPlug } from '../remedies/angledPlug.ts';
import { cageOut } from '../remedies/cageOut.ts';
import { cutSink } from '../remedies/cutSink.ts';
import { flatSink } from '../remedies/flatSink.ts';
import { otherSocket } from '../remedies/otherSocket.ts';
import { angledDrive } from '../remedies/angledDrive.ts';
import { supplyOutside } from '../remedies/supplyOutside.ts';
import { cutFront } from '../remedies/cutFront.ts';
import { fanOutside } from '../remedies/fanOutside.ts';
import { variableId } from '../remedies/index.ts';
import { hangRadiator } from '../remedies/hangRadiator.ts';
import { lidWashers } from '../remedies/lidWashers.ts';
import { moveDrive } from '../remedies/moveDrive.ts';
import { slotFurther } from '../remedies/slotFurther.ts';
import { turnSupply } from '../remedies/turnSupply.ts';
import { plugChecks } from '../plugs/index.ts';
import { linkChecks } from '../links/index.ts';
import { wattChecks } from '../watts/index.ts';
import type { Kind } from '../model/types/names.ts';
import { kindOfSeat } from '../model/types/seats.ts';

/** Sums that are judged together, and the variables they hang on. */
export interface Family {
  name: string;
  variables: string[];
  run: (plan: Plan) => Finding[];
  /** A Stop the plan has as it stands is left alone: it is not what this search mends. */
  tolerant?: boolean;
}

/** Whether the PSU stands outside. */
const OUTSIDE = variableId(supplyOutside());

/** What lowers a drive's heat sink, or takes it elsewhere. */
const ofSink = (seat: string): string[] =>
  [flatSink({ seat }), cutSink({ seat }), otherSocket({ seat })].map(variableId);

/** Where the radiator hangs. */
const RADIATOR = variableId(hangRadiator({ seat: 'cooler', to: '' }));

const every =
  (checks: readonly Check[]): Family['run'] =>
  (plan) =>
    checks.flatMap((check) => check(plan));

/** What of a seat changes with which variables. */
function changesWith(plan: Plan, seat: string): string[] {
  const kind = kindOfSeat(seat);
  if (kind === 'card') return [seat, variableId(angledPlug({ seat }))];
  if (kind === 'memory') return [seat, variableId(slotFurther({ seat }))];
  if (kind === 'supply') return ['supply', variableId(turnSupply()), OUTSIDE];
  if (kind === 'cooler') return [seat, RADIATOR];
  if (kind === 'case') return [variableId(cageOut())];
  /* Fans share the mounts of the case: where one hangs moves the others. */
  if (kind === 'fan')
    return [
      ...partsOfKind(plan, 'fan').map((fan) => variableId(fanOutside({ seat: fan.seat }))),
      variableId(cageOut()),
    ];
  if (kind === 'drive')
    return [variableId(moveDrive({ seat, to: '' })), variableId(cageOut()), ...ofSink(seat)];
  return [seat];
}

/** Every sum of the plan that something which may give takes part in. */
/** Kinds that take room of their own in a case. */
const bodies: readonly Kind[] = [
  'card',
  'memory',
  'cooler',
  'supply',
  'fan',
  'drive',
  'board',
  /* Its drive cage. */
  'case',
];

export function familiesOf(plan: Plan): Family[] {
  const cards = partsOfKind(plan, 'card').map((placed) => placed.seat);
  const drives = partsOfKind(plan, 'drive').map((placed) => placed.seat);
  const only =
    (check: Check, seat: string): Family['run'] =>
    (at) =>
      check(at).filter((finding) => finding.seats.includes(seat));
  const families: Family[] = [
    {
      name: 'cooler under the lid',
      variables: ['cooler', variableId(lidWashers())],
      run: coolerHeight,
    },
    ...partsOfKind(plan, 'memory').map(({ seat }): Family => ({
      name: `${seat} under the lid`,
      variables: [seat, variableId(lidWashers())],
      run: only(memoryHeight, seat),
    })),
    { name: 'cooler on its socket', variables: ['cooler'], run: coolerMount },
    {
      name: 'radiator on its wall',
      variables: ['cooler', RADIATOR],
      run: every([radiators, (at) => mountDepth(at).filter(({ id }) => id === 'radiator-depth')]),
    },
    ...partsOfKind(plan, 'fan').map(({ seat }): Family => ({
      name: `${seat} on its mount`,
      variables: changesWith(plan, seat),
      run: (at) => mountDepth(at).filter(({ id }) => id === `fan-depth:${seat}`),
    })),
    {
      name: 'cooler over the sinks',
      variables: ['cooler', variableId(cutSink({ seat: 'board' }))],
      run: coolerSinks,
    },
    {
      name: 'PSU in its bay',
      variables: ['supply', OUTSIDE, variableId(cageOut())],
      run: supplyBay,
    },
    { name: "the PSU's leads", variables: ['supply', OUTSIDE], run: leadRoom },
    { name: 'PSU and board', variables: ['supply', OUTSIDE], run: stack },
    ...drives.map((seat): Family => ({
      name: `${seat} with its plugs`,
      variables: [
        ...drives.map((each) => variableId(moveDrive({ seat: each, to: '' }))),
        variableId(cageOut()),
        variableId(angledDrive({ seat })),
      ],
      run: only(driveDepth, seat),
    })),
    { name: 'card openings', variables: cards, run: cardSlots },
    {
      name: 'places for drives',
      variables: [
        ...drives.map((seat) => variableId(moveDrive({ seat, to: '' }))),
        variableId(cageOut()),
      ],
      run: driveMounts,
    },
    ...plan.seats.map(({ seat }): Family => ({
      name: `${seat}, promised or not`,
      variables: [seat],
      run: (at) => promisedElsewhere(at).filter((finding) => finding.seats.includes(seat)),
      tolerant: true,
    })),
    ...cards.flatMap((seat): Family[] => [
      {
        name: `${seat} against what is in front`,
        variables: [
          seat,
          variableId(cageOut()),
          variableId(cutFront({ seat })),
          variableId(angledPlug({ seat })),
        ],
        run: only(cardLength, seat),
      },
      {
        name: `${seat} under the lid`,
        variables: [seat, variableId(angledPlug({ seat })), variableId(lidWashers())],
        run: only(cardHeight, seat),
      },
    ]),
    /* One piece goes into one seat. */
    ...pairs(plan).map(([a, b]): Family => ({
      name: `${a} and ${b}, one piece each`,
      variables: [a, b],
      run: (at) => twoSeats(at).filter((finding) => finding.seats.includes(a)),
    })),
    ...partsOfKind(plan, 'memory').map(({ seat }): Family => ({
      name: `${seat} on its board`,
      variables: [seat],
      run: (at) => every(linkChecks)(at).filter((finding) => finding.seats.includes(seat)),
    })),
  ];
  const seats = plan.seats
    .map((placed) => placed.seat)
    .filter((seat) => bodies.some((kind) => kind === kindOfSeat(seat)));
  for (let i = 0; i < seats.length; i += 1) {
    for (let k = i + 1; k < seats.length; k += 1) {
      const [a, b] = [seats[i] as string, seats[k] as string];
      if (inCage(a, b)) continue;
      families.push({
        name: `${a} against ${b}`,
        variables: [
          ...new Set([...changesWith(plan, a), ...changesWith(plan, b), ...shared(a, b)]),
        ],
        run: (at) => clashesBetween(at, a, b),
      });
    }
  }
  /* The dearest last: it is asked only of what every other sum lets stand. */
  families.push({
    name: 'watts and plugs',
    variables: ['supply', ...cards],
    run: every([...wattChecks, ...plugChecks]),
  });
  return families.map((family) => ({
    ...family,
    run: (at) =>
      family.run(at).map((finding) => withOrderedRemedies(at, foundTogether(at, finding))),
  }));
}

/** What hangs in the cage, or ends at it, is judged by sums of its own. */
const inCage = (a: string, b: string): boolean =>
  [a, b].includes('case') && [a, b].some((seat) => caged.some((kind) => kind === kindOfSeat(seat)));
const caged: readonly Kind[] = ['card', 'drive', 'fan', 'board'];

/** Seats of one kind, two by two. */
function pairs(plan: Plan): [string, string][] {
  return plan.seats.flatMap((a, i) =>
    plan.seats
      .slice(i + 1)
      .flatMap((b): [string, string][] => (a.kind === b.kind ? [[a.seat, b.seat]] : [])),
  );
}

/** Drives hang in the case, the board lies under the supply: between them the supply counts too. */
function shared(a: string, b: string): string[] {
  const drives = [a, b].filter((seat) => kindOfSeat(seat) === 'drive').length;
  return drives === 1 ? ['supply', OUTSIDE] : [];
}
