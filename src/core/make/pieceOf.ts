import { isApplied, listAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { portViews } from '../model/lookup/portViews.ts';
import type {
  CardOpenings,
  DrillTemplate,
  LBracket,
  Make,
  MeshCut,
  Plate,
  RearPlate,
  RearWall,
  SlotBracket,
  SupplyPlate,
  ZBracket,
} from '../model/types/makeTypes.ts';
import type { Area } from '../model/types/shapes.ts';
import { oneOpening } from '../remedies/oneOpening.ts';
import { flatOf, type Bend } from './bend.ts';
import {
  BRACKET_TAB,
  BRACKET_WIDE,
  bracketLong,
  OPENING_WIDE,
  openingLong,
  SCREW_OVER,
  SLOT_PITCH,
} from './cardBrackets.ts';
import { supplyFaces } from '../standards/patterns.ts';
import { patternOf } from './patterns.ts';
import { between, ring, type Hole, type Piece, type Ring } from './piece.ts';
import { headMm, passHole, tapDrill } from './screws.ts';
import { leastWebMm, sheetKind } from './sheet.ts';

const NO_HOLES = 'The board has no holes yet: measure them, or say its format (Fit, Holes).';

/** Why nothing can be drawn yet, in words; or the piece. */
export type Made = { piece: Piece } | { lacks: string };

/** A thing to make as a flat piece of sheet, from its own figures and the plan's measures. */
export function pieceOf(plan: Plan, make: Make): Made {
  switch (make.do) {
    case 'rear wall':
      return rearWall(plan, make);
    case 'rear plate':
      return rearPlate(plan, make);
    case 'drill template':
      return drillTemplate(plan, make);
    case 'plate':
      return plate(plan, make);
    case 'L bracket':
      return bracket(make, [make.legA, make.legB], [true]);
    case 'Z bracket':
      return bracket(make, [make.legA, make.web, make.legB], [true, false]);
    case 'slot bracket':
      return slotBracket(make);
    case 'card openings':
      return { piece: cardOpenings(make) };
    case 'PSU plate':
      return { piece: supplyPlate(make) };
    case 'dust mesh':
      return { piece: mesh(make) };
  }
}

const bare = (of: Make): Piece => ({
  of,
  name: of.do,
  material: of.material,
  thick: of.thick,
  openings: [],
  holes: [],
  bends: [],
  guides: [],
  openMm: 0,
});

/** A port with air round it; `up`: what the wall is offset against the board's surface. */
const roundPort = (
  port: Area,
  { allowance, corner }: { allowance: number; corner: number },
): Ring =>
  ring(
    port.name,
    port.x0 - allowance,
    port.y0 - allowance,
    port.x1 - port.x0 + 2 * allowance,
    port.y1 - port.y0 + 2 * allowance,
    corner,
  );

/** Openings closer than the sheet stands become one, with each other and with what is cut already, where that was chosen. */
function joined(
  plan: Plan,
  make: RearWall | RearPlate,
  openings: readonly Ring[],
  there: readonly Ring[] = [],
): Ring[] {
  if (!isApplied(plan, oneOpening({ make: make.id }))) return [...openings];
  const least = leastWebMm(make.material, make.thick);
  const left = openings.map((each) =>
    there.reduce((now, old) => {
      const web = between(now, old);
      return web > 0 && web < least ? reaching(now, old) : now;
    }, each),
  );
  for (let i = 0; i < left.length; i += 1)
    for (let k = i + 1; k < left.length; k += 1) {
      const [a, b] = [left[i] as Ring, left[k] as Ring];
      if (between(a, b) >= least) continue;
      const x0 = Math.min(a.x0, b.x0);
      const y0 = Math.min(a.y0, b.y0);
      const width = Math.max(a.x1, b.x1) - x0;
      const height = Math.max(a.y1, b.y1) - y0;
      left.splice(k, 1);
      left[i] = ring(`${a.name}, ${b.name}`, x0, y0, width, height, make.corner);
      i = -1;
      break;
    }
  return left;
}

/** An opening cut on until it runs into one that is there. */
function reaching(now: Ring, old: Ring): Ring {
  const wider = {
    ...now,
    x0: old.x1 < now.x0 ? old.x1 : now.x0,
    x1: old.x0 > now.x1 ? old.x0 : now.x1,
    y0: old.y1 < now.y0 ? old.y1 : now.y0,
    y1: old.y0 > now.y1 ? old.y0 : now.y1,
  };
  return { ...wider, name: `${now.name}, ${old.name}` };
}

/** Ports that are behind metal, or all where nobody listed what is cut already. Seen from inside, from the board's edge at the port end. */
function rearWall(plan: Plan, make: RearWall): Made {
  const [shell, board] = [partOfKind(plan, 'case'), partOfKind(plan, 'board')];
  const ports = (board && listAt(plan, board, 'ports')?.items) ?? [];
  if (ports.length === 0) return { lacks: 'Say where the ports of the board are: Fit, Rear.' };
  const there = (shell && listAt(plan, shell, 'openings')?.items) ?? [];
  const hidden = portViews(ports, there).filter(({ blockedMm }) => blockedMm > 0);
  if (hidden.length === 0) return { lacks: 'Every port shows through the wall as it is.' };
  const guides = there.map(({ name, x0, x1, y0, y1 }) => ring(name, x0, y0, x1 - x0, y1 - y0));
  const wanted = hidden.map(({ port }) => roundPort(port, make));
  return { piece: { ...bare(make), openings: joined(plan, make, wanted, guides), guides } };
}

/** A plate with the ports in it, the ports in its middle, a screw in each corner. */
function rearPlate(plan: Plan, make: RearPlate): Made {
  const board = partOfKind(plan, 'board');
  const ports = (board && listAt(plan, board, 'ports')?.items) ?? [];
  if (ports.length === 0) return { lacks: 'Say where the ports of the board are: Fit, Rear.' };
  const x0 = Math.min(...ports.map((port) => port.x0));
  const x1 = Math.max(...ports.map((port) => port.x1));
  const y0 = Math.min(...ports.map((port) => port.y0));
  const y1 = Math.max(...ports.map((port) => port.y1));
  const outline = ring(
    'plate',
    (x0 + x1 - make.width) / 2,
    (y0 + y1 - make.height) / 2,
    make.width,
    make.height,
    2,
  );
  const openings = ports.map((port) => roundPort(port, make));
  return {
    piece: {
      ...bare(make),
      outline,
      openings: joined(plan, make, openings),
      holes: cornerHoles(outline, make),
    },
  };
}

/** A plate with a screw in each corner and a pattern of holes in its middle. */
function plate(plan: Plan, make: Plate): Made {
  const outline = ring('plate', 0, 0, make.width, make.height, make.corner);
  const found = make.pattern === 'none' ? undefined : patternOf(plan, make.pattern);
  if (make.pattern !== 'none' && !found) return { lacks: NO_HOLES };
  const points = found?.points ?? [];
  const middle = (of: readonly number[]) => (Math.min(...of) + Math.max(...of)) / 2;
  const dx = make.width / 2 - (points.length > 0 ? middle(points.map(({ x }) => x)) : 0);
  const dy = make.height / 2 - (points.length > 0 ? middle(points.map(({ y }) => y)) : 0);
  return {
    piece: {
      ...bare(make),
      outline,
      holes: [
        ...cornerHoles(outline, make, make.inset),
        ...points.map(({ name, x, y }) => ({
          name,
          x: x + dx,
          y: y + dy,
          mm: passHole(make.screw),
        })),
      ],
    },
  };
}

/** A screw in each corner, its head inside the edge. */
function cornerHoles(
  edge: Ring,
  { screw }: Pick<RearPlate, 'screw'>,
  inset = headMm(screw) / 2 + 1.5,
): Hole[] {
  const head = headMm(screw);
  const at = (x: number, y: number): Hole => ({
    name: screw,
    x,
    y,
    mm: passHole(screw),
    headMm: head,
  });
  return [
    at(edge.x0 + inset, edge.y0 + inset),
    at(edge.x1 - inset, edge.y0 + inset),
    at(edge.x0 + inset, edge.y1 - inset),
    at(edge.x1 - inset, edge.y1 - inset),
  ];
}

function drillTemplate(plan: Plan, make: DrillTemplate): Made {
  const found = patternOf(plan, make.pattern);
  if (!found) return { lacks: NO_HOLES };
  const mm = make.threaded ? tapDrill(make.screw) : passHole(make.screw);
  return {
    piece: {
      ...bare(make),
      name: `${make.pattern}, holes`,
      holes: found.points.map(({ name, x, y }) => ({ name, x, y, mm })),
    },
  };
}

/** A strip with a bend between each two legs, and a screw in the middle of the first and the last. */
function bracket(
  make: LBracket | ZBracket,
  legs: readonly number[],
  ups: readonly boolean[],
): Made {
  const { k } = sheetKind(make.material);
  if (!k) return { lacks: `${make.material} is not bent cold: take steel or aluminium.` };
  const bend: Bend = { degrees: 90, radius: make.radius, thick: make.thick, k };
  let flat;
  try {
    flat = flatOf(legs, bend);
  } catch (error) {
    return {
      lacks: `${(error as Error).message.replace(/^leg/, 'Leg')}: a longer leg, or a smaller radius.`,
    };
  }
  const length = (flat.length.lo + flat.length.hi) / 2;
  const outline = ring('flat', 0, 0, length, make.width);
  const [first, last] = [flat.bends[0], flat.bends.at(-1)];
  const hole = (x: number): Hole => ({
    name: make.screw,
    x,
    y: make.width / 2,
    mm: passHole(make.screw),
    headMm: headMm(make.screw),
  });
  return {
    piece: {
      ...bare(make),
      outline,
      holes: [hole((first?.from ?? 0) / 2), hole((length + (last?.to ?? length)) / 2)],
      bends: flat.bends.map(({ middle, from, to }, i) => ({
        x: (middle.lo + middle.hi) / 2,
        from,
        to,
        degrees: 90,
        up: ups[i] ?? true,
      })),
      openMm: flat.length.hi - flat.length.lo,
    },
  };
}

/**
 * A card's bracket: its tab bent over, a screw in the tab, an opening where wanted. A low one shows the tall one it
 * may be cut from: what stays is measured from the lower end, and bent anew.
 */
function slotBracket(make: SlotBracket): Made {
  const long = bracketLong[make.size];
  const bent = bracket(
    { ...make, do: 'L bracket', legA: long, legB: BRACKET_TAB, width: BRACKET_WIDE },
    [long, BRACKET_TAB],
    [true],
  );
  if ('lacks' in bent) return bent;
  const { piece } = bent;
  const [, tab] = piece.holes;
  const blank = make.along === 0 || make.across === 0;
  const tall = bracketLong['full height'];
  return {
    piece: {
      ...piece,
      of: make,
      name: make.do,
      holes: tab ? [tab] : [],
      openings: blank
        ? []
        : [
            ring(
              'ports',
              (long - make.along) / 2,
              (BRACKET_WIDE - make.across) / 2,
              make.along,
              make.across,
              0.5,
            ),
          ],
      guides:
        make.size === 'low profile'
          ? [ring('tall bracket', 0, 0, tall, BRACKET_WIDE)]
          : piece.guides,
    },
  };
}

/** Openings for card brackets side by side, each with its screw above it. */
function cardOpenings(make: CardOpenings): Piece {
  const long = openingLong[make.size];
  const slots = Array.from({ length: Math.round(make.slots) }, (_, i) => i * SLOT_PITCH);
  return {
    ...bare(make),
    openings: slots.map((x, i) => ring(`slot ${i + 1}`, x, 0, OPENING_WIDE, long, 0.5)),
    holes: slots.map((x, i) => ({
      name: `${i + 1}`,
      x: x + OPENING_WIDE / 2,
      y: long + SCREW_OVER,
      mm: tapDrill(make.screw),
    })),
  };
}

/** The rear face of an ATX bay with an SFX PSU's holes and the hole for its face in it. */
function supplyPlate(make: SupplyPlate): Piece {
  const [bay, small] = [supplyFaces.ATX, supplyFaces.SFX];
  const dx = (bay.width - small.width) / 2 + make.aside;
  const dy = (bay.height - small.height) / 2;
  const at = (points: typeof bay.points, x: number, y: number, name: string): Hole[] =>
    points.map((point) => ({
      name,
      x: point[0] + x,
      y: point[1] + y,
      mm: passHole('6-32'),
      headMm: headMm('6-32'),
    }));
  /* Its face lies on the plate by its rim; socket, switch and grille look through. */
  const RIM = 12;
  return {
    ...bare(make),
    name: 'SFX PSU in an ATX bay',
    outline: ring('plate', 0, 0, bay.width, bay.height, 2),
    openings: [ring('face', dx + RIM, dy + RIM, small.width - 2 * RIM, small.height - 2 * RIM, 3)],
    holes: [...at(bay.points, 0, 0, 'bay'), ...at(small.points, dx, dy, 'PSU')],
  };
}

/** Mesh as large as its opening and the border it is held by. */
function mesh(make: MeshCut): Piece {
  return {
    ...bare(make),
    outline: ring(
      'mesh',
      -make.border,
      -make.border,
      make.width + 2 * make.border,
      make.height + 2 * make.border,
      2,
    ),
    guides: [ring('opening', 0, 0, make.width, make.height)],
  };
}
