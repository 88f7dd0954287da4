import type { Job, Part, Shop } from '../../src/core/model/types/types.ts';
import { jobWith, partFor, type Seats, type Value } from './build.ts';

/** Benches made up at random, seeded: parts too large by little, a shelf to choose from, facts nobody measured. */

export interface Bench {
  shop: Shop;
  job: Job;
  /** What is true of the parts, by tag: every figure the bench leaves open. */
  truth: Record<string, Record<string, number | string>>;
}

type Dice = () => number;

/** Parts that are in nobody's way. */
const quiet = {
  cooler: { class: 'low', sockets: ['AM4'], height: 60, width: 90, breadth: 90, under: 25 },
  supply: {
    format: 'ATX',
    depth: 140,
    watts: 650,
    plugs: ['cpu44', 'card62', 'card62', 'sata'],
    mainPlug: 'main24',
    feeds: 'supply',
  },
  memory: { memoryKind: 'DDR4', memoryForm: 'DIMM', size: 8, height: 31 },
} as const satisfies Seats;

/** `odd`: with drives on mounts, fans, an M.2 sink, sometimes a radiator, and PSUs that lie deep. */
export function madeBench(dice: Dice, odd = false): Bench {
  const truth: Bench['truth'] = {};
  const between = (lo: number, hi: number) => Math.round(lo + dice() * (hi - lo));
  const pick = <T>(...of: readonly T[]): T => of[Math.floor(dice() * of.length)] as T;
  /** A part as the bench knows it: each figure is left open now and then, and true all the same. */
  const known = (
    id: string,
    facts: Record<string, Value>,
    open: readonly string[],
  ): Seats[string] => {
    const kept: Record<string, Value> = {};
    for (const [key, value] of Object.entries(facts)) {
      if (!open.includes(key) || dice() > 0.3 || Array.isArray(value)) kept[key] = value;
      else (truth[id] ??= {})[key] = value as number | string;
    }
    return kept;
  };
  const card = (id: string) =>
    known(
      id,
      {
        length: between(160, 300),
        height: between(105, 135),
        slotsWide: pick(1, 2, 3),
        plugs: pick<readonly string[]>([], ['card8']),
        plugAt: pick('top', 'end'),
        bracket: 'full',
        lanes: 16,
        watts: between(50, 150),
      },
      ['length', 'height', 'plugAt'],
    );
  const cooler = (id: string) =>
    known(
      id,
      {
        class: 'tower',
        sockets: [pick('AM4', 'AM4', 'LGA1700')],
        height: between(120, 165),
        width: between(60, 130),
        breadth: between(95, 140),
        under: between(25, 50),
      },
      ['height'],
    );
  const supply = (id: string) =>
    known(
      id,
      {
        format: 'ATX',
        depth: between(130, 200),
        watts: pick(300, 550),
        plugs: ['cpu44', 'card62', 'sata', 'sata'],
        mainPlug: 'main24',
        feeds: 'supply',
      },
      ['depth'],
    );
  const memory = (id: string) =>
    known(
      id,
      {
        memoryKind: pick('DDR4', 'DDR4', 'DDR3'),
        memoryForm: 'DIMM',
        size: 8,
        height: between(30, 52),
      },
      ['height'],
    );
  const seats: Seats = {
    case: {
      class: 'tower',
      bracket: 'full',
      boards: ['ATX', 'microATX'],
      coolerRoom: between(130, 165),
      cardRoom: between(200, 290),
      cageGain: pick(0, 60),
      cardHeightRoom: between(115, 150),
      slots: pick(2, 4, 7),
      supplyFormat: 'ATX',
      supplyAt: 'below the board',
      supplyRoom: between(150, 200),
      innerWidth: 190,
      innerHeight: 430,
      innerDepth: 430,
    },
    board: {
      format: 'microATX',
      socket: 'AM4',
      memoryKind: 'DDR4',
      memoryForm: 'DIMM',
      memorySlots: 4,
    },
    card1: card('T-card1'),
  };
  seats['processor'] = { socket: 'AM4', watts: 65, graphics: 'yes' };
  seats['cooler'] = dice() < 0.6 ? cooler('T-cooler') : quiet.cooler;
  seats['supply'] = dice() < 0.5 ? supply('T-supply') : quiet.supply;
  seats['memory1'] = dice() < 0.5 ? memory('T-memory1') : quiet.memory;
  if (dice() < 0.3) seats['memory2'] = memory('T-memory2');
  if (dice() < 0.35) seats['card2'] = card('T-card2');
  if (odd) oddParts(seats, between, pick, dice);
  if (seats['cooler']['class'] === 'radiator') delete truth['T-cooler'];
  const { shop, job } = jobWith(seats);
  const shelf: Part[] = [];
  const lay = (seat: string, facts: Seats[string]) => {
    const id = `S${shelf.length + 1}`;
    if (truth['next']) {
      truth[id] = truth['next'];
      delete truth['next'];
    }
    const price = dice() < 0.4 ? { minor: between(300, 4000), currency: 'EUR' } : undefined;
    shelf.push(
      partFor(seat, facts, { id, name: id, ...(price && { place: 'buy' as const, price }) }),
    );
  };
  for (let i = 0; i < 2; i += 1) if (dice() < 0.7) lay('card1', card('next'));
  if (dice() < 0.5) lay('cooler', cooler('next'));
  if (dice() < 0.3) lay('supply', supply('next'));
  if (dice() < 0.4) lay('memory1', memory('next'));
  return { shop: { ...shop, parts: [...shop.parts, ...shelf] }, job, truth };
}

/** What is odd about a bench: places of drives and fans, sinks, sinks beside the socket, a radiator. */
function oddParts(
  seats: Seats,
  between: (lo: number, hi: number) => number,
  pick: <T>(...of: readonly T[]) => T,
  dice: Dice,
): void {
  const shell = seats['case'] as Record<string, Value>;
  shell['cageGain'] = pick(0, 0, 40);
  if (dice() < 0.5) {
    seats['drive1'] = { form: pick('3.5', '2.5'), height: between(7, 15) };
    shell['mounts'] = [
      `${pick('cage', 'floor')} 3.5 ${between(150, 200)} deep`,
      ...(dice() < 0.6 ? [`behind the tray ${pick('3.5', '2.5')} ${between(110, 200)} deep`] : []),
    ];
  } else if (dice() < 0.6) {
    seats['drive1'] = { form: 'M.2', sink: between(3, 25) };
    (seats['board'] as Record<string, Value>)['m2'] = pick(1, 2);
  }
  if (dice() < 0.4) {
    seats['fan1'] = { size: 120, thickness: between(15, 38), wall: pick('rear', 'front') };
    shell['fanMounts'] = [`rear 120 ${between(20, 40)} deep`, `front 120 ${between(20, 40)} deep`];
  }
  if (dice() < 0.35) {
    seats['cooler'] = {
      class: 'radiator',
      sockets: ['AM4'],
      height: 45,
      radiator: '240',
      thickness: between(45, 60),
    };
    shell['fanMounts'] = pick('front', 'top', 'PSU bracket', 'side')
      .split('|')
      .concat(pick('front', 'top', 'side'))
      .flatMap((wall) => [
        `${wall} 120 ${between(40, 65)} deep`,
        `${wall} 120 ${between(50, 65)} deep`,
      ]);
    shell['topRoom'] = between(40, 70);
  }
  if (dice() < 0.3) (seats['board'] as Record<string, Value>)['sinksHigh'] = between(20, 45);
}

/** The bench with what is true of every part measured. */
export const measured = ({ shop, truth }: Bench): Shop => ({
  ...shop,
  parts: shop.parts.map((part) => ({
    ...part,
    facts: {
      ...part.facts,
      ...Object.fromEntries(
        Object.entries(truth[part.id] ?? {}).map(([key, value]) => [
          key,
          typeof value === 'number'
            ? { lo: value, hi: value, how: 'measured' as const }
            : { text: value, how: 'measured' as const },
        ]),
      ),
    },
  })),
});
