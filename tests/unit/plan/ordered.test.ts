import { expect } from 'chai';
import { applyRemedy, dropRemedy } from '../../../src/core/edits/edits.ts';
import type { Finding } from '../../../src/core/findings/finding.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { tripList } from '../../../src/core/shop/shopping.ts';
import { jobOver, jobWith, the, type Seats } from '../../helpers/build.ts';
import { cageOut } from '../../../src/core/remedies/cageOut.ts';
import type { Remedy } from '../../../src/core/findings/finding.ts';

const check = (shop: Shop): Finding[] => {
  const job = shop.jobs[0];
  if (!job) throw new Error('no job');
  return runChecks(planOf(shop, job));
};

/** Plans in which one sum is mended by a part to get, and that sum. */
const mended: [string, string, Seats][] = [
  [
    'an adapter for the main plug',
    'main-plug',
    { board: { mainPlug: 'main24' }, supply: { mainPlug: 'main10' } },
  ],
  [
    'an adapter for the CPU',
    'processor-plug',
    { board: { processorPlug: 'cpu8' }, supply: { plugs: ['sata'] } },
  ],
  [
    'a kit for the cooler',
    'cooler-mount',
    { board: { socket: 'LGA1700' }, cooler: { sockets: ['LGA1151'] } },
  ],
  [
    'a bracket for the card',
    'card-bracket:card1',
    { case: { bracket: 'low' }, card1: { bracket: 'full' } },
  ],
  [
    'a bracket for a drive',
    'drive-mounts-bays35',
    { case: { bays35: 0 }, drive1: { form: '3.5' } },
  ],
  [
    'a plate for the PSU',
    'supply-format',
    { case: { supplyFormat: 'ATX' }, supply: { format: 'SFX' } },
  ],
  ['a splitter for the drives', 'plugs-sata', { supply: { plugs: [] }, drive1: { form: '2.5' } }],
];

const valueOf = ({ value }: Remedy) => {
  if (value.do === 'put') throw new Error('another part is no remedy to get');
  return value;
};

describe('plan/inked, parts to get', () => {
  for (const [what, id, seats] of mended) {
    describe(what, () => {
      const { shop } = jobWith(seats);
      const before = the(check(shop), id);
      const remedy = before.remedies.find((each) => each.get);
      if (!remedy) throw new Error(`${id} offers nothing to get`);
      const taken = applyRemedy('1', remedy)(shop);

      it('is pencilled in while the sum is Mend', () => {
        expect(before.mark).to.equal('mend');
        expect(before.terms.some((term) => term.value === 'taken')).to.equal(false);
      });
      it('turns to ink when it is taken: the mark it leaves, a line of its own, no second offer', () => {
        const after = the(check(taken), id);
        expect(after.mark).to.equal(remedy.mark);
        expect(after.mark).to.not.equal('clear');
        expect(after.terms.at(-1)).to.deep.include({ label: remedy.title, value: 'taken' });
        expect(after.remedies).to.deep.equal([]);
        expect(after.margin).to.deep.equal(before.margin);
      });
      it('stands once on the shopping list, however often it is taken', () => {
        const twice = applyRemedy('1', remedy)(taken);
        expect(tripList(twice).map((line) => line.count)).to.deep.equal([1]);
        expect(tripList(twice)[0]?.price).to.equal(undefined);
      });
      it('leaves sum and list as they were when it is given back', () => {
        const back = dropRemedy('1', valueOf(remedy))(taken);
        expect(the(check(back), id)).to.deep.equal(before);
        expect(tripList(back)).to.deep.equal([]);
      });
    });
  }

  it('leaves other sums alone', () => {
    const { shop } = jobWith({
      board: { mainPlug: 'main24', processorPlug: 'cpu8' },
      supply: { mainPlug: 'main10', plugs: [] },
    });
    const remedy = the(check(shop), 'main-plug').remedies[0];
    if (!remedy) throw new Error('no remedy');
    const taken = applyRemedy('1', remedy)(shop);
    expect(the(check(taken), 'processor-plug')).to.deep.equal(the(check(shop), 'processor-plug'));
  });
});

describe('plan/foundTogether, with a remedy taken', () => {
  const found: Seats = {
    case: {},
    board: { mainPlug: 'maker10' },
    supply: { mainPlug: 'maker10' },
  };
  it('still knows that board and PSU came together', () => {
    const { shop } = jobOver(found, { card1: { length: 200 } }, { applied: [cageOut()] });
    expect(the(check(shop), 'main-plug').mark).to.equal('clear');
  });
  it('measures again what has to do with a case that was changed', () => {
    const seats: Seats = { case: { cardRoom: 100, cageGain: 20 }, card1: { length: 140 } };
    const untouched = jobOver(seats, { drive1: { form: 'M.2' } });
    expect(the(check(untouched.shop), 'card-length:card1').mark).to.equal('watch');
    const changed = jobOver(seats, { drive1: { form: 'M.2' } }, { applied: [cageOut()] });
    expect(the(check(changed.shop), 'card-length:card1').mark).to.equal('stop');
  });
});
