import { expect } from 'chai';
import { cardLength } from '../../../src/core/fit/cardLength.ts';
import { coolerSinks } from '../../../src/core/fit/coolerSinks.ts';
import { clashes } from '../../../src/core/fit/clashes.ts';
import { leadPaths } from '../../../src/core/fit/leads.ts';
import { leadReach } from '../../../src/core/fit/reach.ts';
import { leadRoom } from '../../../src/core/fit/leadRoom.ts';
import { leadsUnder } from '../../../src/core/fit/leadsUnder.ts';
import { driveDepth, mountDepth } from '../../../src/core/fit/mountDepth.ts';
import { spaceOf } from '../../../src/core/fit/space/space.ts';
import { supplyBay } from '../../../src/core/fit/supplyBay.ts';
import { suppliesBeside } from '../../../src/core/fit/supplyOutside.ts';
import { wireless } from '../../../src/core/links/wireless.ts';
import { cuboid, driveMount, fanMount } from '../../../src/core/model/types/shapes.ts';
import type { RemedyValue } from '../../../src/core/model/types/remedyValue.ts';
import { angledDrive } from '../../../src/core/remedies/angledDrive.ts';
import { angledRibbon } from '../../../src/core/remedies/angledRibbon.ts';
import { cageOut } from '../../../src/core/remedies/cageOut.ts';
import { cutSink } from '../../../src/core/remedies/cutSink.ts';
import { fanPlaces } from '../../../src/core/remedies/fanPlaces.ts';
import { flatSink } from '../../../src/core/remedies/flatSink.ts';
import { longerLead } from '../../../src/core/remedies/longerLead.ts';
import { otherSocket } from '../../../src/core/remedies/otherSocket.ts';
import { radiatorPlace } from '../../../src/core/remedies/radiatorPlace.ts';
import { supplyOutside } from '../../../src/core/remedies/supplyOutside.ts';
import { tallerFeet } from '../../../src/core/remedies/tallerFeet.ts';
import type { Finding } from '../../../src/core/findings/finding.ts';
import { planWith, the, type Seats } from '../../helpers/build.ts';

/** What is odd about cases: ribbons, sinks, plugs behind drives, leads as bundles, PSUs outside. */

const marks = (found: readonly Finding[]) => found.map(({ id, mark }) => `${id} ${mark}`);
const offered = (finding: Finding) => finding.remedies.map(({ value }) => value.do);

describe('fit/mountDepth, drives with their plugs', () => {
  const seats = (mounts: string[]): Seats => ({ case: { mounts }, drive1: { form: '3.5' } });
  const found = (mounts: string[], applied: RemedyValue[] = []) =>
    driveDepth(planWith(seats(mounts), { applied }));
  it('counts length, plugs and bend against how deep the mount is', () => {
    const tight = the(found(['cage 3.5 170 deep']), 'drive-depth:drive1');
    expect(tight.margin).to.deep.equal({ lo: 170 - 147 - 40, hi: 170 - 147 - 25 });
    expect(tight.mark).to.equal('stop');
    expect(offered(tight)).to.deep.equal(['angledDrive']);
    expect(tight.remedies[0]?.mark).to.equal('clear');
    expect(the(found(['cage 3.5 187 deep']), 'drive-depth:drive1').mark).to.equal('clear');
    expect(the(found(['cage 3.5 180 deep']), 'drive-depth:drive1').mark).to.equal('watch');
  });
  it('angled leads take the bend out of the sum, and are not offered again', () => {
    const angled = the(
      found(['cage 3.5 170 deep'], [angledDrive({ seat: 'drive1' })]),
      'drive-depth:drive1',
    );
    expect(angled.mark).to.equal('clear');
    expect(angled.remedies).to.deep.equal([]);
  });
  it('offers the other mounts; the shallow one is said of the drive that hangs there', () => {
    const both = the(found(['cage 3.5 150 deep', 'floor 3.5']), 'drive-depth:drive1');
    expect(both.remedies.map(({ value }) => value)).to.deep.include({
      do: 'moveDrive',
      seat: 'drive1',
      to: 'floor',
    });
    expect(found(['cage 3.5', 'floor 3.5'])).to.deep.equal([]);
  });
  it('is typed and written as it is said', () => {
    const deep = driveMount.read('behind the tray 2.5 12,5 deep');
    expect(deep).to.deep.equal({ at: 'behind the tray', form: '2.5', deep: 12.5 });
    expect(driveMount.write(deep!)).to.equal('behind the tray 2.5 12.5 deep');
    expect(driveMount.read('cage 3.5')).to.deep.equal({ at: 'cage', form: '3.5' });
    expect(driveMount.read('cage 3.5 deep')).to.equal(undefined);
    expect(driveMount.read('cage 5')).to.equal(undefined);
  });
});

describe('fit, a drive as thick as it is', () => {
  const high = (drive: Seats[string]) => {
    const plan = planWith({
      case: { innerHeight: 400, innerDepth: 400, coolerRoom: 150, mounts: ['floor 2.5'] },
      board: { format: 'ATX' },
      drive1: { form: '2.5', ...drive },
    });
    const box = spaceOf(plan)?.boxes.find(({ seat }) => seat === 'drive1');
    return box!.y[1].terms.length > 0 && restOfHeight(box!.y[0].terms);
  };
  const restOfHeight = (terms: readonly { label: string; value: unknown }[]) =>
    terms.find(({ label }) => label === 'drive')?.value;
  it('takes the figure, else any that are made', () => {
    expect(high({})).to.deep.equal({ lo: 5, hi: 15 });
    expect(high({ height: 7 })).to.deep.equal({ lo: 7, hi: 7 });
  });
});

describe('fit, the bracket over the PSU', () => {
  it('is a place for fans and radiators where it was listed, and nowhere else', () => {
    const listed = planWith({
      case: { fanMounts: ['PSU bracket 120', 'PSU bracket 120'] },
      fan1: { size: 120 },
      cooler: { class: 'radiator', radiator: '240' },
    });
    expect(fanPlaces(listed)[0]).to.include({ blows: 'either' });
    expect(fanPlaces(listed)[0]?.walls).to.deep.equal(['PSU bracket']);
    expect(radiatorPlace(listed)?.walls).to.deep.equal(['PSU bracket']);
    const not = planWith({ case: {}, fan1: { size: 120 }, cooler: { class: 'radiator' } });
    expect(fanPlaces(not)[0]?.walls).to.not.include('PSU bracket');
    expect(radiatorPlace(not)?.walls).to.not.include('PSU bracket');
  });
  it('is deep as it was measured; nobody measured it: a Watch, not silence', () => {
    const radiator = (mounts: string[]) =>
      the(
        mountDepth(
          planWith({
            case: { fanMounts: mounts },
            cooler: { class: 'radiator', radiator: '240', thickness: 52 },
          }),
        ),
        'radiator-depth',
      );
    const deep = (mm: number) =>
      radiator([`PSU bracket 120 ${mm} deep`, `PSU bracket 120 ${mm} deep`]);
    expect(deep(60).mark).to.equal('clear');
    expect(deep(50).mark).to.equal('stop');
    const open = radiator(['PSU bracket 120', 'PSU bracket 120']);
    expect(open.mark).to.equal('watch');
    expect(open.terms[0]).to.include({ how: 'class' });
  });
  it('is typed in any letters', () => {
    expect(fanMount.read('psu bracket 92 30 deep')).to.deep.equal({
      at: 'PSU bracket',
      mm: 92,
      deep: 30,
    });
    expect(fanMount.read('shelf 92')).to.equal(undefined);
  });
});

describe('fit/cardLength, plugs whose place nobody said', () => {
  const length = (plugAt?: string) =>
    the(
      cardLength(
        planWith({
          case: { cardRoom: 260 },
          card1: { length: 240, plugs: ['card8'], ...(plugAt !== undefined && { plugAt }) },
        }),
      ),
      'card-length:card1',
    );
  it('may sit at its end: the bend counts as far as that', () => {
    expect(length('top').margin).to.deep.equal({ lo: 20, hi: 20 });
    expect(length('end').margin).to.deep.equal({ lo: -15, hi: -15 });
    expect(length().margin).to.deep.equal({ lo: -15, hi: 20 });
    expect(length().mark).to.equal('watch');
    expect(length().terms.at(-1)?.input).to.include({ key: 'plugAt' });
  });
});

describe('fit/reach', () => {
  const found = (small1: Seats[string], applied: RemedyValue[] = []) =>
    leadReach(planWith({ case: {}, board: {}, card1: {}, small1 }, { applied }));
  it('holds a ribbon against its way, bends and all', () => {
    const ribbon = (length: number, way: number) =>
      the(found({ sort: 'ribbon riser', length, way }), 'reach:small1');
    expect(ribbon(200, 150).margin).to.deep.equal({ lo: 200 - 150 - 40, hi: 200 - 150 - 15 });
    expect(ribbon(200, 150).mark).to.equal('clear');
    expect(ribbon(200, 190).mark).to.equal('stop');
    expect(ribbon(200, 175).mark).to.equal('watch');
    /* No extension for a ribbon: a longer one. */
    expect(ribbon(200, 190).remedies).to.deep.equal([]);
  });
  it('one figure alone is a Watch that asks for the other; none at all is no question', () => {
    const [half] = found({ sort: 'antenna lead', length: 200 });
    expect(half?.mark).to.equal('watch');
    expect(half?.terms.find(({ how }) => how === 'class')?.input).to.include({ key: 'way' });
    expect(found({ sort: 'antenna lead' })).to.deep.equal([]);
    expect(found({ sort: 'fan splitter', length: 200, way: 300 })).to.deep.equal([]);
  });
  it('an extension helps a display lead', () => {
    const lead = { sort: 'display lead', length: 500, way: 600 };
    const short = the(found(lead), 'reach:small1');
    expect(short.mark).to.equal('stop');
    expect(offered(short)).to.deep.equal(['longerLead']);
    const longer = longerLead({ lead: 'small1', name: 'display lead' });
    expect(the(found(lead, [longer]), 'reach:small1').margin).to.deep.equal({
      lo: 500 + 200 - 600 - 80,
      hi: 500 + 300 - 600 - 40,
    });
  });
  it('the socket end: straight or angled, and either until it is said', () => {
    const end = (plugEnd: string | undefined, wallBeside: number, applied: RemedyValue[] = []) =>
      the(
        found(
          { sort: 'ribbon riser', wallBeside, ...(plugEnd !== undefined && { plugEnd }) },
          applied,
        ),
        'ribbon-end:small1',
      );
    expect(end('straight', 25).mark).to.equal('stop');
    expect(offered(end('straight', 25))).to.deep.equal(['angledRibbon']);
    expect(end('angled', 25).mark).to.equal('clear');
    expect(end(undefined, 25).mark).to.equal('watch');
    expect(end(undefined, 25).terms[1]?.input).to.include({ key: 'plugEnd' });
    expect(end('straight', 25, [angledRibbon({ seat: 'small1' })]).mark).to.equal('clear');
    expect(end('angled', 8).mark).to.equal('stop');
  });
});

describe('fit/coolerSinks', () => {
  const plan = (cooler: Seats[string], sinksHigh?: number, applied: RemedyValue[] = []) =>
    planWith(
      { board: { socket: 'AM4', ...(sinksHigh !== undefined && { sinksHigh }) }, cooler },
      { applied },
    );
  const wide = { width: 120, breadth: 120, under: 20 };
  it('a cooler wider than the free square must pass over the sinks', () => {
    const over = the(coolerSinks(plan(wide, 35)), 'cooler-sinks');
    expect(over.mark).to.equal('stop');
    expect(over.margin).to.deep.equal({ lo: 20 + 7 - 35, hi: 20 + 8 - 35 });
    expect(offered(over)).to.deep.equal(['cutSink']);
    expect(the(coolerSinks(plan(wide, 20)), 'cooler-sinks').mark).to.equal('clear');
  });
  it('one that stays inside the square, or sinks nobody measured, are no question', () => {
    expect(coolerSinks(plan({ width: 95, breadth: 90, under: 5 }, 35))).to.deep.equal([]);
    expect(coolerSinks(plan(wide))).to.deep.equal([]);
  });
  it('a width that may end inside the square is no Stop', () => {
    const open = { width: [90, 120] as const, breadth: 90, under: 20 };
    expect(the(coolerSinks(plan(open, 35)), 'cooler-sinks').mark).to.equal('watch');
  });
  it('cut down it may pass, and looks spoilt', () => {
    const cut = the(coolerSinks(plan(wide, 35, [cutSink({ seat: 'board' })])), 'cooler-sinks');
    expect(cut.mark).to.equal('clear');
    expect(cutSink.undoable).to.equal(false);
  });
});

describe('fit, an M.2 sink under what lies over it', () => {
  const seats = (sink: number, more: Seats[string] = {}): Seats => ({
    case: { coolerRoom: 60, cardHeightRoom: 120, innerDepth: 400 },
    board: { format: 'microATX', socket: 'AM4', ...more },
    cooler: { class: 'low', height: 50, width: 120, breadth: 120, under: 8 },
    drive1: { form: 'M.2', sink },
  });
  const clash = (plan: Seats, applied: RemedyValue[] = []) =>
    clashes(planWith(plan, { applied })).filter(({ id }) => id === 'space:cooler:drive1');
  it('offers another socket where the board has one, a flat sink, and the file', () => {
    const [low] = clash(seats(20, { m2: 2 }));
    expect(low?.mark).to.not.equal('clear');
    expect(offered(low!)).to.deep.equal(['otherSocket', 'flatSink', 'cutSink']);
    const [one] = clash(seats(20, { m2: 1 }));
    expect(offered(one!)).to.deep.equal(['flatSink', 'cutSink']);
  });
  it('and each of them takes it out of the way', () => {
    for (const value of [
      otherSocket({ seat: 'drive1' }),
      flatSink({ seat: 'drive1' }),
      cutSink({ seat: 'drive1' }),
    ] as RemedyValue[])
      expect(clash(seats(20, { m2: 2 }), [value]), value.do).to.deep.equal([]);
  });
});

describe('fit/leadsUnder', () => {
  const found = (shell: Seats[string], applied: RemedyValue[] = []) =>
    leadsUnder(planWith({ case: shell, board: {} }, { applied }));
  it('asks only of a case that stands on its ports', () => {
    expect(found({ feet: 5 })).to.deep.equal([]);
    expect(found({ feet: 5, portsFace: 'rear', portsSet: 0 })).to.deep.equal([]);
  });
  it('holds feet and recess against plug and bend', () => {
    const down = (feet: number, portsSet: number, applied: RemedyValue[] = []) =>
      the(found({ portsFace: 'down', feet, portsSet }, applied), 'leads-under');
    expect(down(5, 10).mark).to.equal('stop');
    expect(down(20, 45).mark).to.equal('clear');
    expect(down(15, 20).mark).to.equal('watch');
    expect(offered(down(5, 10))).to.deep.equal(['tallerFeet']);
    expect(down(5, 10, [tallerFeet()]).margin).to.deep.equal({
      lo: 17 + 10 - 65,
      hi: 20 + 10 - 25,
    });
  });
});

describe("fit/leadRoom, the PSU's leads as a bundle", () => {
  const seats = (room: number, supply: Seats[string] = {}): Seats => ({
    case: { leadRoom: room },
    board: { processorPlug: 'cpu8' },
    drive1: { form: '2.5' },
    supply: {
      mainPlug: 'main24',
      plugs: ['cpu8', 'card8', 'card8', 'sata', 'sata', 'sata', 'drive4'],
      ...supply,
    },
  });
  const thick = (supply: Seats[string]) =>
    the(leadRoom(planWith(seats(30, supply))), 'lead-room').terms[1]?.value;
  /* Rule of harness makers: 1.2 √n d. 24 + 8 + 5 used; 16 + 5 of 58 lie folded two to three times. */
  it('plugged in only what feeds something; fixed the rest lies folded with it', () => {
    const rule = (n: number, d: number) => Math.round(1.2 * Math.sqrt(n) * d);
    expect(thick({ modular: 'all plug in' })).to.deep.equal({
      lo: rule(37, 1.8),
      hi: rule(37, 2.4),
    });
    expect(thick({ modular: 'fixed' })).to.deep.equal({
      lo: rule(37 + 2 * 21, 1.8),
      hi: rule(37 + 3 * 21, 2.4),
    });
  });
  it('a lead of drives feeds three: the fourth wants another', () => {
    const with_ = (drives: number) =>
      leadRoom(
        planWith({
          ...seats(30, { modular: 'all plug in' }),
          ...Object.fromEntries(
            Array.from({ length: drives }, (_, i) => [`drive${i + 1}`, { form: '3.5' }]),
          ),
        }),
      )[0]?.terms[1]?.label;
    expect([3, 4].map(with_)).to.deep.equal(['bundle of 37 wires', 'bundle of 42 wires']);
  });
  it('nobody said whether they plug in: both', () => {
    expect(thick({})).to.deep.equal({
      lo: (thick({ modular: 'all plug in' }) as { lo: number }).lo,
      hi: (thick({ modular: 'fixed' }) as { hi: number }).hi,
    });
    const [open] = leadRoom(planWith(seats(20)));
    expect(open?.terms[1]?.input).to.include({ key: 'modular' });
    expect(open?.mark).to.equal('watch');
  });
  it('stops where even the thinnest is too thick, says nothing of a room nobody measured', () => {
    expect(marks(leadRoom(planWith(seats(10, { modular: 'fixed' }))))).to.deep.equal([
      'lead-room stop',
    ]);
    expect(leadRoom(planWith({ ...seats(10), case: {} }))).to.deep.equal([]);
  });
});

describe('fit, a PSU too deep for its bay', () => {
  const seats = (more: Seats[string] = {}): Seats => ({
    case: { supplyFormat: 'ATX', supplyRoom: 150, supplyAt: 'below the board', ...more },
    supply: { format: 'ATX', depth: 170, feeds: 'supply', mainPlug: 'main24', leadMain: 400 },
    board: { format: 'ATX', width: 305, depth: 244 },
  });
  const depth = (more: Seats[string], applied: RemedyValue[] = []) =>
    supplyBay(planWith(seats(more), { applied })).find(({ id }) => id === 'supply-depth');
  it('offers the cage out where it may stand before the bay and gives enough, and the PSU outside', () => {
    expect(offered(depth({ cageGain: 60 })!)).to.deep.equal(['cageOut', 'supplyOutside']);
    expect(offered(depth({ cageGain: 10 })!)).to.deep.equal(['supplyOutside']);
    expect(offered(depth({ cageGain: 60, supplyAt: 'above the board' })!)).to.deep.equal([
      'supplyOutside',
    ]);
  });
  it('with the cage out it may go in: nobody measured that there', () => {
    const out = depth({ cageGain: 60 }, [cageOut()]);
    expect(out?.mark).to.equal('watch');
    expect(out?.margin).to.deep.equal({ lo: -20, hi: 40 });
  });
  it('outside it leaves bay and boxes, and its leads come in by an opening', () => {
    const plan = (more: Seats[string] = {}) =>
      planWith(seats({ innerDepth: 400, innerHeight: 400, coolerRoom: 150, ...more }), {
        applied: [supplyOutside()],
      });
    expect(supplyBay(plan())).to.deep.equal([]);
    expect(spaceOf(plan())?.boxes.some(({ seat }) => seat === 'supply')).to.equal(false);
    expect(marks(suppliesBeside(plan()))).to.deep.equal(['lead-opening watch']);
    expect(marks(suppliesBeside(plan({ leadOpening: 20 })))).to.deep.equal(['lead-opening clear']);
    expect(marks(suppliesBeside(plan({ leadOpening: 10 })))).to.deep.equal(['lead-opening stop']);
    const main = leadPaths(plan()).find(({ id }) => id === 'main');
    expect(main?.path[0]?.x).to.equal(-40);
  });
  it('nothing is asked of a case whose class alone says it is outside', () => {
    const micro = planWith({ case: { class: 'micro' }, supply: { feeds: 'supply' }, board: {} });
    expect(suppliesBeside(micro)).to.deep.equal([]);
  });
});

describe('fit, a brick beside the board', () => {
  const brick = (sides: string, more: Seats[string] = {}) =>
    suppliesBeside(
      planWith({
        case: { brickRoom: [sides] },
        supply: { feeds: 'brick', depth: 150, width: 65, height: 30, ...more },
        board: {},
      }),
    );
  it('is laid whichever way it goes, with air round it', () => {
    const [fits] = brick('45 x 170 x 80');
    expect(fits?.mark).to.equal('clear');
    /* 170 - 150, 80 - 65, 45 - 30: the tightest, less 5 to 10 of air. */
    expect(fits?.margin).to.deep.equal({ lo: 5, hi: 10 });
    const [tight] = brick('155 x 70 x 32');
    expect(tight?.mark).to.equal('stop');
    expect(tight?.margin).to.deep.equal({ lo: 32 - 30 - 10, hi: 32 - 30 - 5 });
  });
  it('of a brick nobody measured it asks its side', () => {
    const [open] = suppliesBeside(
      planWith({ case: { brickRoom: ['170 x 80 x 45'] }, supply: { feeds: 'brick' }, board: {} }),
    );
    expect(open?.mark).to.equal('watch');
    expect(open?.terms[1]).to.include({ how: 'class' });
  });
  it('the place is three sides, in any order', () => {
    expect(cuboid.read('160 × 70 x 40')).to.deep.equal({ sides: [160, 70, 40] });
    expect(cuboid.read('160 x 70')).to.equal(undefined);
    expect(cuboid.read('160 x 70 x wide')).to.equal(undefined);
  });
});

describe('links/wireless', () => {
  const found = (board: Seats[string], card: Seats[string]) =>
    wireless(planWith({ board, small1: { sort: 'wireless card', ...card } }));
  it('wants its socket and antennas that hear', () => {
    const good = found(
      { wirelessSockets: ['M.2 key E'] },
      { wirelessForm: 'M.2 key E', antennas: 'outside' },
    );
    expect(marks(good)).to.deep.equal(['wireless-socket:small1 clear', 'antennas:small1 clear']);
    const bad = found(
      { wirelessSockets: ['mini card'] },
      { wirelessForm: 'M.2 key E', antennas: 'none' },
    );
    expect(marks(bad)).to.deep.equal(['wireless-socket:small1 stop', 'antennas:small1 stop']);
    expect(marks(found({}, {}))).to.deep.equal([
      'wireless-socket:small1 watch',
      'antennas:small1 watch',
    ]);
    expect(marks(found({}, { antennas: 'inside metal' }))[1]).to.equal('antennas:small1 watch');
  });
});
