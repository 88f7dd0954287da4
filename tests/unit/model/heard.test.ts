import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { properties } from '../../../src/core/model/properties/index.ts';
import type { Facts } from '../../../src/core/model/types/fact.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { jobWith, type Seats } from '../../helpers/build.ts';
import { cleanBuilds } from '../../reference/builds/clean.ts';
import { mistakes } from '../../reference/builds/mistakes.ts';

/** Kept with a part and read elsewhere than by a check, each with where. */
const recordOnly: Record<string, string> = {
  'supply pinReadings': 'what is this plug; the plug it names is what checks read',
  'small wiring': 'how an adapter of ours was wired, for its sheets',
  'small count': 'how many lie in the bag, for screws and the shopping list',
};

/** Situations no build or demo job is in: a board on a brick, drives on the board, a print beside what is hot, feet under vents. */
const situations: readonly Seats[] = [
  {
    case: { class: 'tower', vents: ['floor'], feet: 10 },
    board: { mainPlug: 'main24', wakePorts: 4, drivePlugs: 2, watts: 20 },
    processor: { watts: 35 },
    cooler: { class: 'radiator', radiator: '240', wall: 'top' },
    memory1: { size: 8 },
    drive1: { form: '3.5', size: 4000 },
    supply: { feeds: 'supply', watts: 200, plugs: ['main24'] },
    small1: { sort: 'printed part', material: 'PLA', beside: 'card' },
  },
  {
    board: { mainPlug: 'main24', watts: 15 },
    processor: { watts: 35 },
    drive1: { form: '2.5', watts: 4, size: 4000 },
    supply: { feeds: 'brick', volts: 12, watts: 120 },
    small1: { sort: 'DC-DC board', straight: 'yes', out5Amps: 5, out33Amps: 5 },
  },
  {
    board: { watts: 15, inVolts: 19, slotLanes: 16, slotPair: '8 + 8' },
    processor: { watts: 35 },
    card1: { watts: 60, lanes: 16 },
    card2: { watts: 60, lanes: 16 },
    supply: { feeds: 'brick', volts: 19, watts: 180, feedLength: 1500, feedAwg: 16 },
    small1: {
      sort: 'step-down',
      carries: 'card1',
      outVolts: 12,
      outAmps: 8,
      inVolts: [12, 24],
      fuse: 10,
      feedLength: 500,
      feedAwg: 16,
    },
  },
  { board: {}, leads: { block: 'single' }, drive1: { hours: 10 } },
];

/** Every key of a kind that a check asked a part for. */
function heard(): Set<string> {
  const keys = new Set<string>();
  const watched = (kind: string, facts: Facts): Facts =>
    new Proxy(facts, {
      getOwnPropertyDescriptor(target, key) {
        keys.add(`${kind} ${String(key)}`);
        return Reflect.getOwnPropertyDescriptor(target, key);
      },
    });
  const check = (shop: Shop): void => {
    const all = {
      ...shop,
      parts: shop.parts.map((part) => ({ ...part, facts: watched(part.kind, part.facts) })),
      models: shop.models.map((model) => ({ ...model, facts: watched(model.kind, model.facts) })),
    };
    for (const job of all.jobs) {
      runChecks(planOf(all, job));
      workOrderOf(planOf(all, job), job.schools);
    }
  };
  const base = (name: string): Seats => cleanBuilds.find((each) => each.name === name)?.seats ?? {};
  check(demoShop('2026-11-27T08:00:00.000Z'));
  for (const { seats } of cleanBuilds) check(jobWith(seats).shop);
  for (const mistake of mistakes) {
    const seats = Object.entries({ ...base(mistake.of), ...mistake.with });
    check(
      jobWith(Object.fromEntries(seats.flatMap(([seat, part]) => (part ? [[seat, part]] : []))))
        .shop,
    );
  }
  for (const seats of situations) check(jobWith(seats).shop);
  return keys;
}

describe('model/properties', () => {
  it('each is read by a check or the work order, or said to be a record and why', () => {
    const keys = heard();
    const unheard = Object.entries(properties).flatMap(([kind, list]) =>
      list.map(({ key }) => `${kind} ${key}`).filter((name) => !keys.has(name)),
    );
    expect(unheard.filter((name) => recordOnly[name] === undefined)).to.deep.equal([]);
    /* A record that a check reads after all is no record. */
    expect(Object.keys(recordOnly).filter((name) => !unheard.includes(name))).to.deep.equal([]);
  });
});
