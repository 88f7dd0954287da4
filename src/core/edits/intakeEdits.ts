import type { DraftPart, Inventory } from '../intake/inventory.ts';
import { compareInventory } from '../intake/compare.ts';
import { mergeFacts } from '../intake/merge.ts';
import type { Edit } from '../model/types/edit.ts';
import type { Fact, Facts } from '../model/types/fact.ts';
import { withoutUndefined } from '../model/types/plainData.ts';
import { seatBeside } from '../model/types/seats.ts';
import type { Kind, Machine, Shop } from '../model/types/types.ts';
import { draft, nextNumber, nextPartId } from './edits.ts';

/**
 * A machine taken in by its inventories, with its parts in their seats, hung on the job if one is given.
 * A reading that contradicts what is known of the machine waits beside it until somebody chooses.
 */
export const takeIn = (machineId: string, inventory: Inventory, at: string, jobId?: string): Edit =>
  draft((shop) => {
    const machine = machineFor(shop, machineId, inventory);
    const found = jobId ? shop.jobs.find((each) => each.id === jobId) : undefined;
    if (found) found.machineId = machine.id;
    if (compareInventory(shop, machine, inventory).differences.length > 0) {
      const { tool, name, facts, parts, ignored } = inventory;
      machine.unsettled = [
        ...(machine.unsettled ?? []),
        withoutUndefined({ at, tool, name, facts, parts, ignored }),
      ].slice(-MOST_UNSETTLED);
    } else fitInventory(shop, machine, inventory, at, () => 'old');
  });

/** The machines of one paste taken in: the first at the machine of the job, each other as one of its own. */
export const takeInAll = (
  machineId: string,
  inventories: readonly Inventory[],
  at: string,
  jobId?: string,
): Edit => {
  const [first, ...others] = inventories;
  return (shop) =>
    others.reduce(
      (now, inventory) => takeIn(`M${nextNumber(now)}`, inventory, at)(now),
      first ? takeIn(machineId, first, at, jobId)(shop) : shop,
    );
};

/** Readings that wait at one machine. */
export const MOST_UNSETTLED = 5;

/** What holds where a reading differs from what was known. */
export type Holds = 'old' | 'new';
/** One answer for all that differs, one for each by its id (unsaid: what was known), or two machines. */
export type Settling = Holds | 'apart' | Readonly<Record<string, Holds>>;

/** Chooses what becomes of a reading that waits, known by its time. */
export const settleIntake = (machineId: string, at: string, choice: Settling): Edit =>
  draft((shop) => {
    const machine = shop.machines.find((each) => each.id === machineId);
    const waiting = machine?.unsettled?.find((each) => each.at === at);
    if (!machine || !waiting) return;
    machine.unsettled = machine.unsettled?.filter((each) => each !== waiting);
    if (machine.unsettled?.length === 0) delete machine.unsettled;
    const goal = choice === 'apart' ? machineFor(shop, `M${nextNumber(shop)}`, waiting) : machine;
    fitInventory(shop, goal, waiting, at, (id) =>
      choice === 'apart' ? 'new' : typeof choice === 'string' ? choice : (choice[id] ?? 'old'),
    );
  });

function machineFor(shop: Shop, id: string, inventory: Inventory): Machine {
  const known = shop.machines.find((each) => each.id === id);
  if (known) {
    if (inventory.name && known.seats.length === 0) known.name = inventory.name;
    return known;
  }
  shop.machines.push({
    id,
    name: inventory.name ?? `Machine ${id}`,
    state: 'here',
    starts: true,
    facts: {},
    seats: [],
  });
  return shop.machines[shop.machines.length - 1] as Machine;
}

/**
 * Every part of the inventory joins the piece it is or gets a seat; a piece no longer there goes to the shelf.
 * `holds`: whose word counts for each thing that differs.
 */
function fitInventory(
  shop: Shop,
  machine: Machine,
  inventory: Inventory,
  at: string,
  holds: (id: string) => Holds,
): void {
  const { pairs, differences } = compareInventory(shop, machine, inventory);
  const refused = new Set(differences.filter(({ id }) => holds(id) === 'old').map(({ id }) => id));
  const differs = new Set(differences.map(({ id }) => id));
  /* Where both say the same, or only one says anything, the better source stays. */
  const merged = (was: Facts, now: Facts, idOf: (key: string) => string): Facts => ({
    ...mergeFacts(was, stamped(now, at)),
    ...Object.fromEntries(
      Object.entries(now).flatMap(([key, fact]) =>
        differs.has(idOf(key))
          ? [[key, refused.has(idOf(key)) ? (was[key] ?? fact) : { at, ...fact }]]
          : [],
      ),
    ),
  });
  machine.facts = merged(machine.facts, inventory.facts, (key) => `machine:${key}`);
  if (inventory.name && differs.has('machine:model') && !refused.has('machine:model'))
    machine.name = inventory.name;
  for (const { id, sort, partId } of differences)
    if (sort === 'gone' && !refused.has(id)) takeOut(shop, machine, partId);
  for (const { drafted, known, id } of pairs) {
    if (known) {
      known.facts = merged(known.facts, drafted.facts, (key) => `fact:${known.id}:${key}`);
      const name = `name:${known.id}`;
      if (differs.has(name) && !refused.has(name)) known.name = drafted.name;
    } else if (!refused.has(id)) addDrafted(shop, machine, inventory.name, drafted, at);
  }
}

/** A piece that a reading no longer found: off the machine, onto the shelf, with where it came from. */
function takeOut(shop: Shop, machine: Machine, partId: string | undefined): void {
  const part = shop.parts.find((each) => each.id === partId);
  machine.seats = machine.seats.filter((each) => each.partId !== partId);
  if (part) Object.assign(part, { place: 'shelf', from: machine.id });
}

/** A new piece gets the next seat of its kind; where a machine has but one and has it, it lies on the shelf. */
function addDrafted(
  shop: Shop,
  machine: Machine,
  model: string | undefined,
  drafted: DraftPart,
  at: string,
): void {
  const id = nextPartId(shop, `M${machine.id.replace(/\D/g, '')}-`);
  const seat = seatBeside(
    drafted.kind,
    machine.seats.map((each) => each.seat),
  );
  const modelId = modelFor(shop, model, drafted);
  shop.parts.push({
    ...drafted,
    facts: stamped(drafted.facts, at),
    id,
    ...(seat ? { place: 'machine' } : { place: 'shelf', from: machine.id }),
    ...(modelId ? { modelId } : {}),
  });
  if (seat) machine.seats.push({ seat, partId: id });
}

/** Parts that are alike in every machine of a model: measured once, known of each. */
const alike: readonly Kind[] = ['case', 'board', 'supply', 'cooler'];

function modelFor(shop: Shop, machine: string | undefined, part: DraftPart): string | undefined {
  const slug = machine
    ?.toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 28);
  if (!slug || !alike.includes(part.kind)) return undefined;
  const id = `${slug}-${part.kind}`;
  if (!shop.models.some((model) => model.id === id)) {
    shop.models.push({ id, kind: part.kind, name: `${machine} ${part.kind}`, facts: {} });
  }
  return id;
}

function stamped(facts: Record<string, Fact>, at: string): Record<string, Fact> {
  return Object.fromEntries(Object.entries(facts).map(([key, fact]) => [key, { at, ...fact }]));
}
