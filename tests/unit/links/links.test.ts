import { expect } from 'chai';
import { linkRequirements } from '../../../src/core/links/linkRequirements.ts';
import { memory } from '../../../src/core/links/memory.ts';
import { memoryLoss } from '../../../src/core/links/memoryLoss.ts';
import { memoryVolts } from '../../../src/core/links/memoryVolts.ts';
import { socket } from '../../../src/core/links/socket.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { jobOver, planWith, the, type Seats } from '../../helpers/build.ts';

describe('links/socket', () => {
  it('stops a CPU of another socket', () => {
    const at = (board: string, processor: string) =>
      the(
        socket(planWith({ board: { socket: board }, processor: { socket: processor } })),
        'socket',
      ).mark;
    expect(at('LGA1151', 'LGA1151')).to.equal('clear');
    expect(at('LGA1200', 'LGA1151')).to.equal('stop');
  });
  /* Common practice, no source: newer CPUs with both controllers go into the older sockets, not the other way. */
  it('knows the sockets that take another one, one way only', () => {
    const at = (board: string, processor: string) =>
      the(
        socket(planWith({ board: { socket: board }, processor: { socket: processor } })),
        'socket',
      ).mark;
    expect(at('AM2+', 'AM3')).to.equal('watch');
    expect(at('AM3', 'AM2+')).to.equal('stop');
    expect(at('FM2+', 'FM2')).to.equal('watch');
    expect(at('FM2', 'FM2+')).to.equal('stop');
    expect(at('AM3+', 'AM3')).to.equal('watch');
  });
  it('stops a machine that would give no picture', () => {
    const seats = { board: { socket: 'AM4' }, processor: { socket: 'AM4', graphics: 'no' } };
    expect(the(socket(planWith(seats)), 'picture').mark).to.equal('stop');
    expect(socket(planWith({ ...seats, card1: {} })).map((each) => each.id)).to.deep.equal([
      'socket',
    ]);
  });
});

describe('links/socket, a picture from somewhere', () => {
  const stops = (seats: Seats) =>
    socket(
      planWith({
        board: { socket: 'AM4' },
        processor: { socket: 'AM4', graphics: 'no' },
        ...seats,
      }),
    ).some(({ id, mark }) => id === 'picture' && mark === 'stop');
  it('comes from a card with outputs or a chip on the board', () => {
    expect(stops({ card1: { screens: 0 } })).to.equal(true);
    expect(stops({ card1: { screens: 2 } })).to.equal(false);
    expect(stops({ card1: {} })).to.equal(false);
    expect(stops({ board: { socket: 'AM4', graphics: 'yes' } })).to.equal(false);
  });
});

describe('links/memory', () => {
  const board = {
    memoryKind: 'DDR4',
    memoryForm: 'DIMM',
    memorySlots: 2,
    memoryMax: 32,
    memorySpeed: 2666,
  };
  it('stops another kind and another form', () => {
    const kind = (module: Record<string, string | number>) =>
      the(memory(planWith({ board, memory1: module })), 'memory-kind:memory1').mark;
    expect(kind({ memoryKind: 'DDR4', memoryForm: 'DIMM' })).to.equal('clear');
    expect(kind({ memoryKind: 'DDR3', memoryForm: 'DIMM' })).to.equal('stop');
    expect(kind({ memoryKind: 'DDR4', memoryForm: 'SO-DIMM' })).to.equal('stop');
    expect(kind({ memoryKind: 'DDR4' })).to.equal('clear');
    expect(kind({})).to.equal('watch');
  });
  /* Common practice, no source: 4 + 4 + 2 GB count as 10. */
  it('counts unequal modules in full', () => {
    const found = memory(
      planWith({
        board: { ...board, memorySlots: 4 },
        memory1: { size: 4 },
        memory2: { size: 4 },
        memory3: { size: 2 },
      }),
    );
    expect(the(found, 'memory-limit').margin).to.deep.equal({ lo: 22, hi: 22 });
    expect(the(found, 'memory-limit').say).to.contain('unequal modules too');
  });
  it('stops more modules than slots and more than the board takes', () => {
    const found = memory(
      planWith({ board, memory1: { size: 16 }, memory2: { size: 16 }, memory3: { size: 8 } }),
    );
    expect(the(found, 'memory-slots').mark).to.equal('stop');
    expect(the(found, 'memory-limit').mark).to.equal('stop');
  });
  it("runs fast RAM at the platform's speed and unequal ones at the slowest", () => {
    const at = (a: number, b: number) =>
      the(memory(planWith({ board, memory1: { speed: a }, memory2: { speed: b } })), 'memory-speed')
        .marginLabel;
    expect(at(3200, 3200)).to.equal('runs at 2666');
    expect(at(2400, 3200)).to.equal('runs at 2400');
  });
});

describe('links/asks', () => {
  const four = { requirements: [{ what: 'screens' as const, count: 4 }] };
  it("counts the card's screens, or else the board's", () => {
    expect(
      the(linkRequirements(planWith({ board: { screens: 2 } }, four)), 'asks-screens').mark,
    ).to.equal('mend');
    const card = planWith({ board: { screens: 2 }, card1: { screens: 4 } }, four);
    expect(the(linkRequirements(card), 'asks-screens').mark).to.equal('clear');
    const less = planWith({ board: { screens: 3 }, card1: { screens: 3 } }, four);
    expect(the(linkRequirements(less), 'asks-screens').margin).to.deep.equal({ lo: -1, hi: -1 });
  });
  it('counts drives and gigabytes', () => {
    const plan = planWith(
      { drive1: {}, memory1: { size: 8 }, memory2: { size: 8 } },
      {
        requirements: [
          { what: 'drives', count: 2 },
          { what: 'memoryGb', count: 16 },
        ],
      },
    );
    expect(the(linkRequirements(plan), 'asks-drives').mark).to.equal('mend');
    expect(the(linkRequirements(plan), 'asks-memoryGb').mark).to.equal('clear');
  });
});

describe('links/memory, one module', () => {
  const board = { memorySlots: 4, memoryMax: 32 };
  const mark = (facts: Seats[string], size: number) =>
    memory(planWith({ board: facts, memory1: { size } })).find((each) =>
      each.id.startsWith('memory-per-slot'),
    )?.mark;
  it('is held against what a slot takes', () => {
    expect(mark({ ...board, memoryPerSlot: 8 }, 16)).to.equal('stop');
    expect(mark({ ...board, memoryPerSlot: 16 }, 16)).to.equal('clear');
  });
  it('unsaid, larger than the limit shared over the slots is a question, not a verdict', () => {
    expect(mark(board, 16)).to.equal('watch');
    expect(mark(board, 8)).to.equal(undefined);
    expect(mark({ memorySlots: 4 }, 16)).to.equal(undefined);
  });
  /* Common practice, no source: 8 ranks a channel with registered modules, so a third quad-rank one is too many. */
  it('counts ranks where they are said and too many', () => {
    const ranked = (count: number, sort: string, each: number) =>
      memory(
        planWith({
          board: { channels: 1 },
          ...Object.fromEntries(
            Array.from({ length: count }, (_, i) => [`memory${i + 1}`, { ranks: each, sort }]),
          ),
        }),
      ).find(({ id }) => id === 'memory-ranks')?.mark;
    expect(ranked(2, 'registered', 4)).to.equal(undefined);
    expect(ranked(3, 'registered', 4)).to.equal('watch');
    expect(ranked(2, 'plain', 2)).to.equal(undefined);
    expect(ranked(3, 'plain', 2)).to.equal('watch');
  });
});

const over = (found: Seats) => {
  const { shop, job } = jobOver(found);
  return planOf(shop, job);
};

describe('links/memoryVolts', () => {
  const mark = (
    board: Seats[string],
    module: Seats[string],
    plan = planWith({
      board: { memoryKind: 'DDR3', ...board },
      memory1: { memoryKind: 'DDR3', ...module },
    }),
  ) => memoryVolts(plan)[0]?.mark;
  it('stops 1.5 V modules in slots of 1.35 V only', () => {
    expect(mark({ memoryVolts: '1.35 V only' }, { memoryVolts: '1.5 V' })).to.equal('stop');
    expect(mark({ memoryVolts: '1.35 V only' }, {})).to.equal('watch');
    expect(mark({ memoryVolts: '1.35 V only' }, { memoryVolts: '1.35 V too' })).to.equal(undefined);
    expect(mark({ memoryVolts: '1.5 V' }, { memoryVolts: '1.5 V' })).to.equal(undefined);
  });
  it('asks where short modules are used, and not where they were found together', () => {
    expect(mark({ memoryForm: 'SO-DIMM' }, { memoryVolts: '1.5 V' })).to.equal('watch');
    expect(mark({ memoryForm: 'DIMM' }, { memoryVolts: '1.5 V' })).to.equal(undefined);
    const found = {
      board: { memoryKind: 'DDR3', memoryForm: 'SO-DIMM' },
      memory1: { memoryKind: 'DDR3' },
    };
    expect(mark({}, {}, over(found))).to.equal(undefined);
  });
  it('has nothing to say of other kinds', () => {
    expect(mark({ memoryForm: 'SO-DIMM', memoryKind: 'DDR4' }, { memoryKind: 'DDR4' })).to.equal(
      undefined,
    );
  });
});

describe('links/memoryLoss', () => {
  const two = {
    board: { channels: 2 },
    memory1: { size: 8, speed: 2133 },
    memory2: { size: 8, speed: 2133 },
  };
  const out = (found: Seats, gone: string[], comes: Seats = {}) => {
    const { shop, job } = jobOver(found, comes);
    return planOf(shop, {
      ...job,
      changes: [...job.changes, ...gone.map((seat) => ({ seat, partId: null }))],
    });
  };
  it('says what leaving one of two out costs', () => {
    const [finding] = memoryLoss(out(two, ['memory2']));
    expect(finding?.mark).to.equal('watch');
    expect(finding?.say).to.contain('17.1 of 34.1 GB/s').and.to.contain('8 GB where 16 were');
  });
  it('has nothing to say when the other side comes back, or nothing was taken out', () => {
    expect(memoryLoss(out(two, [], { memory2: { size: 16, speed: 2133 } }))).to.deep.equal([]);
    expect(memoryLoss(out(two, []))).to.deep.equal([]);
    expect(
      memoryLoss(out({ ...two, board: { channels: 1 } }, ['memory2']))[0]?.marginLabel,
    ).to.equal('less than it had');
  });
  it('one larger module for two smaller: no room lost, half the ways lost', () => {
    const [finding] = memoryLoss(out(two, ['memory2'], { memory1: { size: 16, speed: 2133 } }));
    expect(finding?.marginLabel).to.equal('1 of 2 channels');
    expect(finding?.say).to.not.contain('GB where');
  });
});
