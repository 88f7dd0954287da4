import { expect } from 'chai';
import type { Finding } from '../../src/core/findings/finding.ts';
import { numberOf, textOf } from '../../src/core/model/lookup/lookup.ts';
import type { Plan } from '../../src/core/model/lookup/plan.ts';
import type { RemedyValue } from '../../src/core/model/types/remedyValue.ts';
import { kindOfSeat } from '../../src/core/model/types/seats.ts';
import type { Job, Part, Shop } from '../../src/core/model/types/types.ts';
import { planOf } from '../../src/core/plan/planOf.ts';
import { runChecks } from '../../src/core/plan/run.ts';
import {
  hasApplied,
  kindOf,
  minutesOf,
  optionsOf,
  remedyKinds,
} from '../../src/core/remedies/index.ts';
import { findResolutions, type Resolution } from '../../src/core/resolve/resolutions.ts';
import { random } from '../helpers/boards.ts';
import { everyPick } from '../helpers/problems.ts';
import { madeBench, measured, type Bench } from '../helpers/shops.ts';

/**
 * Ways to make it fit against every combination there is, tried one by one: written apart from the search, with
 * every check of the house over the whole plan each time. The search works over parts of the plan and tables.
 */

/** One thing that may be done: a part into a seat, or a remedy, with what it costs by the weights of the house. */
interface Doing {
  put?: { seat: string; partId: string };
  value?: RemedyValue;
  cost: number;
}

const HOUR = 1500;

function doings(shop: Shop, job: Job): Doing[][] {
  const plan = planOf(shop, job);
  const nothing: Doing = { cost: 0 };
  const sitting = new Set(plan.seats.map(({ part }) => part.id));
  const swaps = plan.seats
    .filter(({ kind }) => ['card', 'cooler', 'memory', 'supply'].includes(kind))
    .map(({ seat, part: now }) => [
      nothing,
      ...shop.parts
        .filter((part) => part.kind === kindOfSeat(seat) && !sitting.has(part.id))
        .filter((part) => part.kind !== 'memory' || alike(shop, now, part))
        .map((part): Doing => ({
          put: { seat, partId: part.id },
          cost: (15 / 60) * HOUR + (part.place === 'buy' ? (part.price?.minor ?? 0) : 0),
        })),
    ]);
  const kits: RemedyValue[] = runKits(shop, job);
  const works = [
    ...remedyKinds.flatMap((kind) => optionsOf(kind, plan)),
    ...kits.map((value) => [value]),
  ].map((values) => [nothing, ...values.map((value): Doing => ({ value, cost: costOf(value) }))]);
  return [...swaps, ...works].filter((list) => list.length > 1);
}

/** Memory is only changed for memory of its kind, form and size. */
const alike = (shop: Shop, a: Part, b: Part): boolean =>
  textOf(shop, a, 'memoryKind')?.text === textOf(shop, b, 'memoryKind')?.text &&
  textOf(shop, a, 'memoryForm')?.text === textOf(shop, b, 'memoryForm')?.text &&
  numberOf(shop, a, 'size')?.lo === numberOf(shop, b, 'size')?.lo;

/** Kits that coolers of the shelf would want. */
function runKits(shop: Shop, job: Job): RemedyValue[] {
  const wanted = shop.parts
    .filter((part) => part.kind === 'cooler')
    .flatMap((part) =>
      runChecks(
        planOf(shop, { ...job, changes: [...job.changes, { seat: 'cooler', partId: part.id }] }),
      ),
    )
    .filter(({ id, mark }) => id === 'cooler-mount' && mark === 'mend')
    .flatMap(({ remedies }) => remedies.slice(0, 1))
    .flatMap(({ value }) => (value.do === 'put' ? [] : [value]));
  return [...new Map(wanted.map((value) => [JSON.stringify(value), value])).values()];
}

function costOf(value: RemedyValue): number {
  const kind = kindOf(value);
  return (
    (minutesOf(value) / 60) * HOUR +
    (kind.get ? 1000 : 0) +
    (kind.spoils === undefined ? 0 : 1000) +
    (kind.givesUp === undefined ? 0 : 2000) +
    (kind.undoable ? 0 : 1500)
  );
}

const withDone = (job: Job, done: readonly Doing[]): Job => ({
  ...job,
  changes: [
    ...job.changes.filter(({ seat }) => !done.some(({ put }) => put?.seat === seat)),
    ...done.flatMap(({ put }) => (put ? [put] : [])),
  ],
  applied: [...job.applied, ...done.flatMap(({ value }) => (value ? [value] : []))],
});

const checked = (shop: Shop, job: Job): Finding[] => runChecks(planOf(shop, job));

/** What sits in a seat is what sat there; the shelf's parts are called otherwise. */
const stays = (plan: Plan, seat: string): boolean =>
  plan.seats.every((placed) => placed.seat !== seat || placed.part.id === `T-${seat}`);

/** No Stop but those that stand whatever is done, and no Mend that was not there before unless its own remedy is taken. */
function goesIn(
  shop: Shop,
  job: Job,
  before: ReadonlySet<string>,
  always: ReadonlySet<string>,
): boolean {
  const plan = planOf(shop, job);
  return runChecks(plan).every(
    ({ id, mark, seats, remedies }) =>
      (mark !== 'stop' || always.has(id)) &&
      (mark !== 'mend' ||
        (before.has(id) && seats.every((seat) => stays(plan, seat))) ||
        remedies.some(({ value }) => value.do !== 'put' && hasApplied(plan, value))),
  );
}

const stopsOf = (shop: Shop, job: Job): string[] =>
  checked(shop, job).flatMap(({ id, mark }) => (mark === 'stop' ? [id] : []));

/** Sums of fit that no work on the case changes, only another part; a radiator where it has no other wall to hang on. */
const noWork = (id: string, lists: readonly Doing[][]): boolean =>
  /^(?:card-slots|board-|supply-format|supply-and)/.test(id) ||
  (/^supply-/.test(id) && !offers(lists, ['supplyOutside'])) ||
  (/^radiator-/.test(id) && !offers(lists, ['hangRadiator']));

const offers = (lists: readonly Doing[][], names: readonly string[]): boolean =>
  lists.some((list) => list.some(({ value }) => value && names.includes(value.do)));

/** Stops nothing here has a say in: no seat they name has another part, and they stand in every combination. */
function standing(shop: Shop, job: Job, lists: readonly Doing[][]): Set<string> {
  const swapped = new Set(lists.flatMap((list) => list.flatMap(({ put }) => put?.seat ?? [])));
  /* Watts and plugs are between the PSU and the cards. */
  const fed = ['supply', 'card1', 'card2'];
  let always = new Set(
    checked(shop, job).flatMap(({ id, mark, station, seats }) =>
      mark === 'stop' &&
      (station !== 'fit' || noWork(id, lists)) &&
      !(station === 'watts' || station === 'plugs' ? fed : seats).some((seat) => swapped.has(seat))
        ? [id]
        : [],
    ),
  );
  for (const picks of everyPick(lists.map((list) => list.length))) {
    if (always.size === 0) break;
    const done = picks.map((o, v) => lists[v]![o]!);
    const now = new Set(stopsOf(shop, withDone(job, done)));
    always = new Set([...always].filter((id) => now.has(id)));
  }
  return always;
}

const jobAfter = (job: Job, way: Resolution): Job =>
  withDone(job, [
    ...way.puts.map((put): Doing => ({ put, cost: 0 })),
    ...way.applies.map((value): Doing => ({ value, cost: 0 })),
  ]);

describe('reference: ways to make it fit, against every combination tried', function () {
  this.timeout(300_000);
  const benches: { bench: Bench; lists: Doing[][] }[] = [];
  for (const [seed, most] of [
    [2027, 200],
    [12, 320],
  ] as const) {
    const next = random(seed);
    while (benches.length < most) {
      /* Every second one has drives, fans, sinks, radiators: places of the case. */
      const bench = madeBench(next, benches.length % 2 === 1);
      const lists = doings(bench.shop, bench.job);
      const size = lists.reduce((product, list) => product * list.length, 1);
      if (size <= 400) benches.push({ bench, lists });
    }
  }
  const always = benches.map(({ bench: { shop, job }, lists }) => standing(shop, job, lists));
  const answers = benches.map(({ bench: { shop, job } }) => findResolutions(shop, job));

  it('finds the cheapest of 320 benches, and nothing where there is nothing', () => {
    const count = { none: 0, asIs: 0, change: 0 };
    benches.forEach(({ bench: { shop, job }, lists }, b) => {
      const before = new Set(
        checked(shop, job)
          .filter(({ mark }) => mark === 'mend')
          .map(({ id }) => id),
      );
      let least = Infinity;
      for (const picks of everyPick(lists.map((list) => list.length))) {
        const done = picks.map((o, v) => lists[v]![o]!);
        const cost = done.reduce((sum, each) => sum + each.cost, 0);
        if (cost >= least) continue;
        if (goesIn(shop, withDone(job, done), before, always[b]!)) least = cost;
      }
      const answer = answers[b]!;
      const found = answer.ways[0]?.cost ?? Infinity;
      expect(answer.proven, `bench ${b}`).to.equal(true);
      if (least === Infinity) expect(found, `bench ${b}`).to.equal(Infinity);
      else expect(found, `bench ${b}`).to.be.closeTo(least, 1e-6);
      count[least === Infinity ? 'none' : least === 0 ? 'asIs' : 'change'] += 1;
    });
    expect(Math.min(...Object.values(count)), JSON.stringify(count)).to.be.at.least(10);
  });

  it('what surely fits does, once every open figure is measured; what cannot never does', () => {
    let sure = 0;
    let never = 0;
    benches.forEach(({ bench, lists }, b) => {
      const shop = measured(bench);
      const { job } = bench;
      const before = new Set(
        checked(shop, job).flatMap(({ id, mark }) => (mark === 'mend' ? [id] : [])),
      );
      const { ways } = answers[b]!;
      for (const way of ways.filter((each) => each.sure)) {
        const stops = checked(shop, jobAfter(job, way)).filter(
          ({ id, mark, station }) => mark === 'stop' && station === 'fit' && !always[b]!.has(id),
        );
        expect(
          stops.map(({ id }) => id),
          `bench ${b}`,
        ).to.deep.equal([]);
        sure += 1;
      }
      if (ways.length > 0) return;
      for (const picks of everyPick(lists.map((list) => list.length)))
        expect(
          goesIn(
            shop,
            withDone(
              job,
              picks.map((o, v) => lists[v]![o]!),
            ),
            before,
            always[b]!,
          ),
          `bench ${b}`,
        ).to.equal(false);
      never += 1;
    });
    expect(Math.min(sure, never)).to.be.at.least(10);
  });

  it('never says that nothing must give beside a Stop, and puts no piece into two seats', () => {
    benches.forEach(({ bench: { shop, job } }, b) => {
      for (const way of answers[b]!.ways) {
        const after = checked(shop, jobAfter(job, way));
        expect(
          after
            .filter(({ id, mark }) => mark === 'stop' && !always[b]!.has(id))
            .map(({ id }) => id),
          `bench ${b}`,
        ).to.deep.equal([]);
        const ids = planOf(shop, jobAfter(job, way)).seats.map(({ part }) => part.id);
        expect(new Set(ids).size, `bench ${b}`).to.equal(ids.length);
      }
    });
  });
});
