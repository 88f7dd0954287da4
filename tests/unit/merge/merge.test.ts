import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import {
  addPart,
  editJob,
  editPart,
  editSettings,
  putPart,
  renameShop,
  tickStep,
  untickStep,
} from '../../../src/core/edits/edits.ts';
import type { Edit } from '../../../src/core/model/types/edit.ts';
import { jobShop } from '../../../src/core/export/jobShop.ts';
import { checkShop } from '../../../src/core/document/read.ts';
import type { Job, Machine, Part, Shop } from '../../../src/core/model/types/types.ts';
import { mergeCopies, type Copy } from '../../../src/core/merge/merge.ts';
import { edited, newVersions } from '../../../src/core/merge/write.ts';
import { addItems, dropItem } from '../../../src/core/shop/items.ts';
import { addShop } from '../../../src/core/merge/addShop.ts';
import { stableText } from '../../../src/core/units/stableText.ts';

const NOW = '2026-01-01T12:00:00.000Z';
const demo = demoShop(NOW);
const job = (id: string): Job => demo.jobs.find((each) => each.id === id)!;
/** Two jobs with all that is theirs: small enough for thousands of pairs. */
const small = addShop(jobShop(demo, job('14')), jobShop(demo, job('5'))).shop;
const begin: Copy = { shop: small, versions: newVersions('test') };

const sorted = (shop: Shop): Shop => {
  const byId = <T extends { id: string }>(list: T[]) =>
    [...list].sort((a, b) => (a.id < b.id ? -1 : 1));
  return {
    ...shop,
    models: byId(shop.models),
    machines: byId(shop.machines),
    parts: byId(shop.parts),
    jobs: byId(shop.jobs),
    plugs: byId(shop.plugs),
    ledger: byId(shop.ledger),
    photos: byId(shop.photos),
  };
};
const textOf = ({ shop, versions }: Copy): string =>
  stableText({ ...sorted(shop), ...versions, records: versions.records });

/** One edit drawn: which, of what, and a word nobody else types. */
type Draw = readonly [what: number, at: number, other: number];
const pick = <T>(list: readonly T[], at: number): T | undefined =>
  list[at % Math.max(1, list.length)];

const editOf =
  ([what, at, other]: Draw, word: string): Edit =>
  (shop) => {
    const part = pick(shop.parts, at);
    const open = pick(shop.jobs, at);
    const machine = pick(shop.machines, at);
    if (!open) return shop;
    const edits: (() => Edit)[] = [
      () => (now) => (part ? editPart(part.id, { note: word })(now) : now),
      () => (now) => (part ? editPart(part.id, { where: word })(now) : now),
      () => (now) =>
        part ? editPart(part.id, { price: { minor: 100 + other, currency: 'EUR' } })(now) : now,
      () => (now) => (part ? editPart(part.id, { price: undefined })(now) : now),
      () => (now) => {
        const [key, fact] = pick(Object.entries(part?.facts ?? {}), other) ?? [];
        return part && key && fact
          ? editPart(part.id, { facts: { ...part.facts, [key]: { ...fact, who: word } } })(now)
          : now;
      },
      () => editJob(open.id, { note: word }),
      () => editJob(open.id, { customer: { ...open.customer, name: word } }),
      () => editJob(open.id, { customer: { ...open.customer, contact: word } }),
      () =>
        addItems(open.id, 'additions', [{ at: NOW, text: other % 3 ? word : 'the same words' }]),
      () => addItems(open.id, 'dropped', [{ at: NOW, what: word, why: 'too tall' }]),
      () => addItems(open.id, 'wants', [{ what: word, count: 1 }]),
      () => (now) => {
        const item = pick(open.wants, other);
        return item ? dropItem(open.id, 'wants', item)(now) : now;
      },
      () => tickStep(open.id, { stepId: `step-${other % 5}`, at: NOW, note: word }),
      () => untickStep(open.id, `step-${other % 5}`),
      () => (now) => putPart(open.id, 'card1', pick(now.parts, other)?.id ?? null)(now),
      () => renameShop(word),
      () => editSettings({ contact: word }),
      () => editSettings({ unit: other % 2 ? 'in' : 'mm' }),
      /* Twice the same tag at two benches, now and then. */
      () => (now) => {
        const id = `Z0${other % 4}`;
        return now.parts.some((each) => each.id === id)
          ? now
          : addPart({ id, kind: 'fan', name: word, facts: {}, place: 'shelf' } as Part)(now);
      },
      () => (now) => ({
        ...now,
        ledger: [
          ...now.ledger,
          {
            id: `L${now.ledger.length + 900}`,
            at: NOW,
            kind: 'cost',
            what: word,
            money: { minor: 250, currency: 'EUR' },
            jobId: open.id,
          },
        ],
      }),
      () => (now) => ({ ...now, parts: now.parts.filter((each) => each !== part) }),
      () => (now) => ({
        ...now,
        machines: now.machines.map((each): Machine =>
          each !== machine
            ? each
            : {
                ...each,
                seats: each.seats.map((seat, i) =>
                  i === other % each.seats.length
                    ? { ...seat, partId: pick(now.parts, other)?.id ?? seat.partId }
                    : seat,
                ),
              },
        ),
      }),
      () => (now) => ({ ...now, jobs: now.jobs.filter((each) => each !== pick(now.jobs, other)) }),
    ];
    return (edits[what % edits.length] ?? (() => (now: Shop) => now))()(shop);
  };

const draws = (min: number, max: number) =>
  fc.array(fc.tuple(fc.nat(999), fc.nat(999), fc.nat(999)), { minLength: min, maxLength: max });

let words = 0;
function work(copy: Copy, list: readonly Draw[], bench: string): { copy: Copy; typed: string[] } {
  const typed: string[] = [];
  let now = copy;
  for (const draw of list) {
    const word = `typed-${(words += 1)}`;
    typed.push(word);
    now = edited(now, editOf(draw, word)(now.shop), bench);
  }
  return { copy: now, typed };
}

describe('two benches', () => {
  it('is the same whoever merges first, and a second time changes nothing: 2,000 pairs of 1 to 40 edits', function () {
    this.timeout(300_000);
    fc.assert(
      fc.property(draws(1, 40), draws(1, 40), (left, right) => {
        const a = work(begin, left, 'kato');
        const b = work(begin, right, 'mira');
        const merged = mergeCopies(a.copy, b.copy);
        const text = textOf(merged);
        expect(textOf(mergeCopies(b.copy, a.copy))).to.equal(text);
        expect(textOf(mergeCopies(merged, b.copy))).to.equal(text);
        expect(textOf(mergeCopies(merged, merged))).to.equal(text);
        /* Nothing that stood on either bench is lost: it stands, or beside what stands, until somebody chooses. */
        for (const { copy, typed } of [a, b]) {
          const own = stableText(copy.shop);
          for (const word of typed)
            if (own.includes(`"${word}"`)) expect(text, word).to.contain(`"${word}"`);
        }
        expect(merged.shop.ledger.length).to.equal(
          a.copy.shop.ledger.length + b.copy.shop.ledger.length - small.ledger.length,
        );
        checkShop(JSON.parse(JSON.stringify(merged.shop)));
      }),
      { numRuns: 2000, seed: 20261127 },
    );
  });

  it('is the same in whatever order three copies meet, also where they met before', function () {
    this.timeout(300_000);
    fc.assert(
      fc.property(
        draws(1, 14),
        draws(1, 14),
        draws(1, 14),
        draws(0, 8),
        fc.nat(5),
        (one, two, three, later, way) => {
          const a = work(begin, one, 'kato').copy;
          let b = work(begin, two, 'mira').copy;
          if (way % 2) b = work(mergeCopies(b, a), later, 'mira').copy;
          let c = work(way > 2 ? b : begin, three, 'pelo').copy;
          if (way % 3 === 0) c = work(mergeCopies(c, a), later, 'pelo').copy;
          const text = textOf(mergeCopies(mergeCopies(a, b), c));
          expect(textOf(mergeCopies(a, mergeCopies(b, c)))).to.equal(text);
          expect(textOf(mergeCopies(mergeCopies(c, a), b))).to.equal(text);
        },
      ),
      { numRuns: 700, seed: 7 },
    );
  });
});
