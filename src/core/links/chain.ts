import type { NumberKey } from '../model/properties/index.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import {
  partsOfKind,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
  sortOf,
  isSort,
} from '../model/lookup/plan.ts';
import { laneGBs, linkSource, LONG_LANES, newestGeneration } from '../standards/links.ts';
import { commonPractice } from '../standards/source.ts';
import { range, type Range } from '../units/range.ts';
import { betweenSlots } from '../model/properties/smallSorts.ts';

/** A stretch of the way to a device: lanes and generation, both as ranges while nobody looked. */
export interface Element {
  name: string;
  seat: string;
  lanes: Range;
  generation: Range;
  /** Somebody said either of it. */
  told: boolean;
}

/** The way from the board to a card or an M.2 drive, device last. */
export interface Chain {
  seat: string;
  name: string;
  elements: Element[];
  /** Gigabytes a second the way gives, the device could use, and the element that narrows it. */
  gives: Range;
  wants: Range;
  weakest: Element | undefined;
}

/** What boards and devices mostly have where nobody looked (common practice, no source). */
const usual = {
  slot: { lanes: range(1, 16), generation: range(1, 5) },
  socket: { lanes: range(1, 4), generation: range(2, 5) },
  picture: { lanes: range(8, 16), generation: range(2, 4) },
  card: { lanes: range(1, 8), generation: range(1, 4) },
  any: { lanes: range(1, 16), generation: range(1, 4) },
  drive: { lanes: range(2, 4), generation: range(3, 4) },
  between: { lanes: range(1, 16), generation: range(2, 4) },
};

const rate = ({ lanes, generation }: Pick<Element, 'lanes' | 'generation'>): Range =>
  range(
    lanes.lo * laneGBs(Math.max(1, Math.floor(generation.lo))),
    lanes.hi * laneGBs(Math.min(newestGeneration, Math.ceil(generation.hi))),
  );

function element(
  plan: Plan,
  placed: Placed,
  name: string,
  keys: readonly [NumberKey, NumberKey],
  usually: { lanes: Range; generation: Range },
): Element {
  const [lanes, generation] = keys.map((key) => numberAt(plan, placed, key));
  const within = (told: Range | undefined, usual_: Range, most: number) =>
    told
      ? range(Math.min(most, Math.max(1, told.lo)), Math.min(most, Math.max(1, told.hi)))
      : usual_;
  return {
    name,
    seat: placed.seat,
    lanes: within(lanes, usually.lanes, 16),
    generation: within(generation, usually.generation, newestGeneration),
    told: lanes !== undefined || generation !== undefined,
  };
}

/** The chain of every card and every drive in an M.2 socket. */
export function chainsOf(plan: Plan): Chain[] {
  const board = partOfKind(plan, 'board');
  if (!board) return [];
  const long = partsOfKind(plan, 'card').filter(
    (card) => (numberAt(plan, card, 'lanes')?.lo ?? 0) >= LONG_LANES,
  );
  return [
    ...partsOfKind(plan, 'card').map((card) => {
      const screens = numberAt(plan, card, 'screens');
      const sort =
        !screens || (screens.lo === 0 && screens.hi > 0)
          ? 'any'
          : screens.hi > 0
            ? 'picture'
            : 'card';
      const through = between(plan, card.seat);
      /* A card on an adapter in an M.2 socket hangs on that socket's lanes. */
      const m2 = through.some((each) => sortOf(plan, each) === 'M.2 adapter');
      return chain(
        card,
        [
          m2
            ? element(plan, board, 'M.2 socket', ['m2Lanes', 'm2Gen'], usual.socket)
            : slotOf(plan, board, long.length > 1 ? long.indexOf(card) : -1),
          ...elementsOf(plan, through),
        ],
        element(plan, card, card.part.name, ['lanes', 'gen'], usual[sort]),
      );
    }),
    ...partsOfKind(plan, 'drive').flatMap((drive) => {
      if (textAt(plan, drive, 'form')?.text !== 'M.2') return [];
      if (textAt(plan, drive, 'bus')?.text === 'SATA') return [];
      const through = between(plan, drive.seat);
      return chain(
        drive,
        [
          element(plan, board, 'M.2 socket', ['m2Lanes', 'm2Gen'], usual.socket),
          ...elementsOf(plan, through),
        ],
        element(plan, drive, drive.part.name, ['lanes', 'gen'], usual.drive),
      );
    }),
  ];
}

/**
 * The slot of a card; `at` is its place among several long cards, -1 where it is the only one. Long slots of most
 * boards share sixteen lanes: with two cards each gets eight, or the second one four or one, unless it is said.
 */
function slotOf(plan: Plan, board: Placed, at: number): Element {
  const slot = element(plan, board, 'slot', ['slotLanes', 'slotGen'], usual.slot);
  if (at < 0) return slot;
  const said = textAt(plan, board, 'slotPair')?.text;
  const pair = said?.split(' + ').map(Number) ?? [];
  const lanes = pair[at] ?? pair[1];
  return {
    ...slot,
    name: at === 0 ? 'slot, beside another card' : 'second long slot',
    lanes: lanes === undefined ? range(at === 0 ? 8 : 1, slot.lanes.hi) : range(lanes),
    told: slot.told || lanes !== undefined || at > 0,
  };
}

/** Risers and adapters that carry the device of a seat. */
const between = (plan: Plan, seat: string): Placed[] =>
  partsOfKind(plan, 'small').filter((each) => {
    const carries = textAt(plan, each, 'carries')?.text;
    return isSort(plan, each, betweenSlots) && (carries ?? 'card1') === seat;
  });

const elementsOf = (plan: Plan, list: readonly Placed[]): Element[] =>
  list.map((each) => element(plan, each, each.part.name, ['lanes', 'gen'], usual.between));

function chain(device: Placed, way: Element[], last: Element): Chain {
  const all_ = [...way, last];
  const least = (of: (each: Element) => Range): Range => ({
    lo: Math.min(...all_.map((each) => of(each).lo)),
    hi: Math.min(...all_.map((each) => of(each).hi)),
  });
  const narrow = {
    lanes: least((each) => each.lanes),
    generation: least((each) => each.generation),
  };
  const wants = rate(last);
  const gives = rate(narrow);
  const [weakest] = [...way].filter((each) => each.told).sort((a, b) => rate(a).hi - rate(b).hi);
  return { seat: device.seat, name: device.part.name, elements: all_, gives, wants, weakest };
}

/** What the way costs each device, said where something of the way is known or an adapter stands in it. */
export function links(plan: Plan): Finding[] {
  return chainsOf(plan).flatMap((each) => {
    const known = each.elements.slice(0, -1).some((one_) => one_.told) || each.elements.length > 2;
    if (!known) return [];
    /* Of the same lanes at the same speed nothing is lost, whatever both are. */
    const lost = lostOf(each);
    const device = each.elements.at(-1) as Element;
    const terms: Term[] = [
      { ...plain('the way gives', each.gives, 0), how: 'class' },
      ...each.elements.map((one_): Term => ({
        ...plain(one_.name, describe(one_), 0),
        how: one_.told ? 'said' : 'class',
      })),
    ];
    const mark = lost.lo <= 1e-9 && lost.hi <= 1e-9 ? 'clear' : 'watch';
    return [
      {
        id: `link:${each.seat}`,
        station: 'links',
        mark,
        title: `the way to ${each.name}`,
        seats: [...new Set(['board', ...each.elements.map((one_) => one_.seat)])],
        unit: 'GB/s',
        terms,
        margin: range(0 - lost.hi, 0 - lost.lo),
        marginLabel: lost.lo > 0 ? 'lost' : lost.hi > 0 ? 'may be lost' : 'nothing lost',
        say: saysOf(each, device, lost),
        source: linkSource,
        remedies: [],
        undoMinutes: 30,
      },
    ];
  });
}

/** Gigabytes a second the device could use and does not get. */
function lostOf({ elements, wants }: Chain): Range {
  const device = elements.at(-1) as Element;
  const way = elements.slice(0, -1);
  const narrowest = (end: 'lo' | 'hi'): Pick<Element, 'lanes' | 'generation'> => ({
    lanes: range(
      Math.min(...way.map((each) => each.lanes[end]), device.lanes[end === 'lo' ? 'hi' : 'lo']),
    ),
    generation: range(
      Math.min(
        ...way.map((each) => each.generation[end]),
        device.generation[end === 'lo' ? 'hi' : 'lo'],
      ),
    ),
  });
  return range(
    Math.max(0, wants.lo - rate(narrowest('hi')).hi),
    Math.max(0, wants.hi - rate(narrowest('lo')).lo),
  );
}

const figure = ({ lo, hi }: Range) => (lo === hi ? String(lo) : `${lo} to ${hi}`);
const describe = ({ lanes, generation }: Element) =>
  `x${figure(lanes)}, generation ${figure(generation)}`;

function saysOf({ weakest, gives }: Chain, device: Element, lost: Range): string {
  if (lost.hi <= 1e-9) return 'It gets all it can use.';
  if (!weakest || lost.lo <= 0)
    return `It may get ${gives.lo.toFixed(1)} GB/s only: count the contacts, read the generation.`;
  const narrow =
    weakest.lanes.hi < device.lanes.lo
      ? `${weakest.lanes.hi} of ${device.lanes.lo} lanes`
      : `generation ${weakest.generation.hi} of ${device.generation.lo}`;
  const passes = `${weakest.name} passes ${narrow}: ${gives.hi.toFixed(1)} GB/s of ${(gives.hi + lost.lo).toFixed(1)}.`;
  return weakest.seat === 'board'
    ? `${passes} That is the board's limit: there is nothing to buy for it.`
    : `${passes} Find another before you buy this.`;
}

/** Sockets and ports for drives, lanes shared between them, and what an adapter displaces. */
export function drivePlaces(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  if (!board) return [];
  const drives = partsOfKind(plan, 'drive').map((drive) => ({
    drive,
    form: textAt(plan, drive, 'form')?.text,
  }));
  const m2 = drives.filter(({ form }) => form === 'M.2');
  const wired = drives.filter(({ form }) => form === '3.5' || form === '2.5');
  const adapters = partsOfKind(plan, 'small').filter(
    (each) => sortOf(plan, each) === 'M.2 adapter',
  );
  const sockets = numberAt(plan, board, 'm2');
  const ports = numberAt(plan, board, 'sata');
  const found: Finding[] = [];
  if (sockets && m2.length + adapters.length > 0)
    found.push(
      gap({
        id: 'm2-sockets',
        station: 'links',
        title: 'M.2 sockets',
        seats: [
          'board',
          ...m2.map(({ drive }) => drive.seat),
          ...adapters.map((each) => each.seat),
        ],
        unit: '',
        terms: [
          termOf(board, 'm2', 'sockets', 1, sockets),
          plain('drives in them', range(m2.length), -1),
          ...(adapters.length > 0 ? [plain('adapters in them', range(adapters.length), -1)] : []),
        ],
        minimumMargin: 0,
        short: 'short',
        source: commonPractice,
        undoMinutes: 30,
        say: (_, mark) =>
          mark === 'stop'
            ? adapters.length > 0
              ? 'The adapter takes the socket a drive lives in: give that drive a port, a lead and power, or leave it out.'
              : 'More M.2 drives than sockets.'
            : 'Every M.2 drive has a socket.',
      }),
    );
  if (ports && wired.length > 0) {
    const takes = numberAt(plan, board, 'm2Takes') ?? range(0);
    const used = Math.min(m2.length, sockets?.hi ?? m2.length);
    const shared = range(used > 0 ? takes.lo : 0, used > 0 ? takes.hi : 0);
    found.push(
      gap({
        id: 'sata-ports',
        station: 'links',
        title: 'drive ports',
        seats: ['board', ...wired.map(({ drive }) => drive.seat)],
        unit: '',
        terms: [
          termOf(board, 'sata', 'ports', 1, ports),
          ...(shared.hi > 0 ? [plain('taken by the M.2 socket in use', shared, -1)] : []),
          plain('drives on them', range(wired.length), -1),
        ],
        minimumMargin: 0,
        short: 'short',
        source: commonPractice,
        undoMinutes: 20,
        say: (_, mark) =>
          mark === 'stop'
            ? shared.hi > 0
              ? 'A socket that shares lanes with drive ports takes one a drive needs: another socket, or one drive fewer.'
              : 'More drives than ports.'
            : 'Every drive has a port.',
      }),
    );
  }
  return found;
}
