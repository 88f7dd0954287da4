import { expect } from 'chai';
import { linkRequirements } from '../../../src/core/links/linkRequirements.ts';
import { memory } from '../../../src/core/links/memory.ts';
import { socket } from '../../../src/core/links/socket.ts';
import { planWith, the } from '../../helpers/build.ts';

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
  it('stops a machine that would give no picture', () => {
    const seats = { board: { socket: 'AM4' }, processor: { socket: 'AM4', graphics: 'no' } };
    expect(the(socket(planWith(seats)), 'picture').mark).to.equal('stop');
    expect(socket(planWith({ ...seats, card1: {} })).map((each) => each.id)).to.deep.equal([
      'socket',
    ]);
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
