import { expect } from 'chai';
import { airOf, heatSums, placedFans } from '../../../src/core/plan/heatSums.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { jobOver, jobWith, planWith, the, type Seats } from '../../helpers/build.ts';
import { limitWatts } from '../../../src/core/remedies/limitWatts.ts';

const tower: Seats = {
  case: { class: 'tower', fanMounts: ['front 120', 'rear 120', 'front 120'] },
  board: { watts: 30 },
  processor: { watts: 65 },
  cooler: { class: 'tower' },
  fan1: { size: 120 },
  fan2: { size: 120 },
  supply: { watts: 450, mainPlug: 'main24', plugs: ['cpu8'] },
};

describe('plan/heatSums', () => {
  it('puts fans at the mounts of their size, those in front blowing in', () => {
    const two = { ...tower, case: { class: 'tower', fanMounts: ['front 120', 'rear 120'] } };
    expect(placedFans(planWith(two)).map(({ wall, blows }) => `${wall} ${blows}`)).to.deep.equal([
      'front in',
      'rear out',
    ]);
    /* Three mounts and two fans: which hang where has not been said. */
    expect(placedFans(planWith(tower))[0]).to.include({ wall: 'somewhere', blows: 'either' });
    const [, , odd] = placedFans(planWith({ ...two, fan3: { size: 80 } }));
    expect(odd).to.include({ wall: 'somewhere', blows: 'either' });
    const [turned] = placedFans(planWith({ ...two, fan1: { size: 120, blows: 'out' } }));
    const [said] = placedFans(planWith({ ...tower, fan1: { size: 120, wall: 'top' } }));
    expect(said).to.include({ wall: 'top', blows: 'out' });
    expect(turned).to.include({ wall: 'front', blows: 'out' });
  });
  it('a tower cooler on 65 W is enough, a low one on 250 W is not', () => {
    const soldered = { ...tower, processor: { watts: 65, lid: 'soldered', socket: 'LGA1151' } };
    expect(the(heatSums(planWith(soldered)), 'heat-processor').mark).to.equal('clear');
    const hot = planWith({ ...tower, processor: { watts: 250 }, cooler: { class: 'low' } });
    const sum = the(heatSums(hot), 'heat-processor');
    expect(sum.mark).to.equal('mend');
    /* By hand, at best: 90 - 18 - 250 (0.25 + 0.05 + 0.08) = -23, less the air of the case. */
    expect(sum.margin!.hi).to.be.below(90 - 18 - 250 * 0.38);
  });
  it('adds what lies between die and lid, by how the lid is joined; unsaid, either', () => {
    const lidTerm = (more: Record<string, string>) => {
      const hot = planWith({
        ...tower,
        processor: { watts: 200, ...more },
        cooler: { class: 'low' },
      });
      const found = heatSums(hot).find((each) => each.id === 'heat-processor');
      return found?.terms.find((term) => /lid/.test(term.label))?.value;
    };
    /* 200 W through 0.08 to 0.15 K/W soldered, 0.2 to 0.4 pasted. */
    expect(lidTerm({ lid: 'soldered' })).to.eql({ lo: 16, hi: 30 });
    const pasted = planWith({
      ...tower,
      processor: { watts: 200, lid: 'pasted' },
      cooler: { class: 'low' },
    });
    const own = the(heatSums(pasted), 'heat-processor').terms.find((term) =>
      /lid/.test(term.label),
    );
    expect(own?.value).to.eql({ lo: 40, hi: 80 });
    const open = planWith({ ...tower, processor: { watts: 200 }, cooler: { class: 'low' } });
    const either = the(heatSums(open), 'heat-processor').terms.find((term) =>
      /lid/.test(term.label),
    );
    expect(either?.value).to.eql({ lo: 16, hi: 80 });
    expect(either?.how).to.equal('class');
  });
  it('aims by what the CPU is made for', () => {
    const aim = (socket: string) =>
      the(
        heatSums(
          planWith({ ...tower, processor: { watts: 200, socket }, cooler: { class: 'low' } }),
        ),
        'heat-processor',
      ).terms[0]?.value;
    expect(aim('LGA1151')).to.eql({ lo: 85, hi: 85 });
    expect(aim('AM5')).to.eql({ lo: 85, hi: 90 });
  });
  it('takes a low cooler by its height', () => {
    const term = (height?: number) =>
      heatSums(
        planWith({
          ...tower,
          processor: { watts: 200, lid: 'soldered', socket: 'LGA1151' },
          cooler: { class: 'low', ...(height ? { height } : {}) },
        }),
      )[0]?.terms.find((each) => /cooler/.test(each.label))?.value as { lo: number; hi: number };
    expect(term(30).lo).to.be.closeTo(200 * 0.45, 1e-9);
    expect(term(50).hi).to.be.closeTo(200 * 0.75, 1e-9);
    expect(term(70).hi).to.be.closeTo(200 * 0.65, 1e-9);
    expect(term().hi - term().lo).to.be.closeTo(200 * 0.6, 1e-9);
  });
  it('held to fewer watts it may be enough', () => {
    const hot: Seats = { ...tower, processor: { watts: 250 }, cooler: { class: 'low' } };
    const held = planWith(hot, { applied: [limitWatts({ seat: 'processor', watts: 45 })] });
    expect(the(heatSums(planWith(hot)), 'heat-processor').mark).to.equal('mend');
    /* More likely than not it is enough now: nothing stands. */
    expect(heatSums(held).map(({ id }) => id)).to.not.include('heat-processor');
  });
  it('of two CPUs the warmer under its cooler speaks', () => {
    const two = (first: number, second: number): Seats => ({
      ...tower,
      processor: { watts: first },
      cooler: { class: 'low' },
      processor2: { watts: second },
      cooler2: { class: 'low' },
    });
    const sum = the(heatSums(planWith(two(35, 250))), 'heat-processor');
    expect(sum.mark).to.equal('mend');
    expect(sum.title).to.equal('CPU 2 at full load, settled');
    expect(sum.seats).to.deep.equal(['processor2', 'cooler2']);
    expect(the(heatSums(planWith(two(250, 35))), 'heat-processor').seats[0]).to.equal('processor');
  });
  it('air of the case: fans against watts', () => {
    expect(heatSums(planWith(tower)).find(({ id }) => id === 'heat-case')?.mark).to.not.equal(
      'mend',
    );
    const { fan1: _, fan2: __, ...still } = tower;
    const closed = planWith({
      ...still,
      case: { class: 'custom case', supplyAt: 'outside the case', vents: ['front'] },
      card1: { watts: 200, plugs: ['card8'] },
    });
    expect(the(heatSums(closed), 'heat-case').mark).to.equal('mend');
    expect(airOf(planWith({ board: { watts: 20 } }))).to.equal(undefined);
  });
  it('asks nothing of a machine as found: it stayed cool enough', () => {
    const { shop, job } = jobOver(tower, { memory1: {} });
    expect(heatSums(planOf(shop, job))).to.be.empty;
    const more = jobOver(tower, { card1: { watts: 450 } });
    expect(heatSums(planOf(more.shop, more.job)).map((each) => each.id)).to.include('heat-case');
    /* A card turns the air of the case, not the CPU under the cooler it had; another cooler does. */
    const warm: Seats = { ...tower, processor: { watts: 250 }, cooler: { class: 'low' } };
    const ids = (comes: Seats) => {
      const changed = jobOver(warm, comes);
      return heatSums(planOf(changed.shop, changed.job)).map(({ id }) => id);
    };
    expect(ids({ card1: { watts: 450 } })).to.not.include('heat-processor');
    expect(ids({ cooler: { class: 'low' } })).to.include('heat-processor');
  });
  it('a print beside what is hot: soft material stops, unknown watches', () => {
    const at = (more: Record<string, string>) =>
      the(heatSums(planWith({ small1: { sort: 'printed part', ...more } })), 'heat-print:small1')
        .mark;
    expect(at({ material: 'PLA', beside: 'card' })).to.not.equal('clear');
    expect(at({ material: 'ABS', beside: 'drive' })).to.equal('clear');
    expect(at({ material: 'PLA', beside: 'processor' })).to.equal('watch');
    expect(at({})).to.equal('watch');
    /* Its material is told by what it is called. */
    const named = jobWith({ small1: { sort: 'printed part', beside: 'drive' } });
    const parts = named.shop.parts.map((part) => ({ ...part, name: 'duct, ABS, printed' }));
    const shop = { ...named.shop, parts };
    expect(the(heatSums(planOf(shop, named.job)), 'heat-print:small1').mark).to.equal('clear');
    expect(heatSums(planWith({ small1: { sort: 'screw M3' } }))).to.be.empty;
  });
});
