import { expect } from 'chai';
import { freshFinish } from '../../../src/core/finish/fresh.ts';
import type { PaintWork } from '../../../src/core/model/types/finishTypes.ts';
import type { Job, Shop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';
import { minuteOf } from '../../../src/core/schedule/calendar.ts';
import { gapNow } from '../../../src/core/schedule/gap.ts';
import type { Problem, Task } from '../../../src/core/schedule/model.ts';
import { placed } from '../../../src/core/schedule/place.ts';
import { planWeek } from '../../../src/core/schedule/plan.ts';
import { weekOf } from '../../../src/core/schedule/tasks.ts';
import { tripBefore } from '../../../src/core/schedule/trip.ts';
import { asked, only, shop, withJob } from '../../helpers/weeks.ts';

const jobOf = (id: string) => shop.jobs.find((job) => job.id === id) as Job;
const gapOf = (of: Shop) => gapNow(of, planWeek(of, asked, { orders: 60 }));

describe('week, the minutes until something may be touched', () => {
  const glued = (which: 'superglue' | 'slow epoxy', fields: Partial<Job>) =>
    withJob('14', { finishes: [{ ...freshFinish('glue', 'g'), which } as never], ...fields });

  it('end with the soonest of what is left alone', () => {
    const ticks = [{ stepId: 'finish:g:glue', at: '2026-11-27T13:04:00.000Z' }];
    const soon = gapOf(glued('superglue', { ticks }));
    expect(soon).to.include({ jobId: '14', until: minuteOf('2026-11-27T13:09:00.000Z') });
    expect(gapOf(glued('slow epoxy', { ticks }))?.jobId).to.equal('9');
  });

  it('count the hands of a step that still runs', () => {
    const started = [{ stepId: 'finish:g:glue', at: '2026-11-27T13:00:00.000Z' }];
    const all = glued('superglue', { started, ticks: [] });
    const of = { ...all, jobs: all.jobs.filter(({ id }) => id === '14') };
    /* 12 minutes of gluing, 5 to hold. */
    expect(gapOf(of)?.until).to.equal(minuteOf('2026-11-27T13:17:00.000Z'));
  });

  it('are filled with nothing that must wait itself', () => {
    expect(gapOf(only('9', '14'))?.fills.map(({ jobId }) => jobId)).to.deep.equal(['14']);
    const waits = [{ why: 'a call', until: '2026-11-27T13:10:00.000Z' }];
    expect(gapOf(withJob('14', { waits }, only('9', '14')))?.fills).to.deep.equal([]);
  });

  it('hold a short wait between two steps, too', () => {
    const own = [
      { id: 's1', title: 'dab', minutes: 5, leaveMinutes: 20 },
      { id: 's2', title: 'wipe', minutes: 5, after: 'own:s1' },
    ];
    const gap = gapOf(withJob('14', { own }, only('9', '14')));
    const fill = gap?.fills.find(({ jobId }) => jobId === '14');
    expect(fill).to.include({ title: 'dab', minutes: 5, steps: 1 });
  });

  it('know tools in hand for an hour and a half', () => {
    const steps = workOrderOf(planOf(shop, jobOf('12')), jobOf('12').schools);
    const stepId = steps.find(({ tools }) => tools.includes('wall meter'))?.id ?? '';
    const inHand = (at: string) =>
      gapOf(withJob('12', { ticks: [{ stepId, at }] }))?.fills.flatMap((fill) => fill.inHand);
    expect(inHand('2026-11-27T11:37:00.000Z')).to.include('wall meter');
    expect(inHand('2026-11-27T11:35:00.000Z')).to.not.include('wall meter');
  });
});

describe('week, what is fetched', () => {
  it('leaves out what comes by itself', () => {
    const labels = (of: Shop) =>
      tripBefore(of, planWeek(of, asked, { orders: 30 }))?.lines.map(({ label }) => label) ?? [];
    const wanted = shop.parts.find(({ id }) => id === 'W01');
    expect(labels(shop)).to.include(wanted?.name);
    const ordered = {
      ...shop,
      parts: shop.parts.map((part) =>
        part.id === 'W01' ? { ...part, due: '2026-11-30T10:00:00.000Z' } : part,
      ),
    };
    expect(labels(ordered)).to.not.include(wanted?.name);
  });
});

describe('week, places', () => {
  const task = (id: string, group: string, fields: Partial<Task> = {}): Task => ({
    id,
    jobId: 'a',
    title: '',
    steps: [],
    tools: [],
    hands: 10,
    leave: 0,
    people: 1,
    attended: false,
    release: 0,
    after: [],
    place: { name: 'paint place', group, holds: 30, first: 'red', last: 'red' },
    ...fields,
  });
  const problem = (tasks: Task[], fields: Partial<Problem> = {}): Problem => ({
    tasks,
    jobs: [],
    people: 1,
    open: [{ from: 0, to: 1000 }],
    cleaning: 15,
    ...fields,
  });
  const blue = { name: 'paint place', group: 'g', holds: 30, first: 'blue', last: 'blue' } as const;

  it('are kept by one piece of work: no waiting and no cleaning inside it', () => {
    const found = placed(
      problem([task('1', 'g'), task('2', 'g', { after: [0], place: blue })]),
      [0, 1],
    );
    expect(found?.starts).to.deep.equal([0, 10]);
    expect(found?.cleaned).to.deep.equal([0, 0]);
    /* Of two pieces of work the second waits until the place is free, and cleans it. */
    const two = placed(problem([task('1', 'f'), task('2', 'g', { place: blue })]), [0, 1]);
    expect(two?.starts).to.deep.equal([0, 55]);
  });

  it('let everything go on that was begun there, were it more than the shop has', () => {
    const held = [
      { name: 'paint place', group: 'f' },
      { name: 'paint place', group: 'g' },
    ] as const;
    const found = placed(problem([task('1', 'f'), task('2', 'g')], { held }), [0, 1]);
    expect(found?.starts).to.deep.equal([0, 10]);
  });
});

describe('week, what tasks know of paint', () => {
  const paint: PaintWork = { ...(freshFinish('paint', 'p') as PaintWork), colour: 'red' };
  const of = (fields: Partial<Job>) => withJob('14', { finishes: [paint], ...fields });

  it('which colour was sprayed last, over all jobs', () => {
    const colour = (at: string) =>
      weekOf(of({ ticks: [{ stepId: 'finish:p:colour:1', at }] }), asked).problem.colour;
    expect(colour('2026-11-27T13:04:00.000Z')).to.equal('red');
    expect(colour('2026-11-27T10:00:00.000Z')).to.equal('cream');
  });

  it('that the last coat dries on the rack, and a coat before it does not', () => {
    const { tasks } = weekOf(of({}), asked).problem;
    const resting = tasks.filter(({ rests, jobId }) => rests && jobId === '14');
    expect(resting).to.have.length(1);
    expect(resting[0]?.steps.at(-1)).to.match(/^finish:p:colour:/);
  });

  it('within which minutes of another task a coat goes on', () => {
    const started = [{ stepId: 'finish:p:colour:3', at: '2026-11-27T13:05:00.000Z' }];
    const { tasks } = weekOf(of({ started }), asked).problem;
    const next = tasks.find(({ steps }) => steps[0] === 'finish:p:colour:4');
    const running = tasks.findIndex(({ steps }) => steps[0] === 'finish:p:colour:3');
    expect(running).to.be.at.least(0);
    expect(next?.within).to.deep.equal({ of: running, minutes: 60, again: 1440 });
  });
});
