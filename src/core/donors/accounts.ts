import { account, type Account, type Leftover, type Line } from './ledger.ts';
import { indexOf } from '../model/lookup/lookup.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { Entry, Job, Machine, Part, Shop } from '../model/types/types.ts';
import { wantedBy } from '../model/lookup/wanted.ts';

/** The book laid out by what its lines are about; built once per book. */
interface Book {
  byJob: Map<string, Entry[]>;
  byMachine: Map<string, Entry[]>;
  byPart: Map<string, Entry[]>;
}
const books = new WeakMap<readonly Entry[], Book>();

function bookOf({ ledger }: Shop): Book {
  let book = books.get(ledger);
  if (!book) {
    book = { byJob: new Map(), byMachine: new Map(), byPart: new Map() };
    for (const entry of ledger) {
      file(book.byJob, entry.jobId, entry);
      file(book.byMachine, entry.machineId, entry);
      file(book.byPart, entry.partId, entry);
    }
    books.set(ledger, book);
  }
  return book;
}

function file(by: Map<string, Entry[]>, key: string | undefined, entry: Entry): void {
  if (key === undefined) return;
  const list = by.get(key);
  if (list) list.push(entry);
  else by.set(key, [entry]);
}

const lineOf = ({ id, ...entry }: Entry): Line => ({ ...entry, entryId: id });

/** The price noted at a part or machine, unless the book holds what was paid or that it was a gift. */
function noted(
  thing: { name: string; price?: Part['price'] },
  paid: readonly Entry[],
  partId?: string,
): Line[] {
  if (paid.some((entry) => entry.kind === 'cost' || entry.kind === 'gift')) return [];
  return [{ kind: 'cost', what: thing.name, money: thing.price, partId }];
}

/**
 * The account of a job: its machine, the parts that come, its wants, what the book says of the job and
 * what its leftovers fetched or would fetch. Every line counts once, however many tags it bears.
 */
export const jobAccount = (shop: Shop, job: Job, plan: Plan): Account =>
  account(
    jobLines(shop, job, plan),
    leftoversOf(shop, leavingFrom(shop, plan), bookOf(shop)),
    shop.settings,
  );

/** Every line of the account of a job. */
export function jobLines(shop: Shop, job: Job, plan: Plan): Line[] {
  const book = bookOf(shop);
  const own = book.byJob.get(job.id) ?? [];
  const machine = plan.machine;
  const ofMachine = machine ? (book.byMachine.get(machine.id) ?? []) : [];
  const coming = comingIn(plan, job);
  const leaving = leavingFrom(shop, plan);
  const lines: Line[] = [
    ...(machine ? noted(machine, ofMachine) : []),
    ...coming.flatMap((part) =>
      indexOf(shop).homeOf.get(part.id)?.state === 'offered'
        ? []
        : noted(part, book.byPart.get(part.id) ?? [], part.id),
    ),
    ...offeredFor(shop, job, coming),
    ...job.wants.flatMap((want): Line[] =>
      own.some(
        (entry) => entry.kind === 'cost' && entry.partId === undefined && entry.what === want.what,
      )
        ? []
        : [{ kind: 'cost', what: want.what, money: want.price }],
    ),
  ];
  const parts = [...coming, ...leaving.filter((part) => part.price === undefined)];
  const entries = new Set([
    ...own,
    ...ofMachine.filter((entry) => entry.jobId === undefined),
    ...parts.flatMap((part) =>
      (book.byPart.get(part.id) ?? []).filter((entry) => entry.jobId === undefined),
    ),
  ]);
  return [...lines, ...[...entries].map(lineOf)];
}

/** Offered machines parts come out of: each is paid once, by the first open job that wants anything of it. */
function offeredFor(shop: Shop, job: Job, coming: readonly Part[]): Line[] {
  const { homeOf } = indexOf(shop);
  const wanted = wantedBy(shop);
  const offered = new Set(
    coming.flatMap(({ id }) => {
      const home = homeOf.get(id);
      return home?.state === 'offered' ? [home] : [];
    }),
  );
  return [...offered].flatMap((machine): Line[] => {
    const jobs = new Set(machine.seats.flatMap(({ partId }) => wanted.get(partId) ?? []));
    const first = shop.jobs.find(({ id }) => jobs.has(id))?.id ?? job.id;
    if (first !== job.id) return [];
    const { offer, price } = machine;
    const money =
      offer?.asked === undefined ? price : { minor: offer.asked, currency: offer.currency };
    return [{ kind: 'cost', what: machine.name, money }];
  });
}

/** Parts the plan brings, before and after hand-over. */
function comingIn(plan: Plan, job: Job): Part[] {
  const brought = new Set(job.changes.map((change) => change.partId));
  return plan.seats.flatMap(({ part }) => (brought.has(part.id) ? [part] : []));
}

/** Parts that leave the job's machine, or left it. */
function leavingFrom(shop: Shop, plan: Plan): Part[] {
  const stays = new Set(plan.seats.map(({ part }) => part.id));
  const left = plan.machine ? takenFrom(shop, plan.machine) : [];
  return [...new Set([...plan.goes.map(({ part }) => part), ...left])].filter(
    (part) => !stays.has(part.id),
  );
}

const takenFrom = (shop: Shop, { id }: Machine): Part[] => indexOf(shop).takenFrom.get(id) ?? [];

/** What is still here to be sold: neither sold already, nor gone, nor wanted by an open job. */
function leftoversOf(shop: Shop, parts: readonly Part[], book: Book): Leftover[] {
  const wanted = wantedBy(shop);
  const home = indexOf(shop).homeOf;
  return parts
    .filter((part) => {
      const sold = book.byPart.get(part.id)?.some((entry) => entry.kind === 'sale') ?? false;
      const used = home.get(part.id)?.state === 'in use' || wanted.has(part.id);
      return !sold && !used && part.place !== 'gone';
    })
    .map(({ id, name, worth }) => ({ partId: id, name, worth }));
}

/** The account of a donor: what was paid for it, what its parts fetched, and what is left of it. */
export function donorAccount(shop: Shop, machine: Machine): Account {
  const book = bookOf(shop);
  const paid = book.byMachine.get(machine.id) ?? [];
  const parts = indexOf(shop).parts;
  const seated = machine.seats.flatMap(({ partId }) => parts.get(partId) ?? []);
  const all = [...new Set([...seated, ...takenFrom(shop, machine)])];
  const entries = new Set([...paid, ...all.flatMap((part) => book.byPart.get(part.id) ?? [])]);
  return account(
    [...noted(machine, paid), ...[...entries].map(lineOf)],
    leftoversOf(shop, all, book),
    shop.settings,
  );
}
