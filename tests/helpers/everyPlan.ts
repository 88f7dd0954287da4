import { exchanged } from '../../src/core/units/money.ts';
import type { Finding, Remedy } from '../../src/core/findings/finding.ts';
import type { Job, Machine, Part, Shop } from '../../src/core/model/types/types.ts';
import type { RemedyValue } from '../../src/core/model/types/remedyValue.ts';
import { planOf } from '../../src/core/plan/planOf.ts';
import { runChecks } from '../../src/core/plan/run.ts';

/**
 * Every plan of a small shop tried and counted, written from the meaning of the words alone: what a seat may get, who
 * has a say in it, whether a job runs once what is offered is done, what a plan costs. Knows nothing of the program
 * that solves the same.
 */

export interface Seat {
  job: Job;
  seat: string;
  /** Nothing may come only where something is there or need not be. */
  mayStay: boolean;
  now?: string | undefined;
  /** What was found there: free for others once something else comes. */
  found?: string | undefined;
}

/** Line by line, small is better: jobs not run, late, missed, unpriced, money, minutes, spoiled, worth used, donors opened, moved, untested. */
export type Tally = number[];

interface OfJob {
  parts: (Part | undefined)[];
  tally: {
    asks: number;
    unpriced: number;
    minor: number;
    minutes: number;
    spoils: number;
  };
}

const bad = (found: readonly Finding[]) =>
  found.filter(
    ({ mark, about }) =>
      (mark === 'stop' || mark === 'mend') && about?.of !== 'money' && about?.of !== 'requirement',
  );

/** The cheapest remedies with which a job runs, by trying all sets of those offered; undefined: none do. */
function mended(shop: Shop, job: Job): OfJob['tally'] | undefined {
  let best: number[] | undefined;
  const seen = new Set<string>();
  const look = (taken: Remedy[]) => {
    const key = taken
      .map(({ value }) => JSON.stringify(value))
      .sort()
      .join();
    if (seen.has(key) || taken.length > 4) return;
    seen.add(key);
    const applied = [...job.applied, ...taken.map(({ value }) => value as RemedyValue)];
    const found = bad(runChecks(planOf(shop, { ...job, applied })));
    if (found.length === 0) {
      const sum = (of: (remedy: Remedy) => number) => taken.reduce((n, each) => n + of(each), 0);
      const cost = [
        sum(({ money, get }) => Number(money === undefined && get !== undefined)),
        sum(({ money }) => money?.minor ?? 0),
        sum(({ minutes }) => minutes),
        sum(({ spoils, undoable }) => Number(spoils !== undefined) + Number(!undoable)),
      ];
      if (!best || smaller(cost, best)) best = cost;
      return;
    }
    for (const finding of found)
      for (const remedy of finding.remedies)
        if (remedy.value.do !== 'put' && !taken.some((each) => same(each, remedy)))
          look([...taken, remedy]);
  };
  look([]);
  if (!best) return undefined;
  const asks = runChecks(planOf(shop, job)).filter(
    ({ mark, about }) => about?.of === 'requirement' && mark === 'mend',
  ).length;
  /* Judged before remedies, as asks are. */
  const open = runChecks(planOf(shop, job)).filter(
    ({ station, mark, margin, terms }) =>
      station === 'fit' &&
      mark === 'watch' &&
      (margin === undefined || margin.lo < 0) &&
      terms.every(({ value }) => value !== 'taken'),
  ).length;
  /* Each is ten minutes more: it has to be measured, and may go wrong. */
  const minutes = best[2]! + 10 * open;
  return { asks, unpriced: best[0]!, minor: best[1]!, minutes, spoils: best[3]! };
}

const same = (a: Remedy, b: Remedy) => JSON.stringify(a.value) === JSON.stringify(b.value);

export function smaller(a: readonly number[], b: readonly number[]): boolean {
  for (let i = 0; i < a.length; i += 1) if (a[i] !== b[i]) return (a[i] ?? 0) < (b[i] ?? 0);
  return false;
}

/** The smallest tally of all plans of these seats. `shop`: with the jobs' own changes of these seats taken out. */
export function everyPlan(shop: Shop, seats: readonly Seat[]): Tally {
  const homes = new Map<string, Machine>();
  for (const machine of shop.machines)
    for (const { partId } of machine.seats) homes.set(partId, machine);
  const founds = new Map(
    seats.flatMap((each) => (each.found === undefined ? [] : [[each.found, each] as const])),
  );
  const free = shop.parts.filter((part) => {
    const home = homes.get(part.id);
    if (founds.has(part.id)) return true;
    if (part.condition === 'dead' || part.place === 'gone') return false;
    return !home || ((home.state === 'donor' || home.state === 'offered') && !home.keepWhole);
  });
  const jobs = [...new Set(seats.map(({ job }) => job))];
  const choices = jobs.map((job): OfJob[] => {
    const own = seats.filter((each) => each.job === job);
    const kind = (seat: string) => seat.replace(/\d+$/, '');
    const combinations = own.reduce<(Part | undefined)[][]>(
      (all, { seat, mayStay }) =>
        all.flatMap((each) =>
          [
            ...(mayStay ? [undefined] : []),
            ...free.filter(
              (part) => part.kind === kind(seat) && founds.get(part.id)?.seat !== seat,
            ),
            ...free.filter(
              (part) =>
                part.kind === kind(seat) &&
                founds.get(part.id)?.seat === seat &&
                founds.get(part.id)?.job !== job,
            ),
          ]
            .filter((part) => part === undefined || !each.includes(part))
            .map((part) => [...each, part]),
        ),
      [[]],
    );
    return combinations.flatMap((parts): OfJob[] => {
      const changes = own.flatMap(({ seat }, i) => {
        const part = parts[i];
        return part ? [{ seat, partId: part.id }] : [];
      });
      const tally = mended(shop, { ...job, changes });
      return tally ? [{ parts, tally }] : [];
    });
  });
  let best: Tally | undefined;
  const walk = (j: number, picked: (OfJob | undefined)[]): void => {
    if (j === jobs.length) {
      const left = (id: string) => {
        const seat = founds.get(id);
        const at = seat ? jobs.indexOf(seat.job) : -1;
        const own = seats.filter((each) => each.job === seat?.job);
        return !seat || picked[at]?.parts[own.indexOf(seat)] !== undefined;
      };
      if (picked.some((each) => each?.parts.some((part) => part && !left(part.id)))) return;
      const tally = tallied(shop, seats, jobs, picked, homes);
      if (!best || smaller(tally, best)) best = tally;
      return;
    }
    const used = new Set(picked.flatMap((each) => each?.parts.filter(Boolean) ?? []));
    walk(j + 1, [...picked, undefined]);
    for (const each of choices[j] ?? [])
      if (!each.parts.some((part) => part && used.has(part))) walk(j + 1, [...picked, each]);
  };
  walk(0, []);
  return best ?? [];
}

function tallied(
  shop: Shop,
  seats: readonly Seat[],
  jobs: readonly Job[],
  picked: readonly (OfJob | undefined)[],
  homes: ReadonlyMap<string, Machine>,
): Tally {
  const tally = new Array<number>(11).fill(0);
  const add = (i: number, by: number) => (tally[i] = (tally[i] ?? 0) + by);
  const bought = new Set<string>();
  const opened = new Set<Machine>();
  const pay = (key: string, price: Part['price']) => {
    if (bought.has(key)) return;
    bought.add(key);
    const own = price && exchanged(price, shop.settings.currency, shop.settings.rates);
    if (own === undefined) add(3, 1);
    else add(4, own);
  };
  for (const [j, of] of picked.entries()) {
    const job = jobs[j]!;
    if (!of) {
      add(0, job.weight ?? 1);
      continue;
    }
    const { asks, unpriced, minor, minutes, spoils } = of.tally;
    [0, 0, asks, unpriced, minor, minutes, spoils].forEach((by, i) => add(i, by));
    const own = seats.filter((each) => each.job === job);
    for (const [i, part] of of.parts.entries()) {
      const { now } = own[i]!;
      if (!part) {
        if (now !== undefined) {
          add(2, 1);
          add(9, 1);
        }
        continue;
      }
      const home = homes.get(part.id);
      const then = shop.parts.find(({ id }) => id === now);
      if (then && !asGood(then, part)) add(2, 1);
      add(5, home && home.state !== 'here' ? 25 : 15);
      add(7, part.worth?.minor ?? 0);
      if (now !== undefined && now !== part.id && then?.name !== part.name) add(9, 1);
      else if (now !== undefined && now !== part.id && !twins(then, part)) add(9, 1);
      add(10, Number(part.condition !== 'good' && part.condition !== 'worn'));
      if (home && home.state !== 'here') opened.add(home);
      if (part.place === 'buy')
        for (const each of part.lot === undefined
          ? [part]
          : shop.parts.filter(({ lot, place }) => lot === part.lot && place === 'buy'))
          pay(each.id, each.price);
    }
  }
  for (const home of opened) {
    add(6, home.starts ? 2 : 1);
    add(8, 1);
    if (home.state === 'offered')
      pay(`machine ${home.id}`, {
        minor: home.offer?.asked ?? 0,
        currency: home.offer?.currency ?? 'EUR',
      });
  }
  return tally;
}

/** As many screens: all these shops ask of a card they planned. */
function asGood(then: Part, part: Part): boolean {
  const screens = (one: Part) => {
    const fact = one.facts['screens'];
    return fact && 'hi' in fact ? fact.hi : 0;
  };
  return part.kind !== 'card' || screens(part) >= screens(then);
}

/** Pieces nobody tells apart: same facts, same price, same shelf. */
const twins = (a: Part | undefined, b: Part): boolean =>
  a !== undefined &&
  JSON.stringify([a.facts, a.price, a.worth, a.place, a.condition, a.lot]) ===
    JSON.stringify([b.facts, b.price, b.worth, b.place, b.condition, b.lot]);
