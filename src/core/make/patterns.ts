import { listAt, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import type { DrillPattern } from '../model/types/makeTypes.ts';
import { boardFormat, boardSource, holes, type HoleName } from '../standards/boards.ts';
import {
  driveHoles,
  driveSource,
  fourHoles,
  supplyFaces,
  supplySource,
} from '../standards/patterns.ts';
import { fanHoles } from '../standards/room.ts';
import { commonPractice, type Source } from '../standards/source.ts';

/** Where holes are to be drilled, mm, from a corner of the pattern; x to the right, y up. */
export interface Pattern {
  points: { name: string; x: number; y: number }[];
  source: Source;
}

const named = (points: readonly (readonly [number, number])[]): Pattern['points'] =>
  points.map(([x, y], i) => ({ name: String(i + 1), x, y }));

/** Fans side by side, as a radiator carries them. */
const row = (count: number, mm: number): [number, number][] =>
  Array.from({ length: count }, (_, i) =>
    fourHoles(fanHoles[mm] ?? 0).map(([x, y]): [number, number] => [x + i * mm, y]),
  ).flat();

/** The holes of a pattern; undefined where the plan does not tell them. */
export function patternOf(plan: Plan, pattern: DrillPattern): Pattern | undefined {
  const [what, size] = pattern.split(' ');
  if (what === 'fan')
    return { points: named(fourHoles(fanHoles[Number(size)] ?? 0)), source: commonPractice };
  if (what === 'radiator') {
    const mm = Number(size) % 140 === 0 ? 140 : 120;
    return { points: named(row(Number(size) / mm, mm)), source: commonPractice };
  }
  switch (pattern) {
    case 'ATX PSU':
      return { points: named(supplyFaces.ATX.points), source: supplySource };
    case 'SFX PSU':
      return { points: named(supplyFaces.SFX.points), source: supplySource };
    case '3.5 in drive, bottom':
      return { points: named(fourHoles(...driveHoles['3.5'])), source: driveSource };
    case '2.5 in drive, bottom':
      return { points: named(fourHoles(...driveHoles['2.5'])), source: driveSource };
    default:
      return ofBoard(plan);
  }
}

/** The plan's board: its holes as measured, else those its format has. Rear edge on top, seen from the tray's front. */
function ofBoard(plan: Plan): Pattern | undefined {
  const board = partOfKind(plan, 'board');
  if (!board) return undefined;
  const places = listAt(plan, board, 'holePlaces')?.items ?? [];
  const measured = places.flatMap(({ x, y }, i) =>
    x === undefined || y === undefined ? [] : [{ name: String(i + 1), x, y: -y }],
  );
  if (measured.length >= 3)
    return { points: measured, source: { title: 'measured on this board', memory: false } };
  const format = boardFormat(textAt(plan, board, 'format')?.text);
  const names = format?.holes ?? [];
  if (names.length === 0) return undefined;
  return {
    points: names.map((name: HoleName) => ({ name, x: holes[name].x, y: -holes[name].y })),
    source: boardSource,
  };
}
