import { mid } from '$core/units/range.ts';
import { spaceOf } from '$core/fit/space/space.ts';
import type { Kind } from '$core/model/types/types.ts';
import type { Plan } from '$core/model/lookup/plan.ts';
import type { CaseCut } from './caseCut.ts';

/** Where a measure is taken on the picture: a line from its datum, mm in the section's frame. */
export interface Dimension {
  section: 'side' | 'end';
  x0: number;
  y0: number;
  x1: number;
  y1: number;
  /** What it is taken from. */
  datum: string;
}

/** The line of a measure with its datum; undefined for what is not a length in the picture. */
export function dimensionOf(
  plan: Plan,
  cut: CaseCut,
  at: { seat: string; kind: Kind; key: string },
): Dimension | undefined {
  const space = spaceOf(plan);
  if (!space) return undefined;
  const thick = cut.end.w;
  const box = space.boxes.find((each) => each.seat === at.seat && each.what === 'body');
  const side = (x0: number, y0: number, x1: number, y1: number, datum: string): Dimension => ({
    section: 'side',
    x0,
    y0,
    x1,
    y1,
    datum,
  });
  const end = (x0: number, y: number, x1: number, datum: string): Dimension => ({
    section: 'end',
    x0,
    y0: y,
    x1,
    y1: y,
    datum,
  });
  const slotY = mid(space.at.slotY);
  const socketY = mid(space.at.socketY);
  switch (`${at.kind} ${at.key}`) {
    case 'case coolerRoom':
      return end(
        thick - mid(space.at.socketW ?? { lo: 0, hi: thick }),
        socketY,
        thick,
        "the CPU's top",
      );
    case 'case cardHeightRoom':
      return end(
        thick - mid(space.at.slotW ?? { lo: 0, hi: thick }),
        slotY,
        thick,
        'the slot seat',
      );
    case 'case cardRoom':
      return side(
        0,
        slotY + 12,
        mid(space.at.cardEndX ?? { lo: cut.side.w, hi: cut.side.w }),
        slotY + 12,
        'the inside of the rear wall, upper slot',
      );
    case 'case cageGain':
      return side(
        mid(space.at.cardEndX ?? { lo: 0, hi: 0 }),
        slotY + 24,
        mid(space.at.cageEndX ?? { lo: 0, hi: 0 }),
        slotY + 24,
        'where the cage begins',
      );
    case 'case innerWidth':
      return end(0, cut.end.h * 0.9, thick, 'the tray');
    case 'case innerHeight':
      return side(12, 0, 12, cut.side.h, "the wall at the ports' end");
    case 'case innerDepth':
      return side(0, cut.side.h - 14, cut.side.w, cut.side.h - 14, 'the inside of the rear wall');
    case 'case outerDepth':
      return side(0, cut.side.h, cut.side.w, cut.side.h, 'the rear');
    case 'case outerHeight':
      return side(cut.side.w, 0, cut.side.w, cut.side.h, 'the top');
    case 'case outerWidth':
      return end(0, cut.end.h, thick, 'one side');
    case 'case boardWidth':
      return side(20, mid(space.at.boardY), 20, mid(space.at.boardY) + 244, "the board's port end");
    case 'case boardDepth':
      return side(0, mid(space.at.boardY) + 20, 250, mid(space.at.boardY) + 20, 'the rear wall');
    case 'case bracketDrop':
      return end(thick - 30, socketY, thick, 'the lid');
    case 'board toMemory':
      return side(
        mid(space.at.socketX),
        socketY,
        mid(space.at.memoryX),
        socketY,
        "the CPU's middle",
      );
    case 'board toShield':
      return side(
        mid(space.at.socketX),
        socketY,
        mid(space.at.shieldX),
        socketY,
        "the CPU's middle",
      );
    case 'board toSlot':
      return side(mid(space.at.socketX), socketY, mid(space.at.socketX), slotY, "the CPU's middle");
  }
  if (!box) return undefined;
  const [x0, x1] = [mid(box.x[0]), mid(box.x[1])];
  const [y0, y1] = [mid(box.y[0]), mid(box.y[1])];
  const [w0, w1] = [mid(box.w[0]), mid(box.w[1])];
  switch (at.key) {
    case 'length':
    case 'depth':
      return side(
        x0,
        (y0 + y1) / 2,
        x1,
        (y0 + y1) / 2,
        at.kind === 'card' ? 'the inside of its bracket' : 'the rear edge',
      );
    case 'width':
      return at.kind === 'board'
        ? side((x0 + x1) / 2, y0, (x0 + x1) / 2, y1, 'the port end')
        : side(x0, (y0 + y1) / 2, x1, (y0 + y1) / 2, 'one side');
    case 'breadth':
      return side((x0 + x1) / 2, y0, (x0 + x1) / 2, y1, 'the RAM end');
    case 'height':
    case 'sink':
      return end(
        thick - w1,
        (y0 + y1) / 2,
        thick - w0,
        at.kind === 'cooler' ? "the CPU's top" : 'its slot',
      );
    case 'under':
      return end(
        thick - w1,
        (y0 + y1) / 2 + 10,
        thick - mid(space.at.socketW ?? box.w[1]),
        "the CPU's top",
      );
  }
  return undefined;
}
