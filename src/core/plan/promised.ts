import { isPriced, toPay } from '../donors/spend.ts';
import { countOf } from '../model/types/types.ts';
import type { Finding, Mark } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { indexOf } from '../model/lookup/lookup.ts';
import { seatName } from '../model/types/seats.ts';
import type { Placed, Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { wantedBy } from '../model/lookup/wanted.ts';

/** Who else has a say in a part that comes: other jobs, a machine in use, a donor kept whole, a loan. */
export function promised(plan: Plan): Finding[] {
  return [...twoSeats(plan), ...promisedElsewhere(plan)];
}

/** One piece planned into more than one seat. */
export function twoSeats(plan: Plan): Finding[] {
  const seats = new Map<string, Placed[]>();
  if (new Set(plan.seats.map(({ part }) => part)).size === plan.seats.length) return [];
  for (const placed of plan.seats)
    seats.set(placed.part.id, [...(seats.get(placed.part.id) ?? []), placed]);
  return [...seats.values()].flatMap((list) => {
    const [first] = list;
    if (!first || list.length <= countOf(first.part)) return [];
    const names = list.map((placed) => seatName(placed.seat)).join(' and ');
    return [
      gap({
        id: `two-seats:${first.part.id}`,
        station: 'donors',
        title: `${first.part.id}, planned twice`,
        seats: list.map((placed) => placed.seat),
        unit: '',
        terms: [
          plain('there is', range(countOf(first.part)), 1),
          plain(`planned as ${names}`, range(list.length), -1),
        ],
        minimumMargin: 0,
        short: 'short',
        source: commonPractice,
        undoMinutes: 30,
        say: () =>
          `${first.part.name} ${countOf(first.part) === 1 ? 'is one piece' : `are ${countOf(first.part)} pieces`} and is planned as ${names}.`,
        remedies: () =>
          list.slice(countOf(first.part)).map((placed) => ({
            title: `Leave ${seatName(placed.seat)} empty`,
            mark: 'clear',
            minutes: 0,
            undoable: true,
            value: { do: 'put', seat: placed.seat, partId: null },
          })),
      }),
    ];
  });
}

/** Parts that other jobs, machines or people have a say in. */
export function promisedElsewhere(plan: Plan): Finding[] {
  return plan.seats
    .filter((placed) => placed.state !== 'stays')
    .flatMap((placed) => [
      ...twice(plan, placed),
      ...home(plan, placed),
      ...reserved(plan, placed),
      ...loan(plan, placed),
      ...unpriced(plan, placed),
    ]);
}

function twice(plan: Plan, placed: Placed): Finding[] {
  const others = (wantedBy(plan.shop).get(placed.part.id) ?? []).filter(
    (id) => id !== plan.job?.id,
  );
  const have = countOf(placed.part);
  if (others.length < have) return [];
  const all = new Set([...(plan.job ? [plan.job.id] : []), ...others]);
  const wanting = plan.shop.jobs.flatMap(({ id }) => (all.has(id) ? [id] : []));
  const names = wanting.join(' and ');
  return [
    gap({
      id: `promised:${placed.seat}`,
      station: 'donors',
      title: `${placed.part.id}, wanted more than once`,
      seats: [placed.seat],
      unit: '',
      terms: [
        plain('on the shelf', range(have), 1),
        plain(`wanted by ${names}`, range(wanting.length), -1),
      ],
      minimumMargin: 0,
      short: 'short',
      source: commonPractice,
      undoMinutes: 30,
      say: () => `${placed.part.name} is promised to ${names}.`,
    }),
  ];
}

function home(plan: Plan, placed: Placed): Finding[] {
  const machine = indexOf(plan.shop).homeOf.get(placed.part.id);
  if (machine?.state === 'in use')
    return [
      word(placed, {
        id: 'in-use',
        mark: 'watch',
        title: `${placed.part.id} sits in a machine in use`,
        where: machine.name,
        rest: 'in use',
        say: `${machine.name} is in use: ask before you take it.`,
      }),
    ];
  if (machine?.keepWhole)
    return [
      word(placed, {
        id: 'kept-whole',
        mark: 'mend',
        title: `${placed.part.id} sits in a donor kept whole`,
        where: machine.name,
        rest: 'kept whole',
        say: `${machine.name} is to stay whole: take another part, or let it be stripped.`,
      }),
    ];
  if (machine?.state === 'offered')
    return [
      word(placed, {
        id: 'offered',
        mark: 'watch',
        title: `${placed.part.id} sits in a machine that is only offered`,
        where: machine.name,
        rest: 'not ours yet',
        say: `${machine.name} has not been bought.`,
      }),
    ];
  return [];
}

function reserved({ job }: Plan, placed: Placed): Finding[] {
  const { reserved: by } = placed.part;
  if (by === undefined || by === job?.id) return [];
  return [
    word(placed, {
      id: 'reserved',
      mark: 'mend',
      title: `${placed.part.id} is reserved`,
      where: `job ${by}`,
      rest: 'reserved',
      say: `${placed.part.name} is kept for job ${by}.`,
    }),
  ];
}

/** Something to buy that nobody priced: no sum of money holds until it is asked. */
function unpriced({ shop }: Plan, placed: Placed): Finding[] {
  const price = toPay(shop, placed.part);
  if (isPriced(price)) return [];
  const { name } = placed.part;
  return [
    word(placed, {
      id: 'unpriced',
      mark: 'watch',
      title: `${placed.part.id}, ${price}`,
      where: 'to buy',
      rest: price,
      say:
        price === 'no rate'
          ? `${name} is priced in a currency without a rate: no sum counts it.`
          : `${name} is to be bought, and nobody has said for how much.`,
    }),
  ];
}

function loan({ job }: Plan, placed: Placed): Finding[] {
  const { loan: lent } = placed.part;
  if (!lent) return [];
  const who = lent.who ? ` ${lent.way === 'lent' ? 'to' : 'from'} ${lent.who}` : '';
  const backLate = job?.deadline !== undefined && (lent.until ?? '') > job.deadline.slice(0, 10);
  const day = lent.until ? ` until ${lent.until.slice(0, 10)}` : ', no day said';
  return [
    word(placed, {
      id: 'loan',
      mark: lent.way === 'lent' && !backLate ? 'watch' : 'mend',
      title: `${placed.part.id} is ${lent.way}`,
      where: `${lent.way}${who}`,
      rest: lent.until ? `until ${lent.until.slice(0, 10)}` : 'no day',
      say:
        lent.way === 'lent'
          ? `It is out${who}${day}${backLate ? ': later than the job is promised' : ''}.`
          : `It is owed back${who}${day}: it cannot leave with the machine.`,
    }),
  ];
}

/** A finding in words: where the part is, and why that matters. */
function word(
  placed: Placed,
  told: { id: string; mark: Mark; title: string; where: string; rest: string; say: string },
): Finding {
  return {
    id: `${told.id}:${placed.seat}`,
    station: 'donors',
    mark: told.mark,
    title: told.title,
    seats: [placed.seat],
    unit: '',
    terms: [plain(placed.part.name, told.where, 0)],
    marginLabel: told.rest,
    say: told.say,
    source: commonPractice,
    remedies: [],
    undoMinutes: 30,
  };
}
