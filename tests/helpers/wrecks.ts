import { emptyJob, emptyShop } from '../../src/core/model/types/empty.ts';
import type { Job, Machine, Part, Shop } from '../../src/core/model/types/types.ts';
import { partFor, type Seats, type Value } from './build.ts';

/** Shops of wrecks made up at random: roomy and flat machines that each want a few parts, donors and a shelf that have some. */

type Dice = () => number;
export type Figures = Record<string, Value>;
type Facts = Figures;

const EUR = (minor: number) => ({ minor, currency: 'EUR' });

const shells: Record<'roomy' | 'flat', Facts> = {
  roomy: {
    class: 'tower',
    bracket: 'full',
    boards: ['ATX', 'microATX'],
    coolerRoom: 160,
    cardRoom: 270,
    cageGain: 40,
    cardHeightRoom: 150,
    slots: 4,
    supplyFormat: 'ATX',
    supplyAt: 'below the board',
    supplyRoom: 180,
    innerWidth: 190,
    innerHeight: 430,
    innerDepth: 430,
  },
  flat: {
    class: 'flat',
    bracket: 'low',
    boards: ['microATX'],
    coolerRoom: 80,
    cardRoom: 190,
    cardHeightRoom: 72,
    slots: 2,
    supplyFormat: 'ATX',
    supplyAt: 'beside the board',
    supplyRoom: 180,
  },
};

const inside: Seats = {
  board: {
    format: 'microATX',
    socket: 'AM4',
    memoryKind: 'DDR4',
    memoryForm: 'DIMM',
    memorySlots: 2,
    mainPlug: 'main24',
    processorPlug: 'cpu4',
    screens: 0,
  },
  processor: { socket: 'AM4', watts: 65, graphics: 'no', generation: 3 },
  cooler: { class: 'low', sockets: ['AM4'], height: 58, width: 90, breadth: 90, under: 25 },
  memory1: { memoryKind: 'DDR4', memoryForm: 'DIMM', size: 8, height: 31 },
  supply: {
    format: 'ATX',
    depth: 140,
    watts: 300,
    plugs: ['cpu44', 'sata', 'sata'],
    mainPlug: 'main24',
    feeds: 'supply',
  },
};

/** What a card of either build, a PSU, a module are like; few sorts, so that there are twins. */
function sorts(dice: Dice) {
  const unmeasured = ({ length, ...rest }: Facts): Facts =>
    dice() < 0.25 || length === undefined ? rest : { length, ...rest };
  const pick = <T>(...of: readonly T[]): T => of[Math.floor(dice() * of.length)] as T;
  return {
    /* Some nobody has measured: they may fit or not. */
    card: (): Facts =>
      unmeasured(
        pick<Facts>(
          {
            length: 168,
            height: 65,
            bracket: 'low',
            slotsWide: 1,
            watts: 30,
            screens: 2,
            lanes: 16,
            plugs: [],
          },
          {
            length: 170,
            height: 68,
            bracket: 'both',
            slotsWide: 1,
            watts: 45,
            screens: 3,
            lanes: 16,
            plugs: [],
          },
          {
            length: 240,
            height: 112,
            bracket: 'full',
            slotsWide: 2,
            watts: 120,
            screens: 3,
            lanes: 16,
            plugs: ['card6'],
            plugAt: 'top',
          },
          {
            length: 290,
            height: 118,
            bracket: 'full',
            slotsWide: 2,
            watts: 160,
            screens: 4,
            lanes: 16,
            plugs: ['card8'],
            plugAt: 'top',
          },
        ),
      ),
    supply: (): Facts => ({
      format: 'ATX',
      depth: pick(140, 160, 190),
      watts: pick(300, 450, 550),
      plugs: ['cpu44', 'sata', 'sata', ...pick<string[]>([], ['card62'], ['card62', 'card62'])],
      mainPlug: 'main24',
      feeds: 'supply',
    }),
    memory: (): Facts => ({
      memoryKind: pick('DDR4', 'DDR4', 'DDR3'),
      memoryForm: 'DIMM',
      size: pick(4, 8, 16),
      height: 31,
    }),
  };
}

export interface Wish {
  jobs: number;
  donors: number;
  shelf: number;
}

export function madeWrecks(dice: Dice, { jobs, donors, shelf }: Wish): Shop {
  const parts: Part[] = [];
  const machines: Machine[] = [];
  const list: Job[] = [];
  const kinds = sorts(dice);
  const pick = <T>(...of: readonly T[]): T => of[Math.floor(dice() * of.length)] as T;
  const between = (lo: number, hi: number) => Math.round(lo + dice() * (hi - lo));
  const lay = (seat: string, facts: Facts, more: Partial<Part> & { id: string }) => {
    parts.push(partFor(seat, facts, { condition: 'good', name: JSON.stringify(facts), ...more }));
    return more.id;
  };
  for (let d = 0; d < donors; d += 1) {
    const id = `D${d}`;
    const state = dice() < 0.12 ? 'offered' : dice() < 0.08 ? 'in use' : 'donor';
    const own: [string, Facts][] = [
      ['card1', kinds.card()],
      ...(dice() < 0.5 ? [['memory1', kinds.memory()] as [string, Facts]] : []),
      ...(dice() < 0.4 ? [['supply', kinds.supply()] as [string, Facts]] : []),
    ];
    machines.push({
      id,
      name: `donor ${d}`,
      state,
      starts: dice() < 0.4,
      facts: {},
      ...(dice() < 0.06 && { keepWhole: true }),
      ...(state === 'offered' && {
        offer: { currency: 'EUR', asked: between(500, 4000), fixes: [] },
      }),
      seats: own.map(([seat], i) => ({ seat, partId: `${id}-${i}` })),
    });
    own.forEach(([seat, facts], i) =>
      lay(seat, facts, {
        id: `${id}-${i}`,
        place: 'machine',
        ...(dice() < 0.3 && { worth: EUR(between(1, 20) * 100) }),
      }),
    );
  }
  for (let i = 0; i < shelf; i += 1) {
    const seat = pick('card1', 'card1', 'supply', 'memory1');
    const facts = kinds[seat === 'card1' ? 'card' : seat === 'supply' ? 'supply' : 'memory']();
    const buy = dice() < 0.4;
    lay(seat, facts, {
      id: `S${i}`,
      place: buy ? 'buy' : 'shelf',
      condition: pick('good', 'good', 'unknown'),
      ...(buy && dice() < 0.9 && { price: EUR(between(3, 60) * 50) }),
      ...(buy && dice() < 0.15 && { lot: 'lot' }),
      ...(dice() < 0.3 && { worth: EUR(between(1, 20) * 100) }),
    });
  }
  for (let j = 0; j < jobs; j += 1) {
    const id = String(j + 1);
    const flat = j % 2 === 1;
    const found: Seats = { case: shells[flat ? 'flat' : 'roomy'], ...inside };
    const lacks = dice() < 0.35 ? pick('supply', 'memory1') : undefined;
    machines.push({
      id: `M${id}`,
      name: flat ? 'flat machine' : 'roomy machine',
      state: 'here',
      starts: lacks === undefined,
      facts: {},
      seats: Object.keys(found).flatMap((seat) =>
        seat === lacks ? [] : [{ seat, partId: `M${id}-${seat}` }],
      ),
    });
    for (const [seat, facts] of Object.entries(found))
      if (seat !== lacks) lay(seat, facts, { id: `M${id}-${seat}`, place: 'machine' });
    list.push({
      ...emptyJob(id, flat ? 'flat' : 'roomy', ''),
      machineId: `M${id}`,
      requirements: dice() < 0.5 ? [{ what: 'screens', count: pick(2, 3) }] : [],
      ...(dice() < 0.2 && { weight: 2 }),
    });
  }
  return { ...emptyShop(), parts, machines, jobs: list };
}

/** Each job with today's wish written down as people do: the first card that is there at all, taken by everybody. */
export function wishing(shop: Shop): Shop {
  const first = shop.parts.find((part) => part.kind === 'card' && part.place !== 'machine');
  return {
    ...shop,
    jobs: shop.jobs.map((job) => ({
      ...job,
      changes: first ? [{ seat: 'card1', partId: first.id }] : [],
    })),
  };
}

/** A part laid out by hand: loose, or in a donor of its own name. */
export interface Laid {
  id: string;
  seat: string;
  facts: Facts;
  part?: Partial<Part>;
  donor?: string;
  /** What its donor is besides. */
  machine?: Partial<Machine>;
}

/** So many roomy and flat machines that each run with a card and not without, and these parts. */
export function rowOf(roomy: number, flat: number, laid: readonly Laid[]): Shop {
  const none = madeWrecks(() => 0.99, { jobs: 0, donors: 0, shelf: 0 });
  const machines: Machine[] = [];
  const parts: Part[] = [];
  const jobs: Job[] = [];
  for (let j = 0; j < roomy + flat; j += 1) {
    const id = String(j + 1);
    const seats: Seats = { case: shells[j < roomy ? 'roomy' : 'flat'], ...inside };
    machines.push({
      id: `M${id}`,
      name: j < roomy ? 'roomy machine' : 'flat machine',
      state: 'here',
      starts: true,
      facts: {},
      seats: Object.keys(seats).map((seat) => ({ seat, partId: `M${id}-${seat}` })),
    });
    for (const [seat, facts] of Object.entries(seats))
      parts.push(
        partFor(seat, facts, { id: `M${id}-${seat}`, place: 'machine', condition: 'good' }),
      );
    jobs.push({ ...emptyJob(id, 'row', ''), machineId: `M${id}` });
  }
  for (const { id, seat, facts, donor, machine, part } of laid) {
    parts.push(
      partFor(seat, facts, {
        condition: 'good',
        name: `${seat} ${JSON.stringify(facts)}`,
        ...(donor !== undefined && { place: 'machine' as const }),
        id,
        ...part,
      }),
    );
    if (donor === undefined) continue;
    const own = machines.find(({ id }) => id === donor);
    const at = { seat: own ? `card${own.seats.length + 1}` : seat, partId: id };
    if (own) own.seats.push(at);
    else
      machines.push({ id: donor, name: donor, state: 'donor', facts: {}, seats: [at], ...machine });
  }
  return { ...none, machines, parts, jobs };
}
