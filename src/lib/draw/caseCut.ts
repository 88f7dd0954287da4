import { restOf } from '$core/findings/gap.ts';
import { isOpen } from '$core/findings/terms.ts';
import type { Box as SpaceBox } from '$core/fit/space/box.ts';
import { offsetTerms } from '$core/fit/space/coord.ts';
import { spaceOf } from '$core/fit/space/space.ts';
import { numberAt, partOfKind, type Placed, type Plan } from '$core/model/lookup/plan.ts';
import { drawnLength, type LengthUnit } from '$core/units/length.ts';
import { type Range, mid } from '$core/units/range.ts';
import { outsideOf, type Outside } from './sizes.ts';

/**
 * A case cut open, in millimetres, as two sections to one scale, drawn from the same boxes the
 * sums are made of (frame: core/fit/space/box.ts).
 *
 *   side, lid off: rear wall left          end: seen from the front
 *   ┌──────────────────────┐               ┌────────┐
 *   │ board   │   supply   │               │▌cooler │ tray left,
 *   │ card ───────▶ cage   │               │▌card   │ lid right
 *   └──────────────────────┘               └────────┘
 *
 * Where a place or a size is a range, its middle is drawn and the outline is dashed.
 */
export interface Box {
  id: string;
  seat: string;
  x: number;
  y: number;
  w: number;
  h: number;
  label: string;
  figure: string;
  state: 'stays' | 'comes' | 'goes';
  kind: string;
  /** Room for a plug and its bend, not matter. */
  bend: boolean;
  /** Size not measured: drawn dashed at its class's middle. */
  open: boolean;
}

export interface CaseCut {
  outside: Outside;
  /** The unit its figures are drawn in; the drawing itself is in millimetres. */
  lengths: LengthUnit;
  /** Side section: depth x height (or depth x width for a flat case). */
  side: { w: number; h: number; boxes: Box[] };
  end: { w: number; h: number; boxes: Box[] };
  /** Where the room for a card ends, mm from the rear, and how far it goes back without the cage. */
  cardWall?: { x: number; cage: number; y: number; h: number } | undefined;
  flat: boolean;
}

export function caseCut(plan: Plan): CaseCut | undefined {
  const shell = partOfKind(plan, 'case');
  const space = spaceOf(plan);
  if (!shell || !space) return undefined;
  const outside = outsideOf(plan.shop, shell.part);
  const flat = outside.w > outside.h;
  const sideH = flat ? outside.w : outside.h;
  const thick = flat ? outside.h : outside.w;
  const seats = new Map(plan.seats.map((placed) => [placed.seat, placed]));
  const drawn = space.boxes
    .filter((box) => box.kind !== 'case' && box.id !== 'board:bend')
    .flatMap((box) => {
      const placed = seats.get(box.seat);
      return placed ? [{ box, placed }] : [];
    })
    .sort((a, b) => layer(a.box) - layer(b.box));
  const cards = drawn.filter(({ box }) => box.kind === 'card' && box.what === 'body');
  const room = numberAt(plan, shell, 'cardRoom');
  const gain = numberAt(plan, shell, 'cageGain');
  const cardY = cards[0] ? mid(cards[0].box.y[0]) : mid(space.at.slotY);
  return {
    outside,
    lengths: plan.shop.settings.unit,
    side: {
      w: outside.d,
      h: sideH,
      boxes: drawn.filter(({ box }) => box.what !== 'base').map((each) => sideBox(plan, each)),
    },
    end: {
      w: thick,
      h: sideH,
      boxes: drawn
        .filter(({ box }) => ['cooler', 'card', 'memory', 'board', 'drive'].includes(box.kind))
        .filter(({ box }) => !['base', 'guess'].includes(box.what) && box.name !== 'radiator')
        .map((each) => endBox(plan, each, thick, space.boxes)),
    },
    cardWall:
      room && room.how !== 'class'
        ? { x: room.hi, cage: gain?.hi ?? 0, y: cardY - 8, h: Math.min(150, sideH - cardY) }
        : undefined,
    flat,
  };
}

/** What lies nearer to the lid is drawn later; bends on top. */
const layer = (box: SpaceBox) =>
  box.what === 'bend'
    ? 2000
    : box.kind === 'board'
      ? box.what === 'body'
        ? -2000
        : -1000
      : -mid(box.w[0]);

interface Drawn {
  box: SpaceBox;
  placed: Placed;
}

function common({ box, placed }: Drawn) {
  return {
    id: box.id,
    seat: box.seat,
    label: box.what === 'bend' ? 'plugs' : box.name.replace(/ \d+$/, ''),
    state: placed.state,
    kind: box.what === 'furniture' ? 'furniture' : placed.kind,
    bend: box.what === 'bend',
  };
}

const sizeOf = (box: SpaceBox, axis: 'x' | 'y' | 'w'): Range =>
  restOf(offsetTerms(box[axis][0], box[axis][1]));
/** Does a length rest on what its class usually measures? */
const vague = (box: SpaceBox, axis: 'x' | 'y' | 'w') =>
  offsetTerms(box[axis][0], box[axis][1]).some((term) => isOpen(term));

function sideBox(plan: Plan, drawn: Drawn): Box {
  const { box } = drawn;
  const [w, h] = [sizeOf(box, 'x'), sizeOf(box, 'y')];
  return {
    ...common(drawn),
    x: mid(box.x[0]),
    y: mid(box.y[0]),
    w: Math.max(0, mid(w)),
    h: Math.max(0, mid(h)),
    figure: box.what === 'body' ? sideFigure(plan, drawn, w, h) : '',
    open:
      box.what === 'guess' ||
      (measured(box) && (vague(box, 'x') || vague(box, 'y') || openHeight(plan, drawn))),
  };
}

/** Plugs and furniture are always usual sizes: their dashes would say nothing. */
const measured = (box: SpaceBox) => box.what === 'body' && box.kind !== 'memory';

const openHeight = (plan: Plan, { placed }: Drawn) => {
  const height = placed.kind === 'cooler' ? numberAt(plan, placed, 'height') : undefined;
  return height?.how === 'class' && height.hi - height.lo > 0.5;
};

function sideFigure(plan: Plan, { placed }: Drawn, w: Range, h: Range): string {
  switch (placed.kind) {
    case 'board':
      return figuresOf([mid(h), mid(w)], ' × ', plan);
    case 'card':
      return figureOf(w, plan);
    case 'cooler':
      return `h ${figureOf(numberAt(plan, placed, 'height'), plan)}`;
    case 'supply':
      return `${figureOf(numberAt(plan, placed, 'depth'), plan)} deep`;
    default:
      return '';
  }
}

/** The cooler stands on its foot: fins and foot are drawn as one. */
function endBox(plan: Plan, drawn: Drawn, thick: number, boxes: readonly SpaceBox[]): Box {
  const { box, placed } = drawn;
  const foot = boxes.find((each) => each.seat === box.seat && each.what === 'base');
  const far = foot && box.what === 'body' ? foot : box;
  const w = restOf(offsetTerms(box.w[0], far.w[1]));
  const height = placed.kind === 'card' && box.what === 'body';
  return {
    ...common(drawn),
    x: thick - mid(far.w[1]),
    y: mid(box.y[0]),
    w: Math.max(0, mid(w)),
    h: Math.max(0, mid(sizeOf(box, 'y'))),
    figure: height ? `h ${figureOf(numberAt(plan, placed, 'height'), plan)}` : '',
    open: measured(box) && (vague(box, 'w') || far.w[1].terms.some((term) => isOpen(term))),
  };
}

function figureOf(value: { lo: number; hi: number } | undefined, plan: Plan): string {
  if (!value) return '?';
  return figuresOf(value.hi - value.lo < 0.05 ? [value.lo] : [value.lo, value.hi], '–', plan);
}

/** Figures side by side with their unit said once. */
const figuresOf = (values: readonly number[], between: string, { shop }: Plan) =>
  values
    .map((value) => drawnLength(value, shop.settings.unit))
    .join(between)
    .replaceAll(`″${between}`, between);
