import type { Finding, Term } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { isApplied, type Plan } from '../model/lookup/plan.ts';
import { listOfJob } from '../model/lookup/reads.ts';
import type { Make } from '../model/types/makeTypes.ts';
import { offer } from '../remedies/offer.ts';
import { oneOpening } from '../remedies/oneOpening.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { lacking } from './lacking.ts';
import {
  between,
  betweenHoles,
  holeToEdge,
  holeToRing,
  ringToEdge,
  type Piece,
  type Ring,
} from './piece.ts';
import { pieceOf } from './pieceOf.ts';
import { LEAST_TURNS, screwSource, turnsIn } from './screws.ts';
import { bendSource, leastWebMm, sheetKind, webSource } from './sheet.ts';

/** What is to be made stands: metal between openings, to edges and bends, threads, radii. */
export function makeSums(plan: Plan): Finding[] {
  return makesOf(plan).flatMap((make) => {
    const made = pieceOf(plan, make);
    if ('lacks' in made) return [lacking(`make:${make.id}`, make.do, made.lacks)];
    const { piece } = made;
    return [
      ...webs(plan, piece),
      ...edges(piece),
      ...bends(piece),
      ...thread(make),
      ...heads(piece),
    ];
  });
}

export const makesOf = (plan: Plan): readonly Make[] => listOfJob(plan, 'makes') ?? [];

const base = { station: 'make' as const, seats: [], undoMinutes: 45 };

export interface Strip {
  what: string;
  mm: number;
  /** The two openings it stands between. */
  at?: readonly [Ring, Ring];
}

/** Named as it is bought: a size that is a name. */
export const sheetOf = ({ material, thick }: Make): string => `${thick} mm sheet, ${material}`;

/** The narrowest metal left standing between two openings, an opening and a hole, two holes. */
export function tightestWeb({ outline, openings, holes, guides }: Piece): Strip | undefined {
  const strips: Strip[] = [];
  openings.forEach((a, i) => {
    for (const b of openings.slice(i + 1))
      strips.push({ what: `${a.name} and ${b.name}`, mm: between(a, b), at: [a, b] });
    for (const hole of holes)
      strips.push({ what: `${a.name} and the ${hole.name} hole`, mm: holeToRing(hole, a) });
    /* What is cut already: where the new cut runs into it they are one. */
    if (!outline)
      for (const there of guides) {
        const mm = between(a, there);
        if (mm > 0) strips.push({ what: `${a.name} and ${there.name}`, mm, at: [a, there] });
      }
  });
  holes.forEach((a, i) => {
    for (const b of holes.slice(i + 1))
      strips.push({ what: `the holes ${a.name} and ${b.name}`, mm: betweenHoles(a, b) });
  });
  return strips.sort((a, b) => a.mm - b.mm)[0];
}

function webs(plan: Plan, piece: Piece): Finding[] {
  const { of: make } = piece;
  const tight = tightestWeb(piece);
  if (!tight) return [];
  const least = leastWebMm(make.material, make.thick);
  const join = oneOpening({ make: make.id });
  return [
    gap({
      id: `web:${make.id}`,
      ...base,
      title: `web between ${tight.what}`,
      unit: 'mm',
      terms: [
        plain('what is left', range(round(tight.mm)), 1),
        plain(`least for ${sheetOf(make)}`, range(least), -1),
      ],
      minimumMargin: 0,
      spare: 'to spare',
      short: 'thin by',
      source: webSource,
      say: (_, mark) =>
        mark === 'stop'
          ? `Between ${tight.what} only ${round(tight.mm)} mm would stand: it bends under the file.`
          : 'What is left between the openings stands.',
      remedies: () => (tight.at && !isApplied(plan, join) ? [offer(plan, join, 'watch')] : []),
    }),
  ];
}

const round = (mm: number) => Math.round(mm * 100) / 100;

/** Openings and holes against the piece's own edge; a hole wider than its plate breaks out. */
function edges(piece: Piece): Finding[] {
  const { of: make, outline, openings, holes } = piece;
  if (!outline) return [];
  const strips: Strip[] = [
    ...openings.map((each) => ({ what: each.name, mm: ringToEdge(each, outline) })),
    ...holes.map((each) => ({ what: `the ${each.name} hole`, mm: holeToEdge(each, outline) })),
  ];
  const [tight] = strips.sort((a, b) => a.mm - b.mm);
  if (!tight) return [];
  const least = leastWebMm(make.material, make.thick);
  return [
    gap({
      id: `edge:${make.id}`,
      ...base,
      title: `${tight.what} to the edge`,
      unit: 'mm',
      terms: [
        plain('what is left', range(round(tight.mm)), 1),
        plain(`least for ${sheetOf(make)}`, range(least), -1),
      ],
      minimumMargin: 0,
      spare: 'to spare',
      short: 'thin by',
      source: webSource,
      say: (_, mark) =>
        mark === 'clear'
          ? 'Enough is left to the edge.'
          : tight.mm < 0
            ? `${upper(tight.what)} breaks out of the piece: ${round(-tight.mm)} mm over its edge. Make the piece larger.`
            : `Only ${round(tight.mm)} mm would stand between ${tight.what} and the edge.`,
    }),
  ];
}

const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** The inside radius against what the sheet stands, and holes against the bend. */
function bends(piece: Piece): Finding[] {
  const { of: make, bends: lines, holes } = piece;
  const { leastRadius } = sheetKind(make.material);
  if (lines.length === 0 || !leastRadius || !('radius' in make)) return [];
  const least = range(leastRadius.lo * make.thick, leastRadius.hi * make.thick);
  const found = [
    gap({
      id: `radius:${make.id}`,
      ...base,
      title: 'inside radius of the bend',
      unit: 'mm',
      terms: [
        plain('radius', range(make.radius), 1),
        { ...plain(`least for ${sheetOf(make)}`, least, -1), how: 'class' },
      ],
      minimumMargin: 0,
      short: 'too tight',
      source: commonPractice,
      say: (_, mark) =>
        mark === 'stop'
          ? 'So tight the outside cracks: a larger radius, or a softer sheet.'
          : mark === 'clear'
            ? 'The sheet stands that bend.'
            : 'Whether it cracks depends on how hard the sheet is: bend a strip of it first.',
    }),
  ];
  const strips = holes.flatMap((hole) =>
    lines.map((line) => ({
      what: `the ${hole.name} hole`,
      mm: Math.max(line.from - hole.x, hole.x - line.to) - hole.mm / 2,
    })),
  );
  const [tight] = strips.sort((a, b) => a.mm - b.mm);
  if (!tight) return found;
  const need = 2 * make.thick + make.radius;
  return [
    ...found,
    gap({
      id: `bend-hole:${make.id}`,
      ...base,
      title: `${tight.what} to the bend`,
      unit: 'mm',
      terms: [
        plain('to where the bend begins', range(round(tight.mm)), 1),
        plain('two thicknesses and the radius', range(need), -1),
      ],
      minimumMargin: 0,
      short: 'too near',
      source: commonPractice,
      say: (_, mark) =>
        mark === 'clear'
          ? 'The holes stay round when it is bent.'
          : 'A hole so near the bend is pulled oval: a longer leg, or drill it after bending.',
    }),
    flat(piece),
  ];
}

/** How long the flat is, and how much K leaves open: said so that the second one is right. */
function flat({ of: make, outline, openMm }: Piece): Finding {
  const length = (outline?.x1 ?? 0) - (outline?.x0 ?? 0);
  const term: Term = plain(
    'cut the strip to',
    range(round(length - openMm / 2), round(length + openMm / 2)),
    0,
  );
  return {
    id: `flat:${make.id}`,
    station: 'make',
    mark: openMm > 0.5 ? 'watch' : 'clear',
    title: 'length of the flat',
    seats: [],
    unit: 'mm',
    terms: [term],
    marginLabel: `${round(length)} mm`,
    say:
      openMm > 0.5
        ? `Between ${round(length - openMm / 2)} and ${round(length + openMm / 2)} mm by how hard the sheet is: bend a strip and measure it first.`
        : `${round(length)} mm, give or take ${round(openMm / 2)}.`,
    source: bendSource,
    remedies: [],
    undoMinutes: 20,
  };
}

/** Turns of a thread in the sheet. */
function thread(make: Make): Finding[] {
  const threaded = make.do === 'card openings' || (make.do === 'drill template' && make.threaded);
  if (!threaded) return [];
  const turns = turnsIn(make.screw, make.thick);
  return [
    gap({
      id: `thread:${make.id}`,
      ...base,
      title: `${make.screw} thread in ${sheetOf(make)}`,
      unit: '',
      terms: [
        plain('turns in the sheet', range(round(turns)), 1),
        plain('turns that hold', range(LEAST_TURNS), -1),
      ],
      minimumMargin: 0,
      short: 'short',
      lack: 'mend',
      source: screwSource,
      say: (_, mark) =>
        mark === 'clear'
          ? 'The thread holds in the sheet.'
          : 'Too few turns hold: a nut behind it, a rivet nut, or a finer thread.',
    }),
  ];
}

/** Heads of screws that would stand over an opening or beyond the edge. */
function heads({ of: make, outline, openings, holes }: Piece): Finding[] {
  const over = holes.flatMap((hole) => {
    if (hole.headMm === undefined) return [];
    const head = { ...hole, mm: hole.headMm };
    const room = Math.min(
      outline ? holeToEdge(head, outline) : Infinity,
      ...openings.map((each) => holeToRing(head, each)),
    );
    return room < 0 ? [{ name: hole.name, mm: round(-room) }] : [];
  });
  const [worst] = over.sort((a, b) => b.mm - a.mm);
  if (!worst) return [];
  return [
    gap({
      id: `head:${make.id}`,
      ...base,
      title: `head of the ${worst.name} screw`,
      unit: 'mm',
      terms: [plain('over the edge', range(worst.mm), -1)],
      minimumMargin: 0,
      short: 'over',
      lack: 'mend',
      source: screwSource,
      say: () =>
        `The head of the ${worst.name} screw stands ${worst.mm} mm over the edge: a smaller screw, or a countersunk one.`,
    }),
  ];
}
