import type { Finding, Mark, Term } from '$core/findings/finding.ts';
import { isOpen } from '$core/findings/terms.ts';
import { mid, scale as scaled, type Range } from '$core/units/range.ts';

/** Where the blocks of a gap picture lie, as shares of its width. */
export interface GapShape {
  /** Width of the slot. */
  room: number;
  blocks: { x: number; width: number; label: string; value: Range; open: boolean }[];
  /** From the end of the need to the slot's wall; negative when it hangs over. */
  rest: { x: number; width: number; over: boolean };
  /** How far the need may reach if its ranges run out high. */
  mostX: number;
}

type Figure = Term & { value: Range };

/** A term below zero stands on the other side of the sum: there it can be drawn. */
function turned(term: Figure): Figure {
  return mid(term.value) < 0
    ? { ...term, sign: term.sign === 1 ? -1 : 1, value: scaled(term.value, -1) }
    : term;
}

/** Lays a finding's sum out to scale; undefined where it compares words. */
export function gapShape(finding: Pick<Finding, 'terms' | 'margin'>): GapShape | undefined {
  if (!finding.margin) return undefined;
  const numeric = finding.terms.flatMap((term) =>
    typeof term.value === 'string' ? [] : [turned({ ...term, value: term.value })],
  );
  const room = numeric
    .filter((term) => term.sign === 1)
    .reduce((sum, term) => sum + mid(term.value), 0);
  const needs = numeric.filter((term) => term.sign === -1);
  const need = needs.reduce((sum, term) => sum + mid(term.value), 0);
  const most = needs.reduce((sum, term) => sum + term.value.hi, 0);
  const scale = Math.max(room, need, Math.min(most, room * 1.4), 1e-9);
  let x = 0;
  const blocks = needs.map((term) => {
    const width = mid(term.value) / scale;
    const block = {
      x,
      width,
      label: term.label,
      value: term.value,
      open: isOpen(term),
    };
    x += width;
    return block;
  });
  const wall = room / scale;
  return {
    room: wall,
    blocks,
    rest: { x: Math.min(x, wall), width: Math.abs(wall - x), over: x > wall },
    mostX: Math.min(1, most / scale),
  };
}

export const markColour = (mark: Mark) => `var(--${mark})`;
