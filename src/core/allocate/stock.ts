import { isPriced, lotOf, pricedIn, toPay, type Priced } from '../donors/index.ts';
import { indexOf, standingOf } from '../model/lookup/lookup.ts';
import { wantedBy } from '../model/lookup/wanted.ts';
import { countOf, type Kind, type Machine, type Part, type Shop } from '../model/types/types.ts';
import { planOf } from '../plan/planOf.ts';
import { fitsSlot, type Opened } from './slots.ts';

/** Pieces alike in everything that counts: any of them serves as well as another. */
export interface Stock {
  at: number;
  /** By tag. */
  parts: Part[];
  kind: Kind;
  /** Pieces there are. */
  count: number;
  /** The machine they sit in. */
  home: Machine | undefined;
  /** The slot that must get another part before this one is free. */
  frees: number | undefined;
  /** The job that must not run for this to be free. */
  unless: number | undefined;
  price: Priced;
  /** What is still to be spent for it, minor units at the most; 0 where nobody priced it. */
  most: number;
  /** Bought whole or not at all. */
  lot: string | undefined;
  /** What it would fetch, minor units; 0 where nobody said. */
  worth: number;
  untested: boolean;
  /** ISO day it comes. */
  due: string | undefined;
}

/** What is left alone, and who has a say in it. */
export interface Kept {
  /** The tag to ask leave for: a part or a machine. */
  id: string;
  name: string;
  why: 'in use' | 'kept whole' | 'reserved' | 'lent' | 'planned elsewhere';
  parts: Part[];
}

export interface Pool {
  stock: Stock[];
  /** By slot: what may go there, by its place in `stock`. */
  options: number[][];
  kept: Kept[];
  /** Pieces passed over because others of the same facts are as good in every way. */
  passedOver: number;
}

/** Everything that may go anywhere: shelf, donors, offers, lists, what chosen jobs and others take out. */
export function poolOf(open: Opened): Pool {
  const kept = new Map<string, Kept>();
  const free = open.shop.parts.flatMap((part): Free[] => freeOf(open, part, kept));
  const groups = new Map<string, Free[]>();
  for (const each of free) {
    const key = keyOf(open, each);
    const group = groups.get(key);
    if (group) group.push(each);
    else groups.set(key, [each]);
  }
  const all = [...groups.values()].map((group) => stockOf(open.shop, group));
  const { list, passedOver } = undominated(open, all);
  const stock = list
    .sort((a, b) => byTag(a.parts[0]?.id ?? '', b.parts[0]?.id ?? ''))
    .map((each, at) => ({ ...each, at }));
  const options = open.slots.map((slot) => {
    const fits = fitsSlot(open.shop, slot);
    return stock.flatMap((each) => {
      const [part] = each.parts;
      /* What the machine has itself stays where it is: moving it about within is no plan. */
      const own = each.frees !== undefined && open.slots[each.frees]?.job === slot.job;
      return part && fits(part) && !own ? [each.at] : [];
    });
  });
  return { stock, options, kept: [...kept.values()], passedOver };
}

interface Free {
  part: Part;
  home: Machine | undefined;
  frees: number | undefined;
  unless?: number | undefined;
}

function freeOf(open: Opened, part: Part, kept: Map<string, Kept>): Free[] {
  const { shop } = open;
  if (part.place === 'gone' || part.loan?.way === 'borrowed') return [];
  if (standingOf(shop, part).condition === 'dead' && part.condition === 'dead') return [];
  if (!open.slots.some((slot) => slot.kind === part.kind)) return [];
  const home = indexOf(shop).homeOf.get(part.id);
  if (home?.state === 'gone') return [];
  const aside = (id: string, name: string, why: Kept['why']): [] => {
    const before = kept.get(id);
    if (before) before.parts.push(part);
    else kept.set(id, { id, name, why, parts: [part] });
    return [];
  };
  const wanting = (wantedBy(shop).get(part.id) ?? []).length;
  if (wanting >= countOf(part)) return aside(part.id, part.name, 'planned elsewhere');
  if (part.loan) return aside(part.id, part.name, 'lent');
  const chosen = open.jobs.some(({ job }) => job.id === part.reserved);
  if (part.reserved !== undefined && !chosen) return aside(part.id, part.name, 'reserved');
  if (!home) return [{ part, home, frees: undefined }];
  if (home.loan) return aside(home.id, home.name, 'lent');
  if (home.keepWhole) return aside(home.id, home.name, 'kept whole');
  if (home.state === 'in use') return aside(home.id, home.name, 'in use');
  if (home.state === 'donor' || home.state === 'offered') return [{ part, home, frees: undefined }];
  return ofJob(open, part, home);
}

/** Parts of a machine a job is about: free once the job takes them out. */
function ofJob(open: Opened, part: Part, home: Machine): Free[] {
  const owner = open.shop.jobs.find(
    ({ machineId, handedOver }) => machineId === home.id && !handedOver,
  );
  if (!owner) return [];
  const unless = open.jobs.findIndex(({ job }) => job.id === owner.id);
  if (open.spare && unless >= 0) return [{ part, home, frees: undefined, unless }];
  const seat = home.seats.find(({ partId }) => partId === part.id)?.seat;
  const slots = open.slots.filter(
    (slot) => open.jobs[slot.job]?.job.id === owner.id && slot.seat === seat,
  );
  const last = slots.at(-1);
  if (last && !last.mustGo) return [{ part, home, frees: slots[0]?.at }];
  const goes = planOf(open.shop, owner).goes.some((each) => each.part.id === part.id);
  return goes || last ? [{ part, home, frees: undefined }] : [];
}

/** Alike in what checks look at, in what it costs and where it is. */
function keyOf(open: Opened, { part, home, frees, unless }: Free): string {
  const { due, lot, reserved } = part;
  const standing = standingOf(open.shop, part).condition;
  return JSON.stringify([
    factsKey(part),
    moneyKey(part),
    home?.id,
    frees,
    unless,
    due,
    lot,
    reserved,
    standing,
  ]);
}

const factsKey = ({ kind, name, modelId, facts, condition }: Part): string =>
  JSON.stringify([kind, modelId ?? name, facts, condition]);
const moneyKey = ({ place, price, priceTo, worth }: Part) => [
  place === 'buy',
  price,
  priceTo,
  worth,
];

function stockOf(shop: Shop, group: readonly Free[]): Stock {
  const parts = group.map(({ part }) => part).sort((a, b) => byTag(a.id, b.id));
  const [first] = parts as [Part, ...Part[]];
  const { home, frees, unless } = group[0] as Free;
  const worth = first.worth ? pricedIn(shop, first.worth) : undefined;
  const condition = standingOf(shop, first).condition;
  return {
    at: 0,
    parts,
    kind: first.kind,
    count: parts.reduce((sum, part) => sum + countOf(part), 0),
    home,
    frees,
    unless,
    price: toPay(shop, first),
    most: mostOf(toPay(shop, first)),
    lot: lotOf(shop, first).length > 1 ? first.lot : undefined,
    worth: worth && isPriced(worth) ? worth.lo : 0,
    untested: condition !== 'good' && condition !== 'worn',
    due: first.place === 'buy' ? first.due : undefined,
  };
}

const mostOf = (price: Priced): number => (isPriced(price) ? price.hi : 0);

export const byTag = (a: string, b: string): number => a.localeCompare(b, 'en', { numeric: true });

/** Stock of one facts beyond this many slots is looked through for what others are as good as. */
function undominated(open: Opened, all: Stock[]): { list: Stock[]; passedOver: number } {
  const byFacts = new Map<string, Stock[]>();
  for (const each of all) {
    const key = factsKey(each.parts[0] as Part);
    const group = byFacts.get(key);
    if (group) group.push(each);
    else byFacts.set(key, [each]);
  }
  const now = new Set(open.slots.flatMap((slot) => (slot.now ? [slot.now.id] : [])));
  let passedOver = 0;
  const list: Stock[] = [];
  for (const group of byFacts.values()) {
    const wanted = open.slots.filter(({ kind }) => kind === group[0]?.kind).length;
    for (const each of group) {
      const mine = each.parts.some(({ id }) => now.has(id));
      const better = mine ? 0 : countBetter(group, each);
      if (better >= wanted) passedOver += each.parts.length;
      else list.push(each);
    }
  }
  return { list, passedOver };
}

/** Loose pieces of the same facts that are as good in every way that counts. */
function countBetter(group: readonly Stock[], than: Stock): number {
  return group
    .filter((each) => each !== than && asGood(each, than))
    .reduce((sum, { count }) => sum + count, 0);
}

function asGood(a: Stock, b: Stock): boolean {
  if (a.home || a.frees !== undefined || a.lot !== undefined) return false;
  if (
    !isPriced(a.price) ||
    (isPriced(b.price) && (a.price.lo > b.price.lo || a.price.hi > b.price.hi))
  )
    return false;
  if (a.worth > b.worth || Number(a.untested) > Number(b.untested)) return false;
  if (a.due !== undefined && (b.due === undefined || a.due > b.due)) return false;
  /* Where all is alike the first tag goes before. */
  const alike =
    isPriced(b.price) &&
    a.price.lo === b.price.lo &&
    a.price.hi === b.price.hi &&
    !b.home &&
    b.lot === undefined &&
    a.worth === b.worth &&
    a.due === b.due &&
    a.untested === b.untested;
  return !alike || byTag(a.parts[0]?.id ?? '', b.parts[0]?.id ?? '') < 0;
}

/** Whether getting a part out of this machine is work of its own: whatever a job is about is open anyway. */
export const isStripped = (home: Machine | undefined): home is Machine =>
  home !== undefined && home.state !== 'here';
