import { indexOf } from '../model/lookup/lookup.ts';
import { wantedBy } from '../model/lookup/wanted.ts';
import { emptyJob } from '../model/types/empty.ts';
import type { Shop } from '../model/types/types.ts';
import { isSeed, SEED } from './jobs.ts';
import { ANY, searchOf } from './planned.ts';
import { proposalOf, type Proposal } from './proposal.ts';
import type { Limits, Progress, Solver } from './search.ts';
import { usualWishes, type Wishes } from './wishes.ts';

/** What the rest makes: further machines out of donors and loose cases, with at most this much added, minor units. */
export function* furtherMachines(
  shop: Shop,
  most: number,
  solve: Solver,
  limits: Limits,
): Generator<Progress, { proposal: Proposal; shop: Shop; proven: boolean } | undefined> {
  const rest = withSeeds(shop);
  const ids = rest.jobs.filter(({ id }) => isSeed(id)).map(({ id }) => id);
  if (ids.length === 0) return undefined;
  const wishes: Wishes = { ...usualWishes, order: ['run', 'money', 'minutes', 'rest'] };
  const search = searchOf(rest, ids, wishes, solve, true);
  const within = [
    { terms: new Map(search.model.line('money')), most: most * 2 },
    { terms: new Map(search.model.line('unpriced')), most: 0 },
  ].filter(({ terms }) => terms.size > 0);
  const found = yield* search.best(limits, within.length > 0 ? within : ANY);
  if (!found.found) return undefined;
  return { proposal: proposalOf(search, found.found, []), shop: rest, proven: found.proven };
}

/** The shop with a job for every donor that still has its case and board, and for every loose case. */
function withSeeds(shop: Shop): Shop {
  const { parts } = indexOf(shop);
  const wanted = wantedBy(shop);
  const machines = shop.machines.map((machine) =>
    machine.state === 'donor' && !machine.keepWhole
      ? { ...machine, seats: machine.seats.filter(({ partId }) => !wanted.has(partId)) }
      : machine,
  );
  const has = (seats: readonly { seat: string; partId: string }[], seat: string) =>
    seats.some((each) => each.seat === seat && parts.get(each.partId)?.condition !== 'dead');
  const donors = machines.filter(
    ({ state, keepWhole, loan, seats }) =>
      state === 'donor' && !keepWhole && !loan && has(seats, 'case') && has(seats, 'board'),
  );
  const cases = shop.parts.filter(
    ({ kind, place, id, loan, reserved }) =>
      kind === 'case' && place === 'shelf' && !wanted.has(id) && !loan && !reserved,
  );
  const taken = new Set(donors.map(({ id }) => id));
  return {
    ...shop,
    machines: machines.map((machine) =>
      /* Taken out of a working donor, nothing it lacks is there all the same. */
      taken.has(machine.id) ? { ...machine, state: 'here' as const, starts: false } : machine,
    ),
    jobs: [
      ...shop.jobs,
      ...donors.map((machine) => ({
        ...emptyJob(`${SEED}${machine.id}`, machine.name, ''),
        machineId: machine.id,
      })),
      ...cases.map((part) => ({
        ...emptyJob(`${SEED}${part.id}`, part.name, ''),
        changes: [{ seat: 'case', partId: part.id }],
      })),
    ],
  };
}
