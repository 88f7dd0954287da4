import { expect } from 'chai';
import { range } from '../../../src/core/units/range.ts';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { budgetTable } from '../../../src/core/export/watts.ts';
import type { Plan } from '../../../src/core/model/lookup/plan.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { efficiency, ridesThrough } from '../../../src/core/standards/supplies.ts';
import { DutyError, kWhAYear } from '../../../src/core/watts/energy.ts';
import { feedLimits } from '../../../src/core/watts/feedLimits.ts';
import { labelSense, smallRails } from '../../../src/core/watts/label.ts';
import { leadLimits } from '../../../src/core/watts/leadLimits.ts';
import { settledW, wallMeter } from '../../../src/core/watts/meter.ts';
import { excursions, spinUp } from '../../../src/core/watts/peaks.ts';
import { secondSupply } from '../../../src/core/watts/secondSupply.ts';
import { fire } from '../../../src/core/watts/fire.ts';
import { schoolsOf } from '../../../src/core/watts/schools.ts';
import {
  feedCorner,
  states,
  treeOf,
  type Feed,
  type Tree,
} from '../../../src/core/watts/tree/index.ts';
import { jobWith, planWith, the, type Seats } from '../../helpers/build.ts';
import type { Remedy } from '../../../src/core/findings/finding.ts';
import { hangOn } from '../../../src/core/remedies/hangOn.ts';

const demo = demoShop('2026-01-01T12:00:00.000Z');
const planOfJob = (id: string): Plan =>
  planOf(
    demo,
    demo.jobs.find((job) => job.id === id)!,
  );
const grown = (plan: Plan, state: (typeof states)[number] = 'full'): Tree => {
  const tree = treeOf(plan, state);
  if (!tree) throw new Error('no tree');
  return tree;
};
const withRemedy = (plan: Plan, value: Remedy['value']): Plan =>
  value.do === 'put' ? plan : { ...plan, applied: [...plan.applied, value] };

const tower: Seats = {
  board: { processorPlug: 'cpu8', watts: 30 },
  processor: { watts: 65 },
  card1: { watts: 150, plugs: ['card8'] },
  supply: {
    watts: 550,
    amps12: 45,
    mainPlug: 'main24',
    plugs: ['cpu8', 'card8', 'sata', 'sata', 'sata', 'sata'],
  },
};

describe('watts/tree', () => {
  it('loses nothing on the way: every branch gives what its children take and its own heat', () => {
    for (const id of ['3', '5', '9', '11', '12', '14', '16', '18'])
      for (const state of states) {
        const tree = grown(planOfJob(id), state);
        for (const branch of tree.branches) {
          const kids = tree.branches.filter((each) => each.parent === branch.id);
          if (kids.length === 0 || branch.kind === 'wall') continue;
          if (!['rail', 'lead'].includes(branch.kind)) continue;
          for (const end of ['lo', 'hi'] as const) {
            const taken = kids.reduce((sum, kid) => sum + kid.watts[end], 0);
            expect(branch.watts[end], `${id} ${state} ${branch.id}`).to.be.closeTo(
              taken + branch.lossW[end],
              1e-6 * Math.max(1, taken),
            );
          }
        }
      }
  });
  it('draws less at idle than in use, and less in use than at full load', () => {
    for (const id of ['5', '14', '11']) {
      const [idle, usual, full] = (['idle', 'usual', 'full'] as const).map(
        (state) => grown(planOfJob(id), state).givenW,
      );
      expect(idle!.hi).to.be.below(usual!.hi);
      expect(usual!.hi).to.be.below(full!.hi);
    }
  });
  it('puts the CPU on its own lead and the card on slot and plug', () => {
    const tree = grown(planWith(tower));
    expect(tree.on.get('processor')).to.equal('processor1');
    expect(tree.on.get('card1 plug 1')).to.equal('card lead1');
    expect(tree.on.get('card1 slot')).to.equal('main');
    expect(tree.unfed).to.be.empty;
  });
  it('names a load without a feed', () => {
    const tree = grown(planWith({ ...tower, supply: { ...tower['supply'], plugs: ['cpu8'] } }));
    expect(tree.unfed.map((draw) => draw.id)).to.deep.equal(['card1 plug 1']);
  });
  it('makes 5 and 3.3 V of 12 V where the main plug brings nothing else', () => {
    const tree = grown(
      planWith({ ...tower, supply: { watts: 300, mainPlug: 'main10', plugs: ['cpu8', 'card8'] } }),
    );
    expect(
      tree.branches.filter((each) => each.kind === 'rail').map((each) => each.id),
    ).to.deep.equal(['12 V']);
  });
  it('deals drives out over the leads and hangs them elsewhere when told', () => {
    const seats: Seats = {
      ...tower,
      ...Object.fromEntries([1, 2, 3, 4].map((n) => [`drive${n}`, { form: '3.5', watts: 8 }])),
    };
    const plan = planWith(seats);
    const used = new Set([1, 2, 3, 4].map((n) => grown(plan).on.get(`drive${n} 12 V`)));
    expect(used.size).to.equal(2);
    const moved = grown(withRemedy(plan, hangOn({ seat: 'drive1', lead: 'sata lead2' })));
    expect(moved.on.get('drive1 12 V')).to.equal('sata lead2');
    expect(moved.on.get('drive1 5 V')).to.equal('sata lead2');
  });
  it('writes the budget with every branch', () => {
    const tree = grown(planWith(tower));
    const rows = budgetTable(tree);
    expect(rows).to.have.length(tree.branches.length + 1);
    for (const row of rows) for (const cell of row) expect(cell).to.not.match(/NaN|undefined/);
  });
});

describe('watts, limits on the way', () => {
  it('stops four hungry fans behind one drive plug and works a way out', () => {
    const found = the(leadLimits(planOfJob('9')), 'lead-small1-12 V');
    expect(found.mark).to.equal('stop');
    expect(found.remedies.length).to.be.greaterThan(0);
    const [first] = found.remedies;
    const after = the(leadLimits(withRemedy(planOfJob('9'), first!.value)), 'lead-small1-12 V');
    expect(after.margin?.hi).to.be.closeTo(first!.margin!.hi, 1e-9);
  });
  it('stops a riser fed from a SATA plug and a moulded splitter, in every machine', () => {
    const brick = { feeds: 'brick', volts: 19, watts: 180 };
    for (const machine of [tower, { ...tower, supply: brick }, { small1: {} }])
      for (const sort of ['powered riser', 'moulded SATA splitter']) {
        const plan = planWith({ ...machine, small1: { sort, plug: 'sata' } } as Seats);
        expect(the(fire(plan), 'fire-small1').mark, sort).to.equal('stop');
      }
    const riser = (plug: string) =>
      fire(planWith({ ...tower, small1: { sort: 'powered riser', plug } })).map(
        (each) => each.mark,
      );
    expect(riser('drive4')).to.deep.equal(['watch']);
    expect(riser('card6')).to.deep.equal([]);
    /* Nobody said which plug: every plug. */
    expect(fire(planWith({ ...tower, small1: { sort: 'riser' } }))).to.deep.equal([]);
    const unsaid = fire(planWith({ ...tower, small1: { sort: 'powered riser' } }));
    expect(unsaid.map((each) => each.mark)).to.deep.equal(['watch']);
  });
  it('says of a label that contradicts itself, and lets rails add up beyond the total', () => {
    const at = (supply: Seats[string]) => labelSense(planWith({ ...tower, supply }));
    expect(at({ watts: 300, amps12: 30 }).map((each) => each.id)).to.deep.equal(['label-amps12']);
    expect(at({ watts: 300, amps12: 24, amps5: 20, amps33: 20 })).to.be.empty;
  });
  it('holds the small rails against the label where it was read', () => {
    const plan = planWith({ ...tower, supply: { ...tower['supply'], amps5: 1, combined: 100 } });
    const found = smallRails(plan);
    expect(the(found, 'rail-amps5').mark).to.equal('stop');
    expect(the(found, 'combined').mark).to.equal('clear');
  });
  it('counts 8 A for four drives that spin up together (common practice, no source)', () => {
    const seats: Seats = {
      ...tower,
      ...Object.fromEntries([1, 2, 3, 4].map((n) => [`drive${n}`, { form: '3.5', watts: 8 }])),
    };
    const found = the(spinUp(planWith(seats)), 'spin-up');
    expect(found.terms[1]?.value).to.deep.equal({ lo: 8, hi: 8 });
  });
  it('rides through less on a small label, and warns where a card jumps over it', () => {
    expect(ridesThrough(450)[0]?.share).to.equal(1.5);
    expect(ridesThrough(550)[0]?.share).to.equal(2);
    const big = { ...tower, card1: { watts: 350, plugs: ['card8'] } };
    expect(excursions(planWith(big))[0]?.mark).to.not.equal('clear');
    expect(
      excursions(planWith({ ...tower, card1: { watts: 60, plugs: ['card8'] } }))[0]?.mark,
    ).to.equal('clear');
  });
});

describe('watts, a machine on one voltage', () => {
  const feed: Seats = {
    board: { watts: 15, processorPlug: 'none' },
    processor: { watts: 35 },
    supply: {
      feeds: 'battery',
      volts: [12, 12],
      innerOhm: [1, 1],
      fuse: 15,
      feedLength: 2000,
      feedAwg: 12,
    },
  };
  const at = (more: Seats[string], rest: Seats = {}) =>
    feedLimits(planWith({ ...feed, ...rest, supply: { ...feed['supply'], ...more } }));
  const converter = {
    sort: 'converter',
    inVolts: [10.5, 16],
    outVolts: 19,
    efficiency: 90,
  } as const;
  it('destroys a 12 V board with 19 V: a Stop before the first power', () => {
    const found = the(
      at({ feeds: 'brick', volts: 19 }, { board: { watts: 15, inVolts: [11, 13] } }),
      'feed-over',
    );
    expect(found.mark).to.equal('stop');
    expect(found.say).to.contain('destroys');
  });
  it('sees a converter trip at load that works at idle', () => {
    const found = the(at({}, { small1: { ...converter, inAmps: 3 } }), 'converter-in');
    expect(found.mark).to.equal('stop');
    expect(found.say).to.contain('trips at load');
  });
  it('draws 8.3 A for 90 W at 19 V from 12 V and 90 % (common practice, no source)', () => {
    const lossless = {
      source: 'battery',
      volts: range(12),
      insideOhm: range(1e-6),
      leadOhm: range(1e-6),
      taps: [],
    };
    const step = { outV: range(19), efficiency: () => range(0.9), idleW: range(0) };
    const corner = feedCorner({ ...lossless, converter: step } as unknown as Feed, range(90), 'hi');
    expect(corner.solved.amps['lead']).to.be.closeTo(8.3, 0.05);
    const tree = grown(
      planWith({
        ...feed,
        small1: converter,
        supply: { feeds: 'battery', volts: 12, innerOhm: 0, feedLength: 1, feedAwg: 4 },
      }),
    );
    const line = tree.branches.find((each) => each.id === 'lead')!;
    const board = tree.branches.find((each) => each.id === 'board')!;
    expect(line.amps!.hi).to.be.closeTo(board.watts.hi / 0.9 / 12, 0.5);
  });
  it('wants a fuse below what the wire carries, and above what the machine draws', () => {
    expect(the(at({ fuse: 60 }), 'fuse-wire').mark).to.equal('stop');
    expect(the(at({ fuse: 15 }), 'fuse-wire').mark).to.equal('clear');
    expect(the(at({ fuse: 2 }), 'fuse-load').mark).to.equal('mend');
    /* NEC 240.4(D): AWG 12 behind 20 A, 18 behind 7 A; alone in open air perhaps more (unverified figures). */
    expect(the(at({ fuse: 25 }), 'fuse-wire').mark).to.equal('watch');
    expect(the(at({ fuse: 20 }), 'fuse-wire').mark).to.equal('clear');
    expect(the(at({ fuse: 10, feedAwg: 18 }), 'fuse-wire').mark).to.equal('watch');
    expect(the(at({ fuse: 15, feedAwg: 18 }), 'fuse-wire').mark).to.equal('stop');
    expect(the(at({ fuse: 7, feedAwg: 18 }), 'fuse-wire').mark).to.equal('clear');
    expect(the(at({ fuse: 3, feedAwg: 30 }), 'fuse-wire').mark).to.equal('stop');
  });
  it('passes no gauge over: thin ones burn, and one without a figure is a Watch that names it', () => {
    for (const feedAwg of [28, 32])
      expect(the(at({ feedAwg }), 'feed-wire-least').mark).to.equal('stop');
    const small: Seats = { board: { watts: 2, processorPlug: 'none' }, processor: { watts: 1 } };
    const thin = the(at({ feedAwg: 34 }, small), 'feed-wire');
    expect(thin.mark).to.equal('watch');
    expect(thin.say).to.contain('AWG 34');
    expect(the(at({ feedAwg: 21, feedLength: 200 }), 'feed-wire').mark).to.not.equal('stop');
  });
  it('asks for a fuse nobody spoke of, and for volts nobody said', () => {
    const { fuse: _fuse, ...bare } = feed['supply']!;
    expect(the(feedLimits(planWith({ ...feed, supply: bare })), 'fuse-none').mark).to.equal(
      'watch',
    );
    expect(
      the(feedLimits(planWith({ ...feed, supply: { feeds: 'battery' } })), 'feed-volts').mark,
    ).to.equal('watch');
  });
  it('holds the CPU to fewer watts when told, and leaves what it promised', () => {
    const plan = planOfJob('12');
    const found = the(feedLimits(plan), 'feed-watts');
    expect(found.mark).to.equal('stop');
    const remedy = found.remedies.find((each) => each.value.do === 'limitWatts')!;
    const after = the(feedLimits(withRemedy(plan, remedy.value)), 'feed-watts');
    expect(after.margin!.lo).to.be.closeTo(remedy.margin!.lo, 1e-9);
    expect(remedy.value).to.include({ seat: 'processor' });
  });
  it('finds the gauge that brings the volts over the long lead', () => {
    const found = the(feedLimits(planOfJob('11')), 'feed-under');
    expect(found.mark).to.equal('watch');
    const wires = found.remedies.filter((each) => each.value.do === 'thickerLead');
    expect(wires.length).to.be.greaterThan(1);
    const lows = wires.map((each) => each.margin!.lo);
    expect([...lows].sort((a, b) => a - b)).to.deep.equal(lows);
  });
});

describe('watts, schools, efficiency, energy', () => {
  it('promises nothing below a fifth of the load, and what the class says above', () => {
    expect(efficiency('gold', 0.5, 115).lo).to.equal(0.9);
    expect(efficiency('bronze', 1, 230).lo).to.equal(0.85);
    expect(efficiency('gold', 0.02, 230).lo).to.be.below(efficiency('gold', 0.2, 230).lo);
    expect(() => efficiency('gold', -1)).to.throw(RangeError);
  });
  it('sets three schools side by side and lets the meter govern when it saw these parts', () => {
    const seats: Seats = { ...tower, card1: { ...tower['card1'], makerTotal: 500 } };
    const reading = {
      kind: 'wallW' as const,
      value: 260,
      at: '2026-01-01',
      load: 'full load' as const,
    };
    const at = (when: 'before' | 'after') => {
      const { shop, job } = jobWith(seats, { readings: [{ ...reading, when }] });
      return schoolsOf(planOf(shop, job));
    };
    expect(at('after').map((each) => [each.name, each.governs])).to.deep.equal([
      ['sum with headroom', false],
      ["the card maker's figure", false],
      ['measured at the wall', true],
    ]);
    expect(at('before').find((each) => each.governs)?.name).to.equal('sum with headroom');
    const { shop, job } = jobWith(seats, { readings: [{ ...reading, when: 'after' }] });
    expect(the(runChecks(planOf(shop, job)), 'measured-total').say).to.match(
      /typed figures were \d+ %/,
    );
  });
  it('makes nothing of a meter that shows nothing, and of a label of nothing', () => {
    const at = (value: number, more: Seats = {}) => {
      const reading = {
        kind: 'wallW' as const,
        value,
        at: '2026-01-01',
        load: 'full load' as const,
      };
      const { shop, job } = jobWith(
        { ...tower, ...more },
        { readings: [{ ...reading, when: 'after' as const }] },
      );
      return schoolsOf(planOf(shop, job)).map((each) => each.name);
    };
    const measured = 'measured at the wall';
    for (const value of [-400, -1, 0]) expect(at(value), String(value)).to.not.include(measured);
    expect(at(1)).to.include(measured);
    expect(at(200, { supply: { ...tower['supply'], watts: 0 } })).to.include(measured);
  });
  it('counts a year, and refuses a day of more than 24 hours', () => {
    const plan = planWith(tower);
    const trees = { idle: grown(plan, 'idle'), usual: grown(plan, 'usual'), full: grown(plan) };
    const year = kWhAYear(trees, { idle: 0, usual: 0, full: 10 });
    expect(year.hi).to.be.closeTo((trees.full.wallW!.hi * 3650) / 1000, 1e-6);
    expect(() => kWhAYear(trees, { idle: 20, usual: 5, full: 0 })).to.throw(DutyError);
  });
});

describe('watts, a second PSU', () => {
  const at = (more: Seats[string]) =>
    secondSupply(planWith({ ...tower, small1: { sort: 'second PSU', ...more } }));
  it('stops outputs side by side and returns apart', () => {
    const found = at({ feedsWhat: 'a rail the first feeds too', sharedReturn: 'no' });
    expect(the(found, 'second-outputs:small1').mark).to.equal('stop');
    expect(the(found, 'second-return:small1').mark).to.equal('stop');
  });
  it('wants it switched with the first, and watches what nobody said', () => {
    expect(the(at({ enable: 'not yet' }), 'second-enable:small1').mark).to.equal('mend');
    expect(the(at({ enable: 'by its rocker' }), 'second-enable:small1').say).to.contain(
      'no order is safe',
    );
    for (const finding of at({})) expect(finding.mark).to.equal('watch');
  });
  it('clears one that is linked, apart and joined by its return', () => {
    const found = at({
      enable: 'linked to the first',
      feedsWhat: 'loads of its own',
      sharedReturn: 'yes',
      outVolts: 12,
      outAmps: 16,
    });
    expect(found).to.have.length(4);
    for (const finding of found) expect(finding.mark).to.equal('clear');
  });
});

describe('watts/meter, the stand-in at the wall', () => {
  it('gives the same figures for the same seed and settles near its truth', () => {
    const read = () => {
      const meter = wallMeter({ aboutW: 100, seed: 4 });
      return Array.from({ length: 60 }, () => meter.next().value.watts);
    };
    expect(read()).to.deep.equal(read());
    const watts = read();
    expect(settledW(watts.slice(0, 10))).to.equal(undefined);
    expect(settledW(watts)).to.be.within(75, 115);
  });
  it('refuses watts that are none', () => {
    expect(() => wallMeter({ aboutW: 0, seed: 1 }).next()).to.throw(RangeError);
  });
});
