import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import fc from 'fast-check';
import { remedyFault } from '../../../src/core/document/remedyFields.ts';
import { readShop } from '../../../src/core/document/read.ts';
import { applyRemedy } from '../../../src/core/edits/edits.ts';
import type { Finding } from '../../../src/core/findings/finding.ts';
import { isLike, type RemedyValue } from '../../../src/core/model/types/remedyValue.ts';
import type { Job, Shop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import {
  remedyId,
  remedyKinds as kinds,
  remedyOf,
  sameRemedy,
  withParts,
  type Field,
  type FieldSort,
} from '../../../src/core/remedies/index.ts';
import { cageOut } from '../../../src/core/remedies/cageOut.ts';
import { drill } from '../../../src/core/remedies/drill.ts';
import { firmwareFirst } from '../../../src/core/remedies/firmwareFirst.ts';
import { hangOn } from '../../../src/core/remedies/hangOn.ts';
import { moveDrive } from '../../../src/core/remedies/moveDrive.ts';
import { rearCut } from '../../../src/core/remedies/rearCut.ts';
import { thickerLead } from '../../../src/core/remedies/thickerLead.ts';
import { tilt } from '../../../src/core/remedies/tilt.ts';

const fixture = (name: string) =>
  readFileSync(new URL(`../../fixtures/${name}`, import.meta.url), 'utf8');

/** Something each sort of field may hold. */
const held: Record<FieldSort, fc.Arbitrary<unknown>> = {
  seat: fc.constantFrom('card1', 'memory2', 'drive1', 'fan3', 'supply'),
  seats: fc.constantFrom(['board'], ['card1', 'memory1']),
  part: fc.constantFrom('C09', 'M4-07', 'bare'),
  word: fc.constantFrom('floor', 'behind the tray', 'sata lead2', 'main-plug', 'fan:fan1'),
  words: fc.uniqueArray(fc.constantFrom('A', 'C', 'F', 'H', 'R'), { minLength: 1 }),
  count: fc.integer({ min: 0, max: 999 }),
};

const values: fc.Arbitrary<RemedyValue> = fc.constantFrom(...kinds).chain((kind) => {
  const fields = Object.entries(kind.fields as Record<string, Field>);
  return fc
    .record(Object.fromEntries(fields.map(([name, { holds }]) => [name, held[holds]])), {
      requiredKeys: fields.flatMap(([name, { aside }]) => (aside ? [] : [name])),
    })
    .map((told) => ({ do: kind.do, ...told }) as RemedyValue);
});

describe('remedies, one list', () => {
  it('names each once, in data and in ids', () => {
    expect(new Set(kinds.map((kind) => kind.do)).size).to.equal(kinds.length);
    expect(new Set(kinds.map((kind) => kind.id)).size).to.equal(kinds.length);
    expect(kinds.length).to.be.at.least(30);
  });
  it('says in one word which remedy it is, and reads it back', () => {
    fc.assert(
      fc.property(values, (value) => {
        const back = remedyOf(remedyId(value));
        expect(back, remedyId(value)).to.not.equal(undefined);
        expect(back && sameRemedy(back, value), remedyId(value)).to.equal(true);
        expect(isLike(value, back!), remedyId(value)).to.equal(true);
        expect(remedyFault(value), remedyId(value)).to.equal(undefined);
      }),
    );
  });
  it('reads the words of older files, and nothing else for a remedy', () => {
    const words: [string, RemedyValue][] = [
      ['cage-out', cageOut()],
      ['drive-to:drive1:behind the tray', moveDrive({ seat: 'drive1', to: 'behind the tray' })],
      ['drill:HJ', drill({ holes: ['H', 'J'] })],
      ['tilt:board', tilt({ seats: ['board'] })],
      ['tilt:card1:memory1', tilt({ seats: ['card1', 'memory1'] })],
      ['feed:fan2:sata lead1', hangOn({ seat: 'fan2', lead: 'sata lead1' })],
      ['feed-awg-14', thickerLead({ awg: 14 })],
      ['firmware-first:bare', firmwareFirst({ older: 'bare' })],
    ];
    for (const [word, value] of words) expect(remedyOf(word), word).to.deep.equal(value);
    for (const odd of ['', 'cage', 'drive-to', 'drive-to:drive1', 'cage-out:x', 'limit:card1:many'])
      expect(remedyOf(odd), odd).to.equal(undefined);
  });
  it('tells remedies apart by what they are done to, not by what is told along', () => {
    expect(sameRemedy(rearCut({ count: 1 }), rearCut({ count: 3 }))).to.equal(true);
    expect(isLike(rearCut({ count: 3 }), rearCut())).to.equal(true);
    const [a, b] = [drill({ holes: ['H', 'J'] }), drill({ holes: ['H'] })];
    expect(sameRemedy(a, b)).to.equal(false);
    expect(isLike(a, b)).to.equal(false);
    expect(isLike(moveDrive({ seat: 'drive1', to: 'cage' }), cageOut())).to.equal(false);
  });
  it('renumbers the tags of parts it names, and nothing else', () => {
    const longer = (tag: string) => `${tag}x`;
    expect(withParts(firmwareFirst({ older: 'C09' }), longer)).to.deep.equal({
      do: 'firmwareFirst',
      older: 'C09x',
    });
    const moved = moveDrive({ seat: 'drive1', to: 'floor' });
    expect(withParts(moved, longer)).to.deep.equal(moved);
  });
  for (const [what, value, message] of [
    ['nothing', undefined, 'is no remedy'],
    ['a word', 'cage-out', 'is no remedy'],
    ['one nobody knows', { do: 'pray' }, 'names no remedy'],
    ['a word of every object', { do: 'constructor' }, 'names no remedy'],
    ['a field too many', { do: 'cageOut', now: true }, 'does not know: now'],
    ['a seat that is none', { do: 'moveDrive', seat: 'drawer', to: 'floor' }, 'its seat'],
    ['a field left out', { do: 'moveDrive', seat: 'drive1' }, 'its to'],
    ['a figure that is none', { do: 'limitWatts', seat: 'card1', watts: NaN }, 'its watts'],
    ['a list that is none', { do: 'drill', holes: 'HJ' }, 'its holes'],
  ] as [string, unknown, string][])
    it(`refuses ${what}, with what is wrong`, () => expect(remedyFault(value)).to.contain(message));
});

type Line = [mark: string, lo?: number, hi?: number];
type Before = Record<
  string,
  {
    base: Record<string, Line>;
    applied: Record<
      string,
      { minutes: number; undoable: boolean; changes: Record<string, Line | null> }
    >;
  }
>;

const line = ({ mark, margin: rest }: Finding): Line =>
  rest ? [mark, Number(rest.lo.toFixed(6)), Number(rest.hi.toFixed(6))] : [mark];
const linesOf = (shop: Shop, id: string): Record<string, Line> => {
  const job = shop.jobs.find((each) => each.id === id) as Job;
  return Object.fromEntries(runChecks(planOf(shop, job)).map((each) => [each.id, line(each)]));
};

/** Sums that were put right since, each with its own test; and a remedy that only a wrong one offered. */
const corrected =
  /^(?:board-holes|fuse-load|fuse-wire|feed-wire|feed-wire-least|feed-watts|feed-under|feed-over|tip|card-budget:.*|slot-card\d|heat-.*|lead:.*|way-in:board|exhaust|space:.*|missing-.*|main-plug|processor-plug|supply-total|plugs-.*|fan-mounts.*|stage-watts|converter-in|rail-12|drop-.*|lead-.*|second-.*|not-computed.*|hot-face:.*|cooler-height|cooler-under:.*|card-length:.*|supply-depth|link:.*|spin-up|front-block|drive-record:.*|condition:.*|budget|memory-height:.*)$/;
/* Offered since the long slot may lie at the second opening, and a card's plugs at its end. */
const since = ['slot-far:memory1', 'slot-far:memory2', 'cut-front:card1', 'supply-outside'];
const withdrawn = [
  'standoffs-out:BRS',
  'lead-longer:main',
  'lead-longer:card1',
  'lead-longer:front',
  'lead-longer:processor',
  'slot-far:memory1',
  'slot-far:memory2',
  'fan-outside:fan1',
  'limit:processor:54',
  'limit:processor:65',
];
const kept = <T>(lines: Record<string, T>): Record<string, T> =>
  Object.fromEntries(Object.entries(lines).filter(([id]) => !corrected.test(id)));

/* What the last version with remedies as words found, job by job, and with every remedy it offered applied. */
describe('a shop of version 5, as it was judged before remedies were data', () => {
  const before = JSON.parse(fixture('findings-v5.json')) as Before;
  const shop = readShop(fixture('shops/v5.json'));

  for (const [id, { base, applied }] of Object.entries(before)) {
    it(`job ${id}: the same findings, and the same once each remedy is applied`, () => {
      expect(kept(linesOf(shop, id))).to.deep.equal(kept(base));
      const job = shop.jobs.find((each) => each.id === id) as Job;
      const offered = runChecks(planOf(shop, job)).flatMap((finding) => finding.remedies);
      const seen = new Set<string>();
      for (const remedy of offered) {
        if (remedy.value.do === 'put') continue;
        const word = remedyId(remedy.value).replace(/^feed-awg:/, 'feed-awg-');
        const was = applied[word];
        if (was === undefined && since.includes(word)) continue;
        expect(was, word).to.not.equal(undefined);
        expect(remedy.minutes, word).to.equal(was!.minutes);
        expect(remedy.undoable, word).to.equal(was!.undoable);
        const after = linesOf(applyRemedy(id, remedy)(shop), id);
        const changed = Object.fromEntries(
          [...new Set([...Object.keys(base), ...Object.keys(after)])].flatMap((each) =>
            JSON.stringify(base[each]) === JSON.stringify(after[each])
              ? []
              : [[each, after[each] ?? null]],
          ),
        );
        expect(kept(changed), word).to.deep.equal(kept(was!.changes));
        seen.add(word);
      }
      const lasting = (words: Iterable<string>) =>
        [...words].filter((word) => !withdrawn.includes(word)).sort();
      expect(lasting(seen)).to.deep.equal(lasting(Object.keys(applied)));
    });
  }
});

describe('a shop of version 6, its remedies words', () => {
  it('keeps every remedy that did something, what is on its lists, and its ticks', () => {
    const text = fixture('shops/v6.json');
    const old = JSON.parse(text) as {
      jobs: { id: string; taken: string[]; wants: { remedyId?: string }[] }[];
    };
    const shop = readShop(text);
    let words = 0;
    for (const { id, taken, wants } of old.jobs) {
      const job = shop.jobs.find((each) => each.id === id) as Job;
      const now = job.applied.map((value) => remedyId(value).replace(/^feed-awg:/, 'feed-awg-'));
      expect(now, id).to.deep.equal(taken);
      expect(job.wants.filter((want) => want.remedy).length).to.equal(
        wants.filter((want) => want.remedyId !== undefined).length,
      );
      words += taken.length;
    }
    expect(words).to.be.at.least(40);
  });
  it('lets go of a word that named none, and refuses what is no word', () => {
    const old = JSON.parse(fixture('shops/v6.json')) as { jobs: { taken: unknown[] }[] };
    old.jobs[0]!.taken = ['cage-out', 'nothing anybody knows'];
    expect(readShop(JSON.stringify(old)).jobs[0]!.applied).to.deep.equal([cageOut()]);
    old.jobs[0]!.taken = [7];
    expect(() => readShop(JSON.stringify(old))).to.throw(/jobs\[0\]\.applied\[0\]/);
  });
});
