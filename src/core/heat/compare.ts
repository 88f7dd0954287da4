import type { HeatRun } from '../model/types/types.ts';
import { courseOf, type RunFit } from './run.ts';

/** A drop between two runs in kelvin, with its span of 95 in 100; or why they cannot be compared. */
export interface Drop {
  from: string;
  to: string;
  dropK: number;
  lo: number;
  hi: number;
  /** What differs between them besides the changes: load, watts, pinned, not settled, room. */
  doubts: string[];
  /** Changes made between them. */
  changes: string[];
  say: string;
}

/** What two rooms nobody read may differ by, one deviation in K: 15 to 30 °C each (common practice, no source). */
const ROOMS_DEV = 5;

/** The newest run and the first of the same load before it: what is compared where nobody chose. */
export function pairOf(said: readonly RunFit[]): readonly [RunFit, RunFit] | undefined {
  for (const after of [...said].reverse()) {
    const before = said.find((each) => each !== after && each.run.load === after.run.load);
    if (before && said.indexOf(before) < said.indexOf(after)) return [before, after];
  }
  return undefined;
}

/**
 * Two runs side by side: rise above the room against rise above the room. Where one room was not read, what the
 * sensors settled at is compared, and the rooms may differ by as much as rooms do.
 */
export function dropBetween(before: RunFit, after: RunFit): Drop {
  const changes = changesBetween(before.run, after.run);
  const doubts = doubtsOf(before, after);
  const rooms = before.riseK !== undefined && after.riseK !== undefined;
  const [b, a] = rooms
    ? [before.riseK ?? 0, after.riseK ?? 0]
    : [before.settling.end, after.settling.end];
  const dev = Math.hypot(before.riseDev, after.riseDev, rooms ? 0 : ROOMS_DEV);
  const dropK = b - a;
  const [lo, hi] = [dropK - 1.96 * dev, dropK + 1.96 * dev];
  return {
    from: before.run.id,
    to: after.run.id,
    dropK,
    lo,
    hi,
    doubts,
    changes,
    say: clocksSay(before, after) ?? sayOf(dropK, lo, hi, doubts, changes),
  };
}

/** Two runs held at their limit differ in clock alone. */
function clocksSay(before: RunFit, after: RunFit): string | undefined {
  if (before.run.load !== after.run.load)
    return `Not to be compared: one ran ${before.run.load}, the other ${after.run.load}.`;
  const held = [before, after].every((each) => each.pinned?.by === 'throttling');
  if (!held) return undefined;
  const [b, a] = [before.clockMhz, after.clockMhz];
  if (b === undefined || a === undefined || b <= 0)
    return 'Both are held at their limit: the temperature tells nothing. Log the clock of both.';
  const share = (a / b - 1) * 100;
  return `Both are held at their limit: ${b.toFixed(0)} MHz before, ${a.toFixed(0)} after, ${Math.abs(share).toFixed(1)} % ${share >= 0 ? 'more' : 'less'}.`;
}

export function changesBetween(a: HeatRun, b: HeatRun): string[] {
  const own = new Set(a.changed);
  const other = new Set(b.changed);
  return [
    ...a.changed.filter((each) => !other.has(each)),
    ...b.changed.filter((each) => !own.has(each)),
  ];
}

/** K the room may differ before a compared rise is doubted; share the watts may. */
const SAME = { roomK: 8, watts: 0.05 };

function doubtsOf(a: RunFit, b: RunFit): string[] {
  const doubts: string[] = [];
  if (a.run.load !== b.run.load) doubts.push(`one ran ${a.run.load}, the other ${b.run.load}`);
  if (a.run.load === 'idle' && b.run.load === 'idle') doubts.push('idle proves no cooling');
  if (a.roomC === undefined || b.roomC === undefined) doubts.push('the room was not read at both');
  else if (Math.abs(a.roomC - b.roomC) > SAME.roomK)
    doubts.push(`the rooms differ by ${Math.abs(a.roomC - b.roomC).toFixed(0)} K`);
  if (
    a.watts !== undefined &&
    b.watts !== undefined &&
    Math.abs(a.watts / b.watts - 1) > SAME.watts
  )
    doubts.push(`${a.watts.toFixed(0)} W against ${b.watts.toFixed(0)} W`);
  for (const each of [a, b]) {
    if (each.pinned)
      doubts.push(
        `“${each.run.name}” is held by ${each.pinned.by === 'fan' ? 'its fan' : 'throttling'}`,
      );
    if (!each.settling.settled) doubts.push(`“${each.run.name}” has not settled`);
  }
  const [one, other] = [a, b].map((each) => courseOf(each.run, 'temperature')?.name ?? 'typed');
  if (one !== other && one !== 'typed' && other !== 'typed')
    doubts.push(`one logged “${one}”, the other “${other}”: the same machine?`);
  if (a.run.panel !== b.run.panel) doubts.push('the panel was on in one only');
  return doubts;
}

function sayOf(
  drop: number,
  lo: number,
  hi: number,
  doubts: readonly string[],
  changes: readonly string[],
): string {
  const size = `${Math.abs(drop).toFixed(1)} K ${drop >= 0 ? 'less' : 'more'} (${lo.toFixed(1)} to ${hi.toFixed(1)} K)`;
  if (doubts.length > 0) return `${size}, but ${doubts.join('; ')}.`;
  if (lo <= 0 && hi >= 0) return `${size}: no difference that these runs could show.`;
  if (changes.length === 0) return `${size}, and nothing was noted as changed: what differs?`;
  if (changes.length === 1) return `${size}: by “${changes[0]}”.`;
  return `${size} by ${changes.length} changes together. It belongs to none of them alone.`;
}

/** What each change does, where runs part them; else what would. */
export interface Attribution {
  effects: { change: string; dropK: number; lo: number; hi: number }[];
  /** Changes that cannot be parted from each other yet, in groups. */
  tangled: string[][];
  /** The fewest further runs that would part them: the changes in place in each. */
  wanted: string[][];
  say: string;
}

/**
 * Settled rises as a sum of what each change does: rise = base - sum of drops of the changes in place.
 * Changes are parted where the runs' columns are independent (weighted least squares); where they are
 * not, the fewest runs more that make them so are named, each with one change less. Only runs alike in
 * load and panel, settled and not held, count. Changes that work on each other (a fan that only helps
 * with the new cooler) are beyond a sum: said so.
 */
export function attribute(said: readonly RunFit[]): Attribution {
  const usable = said.filter(
    (each) =>
      each.riseK !== undefined &&
      !each.pinned &&
      each.settling.settled &&
      each.run.load === said[0]?.run.load &&
      each.run.panel === said[0]?.run.panel,
  );
  const changes = [...new Set(usable.flatMap((each) => each.run.changed))].sort();
  const rows = usable.map((each) => [
    1,
    ...changes.map((change) => (each.run.changed.includes(change) ? 1 : 0)),
  ]);
  if (changes.length === 0 || usable.length < 2)
    return {
      effects: [],
      tangled: [],
      wanted: [],
      say: 'Two settled runs with a change between them are wanted.',
    };
  const basis = reduced(rows);
  const parted = changes.filter((_, i) => knows(basis, i + 1));
  const open = changes.filter((change) => !parted.includes(change));
  const effects =
    parted.length > 0
      ? solved(rows, usable, changes).filter((each) => parted.includes(each.change))
      : [];
  const tangled = groups(rows, changes, open);
  const wanted = fewest(rows, changes, usable);
  const say =
    open.length === 0
      ? 'Each change is parted from the others, as far as they do not work on each other.'
      : `${tangled.map((group) => group.join(' and ')).join('; ')}: changed together, so they cannot be told apart. ${wanted.length} more run${wanted.length === 1 ? '' : 's'} would part them.`;
  return { effects, tangled, wanted, say };
}

/** Rows in reduced echelon form. */
function reduced(rows: readonly (readonly number[])[]): number[][] {
  const m = rows.map((row) => [...row]);
  const width = m[0]?.length ?? 0;
  let top = 0;
  for (let column = 0; column < width && top < m.length; column += 1) {
    const pivot = m.findIndex((row, i) => i >= top && Math.abs(row[column] ?? 0) > 1e-9);
    if (pivot < 0) continue;
    [m[top], m[pivot]] = [m[pivot] as number[], m[top] as number[]];
    const lead = m[top]?.[column] ?? 1;
    m[top] = (m[top] ?? []).map((each) => each / lead);
    for (let i = 0; i < m.length; i += 1) {
      const factor = m[i]?.[column] ?? 0;
      if (i !== top && Math.abs(factor) > 1e-12)
        m[i] = (m[i] ?? []).map((each, j) => each - factor * (m[top]?.[j] ?? 0));
    }
    top += 1;
  }
  return m.slice(0, top);
}

/** Is the unit row of a column a sum of the rows? Then its effect is known. */
function knows(basis: readonly (readonly number[])[], column: number): boolean {
  return basis.some((row) =>
    row.every((each, i) => Math.abs(each - (i === column ? 1 : 0)) < 1e-9),
  );
}

function rank(rows: readonly (readonly number[])[]): number {
  return reduced(rows).length;
}

/** Weighted least squares by normal equations over what can be known; the rest is left at nought. */
function solved(
  rows: readonly (readonly number[])[],
  usable: readonly RunFit[],
  changes: readonly string[],
): Attribution['effects'] {
  /* Columns that add nothing new are left out: those kept hold the same sums. */
  const kept: number[] = [];
  for (let column = 0; column <= changes.length; column += 1) {
    const with_ = [...kept, column];
    if (rank(rows.map((row) => with_.map((i) => row[i] ?? 0))) > kept.length) kept.push(column);
  }
  const weights = usable.map((each) => 1 / Math.max(0.05, each.riseDev) ** 2);
  const n = kept.length;
  const normal = kept.map((a) =>
    kept.map((b) =>
      rows.reduce((sum, row, i) => sum + (weights[i] ?? 0) * (row[a] ?? 0) * (row[b] ?? 0), 0),
    ),
  );
  const right = kept.map((a) =>
    rows.reduce(
      (sum, row, i) => sum + (weights[i] ?? 0) * (row[a] ?? 0) * (usable[i]?.riseK ?? 0),
      0,
    ),
  );
  const inverse = inverted(normal);
  const x = inverse.map((row) => row.reduce((sum, each, j) => sum + each * (right[j] ?? 0), 0));
  return changes.flatMap((change, i) => {
    const at = kept.indexOf(i + 1);
    if (at < 0 || at >= n) return [];
    const dev = Math.sqrt(Math.max(0, inverse[at]?.[at] ?? 0));
    const dropK = -(x[at] ?? 0);
    return [{ change, dropK, lo: dropK - 1.96 * dev, hi: dropK + 1.96 * dev }];
  });
}

function inverted(m: readonly (readonly number[])[]): number[][] {
  const n = m.length;
  const wide = m.map((row, i) => [
    ...row,
    ...Array.from({ length: n }, (_, j) => (i === j ? 1 : 0)),
  ]);
  return reduced(wide).map((row) => row.slice(n));
}

/** Changes that stand in the same runs, or whose columns hang on each other. */
function groups(
  rows: readonly (readonly number[])[],
  changes: readonly string[],
  open: readonly string[],
): string[][] {
  if (open.length === 0) return [];
  const byPattern = new Map<string, string[]>();
  for (const change of open) {
    const column = changes.indexOf(change) + 1;
    const pattern = rows.map((row) => row[column]).join('');
    byPattern.set(pattern, [...(byPattern.get(pattern) ?? []), change]);
  }
  const alike = [...byPattern.values()];
  return alike.some((group) => group.length > 1)
    ? alike.filter((group) => group.length > 1)
    : [[...open]];
}

/**
 * Runs to add until every change is known: from the run with most changes, one taken back or put in
 * at a time. Each raises the rank by one, and full rank is needed: none fewer would do.
 */
function fewest(
  rows: readonly (readonly number[])[],
  changes: readonly string[],
  usable: readonly RunFit[],
): string[][] {
  const fullest = [...usable].sort((a, b) => b.run.changed.length - a.run.changed.length)[0];
  const wanted: string[][] = [];
  let have = [...rows];
  const row = (changed: readonly string[]) => [
    1,
    ...changes.map((change) => (changed.includes(change) ? 1 : 0)),
  ];
  for (const change of changes) {
    if (changes.every((_, i) => knows(reduced(have), i + 1))) break;
    const base = fullest?.run.changed ?? changes;
    const changed = base.includes(change)
      ? base.filter((each) => each !== change)
      : [...base, change];
    const next = [...have, row(changed)];
    if (rank(next) > rank(have)) {
      have = next;
      wanted.push(changed);
    }
  }
  return wanted;
}
