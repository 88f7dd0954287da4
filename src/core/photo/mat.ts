import { bitsOf } from './aruco.ts';

/** Sheets a mat is printed on, mm, upright. */
export const matPapers = {
  A4: { width: 210, height: 297, across: 4, down: 6, first: 0 },
  Letter: { width: 215.9, height: 279.4, across: 4, down: 6, first: 30 },
  A3: { width: 297, height: 420, across: 6, down: 8, first: 60 },
} as const;
export type MatPaper = keyof typeof matPapers;

/** A code's side with its black frame, and from the paper's edge to it, mm: printers leave 5 free, detectors want white round it. */
export const CODE_MM = 18;
const EDGE_MM = 11;

/** The rules that show what the printer made of a millimetre: lengths as drawn. */
export const RULE_MM = { across: 120, down: 200 } as const;

export interface Code {
  id: number;
  /** Upper left corner, mm on the sheet; x right, y down. */
  x: number;
  y: number;
}

/** Codes stand round the edge, each once, so that any four of them tell where they are. */
export function codesOf(paper: MatPaper): Code[] {
  const { width, height, across, down, first } = matPapers[paper];
  const place = (i: number, of: number, long: number) =>
    EDGE_MM + (i * (long - 2 * EDGE_MM - CODE_MM)) / (of - 1);
  const codes: Code[] = [];
  for (let row = 0; row < down; row += 1)
    for (let column = 0; column < across; column += 1) {
      const rim = row === 0 || row === down - 1 || column === 0 || column === across - 1;
      if (rim)
        codes.push({
          id: first + codes.length,
          x: place(column, across, width),
          y: place(row, down, height),
        });
    }
  return codes;
}

/** Which mat a code is of, and where on it; undefined where it is of none. */
export function placeOfCode(id: number): { paper: MatPaper; code: Code } | undefined {
  for (const paper of Object.keys(matPapers) as MatPaper[]) {
    const code = codesOf(paper).find((each) => each.id === id);
    if (code) return { paper, code };
  }
  return undefined;
}

/** Corners of a code as detectors give them: upper left, then on clockwise, mm. */
export const cornersOf = ({ x, y }: Code): { x: number; y: number }[] => [
  { x, y },
  { x: x + CODE_MM, y },
  { x: x + CODE_MM, y: y + CODE_MM },
  { x, y: y + CODE_MM },
];

/** A code's squares, row by row with its frame, true where they are white: eight by eight. */
export function squaresOf(id: number): boolean[][] {
  const code = bitsOf(id);
  if (code === undefined) throw new RangeError(`no code ${id}`);
  const side = Math.sqrt(code.length);
  return Array.from({ length: side + 2 }, (_, row) =>
    Array.from({ length: side + 2 }, (_unused, column) => {
      const inside = row > 0 && row <= side && column > 0 && column <= side;
      return inside && code[(row - 1) * side + column - 1] === '1';
    }),
  );
}

/** What was measured of a mat's rules, mm; undefined: nobody held a ruler to it. */
export interface MatRules {
  across?: number | undefined;
  down?: number | undefined;
  /** What they were read with; undefined: nobody said, which is as good as a ruler. */
  with?: RuleTool | undefined;
}

/** What a mat's rules are read with, and to, mm, one standard deviation: a ruler by eye, a caliper's tips on two strokes (common practice, no source). */
export const ruleTools = { ruler: 0.15, caliper: 0.05 } as const;
export type RuleTool = keyof typeof ruleTools;

/** Printers that fit a page to the paper make 93 to 97 % of it; none is further off than a tenth (common practice, no source). */
const FURTHEST = 0.1;
/** A printer's two directions differ by as much, one standard deviation, where only one was measured (common practice, no source). */
const SKEW = 0.002;
/** Nobody measured: so much it may be off, one standard deviation. */
const UNKNOWN = 0.02;

export interface MatScale {
  /** A millimetre of the drawing on paper, mm, across and down. */
  across: number;
  down: number;
  /** What that may be off, as a share, one standard deviation. */
  acrossOff: number;
  downOff: number;
}

/** Why a figure is no rule of a mat; undefined where it can be. */
export function ruleFault(mm: number | undefined, drawn: number): string | undefined {
  if (mm === undefined) return undefined;
  if (!Number.isFinite(mm) || Math.abs(mm / drawn - 1) > FURTHEST)
    return `The rule is drawn ${drawn} mm long: measured it is between ${drawn * (1 - FURTHEST)} and ${Math.round(drawn * (1 + FURTHEST))}. Measure from end stroke to end stroke.`;
  return undefined;
}

/** The scale of a printed mat from what was measured of its rules. */
export function matScale({ across, down, with: tool = 'ruler' }: MatRules): MatScale {
  const one = (mm: number | undefined, drawn: number) =>
    mm === undefined ? undefined : { by: mm / drawn, off: ruleTools[tool] / drawn };
  const [a, d] = [one(across, RULE_MM.across), one(down, RULE_MM.down)];
  const from = (own: typeof a, other: typeof a) =>
    own ?? (other ? { by: other.by, off: Math.hypot(other.off, SKEW) } : { by: 1, off: UNKNOWN });
  const [x, y] = [from(a, d), from(d, a)];
  return { across: x.by, down: y.by, acrossOff: x.off, downOff: y.off };
}

/** Cards whose size is known (ISO/IEC 7810 ID-1, ISO 216), mm. */
export const cards = {
  'bank card': { width: 85.6, height: 53.98 },
  'A5 sheet': { width: 210, height: 148 },
  'A4 sheet': { width: 297, height: 210 },
} as const;
