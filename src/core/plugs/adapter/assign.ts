import type { Tree } from './route.ts';
import type { Contacts, Net } from './nets.ts';
import { crosses, type Laid, type Segment } from './places.ts';
import type { End } from './types.ts';

/** A wire before it has gauge and colour. */
export interface Wire {
  net: Net;
  from: End;
  to: End;
}

/**
 * Which pin of each kind goes into which tree, so that few wires cross: dealt from left to right,
 * then pins of one kind are changed with each other, or for one not used, while that saves a crossing.
 */
export function assign(
  nets: readonly { net: Net; trees: readonly Tree[] }[],
  laid: Laid,
  tidy = true,
): Wire[] {
  const slots = nets.flatMap(({ net, trees }) => dealt(net, trees, laid));
  if (tidy) improve(slots, laid);
  return slots.map(({ net, from, to }) => ({
    net,
    from: from.end,
    to: to.end,
  }));
}

/** One contact of a kind as it is used; several wires may hang on it. */
interface Slot {
  kind: Contacts;
  end: End;
}

interface Wired {
  net: Net;
  from: Slot;
  to: Slot;
}

function dealt(net: Net, trees: readonly Tree[], laid: Laid): Wired[] {
  const rest = new Map<Contacts, End[]>();
  const sorted = (kind: Contacts) =>
    [...kind.ends].sort((a, b) => laid.at(a).x - laid.at(b).x || laid.at(a).y - laid.at(b).y);
  for (const kind of [...net.gives, ...net.takes]) rest.set(kind, sorted(kind));
  const draw = (kind: Contacts | undefined, count: number): Slot[] =>
    kind ? (rest.get(kind) ?? []).splice(0, count).map((end) => ({ kind, end })) : [];
  return trees.flatMap((tree) => {
    const gives = tree.gives.flatMap((count, i) => draw(net.gives[i], count));
    const takes = tree.takes.flatMap((count, k) => draw(net.takes[k], count));
    return staircase(gives, takes).map(([from, to]) => ({ net, from, to }));
  });
}

/** The wires of one tree: down the two rows in step, each contact joined once before the next begins. */
function staircase(gives: readonly Slot[], takes: readonly Slot[]): [Slot, Slot][] {
  const wires: [Slot, Slot][] = [];
  let [i, k] = [0, 0];
  while (i < gives.length && k < takes.length) {
    wires.push([gives[i] as Slot, takes[k] as Slot]);
    const [more, open] = [gives.length - 1 - i, takes.length - 1 - k];
    if (more === 0 && open === 0) break;
    /* The longer row moves on; alike rows in turns. */
    if (more > open) i += 1;
    else k += 1;
  }
  return wires;
}

const MOST_PASSES = 6;

function improve(wires: readonly Wired[], laid: Laid): void {
  const slots = [...new Set(wires.flatMap((each) => [each.from, each.to]))];
  const of = new Map(
    slots.map((slot) => [slot, wires.filter((w) => w.from === slot || w.to === slot)]),
  );
  const segment = (wire: Wired): Segment => ({
    a: laid.at(wire.from.end),
    b: laid.at(wire.to.end),
  });
  const score = (some: readonly Wired[]) => {
    let total = 0;
    for (const wire of some) {
      const own = segment(wire);
      for (const other of wires) if (other !== wire && crosses(own, segment(other))) total += 1;
      /* Like plugs: pin to its own number rather than to its twin. */
      if (wire.from.end.pin !== wire.to.end.pin) total += 1e-6;
      total += (Math.abs(own.a.x - own.b.x) + Math.abs(own.a.y - own.b.y)) / 1e4;
    }
    return total;
  };
  for (let pass = 0; pass < MOST_PASSES; pass += 1) {
    let better = false;
    for (const slot of slots) {
      const others = slots.filter((each) => each.kind === slot.kind && each !== slot);
      const used = new Set([slot, ...others].map((each) => each.end));
      const free = slot.kind.ends.filter((end) => !used.has(end));
      const touched = of.get(slot) ?? [];
      for (const other of others) {
        const both = [...new Set([...touched, ...(of.get(other) ?? [])])];
        const before = score(both);
        [slot.end, other.end] = [other.end, slot.end];
        if (score(both) < before - 1e-9) better = true;
        else [slot.end, other.end] = [other.end, slot.end];
      }
      for (const end of free) {
        const before = score(touched);
        const was = slot.end;
        slot.end = end;
        if (score(touched) < before - 1e-9) {
          better = true;
          free[free.indexOf(end)] = was;
        } else slot.end = was;
      }
    }
    if (!better) return;
  }
}

/** How many of the wires cross, laid straight. */
export function crossings(wires: readonly { from: End; to: End }[], laid: Laid): number {
  const segments = wires.map((wire) => ({ a: laid.at(wire.from), b: laid.at(wire.to) }));
  return segments.reduce(
    (sum, one, i) => sum + segments.slice(i + 1).filter((other) => crosses(one, other)).length,
    0,
  );
}
