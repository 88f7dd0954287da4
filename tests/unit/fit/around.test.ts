import { expect } from 'chai';
import { exhaust } from '../../../src/core/fit/air.ts';
import { cardHeight } from '../../../src/core/fit/cardHeight.ts';
import { cardLength } from '../../../src/core/fit/cardLength.ts';
import { contradictions } from '../../../src/core/fit/contradictions.ts';
import { coolerHeight } from '../../../src/core/fit/coolerHeight.ts';
import { coolerMount } from '../../../src/core/fit/coolerMount.ts';
import { cover } from '../../../src/core/fit/cover.ts';
import { driveMounts } from '../../../src/core/fit/driveMounts.ts';
import { hotFaces } from '../../../src/core/fit/hotFace.ts';
import { COAT_MM } from '../../../src/core/fit/lid.ts';
import { limits, readOut } from '../../../src/core/fit/limits.ts';
import { litreClass, litresOf } from '../../../src/core/fit/litres.ts';
import { stack } from '../../../src/core/fit/stack.ts';
import { partOfKind } from '../../../src/core/model/lookup/plan.ts';
import { range } from '../../../src/core/units/range.ts';
import { planWith, the } from '../../helpers/build.ts';
import { cageOut } from '../../../src/core/remedies/cageOut.ts';
import { angledPlug } from '../../../src/core/remedies/angledPlug.ts';
import { lidWashers } from '../../../src/core/remedies/lidWashers.ts';
import { tallerFeet } from '../../../src/core/remedies/tallerFeet.ts';
import { toFrame } from '../../../src/core/remedies/toFrame.ts';
import { turnSupply } from '../../../src/core/remedies/turnSupply.ts';
import type { RemedyValue } from '../../../src/core/model/types/remedyValue.ts';

describe('fit, under the lid', () => {
  const seats = (more = {}) => ({ case: { coolerRoom: 60, ...more }, cooler: { height: 58 } });
  it('refuses a 58 mm cooler 56 mm of room (common practice)', () => {
    const found = the(
      coolerHeight(planWith({ case: { coolerRoom: 56 }, cooler: { height: 58 } })),
      'cooler-height',
    );
    expect(found.mark).to.equal('stop');
    expect(found.margin).to.deep.equal(range(-2));
  });
  it('takes paint off the room, 10 to 25 um a coat', () => {
    const found = the(coolerHeight(planWith(seats({ coats: 8 }))), 'cooler-height');
    expect(COAT_MM).to.deep.equal({ lo: 0.01, hi: 0.025 });
    expect(found.margin?.lo).to.be.closeTo(2 - 0.2, 1e-9);
    expect(found.margin?.hi).to.be.closeTo(2 - 0.08, 1e-9);
    expect(found.mark).to.equal('watch');
  });
  it('takes tape and felt off it, and gives what washers lift', () => {
    expect(the(coolerHeight(planWith(seats({ lining: 3 }))), 'cooler-height').mark).to.equal(
      'stop',
    );
    const lifted = planWith(seats({ lining: 3 }), { applied: [lidWashers()] });
    expect(the(coolerHeight(lifted), 'cooler-height').margin).to.deep.equal(range(2));
  });
  const card = (plugAt: string | undefined, applied: RemedyValue[] = []) =>
    planWith(
      {
        case: { cardHeightRoom: 140, cardRoom: 260 },
        card1: { height: 111, length: 240, plugs: ['card8'], ...(plugAt ? { plugAt } : {}) },
      },
      { applied },
    );
  it('counts the bend of the leads where the plugs sit: on top, or at the end', () => {
    expect(the(cardHeight(card('top')), 'card-height:card1').margin).to.deep.equal(
      range(140 - 111 - 35),
    );
    expect(the(cardHeight(card('end')), 'card-height:card1').margin).to.deep.equal(range(29));
    expect(the(cardLength(card('end')), 'card-length:card1').margin).to.deep.equal(
      range(260 - 240 - 35),
    );
    expect(the(cardLength(card('top')), 'card-length:card1').margin).to.deep.equal(range(20));
  });
  it('asks where they sit while nobody said', () => {
    const found = the(cardHeight(card(undefined)), 'card-height:card1');
    expect(found.margin).to.deep.equal(range(-6, 29));
    expect(found.terms.some((term) => term.input?.key === 'plugAt')).to.equal(true);
  });
  it('frees room with an angled lead, and says what it gives up', () => {
    const found = the(cardHeight(card('top')), 'card-height:card1');
    const angled = found.remedies.find(({ value }) => value.do === 'angledPlug');
    const taken = the(
      cardHeight(card('top', [angledPlug({ seat: 'card1' })])),
      'card-height:card1',
    );
    expect(taken.margin).to.deep.equal(angled?.margin);
    expect(angled?.givesUp).to.match(/contact/);
    expect(angled?.mark).to.equal('watch');
  });
});

describe('fit, along the rear', () => {
  it('puts PSU and board one after the other: 86 and 243.84 want 330 and a little', () => {
    const at = (innerHeight: number) =>
      the(
        stack(
          planWith({
            case: { innerHeight, supplyAt: 'above the board' },
            board: { format: 'microATX' },
            supply: { format: 'ATX' },
          }),
        ),
        'supply-and-board',
      ).mark;
    expect(at(329)).to.equal('stop');
    expect(at(331)).to.equal('watch');
    expect(at(340)).to.equal('clear');
  });
});

describe('fit, measures that contradict each other', () => {
  const sizes = { outerWidth: 170, outerHeight: 350, outerDepth: 330 };
  it('names the two and by how much', () => {
    const [found] = contradictions(planWith({ case: { ...sizes, cardRoom: 360 } }));
    expect(found?.say).to.equal(
      'room from the bracket is 30 mm more than depth outside: measure the two again.',
    );
    expect(found?.mark).to.equal('stop');
  });
  it('keeps still about a case that holds together', () => {
    expect(
      contradictions(planWith({ case: { ...sizes, cardRoom: 247, coolerRoom: 150 } })),
    ).to.deep.equal([]);
    expect(contradictions(planWith({ case: { class: 'tower' } }))).to.deep.equal([]);
  });
  it('turns its sides with a case that lies flat', () => {
    const flat = { outerWidth: 350, outerHeight: 95, outerDepth: 330 };
    expect(
      contradictions(planWith({ case: { ...flat, coolerRoom: 80, boardWidth: 300 } })),
    ).to.deep.equal([]);
    expect(contradictions(planWith({ case: { ...flat, coolerRoom: 120 } })).length).to.equal(1);
  });
  it('sees a case smaller than the room it claims for the board', () => {
    const ids = contradictions(
      planWith({ case: { ...sizes, boardDepth: 340, boardWidth: 360 } }),
    ).map((each) => each.id);
    expect(ids).to.have.members([
      'contradiction:boardDepth:outerDepth',
      'contradiction:boardWidth:outerHeight',
    ]);
  });
});

describe('fit, where the hot air goes', () => {
  const seats = (more = {}) => ({
    case: { class: 'mini tower', outerWidth: 200, outerHeight: 250, outerDepth: 280, ...more },
    board: { format: 'Mini-ITX' },
    supply: { format: 'SFX' },
  });
  it('counts the PSU, until it is turned against steel', () => {
    expect(the(exhaust(planWith(seats())), 'exhaust').mark).to.equal('clear');
    const turned = the(exhaust(planWith(seats(), { applied: [turnSupply()] })), 'exhaust');
    expect(turned.mark).to.equal('watch');
    expect(turned.say).to.match(/last exhaust/);
  });
  it('lets it leave by itself under 15 litres through holes in the lid (common practice)', () => {
    const outside = { supplyAt: 'outside the case' };
    expect(the(exhaust(planWith(seats(outside))), 'exhaust').mark).to.equal('watch');
    expect(the(exhaust(planWith(seats({ ...outside, vents: ['lid'] }))), 'exhaust').mark).to.equal(
      'clear',
    );
    const large = { ...outside, vents: ['lid'], outerHeight: 400 };
    expect(the(exhaust(planWith(seats(large))), 'exhaust').mark).to.equal('watch');
  });
  it('counts a fan on a rear mount of its size', () => {
    const fan = {
      ...seats({ supplyAt: 'outside the case', fanMounts: ['rear 92'] }),
      fan1: { size: 92 },
    };
    expect(the(exhaust(planWith(fan)), 'exhaust').mark).to.equal('clear');
    expect(the(exhaust(planWith({ ...fan, fan1: { size: 120 } })), 'exhaust').mark).to.equal(
      'watch',
    );
  });
  it('wants feet of 17 to 20 mm under a vent in the floor (common practice)', () => {
    const low = seats({ vents: ['floor'], feet: 6 });
    const found = the(exhaust(planWith(low)), 'feet');
    expect(found.mark).to.equal('watch');
    expect(found.remedies[0]?.title).to.equal('Feet of 17 to 20 mm');
    expect(the(exhaust(planWith(low, { applied: [tallerFeet()] })), 'feet').mark).to.equal('clear');
    expect(the(exhaust(planWith(seats({ vents: ['floor'], feet: 18 }))), 'feet').mark).to.equal(
      'clear',
    );
  });
  it('knows the litres as a range, and none where a side is missing', () => {
    const plan = planWith(seats());
    const shell = partOfKind(plan, 'case');
    expect(shell && litresOf(plan, shell)?.lo).to.be.closeTo(14, 1e-9);
    const open = planWith({ case: { outerWidth: 200 } });
    const other = partOfKind(open, 'case');
    expect(other && litresOf(open, other)).to.equal(undefined);
    expect([3, 14, 20, 60].map(litreClass)).to.deep.equal(['micro', 'small', 'middling', 'large']);
  });
});

describe('fit, mounts listed once', () => {
  const plan = (mounts: string[], forms: string[], applied: RemedyValue[] = []) =>
    planWith(
      {
        case: { mounts },
        ...Object.fromEntries(forms.map((form, i) => [`drive${i + 1}`, { form }])),
      },
      { applied },
    );
  it('says where each drive hangs', () => {
    const found = the(driveMounts(plan(['floor 3.5'], ['3.5'])), 'drive-mounts-bays35');
    expect(found.mark).to.equal('clear');
    expect(found.say).to.equal('drive1: floor.');
  });
  it('lets one hang loose when the cage goes out', () => {
    expect(
      the(driveMounts(plan(['cage 3.5'], ['3.5'], [cageOut()])), 'drive-mounts-bays35').mark,
    ).to.equal('mend');
  });
});

describe('fit, limits to read out', () => {
  const list = limits(
    planWith({
      case: {
        cardRoom: 255,
        coolerRoom: 135,
        bracketDrop: 42,
        mounts: ['bracket 3.5'],
        cardHeightRoom: 150,
      },
    }),
  );
  const mm = (label: string, change?: string) =>
    list.find((limit) => limit.label === label && limit.with === change)?.mm;
  it('gives each maximum with and without what takes from it', () => {
    expect(mm('cooler height')).to.equal(135);
    expect(mm('cooler height', 'drive on the bracket')).to.equal(93);
    expect(mm('cooler height', 'washers under the lid')).to.equal(138);
    expect(mm('card length', 'radiator at the front')).to.equal(200);
    expect(mm('card height', 'plugs on top')).to.equal(115);
  });
  it('reads as one line each, with the datum', () => {
    expect(readOut(list, 'mm')).to.include(
      'card length: 255 at most, from the inside of the bracket',
    );
  });
});

describe('fit, hot faces', () => {
  const seats = (innerHeight: number, slotsWide = 2) => ({
    case: {
      innerHeight,
      cardRoom: 260,
      cardHeightRoom: 150,
      coolerRoom: 120,
      supplyAt: 'outside the case',
    },
    board: { format: 'Mini-ITX' },
    card1: { length: 200, height: 111, slotsWide },
  });
  it('wants air between a card and the end of the case', () => {
    expect(hotFaces(planWith(seats(205)))[0]?.mark).to.equal('watch');
    expect(hotFaces(planWith(seats(205)))[0]?.say).to.match(/they will starve/);
    expect(hotFaces(planWith(seats(232)))[0]?.mark).to.equal('clear');
    expect(hotFaces(planWith(seats(300)))).to.deep.equal([]);
  });
  it('counts a thicker card, and the next card below it', () => {
    expect(hotFaces(planWith(seats(232, 3)))[0]?.mark).to.equal('watch');
    const two = { ...seats(300), card2: { length: 160, height: 111, slotsWide: 1 } };
    const [first] = hotFaces(planWith(two));
    expect(first?.seats).to.deep.equal(['card1', 'card2']);
    expect(first?.say).to.match(/next card/);
  });
});

describe('fit, covers', () => {
  it('watches what depends on the lid with a lead, until it depends on the frame', () => {
    const [found] = cover(planWith({ case: { onLid: ['fan', 'lights'] } }));
    expect(found?.mark).to.equal('watch');
    expect(found?.remedies[0]?.value).to.deep.equal(toFrame({ count: 2 }));
    expect(
      cover(planWith({ case: { onLid: ['fan'] } }, { applied: [toFrame()] }))[0]?.mark,
    ).to.equal('clear');
    expect(cover(planWith({ case: {} }))).to.deep.equal([]);
  });
});

describe('fit, the cooler on other holes', () => {
  const mount = (socket: string, kit: string) =>
    the(coolerMount(planWith({ board: { socket }, cooler: { sockets: [kit] } })), 'cooler-mount');
  /* LGA115x holes lie 75 apart, LGA1700 78: 1.5 mm along each side, 1.5 x sqrt 2 on the diagonal. */
  it('offers to file slots where the squares are near, for good', () => {
    const file = mount('LGA1700', 'LGA1151').remedies.find(({ value }) => value.do === 'fileSlots');
    expect(file?.title).to.equal(
      "File the plate's holes 1.5 mm each way, 2.1 on the diagonal, to slots",
    );
    expect(file?.undoable).to.equal(false);
  });
  it('offers none for a rectangle', () => {
    expect(mount('AM4', 'LGA1151').remedies.map(({ value }) => value.do)).to.deep.equal([
      'coolerKit',
    ]);
  });
});
