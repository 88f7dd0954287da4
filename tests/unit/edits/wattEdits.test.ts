import { expect } from 'chai';
import {
  addCurvePoint,
  keepCorrection,
  keepLoadResult,
} from '../../../src/core/edits/wattEdits.ts';
import { hangPart } from '../../../src/core/edits/edits.ts';
import { numberOf, listOf } from '../../../src/core/model/lookup/lookup.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';
import { correctionOf } from '../../../src/core/watts/correct.ts';
import { electronicLoad, loadResult } from '../../../src/core/watts/electronicLoad.ts';
import { jobWith, type Seats } from '../../helpers/build.ts';
import { limitWatts } from '../../../src/core/remedies/limitWatts.ts';

const at = '2026-11-25T10:00:00Z';
const seats: Seats = {
  board: { watts: 30 },
  processor: { watts: [65, 95] },
  fan1: { amps: 0.3 },
  supply: { watts: 300, amps12: 22, mainPlug: 'main24', plugs: ['cpu4', 'sata', 'sata'] },
};
const part = (shop: Shop, id: string) => shop.parts.find((each) => each.id === id)!;

describe('edits/wattEdits', () => {
  it('keeps what the meter made of the watts, on the model where there is one', () => {
    const { shop, job } = jobWith(seats, {
      readings: [{ kind: 'wallW', value: 90, when: 'after', at, load: 'full load' }],
    });
    const withModel: Shop = {
      ...shop,
      models: [{ id: 'board-kind', kind: 'board', name: 'board', facts: {} }],
      parts: shop.parts.map((each) =>
        each.id === 'T-board' ? { ...each, modelId: 'board-kind', facts: {} } : each,
      ),
    };
    const found = correctionOf(planOf(withModel, job), 'after')!;
    const after = keepCorrection(found, at)(withModel);
    expect(after.models[0]!.facts['watts']).to.include({ how: 'measured', at });
    expect(part(after, 'T-board').facts['watts']).to.equal(undefined);
    const own = part(after, 'T-processor').facts['watts'];
    expect(own).to.include({ how: 'measured', source: 'wall meter, full load' });
    const span = numberOf(after, part(after, 'T-processor'), 'watts')!;
    expect(span.hi - span.lo).to.be.below(30);
    expect(withModel.models[0]!.facts).to.deep.equal({});
  });
  it('keeps what a brick gave under load: ohms, watts and amps; of a PSU its 12 V', () => {
    const { shop } = jobWith(seats);
    const steps = [...electronicLoad({ volts: 19, amps: 4, seed: 3 })];
    const result = loadResult(steps, 19)!;
    const brick = part(keepLoadResult('T-supply', result, at, true)(shop), 'T-supply').facts;
    expect(brick['innerOhm']).to.include({ how: 'measured', source: 'electronic load' });
    const watts = brick['watts'] as { lo: number; hi: number };
    expect(watts.hi).to.be.closeTo(result.holdsA * result.openV, 0.06);
    const supply = part(keepLoadResult('T-supply', result, at, false)(shop), 'T-supply').facts;
    expect(supply['watts']).to.deep.equal(part(shop, 'T-supply').facts['watts']);
    expect(supply['amps12']).to.include({ how: 'measured' });
  });
  it('adds points to a curve, one in place of one nearby', () => {
    const { shop } = jobWith(seats);
    const points = [
      { load: 20, percent: 84.21 },
      { load: 51, percent: 88 },
      { load: 49, percent: 87.5 },
    ];
    const after = points.reduce((now, point) => addCurvePoint('T-supply', point, at)(now), shop);
    expect(listOf(after, part(after, 'T-supply'), 'curve')!.items).to.deep.equal([
      { load: 20, percent: 84.2 },
      { load: 49, percent: 87.5 },
    ]);
    expect(addCurvePoint('nobody', points[0]!, at)(shop)).to.equal(shop);
  });
  it('a load hung elsewhere and a part held down are steps in words of the workshop', () => {
    const { shop, job } = jobWith(seats, {
      applied: [limitWatts({ seat: 'processor', watts: 65 })],
    });
    const hung = hangPart('1', 'fan1', 'sata lead1')(shop);
    const titles = workOrderOf(planOf(hung, hung.jobs[0]!), job.schools).map((each) => each.title);
    expect(titles).to.include('Hang fan 1 on the sata lead 1');
    expect(titles).to.include('Hold CPU to 65 W in the firmware');
  });
});
