import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { tickStep, timeStep, untickStep } from '../../../src/core/edits/edits.ts';
import type { Job, Shop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';

const NOW = '2026-11-27T10:00:00.000Z';
const later = (minutes: number) => new Date(Date.parse(NOW) + minutes * 60_000).toISOString();
const shop = demoShop(NOW);
const jobOf = (of: Shop, id: string) => of.jobs.find((each) => each.id === id) as Job;

describe('minutes a step takes', () => {
  const first =
    workOrderOf(planOf(shop, jobOf(shop, '14')), jobOf(shop, '14').schools)[0]?.id ?? '';
  const took = (of: Shop, minutes: number) =>
    tickStep('14', { stepId: first, at: later(minutes) })(timeStep('14', first, NOW)(of));

  it('are noted by its timer, which is over with the tick', () => {
    const job = jobOf(took(shop, 17), '14');
    expect(job.ticks.find(({ stepId }) => stepId === first)?.minutes).to.equal(17);
    expect(job.started).to.deep.equal([]);
  });

  it('are not noted without a timer, from a forgotten one, or when the clock was set back', () => {
    const plain = jobOf(
      tickStep('14', { stepId: first, at: NOW })(untickStep('14', first)(shop)),
      '14',
    );
    expect(plain.ticks.find(({ stepId }) => stepId === first)).to.not.have.property('minutes');
    for (const minutes of [481, -1])
      expect(
        jobOf(took(shop, minutes), '14').ticks.find(({ stepId }) => stepId === first),
      ).to.not.have.property('minutes');
  });

  it('are learned from three timings on, the middle one, and those of the same case go first', () => {
    const timed = (ids: readonly string[], minutes: readonly number[], of: Shop): Shop => ({
      ...of,
      jobs: of.jobs.map((job) => {
        const i = ids.indexOf(job.id);
        return i < 0
          ? job
          : { ...job, ticks: [{ stepId: 'close', at: NOW, minutes: minutes[i] as number }] };
      }),
    });
    const minutesIn = (of: Shop) => {
      const job = jobOf(of, '14');
      const close = workOrderOf(planOf(of, job), job.schools).find(({ id }) => id === 'close');
      return [close?.minutes, close?.timed];
    };
    expect(minutesIn(shop)).to.deep.equal([10, undefined]);
    const others = shop.jobs.filter(({ id }) => id !== '14').map(({ id }) => id);
    expect(minutesIn(timed(others.slice(0, 2), [20, 30], shop))).to.deep.equal([10, undefined]);
    expect(minutesIn(timed(others.slice(0, 3), [20, 90, 30], shop))).to.deep.equal([30, 3]);
    const machineId = jobOf(shop, '14').machineId;
    const alike: Shop = {
      ...shop,
      jobs: shop.jobs.map((job) =>
        others.slice(3, 6).includes(job.id) ? { ...job, machineId } : job,
      ),
    };
    const caseOf = alike.machines
      .find(({ id }) => id === machineId)
      ?.seats.find(({ seat }) => seat === 'case')?.partId;
    const modelled: Shop = {
      ...alike,
      parts: alike.parts.map((part) =>
        part.id === caseOf ? { ...part, modelId: alike.models[0]?.id } : part,
      ),
    };
    const all = timed(others.slice(0, 6), [90, 90, 90, 4, 5, 6], modelled);
    expect(minutesIn(all)).to.deep.equal([5, 3]);
  });
});
