import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { applyResolution, takeChoice } from '../../../src/core/edits/edits.ts';
import type { Job, Shop } from '../../../src/core/model/types/types.ts';
import { choicesFor } from '../../../src/core/resolve/choices.ts';
import { costOf, usualWeights } from '../../../src/core/resolve/cost.ts';
import {
  findResolutions,
  searchResolutions,
  modelOf,
  planWith as planOfPicks,
} from '../../../src/core/resolve/resolutions.ts';
import { tradeAxes, tradeOff } from '../../../src/core/resolve/tradeOff.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { walk, worthOf } from '../../../src/core/plan/walk.ts';
import { jobWith, partFor, type Seats } from '../../helpers/build.ts';
import { everyPick } from '../../helpers/problems.ts';
import { cageOut } from '../../../src/core/remedies/cageOut.ts';
import { moveDrive } from '../../../src/core/remedies/moveDrive.ts';

const demo = demoShop('2026-11-25T09:00:00.000Z');
const jobOf = (shop: Shop, id: string): Job => {
  const job = shop.jobs.find((each) => each.id === id);
  if (!job) throw new Error(`no job ${id}`);
  return job;
};
const stops = (shop: Shop, id: string) =>
  runChecks(planOf(shop, jobOf(shop, id)))
    .filter((each) => each.mark === 'stop' && each.station === 'fit')
    .map((each) => each.id);

/** A case a card is 20 mm too long for, with a cage to take out, and shorter cards on the shelf. */
const tight: Seats = {
  case: {
    class: 'mini tower',
    bracket: 'full',
    cardRoom: 247,
    cageGain: 58,
    cardHeightRoom: 150,
    coolerRoom: 100,
    slots: 4,
  },
  board: { format: 'microATX', socket: 'LGA1151' },
  card1: { length: 267, height: 111, slotsWide: 2, plugs: [], bracket: 'full' },
  cooler: { class: 'low', sockets: ['LGA1151'], height: 58, width: 90, breadth: 90 },
};

function bench(
  seats: Seats,
  shelf: { id: string; seat: string; facts: Seats[string]; minor?: number }[] = [],
) {
  const { shop, job } = jobWith(seats);
  const parts = shelf.map(({ id, seat, facts, minor }) =>
    partFor(seat, facts, {
      id,
      name: id,
      ...(minor === undefined ? {} : { place: 'buy' as const, price: { minor, currency: 'EUR' } }),
    }),
  );
  return { shop: { ...shop, parts: [...shop.parts, ...parts] }, job };
}

describe('plan/give, ways to make it fit', () => {
  it('takes the cage out when nothing cheaper is there, because of the card', () => {
    const { shop, job } = bench(tight);
    const { ways, proven } = findResolutions(shop, job);
    expect(proven).to.equal(true);
    expect(ways[0]?.gives.map((each) => each.label)).to.deep.equal(['Take the drive cage out']);
    expect(ways[0]?.sure).to.equal(true);
    expect(ways[0]?.gives[0]?.because[0]).to.match(/^card length: .*20 mm too long/);
    expect(ways[1]?.gives[0]?.label).to.equal('Cut 30 mm into the wall in front');
    expect(ways[1]?.undoable).to.equal(false);
  });
  it('prefers a part of the shelf when it costs less, and weighs money against hands', () => {
    const shelf = [
      {
        id: 'short',
        seat: 'card1',
        facts: { length: 210, height: 111, slotsWide: 2, plugs: [], bracket: 'full' },
      },
    ];
    const { shop, job } = bench(tight, shelf);
    expect(findResolutions(shop, job).ways[0]?.puts).to.deep.equal([
      { seat: 'card1', partId: 'short' },
    ]);
    const bought = bench(tight, [{ ...shelf[0]!, minor: 3000 }]);
    expect(findResolutions(bought.shop, bought.job).ways[0]?.applies).to.deep.equal([cageOut()]);
    const dear = { ...usualWeights, hour: 60_000 };
    expect(findResolutions(bought.shop, bought.job, { weights: dear }).ways[0]?.puts).to.deep.equal(
      [{ seat: 'card1', partId: 'short' }],
    );
  });
  it('keeps what may fit apart from what surely does, and says what to measure', () => {
    const { shop, job } = bench(tight, [
      {
        id: 'unmeasured',
        seat: 'card1',
        facts: { height: 111, slotsWide: 2, plugs: [], bracket: 'full' },
      },
    ]);
    const may = findResolutions(shop, job).ways.find((way) =>
      way.puts.some((put) => put.partId === 'unmeasured'),
    );
    expect(may?.sure).to.equal(false);
    expect(may?.measure).to.include('card from the bracket');
  });
  it('says nothing must give when all goes in', () => {
    const { shop, job } = bench({ ...tight, card1: { ...tight['card1'], length: 200 } });
    const { ways } = findResolutions(shop, job);
    expect(ways[0]?.gives).to.deep.equal([]);
    expect(ways[0]?.sure).to.equal(true);
  });
  it('names what contradicts what when nothing is enough', () => {
    const { shop, job } = bench({
      ...tight,
      cooler: { class: 'tower', sockets: ['LGA1151'], height: 160 },
    });
    const answer = findResolutions(shop, job);
    expect(answer.ways).to.deep.equal([]);
    expect(answer.stuck.length).to.equal(1);
    expect(answer.stuck[0]).to.match(/cooler under the lid: The lid would stand 60 mm open/);
  });
  it('counts what a smaller card costs the goal', () => {
    const shelf = [
      {
        id: 'one',
        seat: 'card1',
        facts: { length: 160, height: 111, slotsWide: 1, plugs: [], bracket: 'full', screens: 1 },
      },
    ];
    const { shop, job } = bench({ ...tight, card1: { ...tight['card1'], screens: 4 } }, shelf);
    const asking = { ...job, requirements: [{ what: 'screens' as const, count: 4 }] };
    const way = findResolutions({ ...shop, jobs: [asking] }, asking).ways.find(
      (each) => each.puts.length > 0,
    );
    expect(way?.givesUp).to.deep.equal(['screens the job asks for']);
  });
  it('is as cheap as trying every combination with every check', () => {
    const shelf = [
      {
        id: 'a',
        seat: 'card1',
        facts: { length: 240, height: 130, slotsWide: 2, plugs: [], bracket: 'full' },
        minor: 900,
      },
      {
        id: 'b',
        seat: 'card1',
        facts: { length: 255, height: 111, slotsWide: 2, plugs: [], bracket: 'full' },
      },
      {
        id: 'c',
        seat: 'cooler',
        facts: { class: 'low', sockets: ['LGA1151'], height: 95, width: 90, breadth: 90 },
      },
      {
        id: 'd',
        seat: 'cooler',
        facts: { class: 'low', sockets: ['LGA1151'], height: 37, width: 90, breadth: 90 },
        minor: 400,
      },
    ];
    const { shop, job } = bench(
      {
        ...tight,
        cooler: { class: 'low', sockets: ['LGA1151'], height: 101, width: 90, breadth: 90 },
      },
      shelf,
    );
    const model = modelOf(shop, job, usualWeights);
    const judged = new Set([
      'cooler-height',
      'cooler-mount',
      'card-length:card1',
      'card-height:card1',
      'card-slots',
    ]);
    let cheapest = Infinity;
    for (const picks of everyPick(model.variables.map((variable) => variable.options.length))) {
      const found = runChecks(planOfPicks(model, picks)).filter(
        (each) => each.station === 'fit' && (judged.has(each.id) || each.id.startsWith('space:')),
      );
      if (
        found.some(
          (each) => each.mark === 'stop' || (each.mark === 'watch' && (each.margin?.lo ?? -1) < 0),
        )
      )
        continue;
      const cost = picks.reduce(
        (sum, o, v) => sum + (o === 0 ? 0 : costOf(model.variables[v]!.options[o]!, usualWeights)),
        0,
      );
      cheapest = Math.min(cheapest, cost);
    }
    const sure = findResolutions(shop, job).ways.find((way) => way.sure);
    expect(sure?.cost).to.be.closeTo(cheapest, 1e-9);
  });
  for (const id of ['14', '17', '16']) {
    it(`leaves no Stop of fit that it could mend in demo job ${id}, and lists ways by cost`, () => {
      const { ways } = findResolutions(demo, jobOf(demo, id));
      expect(ways.length).to.be.above(2);
      expect(ways.map((way) => way.cost)).to.deep.equal(
        ways.map((way) => way.cost).sort((a, b) => a - b),
      );
      for (const way of ways) {
        const left = stops(applyResolution(id, way)(demo), id).filter(
          (each) => each !== 'board-holes',
        );
        expect(left, way.gives.map((each) => each.label).join()).to.deep.equal([]);
        for (const each of way.gives) expect(each.because.length, each.label).to.be.above(0);
      }
    });
  }
  it('offers each change once, on the list with what has to be got', () => {
    const { ways } = findResolutions(demo, jobOf(demo, '17'));
    const kit = ways.find((way) => way.gets.length > 0);
    if (!kit) throw new Error('no way with a part to get');
    const after = jobOf(applyResolution('17', kit)(demo), '17');
    expect(
      after.wants.filter((want) => want.remedy?.do === kit.gets[0]?.remedy.do).length,
    ).to.equal(1);
  });
  it('says when it could not finish', () => {
    const search = searchResolutions(demo, jobOf(demo, '16'), { nodeLimit: 3 });
    let step = search.next();
    while (!step.done) step = search.next();
    expect(step.value.proven).to.equal(false);
    expect(step.value.bound).to.be.a('number');
  });
});

describe('plan/give, places of one part', () => {
  it('names the other mounts of a drive and what each says', () => {
    const { shop, job } = bench({
      case: {
        coolerRoom: 135,
        bracketDrop: 42,
        mounts: ['bracket 3.5', 'floor 3.5'],
        innerHeight: 400,
      },
      board: { format: 'microATX' },
      cooler: { class: 'tower', height: 124, width: 71, breadth: 110 },
      drive1: { form: '3.5' },
    });
    const onBracket = { ...job, applied: [moveDrive({ seat: 'drive1', to: 'bracket' })] };
    const choices = choicesFor({ ...shop, jobs: [onBracket] }, onBracket, 'drive1');
    expect(choices[0]?.mark).to.equal('stop');
    const floor = choices.find(
      (choice) => choice.take?.do === 'moveDrive' && choice.take.to === 'floor',
    );
    expect(floor?.drop).to.deep.equal(onBracket.applied[0]);
    expect(floor?.mark).not.to.equal('stop');
    const moved = takeChoice(job.id, floor ?? {})({ ...shop, jobs: [onBracket] });
    expect(moved.jobs[0]?.applied).to.deep.equal([moveDrive({ seat: 'drive1', to: 'floor' })]);
  });
  it('has none for what is not in the picture', () => {
    expect(choicesFor(demo, jobOf(demo, '14'), 'leads')).to.deep.equal([]);
  });
});

describe('plan/give, features that exclude each other', () => {
  const job = jobOf(demo, '16');
  const map = tradeOff(demo, job, planOf(demo, job), 'card', 'supply');
  it('finds that a long card and a long PSU do not go together in the dice', () => {
    expect(map.excludes).to.equal(true);
    const [planned] = map.frontiers;
    const at = (a: number) => planned?.points.find((point) => point.a >= a)?.sure ?? 0;
    expect(at(100)).to.be.closeTo(150, 1);
    expect(at(220)).to.be.below(130);
    expect(map.here).to.deep.equal({ a: 228, b: 130 });
  });
  it('never lets more of one take less of the other away', () => {
    for (const frontier of map.frontiers) {
      const limits = frontier.points.map((point) => point.sure ?? -1);
      for (let i = 1; i < limits.length; i += 1)
        expect(limits[i], frontier.label).to.be.at.most(limits[i - 1]! + 0.5);
      for (const point of frontier.points)
        expect(point.may ?? 0).to.be.at.least((point.sure ?? 0) - 0.5);
    }
  });
  it('refuses a measure it does not know', () => {
    expect(tradeAxes.map((axis) => axis.id)).to.include('memory');
    expect(() => tradeOff(demo, job, planOf(demo, job), 'card', 'colour')).to.throw(
      RangeError,
      'no measure: colour',
    );
  });
});

describe('plan/walk, what to measure next', () => {
  it('asks what decides most for its seconds first', () => {
    for (const id of ['5', '14', '16']) {
      const list = walk(demo, runChecks(planOf(demo, jobOf(demo, id))), 'fit');
      const worth = list.map(worthOf);
      expect(worth).to.deep.equal([...worth].sort((a, b) => b - a));
    }
  });
  it('stops when nothing left would change a verdict', () => {
    const { shop, job } = bench({ case: { coolerRoom: 100 }, cooler: { height: 58 } });
    expect(walk(shop, runChecks(planOf(shop, job)), 'fit')).to.deep.equal([]);
  });
});
