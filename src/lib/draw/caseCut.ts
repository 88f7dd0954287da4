import { numberAt, one, all, textAt, type Placed, type Plan } from '$core/model/plan.ts';
import { card as cardSizes, drives as driveSizes, supplyFormat } from '$core/standards/room.ts';
import { SLOT_PITCH_MM } from '$core/standards/boards.ts';
import { outsideOf, type Outside } from './sizes.ts';

/**
 * A case cut open, in millimetres, as two sections to one scale.
 *
 *   side, lid off: rear wall left          end: seen from the front
 *   ┌──────────────────────┐               ┌────────┐
 *   │ board   │   supply   │               │▌cooler │ tray left,
 *   │ card ───────▶ cage   │               │▌card   │ lid right
 *   └──────────────────────┘               └────────┘
 *
 * Sizes are true; where a part sits is usual practice until it is measured.
 */
export interface Box {
  seat: string;
  x: number;
  y: number;
  w: number;
  h: number;
  label: string;
  figure: string;
  state: 'stays' | 'comes' | 'goes';
  /** Size not measured: drawn dashed at its class's middle. */
  open: boolean;
}

export interface CaseCut {
  outside: Outside;
  /** Side section: depth x height (or depth x width for a flat case). */
  side: { w: number; h: number; boxes: Box[] };
  end: { w: number; h: number; boxes: Box[] };
  /** Where the room for a card ends, mm from the rear, and how far it goes back without the cage. */
  cardWall?: { x: number; cage: number; y: number; h: number } | undefined;
  flat: boolean;
}

const WALL = 8;

const mid = (value: { lo: number; hi: number } | undefined, fallback: number) =>
  value ? (value.lo + value.hi) / 2 : fallback;
const isOpen = (value: { lo: number; hi: number; how: string } | undefined) =>
  !value || (value.how === 'class' && value.hi - value.lo > 0.5);

export function caseCut(plan: Plan): CaseCut | undefined {
  const shell = one(plan, 'case');
  if (!shell) return undefined;
  const outside = outsideOf(plan.shop, shell.part);
  const flat = outside.w > outside.h;
  const sideH = flat ? outside.w : outside.h;
  const thick = flat ? outside.h : outside.w;
  const board = boardBox(plan, outside, sideH);
  const side = { w: outside.d, h: sideH, boxes: sideBoxes(plan, outside, sideH, board) };
  const end = { w: thick, h: sideH, boxes: endBoxes(plan, thick, board) };
  const room = numberAt(plan, shell, 'cardRoom');
  const gain = numberAt(plan, shell, 'cageGain');
  const firstCard = side.boxes.find((box) => box.seat.startsWith('card'));
  const cardWall =
    room && room.how !== 'class'
      ? {
          x: room.hi,
          cage: gain?.hi ?? 0,
          y: (firstCard?.y ?? cardY(board)) - 8,
          h: Math.min(150, sideH - cardY(board)),
        }
      : undefined;
  return { outside, side, end, cardWall, flat };
}

interface BoardPlace {
  placed: Placed | undefined;
  x: number;
  y: number;
  w: number;
  h: number;
  open: boolean;
}

function supplySize(plan: Plan, supply: Placed) {
  const format = supplyFormat(textAt(plan, supply, 'format')?.text);
  const depth = numberAt(plan, supply, 'depth');
  return {
    depth: mid(depth, 150),
    height: format?.heightMm ?? 80,
    width: format?.widthMm ?? 120,
    open: !format || isOpen(depth),
  };
}

/** A board below the supply where the case is high enough for both, else at the top. */
function boardBox(plan: Plan, outside: Outside, sideH: number): BoardPlace {
  const placed = one(plan, 'board');
  const width = placed && numberAt(plan, placed, 'width');
  const depth = placed && numberAt(plan, placed, 'depth');
  const h = Math.min(mid(width, 200), sideH - WALL);
  const supply = one(plan, 'supply');
  const above = supply ? supplySize(plan, supply).height : 0;
  const stacked = above > 0 && sideH > h + above + 3 * WALL;
  return {
    placed,
    x: WALL,
    y: stacked ? above + 2 * WALL : WALL,
    w: Math.min(mid(depth, 200), outside.d - 2 * WALL),
    h,
    open: isOpen(width) || isOpen(depth),
  };
}

const cardY = (board: BoardPlace) => board.y + Math.max(60, Math.min(board.h - 40, 165));

function sideBoxes(plan: Plan, outside: Outside, sideH: number, board: BoardPlace): Box[] {
  const boxes: Box[] = [];
  const add = (
    placed: Placed,
    x: number,
    y: number,
    w: number,
    h: number,
    figure: string,
    open: boolean,
    label?: string,
  ) =>
    boxes.push({
      seat: placed.seat,
      x,
      y,
      w,
      h,
      label: label ?? placed.kind,
      figure,
      state: placed.state,
      open,
    });
  if (board.placed) {
    add(
      board.placed,
      board.x,
      board.y,
      board.w,
      board.h,
      `${round(board.h)} × ${round(board.w)}`,
      board.open,
    );
  }
  const supply = one(plan, 'supply');
  if (supply && textAt(plan, supply, 'format')) {
    const size = supplySize(plan, supply);
    const stacked = board.y > 2 * WALL;
    const w = Math.min(size.depth, outside.d - 2 * WALL);
    const h = stacked ? size.height : Math.min(size.width, sideH - 2 * WALL);
    add(
      supply,
      stacked ? WALL : outside.d - w - WALL,
      WALL,
      w,
      h,
      `${round(size.depth)} deep`,
      size.open,
    );
  }
  const cooler = one(plan, 'cooler');
  if (cooler) {
    const width = mid(numberAt(plan, cooler, 'width'), 90);
    const w = Math.min(width, board.w * 0.5);
    const height = numberAt(plan, cooler, 'height');
    add(
      cooler,
      board.x + board.w * 0.2,
      board.y + Math.min(60, board.h * 0.24),
      w,
      w,
      `h ${figureOf(height)}`,
      isOpen(height),
    );
  }
  all(plan, 'memory').forEach((module, i) => {
    const height = Math.min(133, board.h * 0.62);
    add(module, board.x + board.w * 0.66 + i * 9, board.y + 12, 5.5, height, '', false, 'memory');
  });
  all(plan, 'card').forEach((placed, i) => {
    const length = numberAt(plan, placed, 'length');
    const slots = mid(numberAt(plan, placed, 'slotsWide'), 2);
    add(
      placed,
      0,
      cardY(board) + i * 2 * SLOT_PITCH_MM,
      mid(length, 240),
      slots * SLOT_PITCH_MM - 2,
      figureOf(length),
      isOpen(length),
    );
  });
  let driveYAt = sideH - WALL;
  for (const drive of all(plan, 'drive')) {
    const form = textAt(plan, drive, 'form')?.text;
    if (form !== '3.5' && form !== '2.5') continue;
    const size = driveSizes[form];
    driveYAt -= size.heightMm + 6;
    add(
      drive,
      outside.d - size.lengthMm - WALL,
      driveYAt,
      size.lengthMm,
      size.heightMm,
      '',
      false,
      `drive ${form} in`,
    );
  }
  for (const fan of all(plan, 'fan')) {
    const size = mid(numberAt(plan, fan, 'size'), 92);
    const index = Number(fan.seat.replace(/\D/g, '')) - 1;
    add(
      fan,
      outside.d - 25 - 2,
      Math.max(WALL, sideH - size * (index + 1) - WALL * 2),
      25,
      size,
      '',
      false,
      `fan ${round(size)}`,
    );
  }
  return boxes;
}

function endBoxes(plan: Plan, thick: number, board: BoardPlace): Box[] {
  const boxes: Box[] = [];
  const shell = one(plan, 'case');
  const cooler = one(plan, 'cooler');
  if (shell && cooler) {
    const room = numberAt(plan, shell, 'coolerRoom');
    const height = numberAt(plan, cooler, 'height');
    boxes.push({
      seat: cooler.seat,
      x: thick - mid(room, thick - 20),
      y: board.y + 20,
      w: mid(height, 60),
      h: 90,
      label: 'cooler',
      figure: '',
      state: cooler.state,
      open: isOpen(height) || isOpen(room),
    });
  }
  for (const placed of all(plan, 'card').slice(0, 1)) {
    const room = shell && numberAt(plan, shell, 'cardHeightRoom');
    const height = numberAt(plan, placed, 'height');
    boxes.push({
      seat: placed.seat,
      x: thick - mid(room, Math.min(thick - 12, 130)),
      y: cardY(board),
      w: mid(height, cardSizes.fullHeightMm),
      h: 2 * SLOT_PITCH_MM - 2,
      label: 'card',
      figure: `h ${figureOf(height)}`,
      state: placed.state,
      open: isOpen(height) || isOpen(room),
    });
  }
  return boxes;
}

const round = (value: number) => String(Math.round(value));

function figureOf(value: { lo: number; hi: number } | undefined): string {
  if (!value) return '?';
  return value.hi - value.lo < 0.05 ? round(value.lo) : `${round(value.lo)}–${round(value.hi)}`;
}
