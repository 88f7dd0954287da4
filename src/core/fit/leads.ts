import type { NumberKey } from '../model/properties/index.ts';
import { gap, worthSaying } from '../findings/gap.ts';
import type { Finding } from '../findings/finding.ts';
import { plain, termOf } from '../findings/terms.ts';
import {
  fedByOneVoltage,
  partsOfKind,
  listAt,
  numberAt,
  partOfKind,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { range, mid } from '../units/range.ts';
import type { Box } from './space/box.ts';
import type { Coord } from './space/coord.ts';
import { route, type Rect, type Spot } from './space/route.ts';
import { spaceOf, type Space } from './space/space.ts';
import { longerLead } from '../remedies/longerLead.ts';
import { offerIn } from '../remedies/offer.ts';

/** Slack a lead needs to be plugged in without pulling, mm (common practice, no source). */
const SLACK_MM = 30;

export interface LeadPath {
  id: string;
  /** The seats at its two ends. */
  seats: [string, string];
  /** What it is called on the tape. */
  name: string;
  holder: Placed;
  key: NumberKey;
  /** Shortest way round the parts, mm. */
  path: Spot[];
  mm: { lo: number; hi: number };
}

/** Leads of supply and front along their ways round the parts, and what slack is left. */
export function leads(plan: Plan): Finding[] {
  const found = leadPaths(plan).flatMap((lead) => {
    const length = numberAt(plan, lead.holder, lead.key);
    if (!length) return [];
    return gap({
      id: `lead:${lead.id}`,
      station: 'fit',
      title: lead.name,
      seats: lead.seats,
      unit: 'mm',
      terms: [
        termOf(lead.holder, lead.key, 'length of the lead', 1, length),
        plain(
          'its way round the parts, with slack',
          range(lead.mm.lo + SLACK_MM, lead.mm.hi + SLACK_MM),
          -1,
        ),
      ],
      minimumMargin: 0,
      spare: 'slack',
      source: commonPractice,
      undoMinutes: 25,
      say: (rest, mark) =>
        mark === 'stop'
          ? `The ${lead.name} is ${Math.ceil(-rest.hi)} mm too short for its way.`
          : mark === 'clear'
            ? `The ${lead.name} reaches with slack.`
            : `The ${lead.name} may pull: lay a string along the way, or measure the lead.`,
      remedies: (rest) => offerIn(plan, longerLead({ lead: lead.id, name: lead.name }), rest, 0),
    });
  });
  return found
    .filter(worthSaying)
    .filter((each, i) => isMeasured(each) || !found.some((other, k) => shorter(each, i, other, k)));
}

const isMeasured = (finding: Finding) => finding.terms[0]?.how !== 'class';

/** Of the leads of one supply that nobody measured the shortest speaks for all. */
const shorter = (each: Finding, i: number, other: Finding, k: number) =>
  !isMeasured(other) &&
  other.terms[0]?.input?.partId === each.terms[0]?.input?.partId &&
  ((other.margin?.lo ?? 0) < (each.margin?.lo ?? 0) ||
    (other.margin?.lo === each.margin?.lo && k < i));

/** The leads a plan needs, each with its shortest way in the side section. */
export function leadPaths(plan: Plan): LeadPath[] {
  const space = spaceOf(plan);
  const board = space?.boxes.find((box) => box.id === 'board');
  if (!space || !board) return [];
  const found: LeadPath[] = [];
  const walls = obstacles(space);
  const bounds = boundsOf(space);
  const add = (lead: Omit<LeadPath, 'path' | 'mm'>, from: End, to: End) => {
    const way = route(from.at, to.at, walls, bounds);
    if (!way) return;
    const straight = Math.abs(from.at.x - to.at.x) + Math.abs(from.at.y - to.at.y);
    const unsure = from.unsureMm + to.unsureMm;
    found.push({
      ...lead,
      path: way.path,
      mm: { lo: Math.max(0, straight - unsure), hi: way.mm + unsure + RISE_MM },
    });
  };
  const supply = partOfKind(plan, 'supply');
  const plugs = space.boxes.find((box) => box.id === 'supply:bend');
  const outside = space.at.supplyAt === 'outside the case';
  const from = outside ? besideRear(board) : plugs && middle(plugs);
  if (supply && from && !fedByOneVoltage(plan, supply)) {
    if (numberAt(plan, supply, 'leadMain'))
      add(
        {
          id: 'main',
          seats: ['supply', 'board'],
          name: 'main lead',
          holder: supply,
          key: 'leadMain',
        },
        from,
        spot(board, 1, 0.45),
      );
    if (partOfKind(plan, 'processor'))
      add(
        {
          id: 'processor',
          seats: ['supply', 'board'],
          name: 'CPU lead',
          holder: supply,
          key: 'leadProcessor',
        },
        from,
        spot(board, 0.2, 0),
      );
    for (const card of partsOfKind(plan, 'card')) {
      const body = space.boxes.find((box) => box.id === card.seat);
      if (body && (listAt(plan, card, 'plugs')?.items.length ?? 0) > 0)
        add(
          {
            id: card.seat,
            seats: ['supply', card.seat],
            name: 'card lead',
            holder: supply,
            key: 'leadCard',
          },
          from,
          spot(body, 1, 0),
        );
    }
  }
  const front = partOfKind(plan, 'leads');
  if (front && space.at.frontX) {
    const at = { x: mid(space.at.frontX), y: mid(board.y[0]) };
    add(
      { id: 'front', seats: ['leads', 'board'], name: 'front lead', holder: front, key: 'length' },
      { at, unsureMm: FRONT_UNSURE_MM + half(space.at.frontX) + half(board.y[0]) },
      spot(board, 1, 1),
    );
  }
  return found;
}

/** A PSU outside stands somewhere behind the rear wall. */
const besideRear = (board: Box): End => ({
  at: { x: -40, y: (mid(board.y[0]) + mid(board.y[1])) / 2 },
  unsureMm: OUTSIDE_UNSURE_MM,
});

/** How far from there it may stand, mm (common practice, no source). */
const OUTSIDE_UNSURE_MM = 150;

/** Where along the front its lead begins, mm. */
const FRONT_UNSURE_MM = 60;

/** From the board's level up to a plug and down again, mm (common practice, no source). */
const RISE_MM = 60;

interface End {
  at: Spot;
  /** How far off the place may be. */
  unsureMm: number;
}

const half = (value: Coord) => (value.hi - value.lo) / 2;

function middle(box: Box): End {
  return spot(box, 0.5, 0.5);
}

/** A spot on a box, by the share of its depth and of its width. */
function spot(box: Box, share: number, down: number): End {
  const [x0, x1] = [mid(box.x[0]), mid(box.x[1])];
  const [y0, y1] = [mid(box.y[0]), mid(box.y[1])];
  return {
    at: { x: x0 + (x1 - x0) * share, y: y0 + (y1 - y0) * down },
    unsureMm:
      half(box.x[0]) * (1 - share) +
      half(box.x[1]) * share +
      half(box.y[0]) * (1 - down) +
      half(box.y[1]) * down,
  };
}

/** What a lead has to go round: tall parts, seen from the lid, as large as they may be. */
function obstacles(space: Space): Rect[] {
  return space.boxes
    .filter((box) => box.what === 'body' && box.kind !== 'board' && box.kind !== 'memory')
    .map((box) => ({ x0: box.x[0].lo, x1: box.x[1].hi, y0: box.y[0].lo, y1: box.y[1].hi }))
    .filter((rect) => rect.x1 > rect.x0 && rect.y1 > rect.y0);
}

function boundsOf(space: Space): Rect {
  const far = (axis: 'x' | 'y') => Math.max(...space.boxes.map((box) => box[axis][1].hi)) + 20;
  return {
    x0: -40,
    y0: -20,
    x1: Math.max(far('x'), space.at.frontX?.hi ?? 0),
    y1: Math.max(far('y'), space.at.bottomY?.hi ?? 0),
  };
}
