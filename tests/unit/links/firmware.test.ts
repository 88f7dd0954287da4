import { expect } from 'chai';
import { firmware } from '../../../src/core/links/firmware.ts';
import { m2Fits } from '../../../src/core/links/m2.ts';
import { largeDrives } from '../../../src/core/links/largeDrives.ts';
import { moduleSort } from '../../../src/core/links/moduleSort.ts';
import { lost } from '../../../src/core/links/lost.ts';
import { sataLinks } from '../../../src/core/links/sata.ts';
import { idIn, idIndex, compactIds, nameOfId } from '../../../src/core/links/ids.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { applyRemedy } from '../../../src/core/edits/edits.ts';
import { jobOver, jobWith, partFor, type Seats } from '../../helpers/build.ts';

const socket = { socket: 'LGA1151' };
function planWith(seats: Seats, shelf: ReturnType<typeof partFor>[] = []) {
  const { shop, job } = jobWith(seats);
  const whole = { ...shop, parts: [...shop.parts, ...shelf] };
  return { shop: whole, job, plan: planOf(whole, job) };
}
const about = (seats: Seats, id: string, shelf: ReturnType<typeof partFor>[] = []) =>
  firmware(planWith(seats, shelf).plan).find((finding) => finding.id === id);
const board = { ...socket, generations: ['6', '7'], generationsNow: ['6'] };

describe('links/firmware', () => {
  it('is clear where the firmware on the board knows the CPU', () => {
    expect(about({ board, processor: { ...socket, generation: 6 } }, 'firmware')?.mark).to.equal(
      'clear',
    );
  });
  it('stops where the maker lists no such generation, though the socket fits', () => {
    const found = about({ board, processor: { ...socket, generation: 8 } }, 'firmware');
    expect(found?.mark).to.equal('stop');
    expect(found?.say).to.contain('generation 8');
  });
  it('mends with an older CPU of the shelf, and names it', () => {
    const older = partFor(
      'processor',
      { ...socket, generation: 6 },
      { id: 'C09', name: 'older one' },
    );
    const other = partFor('processor', { socket: 'AM4', generation: 6 }, { id: 'C08' });
    const seats = { board, processor: { ...socket, generation: 7 } };
    const found = about(seats, 'firmware', [other, older]);
    expect(found?.mark).to.equal('mend');
    expect(found?.remedies.map((remedy) => remedy.title)).to.deep.equal([
      'Write the firmware with older one (C09) in the socket',
    ]);
    const { shop, job } = planWith(seats, [older]);
    const remedy = found?.remedies[0];
    if (!remedy) throw new Error('no remedy');
    const after = applyRemedy(job.id, remedy)(shop);
    const again = firmware(planOf(after, after.jobs[0] ?? job)).find(({ id }) => id === 'firmware');
    expect(again?.mark).to.equal('watch');
    expect(again?.say).to.contain('before this CPU goes in');
    const now = after.jobs[0] ?? job;
    const steps = workOrderOf(planOf(after, now), now.schools);
    const at = (id: string) => steps.findIndex((each) => each.id.startsWith(id));
    expect(steps[at('remedy:firmware-first')]?.title).to.contain('older one (C09) in the socket');
    expect(at('remedy:firmware-first')).to.be.within(0, at('in:processor') - 1);
    expect(steps.filter((each) => each.title.startsWith('Get and fit'))).to.deep.equal([]);
  });
  it('has no way where nothing on the shelf is old enough, nor lent, dead or in use', () => {
    const none = [
      partFor('processor', { ...socket, generation: 7 }, { id: 'C01' }),
      partFor('processor', { ...socket, generation: 6 }, { id: 'C02', condition: 'dead' }),
      partFor('processor', { ...socket, generation: 6 }, { id: 'C03', loan: { way: 'lent' } }),
      partFor('processor', { ...socket, generation: 6 }, { id: 'C04', place: 'gone' }),
    ];
    const found = about({ board, processor: { ...socket, generation: 7 } }, 'firmware', none);
    expect(found?.remedies).to.deep.equal([]);
    expect(found?.say).to.contain('has to be lent');
  });
  it('needs no CPU where the board writes its firmware alone', () => {
    const found = about(
      { board: { ...board, flashBare: 'yes' }, processor: { ...socket, generation: 7 } },
      'firmware',
    );
    expect(found?.remedies[0]?.title).to.contain('without a CPU');
  });
  for (const [what, seats] of [
    ['the generation', { board, processor: { ...socket } }],
    [
      'what it knows now',
      { board: { ...socket, generations: ['7'] }, processor: { ...socket, generation: 7 } },
    ],
    ['any list', { board: { ...socket }, processor: { ...socket, generation: 7 } }],
  ] as const) {
    it(`watches where nobody said ${what}`, () =>
      expect(about(seats, 'firmware')?.mark).to.equal('watch'));
  }
  it('says nothing where nothing is known, nor of another socket', () => {
    expect(about({ board: socket, processor: socket }, 'firmware')).to.equal(undefined);
    expect(about({ board, processor: { socket: 'AM4', generation: 8 } }, 'firmware')).to.equal(
      undefined,
    );
  });
  for (const [starts, card, graphics, mark] of [
    ['UEFI', 'UEFI', 'no', 'clear'],
    ['both', 'legacy', 'no', 'clear'],
    ['UEFI', 'both', 'no', 'clear'],
    ['UEFI', 'legacy', 'yes', 'watch'],
    ['UEFI', 'legacy', 'no', 'stop'],
  ] as const) {
    it(`a ${card} card on a ${starts} board, own graphics ${graphics}: ${mark}`, () => {
      const found = about(
        {
          board: { ...socket, starts },
          processor: { ...socket, graphics },
          card1: { starts: card, screens: 2 },
        },
        'card-start:card1',
      );
      expect(found?.mark).to.equal(mark);
    });
  }
  it('needs one drive of a kind the board starts from', () => {
    const from = { ...socket, startsFrom: ['SATA', 'USB'] };
    const fast = { form: 'M.2', bus: 'NVMe' };
    expect(about({ board: from, drive1: fast }, 'starts-from')?.mark).to.equal('mend');
    expect(
      about({ board: from, drive1: fast, drive2: { form: '2.5' } }, 'starts-from')?.mark,
    ).to.equal('clear');
    expect(about({ board: socket, drive1: fast }, 'starts-from')).to.equal(undefined);
  });
});

describe('links/lost', () => {
  const was = { memorySlots: 4, sata: 6, phases: 8, fanHeaders: ['fan4', 'fan4', 'fan3'] };
  const lostBy = (now: Seats['board'], more: Seats = {}) => {
    const { shop, job } = jobOver({ board: was }, { board: now ?? {}, ...more });
    return lost(planOf(shop, job))[0];
  };
  it('names what the smaller board has fewer of, with both figures', () => {
    const found = lostBy({ memorySlots: 2, sata: 6, phases: 4, fanHeaders: ['fan4'] });
    expect(found?.mark).to.equal('watch');
    expect(found?.terms.map(({ label, value }) => [label, value])).to.deep.equal([
      ['RAM slots', '4, then 2'],
      ['power phases', '8, then 4'],
      ['fan headers', '3, then 1'],
    ]);
  });
  it('stops where the plan needs what is lost', () => {
    const modules = { memory1: {}, memory2: {}, memory3: {} };
    expect(lostBy({ memorySlots: 2 }, modules)?.mark).to.equal('stop');
  });
  it('is clear where nothing counted is fewer, silent where nothing was counted', () => {
    expect(lostBy({ memorySlots: 4, sata: 8 })?.mark).to.equal('clear');
    expect(lostBy({ format: 'ATX' })).to.equal(undefined);
  });
  it('does not call fewer what may be as many', () => {
    expect(lostBy({ sata: [4, 6] })?.mark).to.equal('clear');
  });
});

describe('links/sata', () => {
  for (const [port, drive, lostMBs, mark] of [
    [2, 3, -300, 'watch'],
    [3, 3, 0, 'clear'],
    [1, 3, -450, 'watch'],
    [3, 2, 0, 'clear'],
  ] as const) {
    it(`a drive of generation ${drive} on a port of ${port}: ${lostMBs} MB/s`, () => {
      const { plan } = planWith({
        board: { sataGen: port },
        drive1: { form: '2.5', sataGen: drive },
      });
      const [found] = sataLinks(plan);
      expect(found?.mark).to.equal(mark);
      expect(found?.margin).to.deep.equal({ lo: lostMBs, hi: lostMBs });
    });
  }
  it('leaves NVMe drives and unknown ports alone', () => {
    expect(
      sataLinks(
        planWith({ board: { sataGen: 2 }, drive1: { form: 'M.2', bus: 'NVMe', sataGen: 3 } }).plan,
      ),
    ).to.deep.equal([]);
    expect(
      sataLinks(planWith({ board: {}, drive1: { form: '2.5', sataGen: 3 } }).plan),
    ).to.deep.equal([]);
  });
});

describe('links/ids', () => {
  const list = compactIds(
    '# note\n\n0001  First maker\n\t0001  one thing\n\t\t0001 0002  a subsystem\n\tabcd  another: thing\nfffe  Last maker\nC 01  Mass storage\n\t01  IDE\n',
  );
  const index = idIndex(list);
  it('keeps makers and devices, and nothing else', () => {
    expect(list).to.equal(
      '0001First maker\n\t0001one thing\n\tabcdanother: thing\nfffeLast maker\n',
    );
    expect([index.makers, index.devices]).to.deep.equal([2, 2]);
  });
  it('finds by any case, and never past its maker', () => {
    expect(index.device('0001', 'ABCD')).to.equal('another: thing');
    expect(index.device('fffe', '0001')).to.equal(undefined);
    expect(index.maker('FFFE')).to.equal('Last maker');
    expect(index.device('0001', 'x')).to.equal(undefined);
  });
  it('says of an unknown number what is known', () => {
    expect(nameOfId(index, { vendor: '0001', device: 'ffff' }).say).to.contain('Of First maker');
    expect(nameOfId(index, { vendor: '1234', device: 'ffff' }).say).to.contain('no maker 1234');
  });
  for (const [text, id] of [
    ['8086:1502', { vendor: '8086', device: '1502' }],
    ['made up [ABCD:0001] (rev 03)', { vendor: 'abcd', device: '0001' }],
    ['0x10de:0x1c03', { vendor: '10de', device: '1c03' }],
    ['00:1f.3', undefined],
    ['80861502', undefined],
  ] as const) {
    it(`reads ${text}`, () => expect(idIn(text)).to.deep.equal(id));
  }
});

describe('links/m2', () => {
  const drive = { form: 'M.2', bus: 'NVMe', m2Keys: ['M'], m2Length: '2280' };
  const socketed = { m2Kinds: ['NVMe', 'SATA'], m2Keys: ['M'], m2Lengths: ['2242', '2280'] };
  const markOf = (board_: Seats['board'], drive1: Seats['board']) =>
    m2Fits(planWith({ board: board_ ?? {}, drive1: drive1 ?? {} }).plan)[0]?.mark;
  for (const [what, board_, drive_, mark] of [
    ['agree', socketed, drive, 'clear'],
    [
      'a SATA drive in an NVMe socket',
      { ...socketed, m2Kinds: ['NVMe'] },
      { ...drive, bus: 'SATA' },
      'stop',
    ],
    ['an M key against a B notch', socketed, { ...drive, m2Keys: ['B'] }, 'stop'],
    ['both notches in an M socket', socketed, { ...drive, m2Keys: ['B', 'M'] }, 'clear'],
    ['a short drive without its standoff', socketed, { ...drive, m2Length: '2260' }, 'mend'],
    ['a long drive', socketed, { ...drive, m2Length: '22110' }, 'stop'],
    [
      'a long and wrong one',
      { ...socketed, m2Kinds: ['SATA'] },
      { ...drive, m2Length: '2260' },
      'stop',
    ],
    ['nothing known', {}, { form: 'M.2' }, undefined],
    ['a drive on a lead', socketed, { form: '2.5', m2Length: '22110' }, undefined],
  ] as const) {
    it(`${what}: ${mark}`, () => expect(markOf(board_, drive_)).to.equal(mark));
  }
});

describe('links/moduleSort', () => {
  const marks = (takes: string | undefined, ...sorts: string[]) =>
    moduleSort(
      planWith({
        board: takes === undefined ? {} : { memorySort: takes },
        ...Object.fromEntries(sorts.map((sort, i) => [`memory${i + 1}`, { sort }])),
      }).plan,
    )[0]?.mark;
  it('stops a mixture, whatever the board takes', () => {
    expect(marks(undefined, 'registered', 'plain')).to.equal('stop');
    expect(marks('either', 'registered', 'ECC')).to.equal('stop');
  });
  it('stops what the board does not take, clears what it does', () => {
    expect(marks('plain', 'registered')).to.equal('stop');
    expect(marks('registered', 'plain')).to.equal('stop');
    expect(marks('registered', 'registered')).to.equal('clear');
  });
  /* Common practice, no source: mixed, nothing is checked any more; a board without ECC starts with them, or not. */
  it('watches ECC beside plain modules, and on a board without it', () => {
    expect(marks('plain', 'ECC', 'plain')).to.equal('watch');
    expect(marks(undefined, 'ECC', 'plain')).to.equal('watch');
    expect(marks('plain', 'ECC')).to.equal('watch');
  });
  it('silence about the board is not Clear for modules that few boards take', () => {
    expect(marks(undefined, 'registered')).to.equal('watch');
    expect(marks(undefined, 'ECC')).to.equal('watch');
  });
  it('has nothing to say of plain modules on a board nobody asked', () => {
    expect(marks(undefined, 'plain', 'plain')).to.equal(undefined);
    expect(marks('plain', 'plain')).to.equal(undefined);
  });
});

/* 2^32 sectors of 512 bytes are 2,199 GB. */
describe('links/largeDrives', () => {
  const mark = (size: number, starts?: string) =>
    largeDrives(planWith({ board: starts ? { starts } : {}, drive1: { size } }).plan)[0]?.mark;
  it('watches what the old partition table does not reach, on boards that start the old way', () => {
    expect(mark(4000, 'legacy')).to.equal('watch');
    expect(mark(2000, 'legacy')).to.equal(undefined);
    expect(mark(4000, 'both')).to.equal(undefined);
    expect(mark(4000)).to.equal(undefined);
  });
});
