import { expect } from 'chai';
import fc from 'fast-check';
import { boardHoles } from '../../../src/core/fit/boardHoles.ts';
import { boardOutline } from '../../../src/core/fit/boardOutline.ts';
import { cardHeight } from '../../../src/core/fit/cardHeight.ts';
import { cardLength } from '../../../src/core/fit/cardLength.ts';
import { cardSlots } from '../../../src/core/fit/cardSlots.ts';
import { coolerHeight } from '../../../src/core/fit/coolerHeight.ts';
import { memoryHeight } from '../../../src/core/fit/memoryHeight.ts';
import { coolerMount } from '../../../src/core/fit/coolerMount.ts';
import { driveMounts } from '../../../src/core/fit/driveMounts.ts';
import { spaceOf } from '../../../src/core/fit/space/space.ts';
import { supplyBay } from '../../../src/core/fit/supplyBay.ts';
import type { Plan } from '../../../src/core/model/lookup/plan.ts';
import { planWith, the, type Seats, type Value } from '../../helpers/build.ts';
import { cageOut } from '../../../src/core/remedies/cageOut.ts';
import type { RemedyValue } from '../../../src/core/model/types/remedyValue.ts';
import { drill } from '../../../src/core/remedies/drill.ts';
import { standoffsOut } from '../../../src/core/remedies/standoffsOut.ts';

describe('fit/cardLength', () => {
  const over = planWith({ case: { cardRoom: 247, cageGain: 58 }, card1: { length: 267 } });

  it('stops a card that is 20 mm too long and pencils in the cage', () => {
    const finding = the(cardLength(over), 'card-length:card1');
    expect(finding.mark).to.equal('stop');
    expect(finding.margin).to.deep.equal({ lo: -20, hi: -20 });
    expect(finding.marginLabel).to.equal('over');
    const [cage] = finding.remedies;
    expect(cage?.value).to.deep.equal(cageOut());
    expect(cage?.margin).to.deep.equal({ lo: 38, hi: 38 });
    expect(cage?.mark).to.equal('clear');
    expect(cage?.undoable).to.equal(true);
  });

  it('adds the cage in ink once it is taken', () => {
    const plan = { ...over, applied: [cageOut()] };
    const finding = the(cardLength(plan), 'card-length:card1');
    expect(finding.mark).to.equal('clear');
    expect(finding.margin).to.deep.equal({ lo: 38, hi: 38 });
    expect(finding.terms.map((term) => term.label)).to.include('cage out');
  });

  it('watches a card whose class straddles the room', () => {
    const finding = the(
      cardLength(planWith({ case: { cardRoom: 247 }, card1: {} })),
      'card-length:card1',
    );
    expect(finding.mark).to.equal('watch');
    expect(finding.margin?.lo).to.be.below(0);
    expect(finding.margin?.hi).to.be.above(0);
  });

  it('watches less than the room to swing, clears more', () => {
    const mark = (length: number) =>
      the(cardLength(planWith({ case: { cardRoom: 247 }, card1: { length } })), 'card-length:card1')
        .mark;
    expect(mark(246)).to.equal('watch');
    expect(mark(244)).to.equal('clear');
    expect(mark(247.1)).to.equal('stop');
  });

  it('offers a cut that cannot be undone where no cage gives', () => {
    const finding = the(
      cardLength(planWith({ case: { cardRoom: 247 }, card1: { length: 267 } })),
      'card-length:card1',
    );
    expect(finding.remedies[0]?.undoable).to.equal(false);
    expect(finding.remedies[0]?.margin?.lo).to.be.at.least(0);
  });

  it('says nothing without a case or a card', () => {
    expect(cardLength(planWith({ card1: { length: 267 } }))).to.deep.equal([]);
    expect(cardLength(planWith({ case: { cardRoom: 247 } }))).to.deep.equal([]);
  });

  it('judges by the whole range, whatever the numbers', () => {
    const size = fc.integer({ min: 50, max: 400 });
    fc.assert(
      fc.property(size, size, size, (room, a, b) => {
        const [lo, hi] = [Math.min(a, b), Math.max(a, b)];
        const finding = the(
          cardLength(planWith({ case: { cardRoom: room }, card1: { length: [lo, hi] } })),
          'card-length:card1',
        );
        if (finding.mark === 'stop') expect(lo).to.be.above(room);
        if (finding.mark === 'clear') expect(hi).to.be.at.most(room - 3);
        if (lo > room) expect(finding.mark).to.equal('stop');
        if (hi <= room - 3) expect(finding.mark).to.equal('clear');
      }),
    );
  });
});

describe('fit/coolerHeight', () => {
  const mark = (coolerRoom: number, height: number) =>
    the(coolerHeight(planWith({ case: { coolerRoom }, cooler: { height } })), 'cooler-height').mark;

  /* Common practice, no source: 56 mm of room refuses a 58 mm cooler. */
  it('refuses a 58 mm cooler in 56 mm', () => {
    expect(mark(56, 58)).to.equal('stop');
  });
  it('watches a lid that may touch, clears air', () => {
    expect(mark(58, 57)).to.equal('watch');
    expect(mark(60, 58)).to.equal('clear');
  });
  it('carries an unmeasured tower as its class', () => {
    const finding = the(
      coolerHeight(planWith({ case: { coolerRoom: 162 }, cooler: { class: 'tower' } })),
      'cooler-height',
    );
    expect(finding.mark).to.equal('watch');
    expect(finding.margin).to.deep.equal({ lo: -8, hi: 44 });
    expect(finding.terms[1]?.how).to.equal('class');
  });
});

describe('fit/boardOutline', () => {
  it('clears a microATX board in a case that names it, stops an ATX board', () => {
    const shell = { boards: ['microATX'] };
    const fits = boardOutline(planWith({ case: shell, board: { format: 'microATX' } }));
    expect(fits.map((finding) => finding.mark)).to.deep.equal(['clear', 'clear']);
    const wide = the(
      boardOutline(planWith({ case: shell, board: { format: 'ATX' } })),
      'board-width',
    );
    expect(wide.mark).to.equal('stop');
    expect(wide.margin?.hi).to.be.closeTo(243.84 + 40 - 304.8, 1e-9);
  });
  it('believes the measured tray before the name', () => {
    const found = boardOutline(
      planWith({
        case: { boards: ['ATX'], boardWidth: 200, boardDepth: 250 },
        board: { width: 198, depth: 244 },
      }),
    );
    expect(the(found, 'board-width').margin).to.deep.equal({ lo: 2, hi: 2 });
    expect(the(found, 'board-depth').margin).to.deep.equal({ lo: 6, hi: 6 });
  });
});

describe('fit/boardHoles', () => {
  const microAtx = { width: 243.84, depth: 243.84 };
  const holes = (
    stands: string[],
    board: string[],
    applied: RemedyValue[] = [],
    size: object = microAtx,
  ) =>
    the(
      boardHoles(
        planWith({ case: { standoffs: stands }, board: { holes: board, ...size } }, { applied }),
      ),
      'board-holes',
    );

  it('stops a standoff under no hole, and clears it once taken out', () => {
    const finding = holes(['C', 'F', 'H', 'J', 'R'], ['C', 'F', 'H', 'J']);
    expect(finding.mark).to.equal('stop');
    expect(finding.say).to.contain('R would touch');
    expect(finding.remedies[0]?.value).to.deep.equal(standoffsOut({ holes: ['R'] }));
    expect(
      holes(['C', 'F', 'H', 'J', 'R'], ['C', 'F', 'H', 'J'], [standoffsOut({ holes: ['R'] })]).mark,
    ).to.equal('clear');
  });
  it('leaves standoffs beyond the board alone: a small board on a full ATX tray (ATX 2.2, microATX 1.2)', () => {
    const tray = ['A', 'B', 'C', 'F', 'G', 'H', 'J', 'K', 'L', 'M', 'R', 'S'];
    const micro = ['B', 'C', 'F', 'H', 'J', 'L', 'M', 'R', 'S'];
    const found = holes(tray, micro);
    expect(found.mark).to.equal('clear');
    expect(found.remedies).to.deep.equal([]);
    expect(holes(tray, ['C', 'F', 'H', 'J'], [], { width: 170.18, depth: 170.18 }).mark).to.equal(
      'clear',
    );
    /* The same standoffs under a full ATX board that has no holes there. */
    const wide = holes(['A', ...micro], micro, [], { width: 304.8, depth: 243.84 });
    expect(wide.mark).to.equal('stop');
    expect(wide.say).to.contain('Standoff A would touch');
  });
  it('watches a standoff near the edge of a board nobody measured', () => {
    const open = holes(['A', 'C', 'F', 'H', 'J'], ['C', 'F', 'H', 'J'], [], {});
    expect(open.mark).to.equal('watch');
    expect(open.say).to.contain('A may lie under the board');
    expect(open.remedies[0]?.value).to.deep.equal(standoffsOut({ holes: ['A'] }));
  });
  it('knows a shallow ATX board by its depth: the front row of holes is not there', () => {
    const shallow = (depth: Value) =>
      the(
        boardHoles(
          planWith({
            case: { standoffs: ['A', 'C', 'F', 'G', 'H', 'J'] },
            board: { format: 'ATX', depth },
          }),
        ),
        'board-holes',
      ).mark;
    expect(shallow(190)).to.equal('clear');
    expect(shallow(243.84)).to.equal('mend');
  });
  it('offers no drilling for a board larger than the tray, where the case names its boards', () => {
    const found = the(
      boardHoles(
        planWith({
          case: { boards: ['Mini-ITX'], standoffs: ['C', 'F'] },
          board: { format: 'ATX' },
        }),
      ),
      'board-holes',
    );
    expect(found.mark).to.equal('mend');
    expect(found.remedies.map(({ value }) => value.do)).to.not.include('drill');
  });
  it('offers no drilling where the board stands over the tray', () => {
    const plan = planWith({
      case: { standoffs: ['C', 'F', 'H', 'J'], boardWidth: 200 },
      board: { holes: ['C', 'F', 'H', 'J', 'A', 'G'], width: 304.8, depth: 243.84 },
    });
    const found = the(boardHoles(plan), 'board-holes');
    expect(found.mark).to.equal('mend');
    expect(found.remedies).to.deep.equal([]);
  });
  it('watches one free corner, mends two', () => {
    expect(holes(['C', 'F', 'H'], ['C', 'F', 'H', 'J']).mark).to.equal('watch');
    const two = holes(['C', 'F'], ['C', 'F', 'H', 'J']);
    expect(two.mark).to.equal('mend');
    expect(two.remedies[0]?.value).to.deep.equal(drill({ holes: ['H', 'J'] }));
    expect(two.remedies[0]?.undoable).to.equal(false);
    expect(holes(['C', 'F'], ['C', 'F', 'H', 'J'], [drill({ holes: ['H', 'J'] })]).mark).to.equal(
      'clear',
    );
  });
  it('takes the standoffs of a case for several boards as movable', () => {
    const plan = planWith({ case: { boards: ['ATX', 'microATX'] }, board: { format: 'microATX' } });
    expect(the(boardHoles(plan), 'board-holes').mark).to.equal('clear');
  });
});

describe('fit/cardHeight', () => {
  it('asks where the plugs sit only when the card has plugs', () => {
    const at = (plugs: string[]) =>
      the(
        cardHeight(planWith({ case: { cardHeightRoom: 125 }, card1: { height: 111, plugs } })),
        'card-height:card1',
      );
    expect(at([]).mark).to.equal('clear');
    expect(at(['card8']).mark).to.equal('watch');
  });
  it('mends a full bracket before a low opening', () => {
    const finding = the(
      cardHeight(planWith({ case: { bracket: 'low' }, card1: { bracket: 'full' } })),
      'card-bracket:card1',
    );
    expect(finding.mark).to.equal('mend');
    expect(finding.remedies[0]?.get?.what).to.contain('bracket for');
    const both = cardHeight(planWith({ case: { bracket: 'low' }, card1: { bracket: 'both' } }));
    expect(the(both, 'card-bracket:card1').mark).to.equal('clear');
  });
});

describe('fit/cardSlots', () => {
  it('counts the slots of all cards together', () => {
    const finding = the(
      cardSlots(planWith({ case: { slots: 3 }, card1: { slotsWide: 2 }, card2: { slotsWide: 2 } })),
      'card-slots',
    );
    expect(finding.mark).to.equal('stop');
    expect(finding.margin).to.deep.equal({ lo: -1, hi: -1 });
  });
});

describe('fit/cardSlots, long slots', () => {
  const mark = (x16: number, ...lanes: number[]) =>
    cardSlots(
      planWith({
        case: { slots: 7 },
        board: { x16 },
        ...Object.fromEntries(lanes.map((each, i) => [`card${i + 1}`, { lanes: each }])),
      }),
    ).find(({ id }) => id === 'long-slots')?.mark;
  it('are fewer than long cards', () => {
    expect(mark(1, 16, 16)).to.equal('mend');
    expect(mark(2, 16, 16)).to.equal(undefined);
    expect(mark(1, 16, 1)).to.equal(undefined);
    expect(mark(0, 16)).to.equal('mend');
  });
});

describe('fit/supplyBay', () => {
  const format = (bay: string, supply: string) =>
    the(
      supplyBay(planWith({ case: { supplyFormat: bay }, supply: { format: supply } })),
      'supply-format',
    ).mark;
  it('knows which PSU goes into which bay', () => {
    expect(format('ATX', 'ATX')).to.equal('clear');
    expect(format('SFX-L', 'SFX')).to.equal('clear');
    /* One face, 130 deep instead of 100: no plate in the world helps. */
    expect(format('SFX', 'SFX-L')).to.equal('watch');
    expect(format('ATX', 'SFX')).to.equal('mend');
    expect(format('SFX', 'ATX')).to.equal('stop');
    expect(format('TFX', 'SFX')).to.equal('stop');
  });
  it('names the pair the plate is for', () => {
    const found = supplyBay(planWith({ case: { supplyFormat: 'ATX' }, supply: { format: 'TFX' } }));
    const plate = the(found, 'supply-format').remedies[0];
    expect(plate?.title).to.equal('Adapter plate TFX to ATX');
    expect(plate?.get?.what).to.equal('adapter plate TFX to ATX');
  });
  it('takes the depth of the format where none is measured', () => {
    const found = supplyBay(
      planWith({ case: { supplyRoom: 150, supplyFormat: 'ATX' }, supply: { format: 'ATX' } }),
    );
    expect(the(found, 'supply-depth').mark).to.equal('watch');
  });
});

describe('fit/driveMounts', () => {
  it('finds the drive that would hang loose, and the cage that held it', () => {
    const seats = {
      case: { bays35: 2, bays25: 1 },
      drive1: { form: '3.5' },
      drive2: { form: '2.5' },
    };
    const marks = (applied: RemedyValue[]) =>
      Object.fromEntries(
        driveMounts(planWith(seats, { applied })).map((each) => [each.id, each.mark]),
      );
    expect(marks([])).to.deep.equal({
      'drive-mounts-bays35': 'clear',
      'drive-mounts-bays25': 'clear',
    });
    expect(marks([cageOut()])['drive-mounts-bays35']).to.equal('mend');
  });
  it('has nothing to say about drives on the board', () => {
    expect(driveMounts(planWith({ case: { bays35: 0 }, drive1: { form: 'M.2' } }))).to.deep.equal(
      [],
    );
  });
});

describe('fit/stands, a card that does not stand in its slot', () => {
  const seats = (sort: string, more: Seats[string] = {}): Seats => ({
    case: {
      cardHeightRoom: 72,
      cardRoom: 200,
      slots: 1,
      innerWidth: 92,
      innerHeight: 330,
      innerDepth: 370,
    },
    board: { format: 'microATX', socket: 'AM4' },
    card1: { length: 230, height: 111, slotsWide: 2, plugs: [] },
    small1: { sort, carries: 'card1', ...more },
  });
  const ids = (plan: Plan) =>
    [...cardHeight(plan), ...cardLength(plan), ...cardSlots(plan)]
      .filter(({ mark }) => mark === 'stop')
      .map(({ id }) => id);
  it('a full card flat on a riser is no card over the lid', () => {
    expect(ids(planWith(seats('screw M3')))).to.include.members([
      'card-height:card1',
      'card-slots',
    ]);
    expect(ids(planWith(seats('riser')))).to.deep.equal(['card-length:card1']);
    expect(ids(planWith(seats('ribbon riser')))).to.deep.equal([]);
  });
  /* Two slots are 40.64; the seat of the slot stands 8 to 11 over the board. */
  it('lying, what the riser lifts it and its slots count under the lid', () => {
    const flat = (rise?: number) =>
      the(
        cardHeight(planWith(seats('riser', rise === undefined ? {} : { rise }))),
        'card-flat:card1',
      );
    expect(flat(30).margin?.lo).to.be.closeTo(72 + 8 - 30 - 2 * 20.32, 1e-9);
    expect(flat(30).mark).to.equal('clear');
    expect(flat(45).mark).to.equal('stop');
    expect(flat().mark).to.equal('watch');
    expect(flat().terms.find(({ input }) => input?.key === 'rise')?.value).to.deep.equal({
      lo: 15,
      hi: 45,
    });
  });
  it('is drawn in its slot and judged against nothing there', () => {
    const box = spaceOf(planWith(seats('riser')))?.boxes.find(({ seat }) => seat === 'card1');
    expect(box?.what).to.equal('guess');
  });
});

describe('fit/memoryHeight', () => {
  const found = (height: number | undefined, coolerRoom: number, applied: RemedyValue[] = []) =>
    memoryHeight(
      planWith(
        {
          case: { coolerRoom },
          board: { socket: 'AM4' },
          memory1: height === undefined ? { memoryForm: 'DIMM' } : { memoryForm: 'DIMM', height },
        },
        { applied },
      ),
    )[0];
  /* AM4: the CPU's top 7 to 8 over the board; a slot 2 to 5. */
  it('sums a module against the closed lid: 80 mm do not go under 50', () => {
    const tall = found(80, 50);
    expect(tall?.mark).to.equal('stop');
    expect(tall?.margin).to.deep.equal({ lo: 50 + 7 - 5 - 80, hi: 50 + 8 - 2 - 80 });
    expect(found(40, 50)?.mark).to.equal('clear');
    expect(found(53, 50)?.mark).to.equal('watch');
  });
  it('asks nothing of bare modules under a high lid', () => {
    expect(found(undefined, 150)).to.equal(undefined);
    expect(
      memoryHeight(planWith({ case: { class: 'tower' }, board: {}, memory1: { height: 200 } })),
    ).to.deep.equal([]);
  });
});

describe('fit/coolerMount', () => {
  const mark = (socket: string, sockets: string[]) =>
    the(coolerMount(planWith({ board: { socket }, cooler: { sockets } })), 'cooler-mount').mark;
  it('goes by the holes, not by the name', () => {
    expect(mark('LGA1200', ['LGA1151'])).to.equal('clear');
    expect(mark('LGA1700', ['LGA1200'])).to.equal('mend');
    expect(mark('LGA2011-3', ['LGA2011'])).to.equal('clear');
    expect(mark('AM3+', ['AM2'])).to.equal('clear');
  });
  /* Common practice, no source: the holes of both pairs lie alike. */
  it('tells the same holes otherwise held apart: studs, and the plate that stays on the board', () => {
    expect(mark('LGA2011', ['LGA1366'])).to.equal('mend');
    expect(mark('LGA1366', ['LGA2011'])).to.equal('mend');
    expect(mark('AM5', ['AM4'])).to.equal('watch');
    expect(mark('AM5', ['AM4', 'AM5'])).to.equal('clear');
    expect(mark('TR4', ['LGA4677'])).to.equal('mend');
  });
  it("takes no standard kit through a maker's plate that is fixed under the board", () => {
    const plate = (coolerPlate: string) =>
      the(
        coolerMount(
          planWith({ board: { socket: 'LGA1151', coolerPlate }, cooler: { sockets: ['LGA1151'] } }),
        ),
        'cooler-mount',
      );
    expect(plate("a maker's plate, fixed").mark).to.equal('mend');
    expect(plate("a maker's plate, fixed").remedies.map(({ value }) => value.do)).to.not.include(
      'fileSlots',
    );
    expect(plate('a plate that comes off').mark).to.equal('clear');
  });
  it('watches what nobody said', () => {
    const finding = the(coolerMount(planWith({ board: {}, cooler: {} })), 'cooler-mount');
    expect(finding.mark).to.equal('watch');
    expect(finding.terms.map((term) => term.value)).to.deep.equal(['?', '?']);
  });
});
