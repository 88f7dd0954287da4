import { expect } from 'chai';
import { dropPrint, setMake, setPrint } from '../../../src/core/edits/makeEdits.ts';
import { applyRemedy, type Edit } from '../../../src/core/edits/edits.ts';
import { fitChecks } from '../../../src/core/fit/index.ts';
import { freshMake } from '../../../src/core/make/fresh.ts';
import type { Plan } from '../../../src/core/model/lookup/plan.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';
import { freshPrint } from '../../../src/core/print/fresh.ts';
import type { Printed } from '../../../src/core/model/types/printTypes.ts';
import { jobWith, the, type Seats } from '../../helpers/build.ts';

const plan = (shop: Shop): Plan => planOf(shop, shop.jobs[0]!);
const fit = (shop: Shop) => fitChecks.flatMap((check) => check(plan(shop)));
const offered = (shop: Shop) => fit(shop).flatMap((each) => each.remedies);
const wants = (shop: Shop) => shop.jobs[0]!.wants.map(({ what }) => what);
const applied = (shop: Shop) => shop.jobs[0]!.applied.map((each) => each.do);
const of = (seats: Seats) => jobWith(seats).shop;
const after = (shop: Shop, ...edits: Edit[]) => edits.reduce((now, edit) => edit(now), shop);

const small: Seats = { case: { supplyFormat: 'ATX' }, supply: { format: 'SFX' } };
const plate = freshMake('PSU plate', 'm1');

describe('edits/makeEdits', () => {
  it('a plate made for the small PSU is the plate its bay wants: taken, and not to be bought', () => {
    const before = of(small);
    expect(the(fit(before), 'supply-format').mark).to.equal('mend');
    const made = after(before, setMake('1', plate, offered(before)));
    expect(applied(made)).to.deep.equal(['supplyPlate']);
    expect(wants(made)).to.deep.equal([]);
    const titles = workOrderOf(plan(made), made.jobs[0]!.schools).map(({ title }) => title);
    expect(titles).to.include('Adapter plate SFX to ATX');
    expect(titles.filter((title) => title.startsWith('Get and fit'))).to.deep.equal([]);
  });
  it('what was on the list for it comes off; without the piece the bay is as it was', () => {
    const before = of(small);
    const [way] = the(fit(before), 'supply-format').remedies;
    const bought = after(before, applyRemedy('1', way!));
    expect(wants(bought)).to.deep.equal(['adapter plate SFX to ATX']);
    const print = freshPrint('printed PSU plate', 'p1');
    const made = after(bought, setPrint('1', print, offered(bought)));
    expect([applied(made), wants(made)]).to.deep.equal([['supplyPlate'], []]);
    const none = after(made, dropPrint('1', 'p1'));
    expect(applied(none)).to.deep.equal([]);
    expect(the(fit(none), 'supply-format').mark).to.equal('mend');
  });
  it('only what serves is taken: a bracket of the other size, a bay nothing is made for', () => {
    const loose = of({ case: { bays35: 0, bays25: 0 }, drive1: { form: '2.5' } });
    const bracket = (form: '2.5' | '3.5') =>
      ({ ...freshPrint('drive bracket', 'p1'), form }) as Printed;
    const wrong = after(loose, setPrint('1', bracket('3.5'), offered(loose)));
    expect(applied(wrong)).to.deep.equal([]);
    const right = after(wrong, setPrint('1', bracket('2.5'), offered(wrong)));
    expect(applied(right)).to.deep.equal(['driveBracket']);
    const back = after(right, setPrint('1', bracket('3.5'), offered(right)));
    expect(applied(back)).to.deep.equal([]);
    const flex = of({ case: { supplyFormat: 'ATX' }, supply: { format: 'FlexATX' } });
    expect(offered(flex).map(({ value }) => value.do)).to.include('supplyPlate');
    expect(applied(after(flex, setMake('1', plate, offered(flex))))).to.deep.equal([]);
  });
  it('printed feet lift the floor by their own height', () => {
    const low = of({ case: { vents: ['floor'], feet: 5 }, board: {}, fan1: {} });
    const foot = (height: number) => ({ ...freshPrint('foot', 'p1'), height }) as Printed;
    const made = after(low, setPrint('1', foot(15), offered(low)));
    expect(the(fit(made), 'feet').margin).to.deep.equal({ lo: -2, hi: -2 });
    const tall = after(made, setPrint('1', foot(22), offered(made)));
    const sum = the(fit(tall), 'feet');
    expect([sum.mark, sum.terms[0]!.label]).to.deep.equal(['clear', 'printed feet']);
  });
  it('openings cut by a template are cut once in the work order', () => {
    const walled = of({
      case: { openings: ['IO 0-159 0-44', 'LAN 170-186 0-14'] },
      board: { format: 'ATX', ports: ['HDMI 200-215 2-8'] },
    });
    const made = after(walled, setMake('1', freshMake('rear wall', 'm1'), offered(walled)));
    expect(applied(made)).to.deep.equal(['rearCut']);
    expect(the(fit(made), 'rear-ports').mark).to.equal('watch');
    const cuts = workOrderOf(plan(made), made.jobs[0]!.schools).filter(({ title }) =>
      /^Cut /.test(title),
    );
    expect(cuts.map(({ id }) => id)).to.deep.equal(['make:m1']);
  });
});
