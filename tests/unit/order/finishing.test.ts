import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { freshFinish } from '../../../src/core/finish/fresh.ts';
import type { Finish, OwnStep, PaintWork } from '../../../src/core/model/types/finishTypes.ts';
import { step, type Step } from '../../../src/core/model/types/step.ts';
import type { Job } from '../../../src/core/model/types/types.ts';
import { withOwn } from '../../../src/core/order/ownSteps.ts';
import { windowOf } from '../../../src/core/order/index.ts';
import { facts } from '../../helpers/build.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';

const shop = demoShop('2026-11-27T10:00:00.000Z');
const job = (id: string, fields: Partial<Job>): Job => ({
  ...(shop.jobs.find((each) => each.id === id) as Job),
  ...fields,
});
const order = (of: Job): Step[] => workOrderOf(planOf(shop, of), of.schools);
const at = (steps: readonly Step[], id: string) => steps.findIndex((each) => each.id === id);
const inOrder = (steps: readonly Step[]): boolean =>
  steps.every((each, i) => each.after.every((id) => at(steps, id) < i && at(steps, id) >= 0));

const works: Finish[] = [
  { ...(freshFinish('paint', 'p') as PaintWork), material: 'steel' },
  freshFinish('metal', 'm'),
  freshFinish('print', 'r'),
  { ...freshFinish('old shell', 's'), piece: 'case' } as Finish,
  { ...(freshFinish('paint', 'q') as PaintWork), piece: 'side panel' },
];

describe('finishing in the work order', () => {
  const steps = order(job('14', { finishes: works }));

  it('stands after what is cut and before what goes into the case', () => {
    expect(inOrder(steps)).to.equal(true);
    const earth = at(steps, 'finish:p:earth');
    for (const [i, each] of steps.entries())
      if (each.phase === 'in' && each.after.includes('finish:p:earth'))
        expect(i).to.be.greaterThan(earth);
    expect(steps.some((each) => each.after.includes('finish:p:earth'))).to.equal(true);
    expect(at(steps, 'finish:m:deburr')).to.be.lessThan(at(steps, 'finish:p:mock'));
    expect(at(steps, 'finish:q:earth'), 'a material nobody said may be metal').to.be.greaterThan(0);
    expect(at(steps, 'close')).to.be.greaterThan(at(steps, 'finish:q:unmask'));
  });

  it('asks what is in an old shell before it is opened, and starts the printer first', () => {
    const open = steps.findIndex(({ phase }) => phase === 'open');
    expect(at(steps, 'finish:s:earth')).to.be.lessThan(open);
    expect(at(steps, 'finish:r:start')).to.be.lessThan(open);
  });

  it('changes nothing of a job that has none', () => {
    expect(order(job('14', { finishes: [] })).some(({ phase }) => phase === 'finish')).to.equal(
      false,
    );
  });

  it('stands alone where nothing else changes', () => {
    const alone = order(
      job('14', { changes: [], applied: [], finishes: works, machineId: undefined }),
    );
    expect(alone.length).to.be.greaterThan(10);
    expect(inOrder(alone)).to.equal(true);
  });
});

describe('heavy shells', () => {
  const weighing = (mass: number): Step[] => {
    const of = job('9', { finishes: [{ ...(freshFinish('paint', 'p') as PaintWork) }], ticks: [] });
    const seat = shop.machines
      .find(({ id }) => id === of.machineId)
      ?.seats.find(({ seat: name }) => name === 'case');
    const heavy = {
      ...shop,
      parts: shop.parts.map((part) =>
        part.id === seat?.partId ? { ...part, facts: { ...part.facts, ...facts({ mass }) } } : part,
      ),
    };
    return workOrderOf(planOf(heavy, of), of.schools);
  };

  it('are lifted and carried to the paint by two, above the figure for one', () => {
    const two = (steps: readonly Step[]) =>
      steps.filter(({ people }) => people === 2).map(({ id }) => id);
    expect(two(weighing(25))).to.deep.equal([]);
    expect(two(weighing(26))).to.deep.equal(['lift', 'finish:p:colour:1']);
    expect(weighing(26).find(({ id }) => id === 'lift')?.cautions[0]).to.contain('Two people');
  });
});

describe('steps of one’s own', () => {
  const own = (id: string, after?: string): OwnStep => ({ id, title: id, minutes: 5, after });
  const base = ['a', 'b', 'c', 'd'].map((id, i, all) =>
    step({ id, phase: 'in', title: id, minutes: 1, after: i > 0 ? [all[i - 1] as string] : [] }),
  );
  const ids = (steps: readonly Step[]) => steps.map(({ id }) => id).join(' ');

  it('stand straight after the step they name, first of all, or last where it is gone', () => {
    expect(ids(withOwn(base, [own('x', 'b')]))).to.equal('a b own:x c d');
    expect(ids(withOwn(base, [own('x')]))).to.equal('own:x a b c d');
    expect(ids(withOwn(base, [own('x', 'gone')]))).to.equal('a b c d own:x');
    expect(ids(withOwn(base, [own('x', 'b'), own('y', 'b')]))).to.equal('a b own:x own:y c d');
    expect(ids(withOwn(base, [own('x', 'own:y'), own('y', 'a')]))).to.equal('a own:y own:x b c d');
  });

  it('come twice round each other at the end, and nothing is lost', () => {
    const steps = withOwn(base, [own('x', 'own:y'), own('y', 'own:x')]);
    expect(steps).to.have.length(6);
    expect(inOrder(steps)).to.equal(true);
  });

  it('keep every order a possible one, wherever they stand', () => {
    const place = fc.option(
      fc.constantFrom('a', 'b', 'c', 'd', 'own:o0', 'own:o1', 'own:o2', 'own:o3', 'gone'),
      { nil: undefined },
    );
    fc.assert(
      fc.property(fc.array(place, { maxLength: 4 }), (places) => {
        const steps = withOwn(
          base,
          places.map((after, i) => own(`o${i}`, after)),
        );
        return (
          steps.length === 4 + places.length &&
          inOrder(steps) &&
          ids(steps.filter(({ id }) => id.length === 1)) === 'a b c d'
        );
      }),
    );
  });
});

describe('recoat windows', () => {
  const coat = step({
    id: 'two',
    phase: 'finish',
    title: 'coat 2',
    minutes: 3,
    within: { of: 'one', minutes: 60, again: 1440, else: 'scuff' },
  });
  const one = { stepId: 'one', at: '2026-11-27T10:00:00.000Z' };

  it('run from the coat before; past them it is scuffed first', () => {
    expect(windowOf(coat, [], one.at)).to.equal(undefined);
    expect(windowOf(coat, [one], '2026-11-27T10:30:00.000Z')).to.deep.equal({
      until: '2026-11-27T11:00:00.000Z',
      past: undefined,
    });
    expect(windowOf(coat, [one], '2026-11-27T11:00:01.000Z')?.past).to.equal('scuff');
    expect(windowOf(coat, [one, { stepId: 'two', at: one.at }], one.at)).to.equal(undefined);
  });
});

describe('sums of finishing', () => {
  const marks = (finishes: Finish[]) =>
    runChecks(planOf(shop, job('14', { finishes })))
      .filter(({ station }) => station === 'order')
      .map(({ id, mark }) => `${id} ${mark}`);
  const paint = freshFinish('paint', 'p') as PaintWork;

  it('say nothing of a clean plan', () => {
    expect(marks([paint, freshFinish('bath', 'b'), freshFinish('glue', 'g')])).to.deep.equal([]);
  });

  it('stop what is too cold, too damp, too hot, too strong, impossible', () => {
    expect(marks([{ ...paint, roomC: 5 }])).to.deep.equal(['spraying:p stop']);
    expect(marks([{ ...paint, roomC: 12, humidity: 84 }])).to.deep.equal(['dew:p stop']);
    expect(marks([{ ...paint, roomC: 20, humidity: 50 }])).to.deep.equal([]);
    expect(marks([{ ...paint, bake: true }])).to.deep.equal(['bake:p watch']);
    expect(marks([{ ...paint, bake: true, material: 'ABS' }])).to.deep.equal(['bake:p stop']);
    expect(marks([{ ...paint, bake: true, material: 'steel', bakeC: 61 }])).to.deep.equal([
      'bake:p stop',
    ]);
    expect(marks([{ ...paint, bake: true, material: 'steel', bakeC: 60 }])).to.deep.equal([]);
    const bath = freshFinish('bath', 'b');
    expect(marks([{ ...bath, bottlePercent: 18 } as Finish])).to.deep.equal([
      'peroxide-law:b stop',
    ]);
    expect(marks([{ ...bath, wantedPercent: 0 } as Finish])).to.deep.equal(['bath-mix:b stop']);
    expect(marks([{ ...bath, roomC: 50 } as Finish])).to.deep.equal(['bath-warm:b stop']);
  });

  it('name paints that lift each other, on one piece only', () => {
    const enamel: PaintWork = { ...paint, id: 'e', paint: 'enamel' };
    expect(marks([enamel, paint])).to.deep.equal(['lifts:p mend']);
    expect(marks([paint, enamel])).to.deep.equal([]);
    expect(marks([{ ...enamel, piece: 'front' }, paint])).to.deep.equal([]);
  });

  it('take the paint off tight gaps of the case, and off no wide one', () => {
    const fitOf = (finishes: Finish[]) =>
      shop.jobs.flatMap((each) =>
        runChecks(planOf(shop, { ...each, finishes })).filter(
          ({ station, unit, margin }) => station === 'fit' && unit === 'mm' && margin,
        ),
      );
    const [bare, painted] = [fitOf([]), fitOf([paint])];
    expect(painted.length).to.equal(bare.length);
    const tight = bare.filter(({ margin }) => margin && margin.lo >= 0 && margin.lo < 1);
    expect(tight.length).to.be.greaterThan(0);
    for (const [i, before] of bare.entries()) {
      const after = painted[i];
      const takes = (before.margin?.lo ?? 0) - (after?.margin?.lo ?? 0);
      expect(takes, before.id).to.be.closeTo(tight.includes(before) ? 0.0975 : 0, 1e-9);
    }
  });
});
