import { create } from 'mutative';
import { badWeather } from '../finish/climate.ts';
import { finishName } from '../finish/index.ts';
import { materialFacts } from '../standards/coatings.ts';
import type { Job, Shop } from '../model/types/types.ts';
import { planOf } from '../plan/planOf.ts';
import { minuteOf, usualWorkshop } from './calendar.ts';
import { planWeek, type Wished } from './plan.ts';

/** What would have to give so that a late job is done by its day: the smallest sets of changes that do it. */
export interface WayOut {
  says: string[];
  /** Minutes the job is less late by it; all it was late, or more, where it is on time then. */
  gains: number;
  onTime: boolean;
  /** Minutes of lateness it makes elsewhere, times weight. */
  others: number;
}

interface Change {
  say: string;
  edit: (shop: Shop) => Shop;
}

/** Orders looked at for each set: it need only be seen to work. */
const ORDERS = 160;
const MOST_PAIRS = 45;

export function waysOut(shop: Shop, wished: Wished, jobId: string): WayOut[] {
  const late = (of: Shop) => {
    const { jobs, found } = planWeek(of, wished, { orders: ORDERS });
    const own = jobs.find((each) => each.jobId === jobId);
    return {
      own: own?.spare === undefined ? Infinity : Math.max(0, -own.spare),
      all: found?.cost.late ?? Infinity,
    };
  };
  const before = late(shop);
  if (!(before.own > 0) || before.own === Infinity) return [];
  const weight = shop.jobs.find(({ id }) => id === jobId)?.weight ?? 1;
  const tryOut = (changes: readonly Change[]): WayOut => {
    const after = late(changes.reduce((made, { edit }) => edit(made), shop));
    const gains = before.own - after.own;
    return {
      says: changes.map(({ say }) => say),
      gains,
      onTime: after.own === 0,
      others: Math.max(0, Math.round(after.all - before.all + gains * weight)),
    };
  };
  const changes = changesFor(shop, wished, jobId);
  const singles = changes.map((change) => ({ change, way: tryOut([change]) }));
  const helps = singles.filter(({ way }) => way.gains > 0);
  const done = helps.filter(({ way }) => way.onTime).map(({ way }) => way);
  const ordered = (ways: WayOut[]) =>
    ways.sort(
      (a, b) =>
        a.others - b.others ||
        b.gains - a.gains ||
        ((a.says[0] ?? '' < (b.says[0] ?? '')) ? -1 : 1),
    );
  if (done.length > 0) return ordered(done);
  const partly = helps.sort((a, b) => b.way.gains - a.way.gains);
  const pairs: WayOut[] = [];
  for (const [i, a] of partly.entries())
    for (const b of partly.slice(i + 1))
      if (pairs.length < MOST_PAIRS) pairs.push(tryOut([a.change, b.change]));
  const both = pairs.filter(({ onTime }) => onTime);
  return both.length > 0 ? ordered(both) : partly.slice(0, 3).map(({ way }) => way);
}

/** What can give, one thing each, in words for the bench. */
function changesFor(shop: Shop, { now, ahead }: Wished, jobId: string): Change[] {
  const job = shop.jobs.find(({ id }) => id === jobId);
  if (!job) return [];
  const inJob = (say: string, change: (own: Job) => void): Change => ({
    say,
    edit: (of) =>
      create(of, (draft) => {
        const own = draft.jobs.find(({ id }) => id === jobId);
        if (own) change(own);
      }),
  });
  const changes: Change[] = [];
  for (const { why, until } of job.waits)
    if (until !== undefined && until > now)
      changes.push(
        inJob(`no wait: ${why}`, (own) => {
          own.waits = own.waits.filter((each) => each.why !== why);
        }),
      );
  for (const { part, state } of planOf(shop, job).seats)
    if (state === 'comes' && part.place === 'buy' && part.due !== undefined && part.due > now)
      changes.push({
        say: `get ${part.name} today`,
        edit: (of) =>
          create(of, (draft) => {
            const own = draft.parts.find(({ id }) => id === part.id);
            if (own) own.due = now;
          }),
      });
  for (const work of job.finishes) {
    const name = finishName(work);
    const edited = (say: string, change: (own: Record<string, unknown>) => void) =>
      changes.push(
        inJob(say, (own) => {
          const it = own.finishes.find(({ id }) => id === work.id);
          if (it) change(it as unknown as Record<string, unknown>);
        }),
      );
    if (work.do === 'paint' && work.secondColour !== undefined)
      edited('drop the second colour', (own) => delete own['secondColour']);
    if (work.do === 'paint' && work.clear) edited('no clear coat', (own) => (own['clear'] = false));
    if (work.do === 'paint' && !work.bake && work.material && materialFacts[work.material].metal)
      edited('bake it instead of leaving it to dry', (own) => (own['bake'] = true));
    if (work.do === 'print') {
      edited(
        'print it coarser: two thirds of the hours',
        (own) => (own['hours'] = (work.hours * 2) / 3),
      );
      if (!work.unattended)
        edited('let the printer run alone, where it may', (own) => (own['unattended'] = true));
    }
    if (work.do === 'glue' && work.which === 'slow epoxy')
      edited('five-minute epoxy', (own) => (own['which'] = 'five-minute epoxy'));
    changes.push(
      inJob(`do without: ${name}`, (own) => {
        own.finishes = own.finishes.filter(({ id }) => id !== work.id);
      }),
    );
  }
  for (const other of shop.jobs)
    if (other.id !== jobId && !other.handedOver && job.deadline !== undefined) {
      const until = job.deadline;
      changes.push({
        say: `${other.id} waits until this is done`,
        edit: (of) =>
          create(of, (draft) => {
            const own = draft.jobs.find(({ id }) => id === other.id);
            if (own && own.waits.every((wait) => wait.until !== undefined))
              own.waits.push({ why: `${jobId} goes first`, until });
          }),
      });
    }
  changes.push(...longerHours(shop, now, ahead, job.deadline));
  return changes;
}

/** The name of a day at the bench. */
const dayOf = (iso: string, ahead: number): string =>
  ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'][
    new Date((minuteOf(iso) + ahead) * 60_000).getUTCDay()
  ] ?? '';

function longerHours(
  shop: Shop,
  now: string,
  ahead: number,
  deadline: string | undefined,
): Change[] {
  const workshop = shop.settings.workshop ?? usualWorkshop;
  const settings = (say: string, fields: Partial<typeof workshop>): Change => ({
    say,
    edit: (of) => ({
      ...of,
      settings: { ...of.settings, workshop: { ...workshop, ...fields } },
    }),
  });
  const changes = [
    ...(workshop.weather ?? []).flatMap(({ day, ...climate }) =>
      badWeather(climate) === undefined
        ? []
        : settings(`warm and dry the paint place on ${dayOf(day, ahead)}`, {
            weather: (workshop.weather ?? []).filter((each) => each.day !== day),
          }),
    ),
    settings('open an hour earlier', { opens: Math.max(0, workshop.opens - 60) }),
    settings('stay two hours longer', { closes: Math.min(1440, workshop.closes + 120) }),
    settings('one more pair of hands', { people: [...workshop.people, 'a helper'] }),
  ];
  if (deadline === undefined) return changes;
  const days = new Set<number>();
  for (let at = minuteOf(now); at < minuteOf(deadline); at += 1440)
    days.add(new Date((at + ahead) * 60_000).getUTCDay());
  const worked = workshop.off.filter((day) => days.has(day));
  return worked.length > 0
    ? [
        ...changes,
        settings('work on the day off', {
          off: workshop.off.filter((day) => !worked.includes(day)),
        }),
      ]
    : changes;
}
