import { expect } from 'chai';
import fc from 'fast-check';
import Ajv from 'ajv';
import { readFileSync } from 'node:fs';
import { cardsOf, writeCards } from '../../src/core/cards/cards.ts';
import type { CardFile } from '../../src/core/model/types/cardFile.ts';
import { agree, combined } from '../../src/core/cards/combine.ts';
import { differencesOf, disputesOf, takeCards } from '../../src/core/cards/takeCards.ts';
import { demoShop } from '../../src/core/demo/demoShop.ts';
import { cardsJsonSchema, readCards, saysCards } from '../../src/core/document/cardsSchema.ts';
import { addPhotos } from '../../src/core/edits/photoEdits.ts';
import { readZip, writeZip } from '../../src/workers/zipFile.ts';
import { checkShop } from '../../src/core/document/read.ts';
import { takeIn } from '../../src/core/edits/intakeEdits.ts';
import { emptyShop } from '../../src/core/model/types/empty.ts';
import { factOf } from '../../src/core/model/lookup/lookup.ts';
import type { NumberFact } from '../../src/core/model/types/fact.ts';
import type { Shop } from '../../src/core/model/types/types.ts';

const NOW = '2026-01-01T12:00:00.000Z';
const demo = demoShop(NOW);
const length = (lo: number, hi = lo): NumberFact => ({
  lo,
  hi,
  how: 'measured',
  at: NOW,
  who: 'Ab',
});
const cardFile = (shop: string, lo: number, hi = lo): CardFile => ({
  format: 'nutshell-swap-cards',
  version: 1,
  shop,
  cards: [
    {
      id: 'tavik-20-case',
      kind: 'case',
      name: 'Tavik 20 case',
      facts: { cardRoom: length(lo, hi) },
      minutes: [{ what: 'radio desk', minutes: 95 }],
      faults: [{ symptom: 'fans spin, no picture', cause: 'memory not home' }],
    },
  ],
  plugs: [],
});
const known = (shop: Shop) => shop.models.find(({ id }) => id === 'tavik-20-case');

describe('model cards', () => {
  it('are small, of one model or of all, the same bytes for the same shop, and read back', () => {
    const text = writeCards(cardsOf(demo));
    expect(saysCards(text)).to.equal(true);
    expect(writeCards(readCards(text))).to.equal(text);
    expect(writeCards(cardsOf(structuredClone(demo)))).to.equal(text);
    const one = cardsOf(demo, [demo.models[0]!.id]);
    expect(one.cards.map(({ id }) => id)).to.deep.equal([demo.models[0]!.id]);
    expect(text.length).to.be.lessThan(60_000);
  });

  it('are as the published schema says, by Ajv; what is not is refused with its place', () => {
    const validate = new Ajv({ strict: false }).compile(cardsJsonSchema());
    const file = cardsOf(demo);
    expect(validate(JSON.parse(writeCards(file))), JSON.stringify(validate.errors)).to.equal(true);
    const bent = { ...file, cards: [{ ...file.cards[0], kind: 'engine' }] };
    expect(validate(JSON.parse(JSON.stringify(bent)))).to.equal(false);
    expect(() => readCards(JSON.stringify(bent))).to.throw(/cards\[0\]\.kind/);
    expect(() => readCards('{"format": "nutshell-swap-cards"')).to.throw(/cut off/);
    expect(
      JSON.parse(readFileSync(new URL('../../docs/cards.schema.json', import.meta.url), 'utf8')),
    ).to.deep.equal(JSON.parse(JSON.stringify(cardsJsonSchema())));
  });

  it('come in as typed by that shop, with who measured; the same again changes nothing', () => {
    const shop = takeCards(cardFile('Dockside', 250))(emptyShop());
    expect(known(shop)?.facts['cardRoom']).to.deep.equal({
      lo: 250,
      hi: 250,
      how: 'said',
      source: 'shop Dockside',
      heard: true,
      at: NOW,
      who: 'Ab',
    });
    expect(takeCards(cardFile('Dockside', 250))(shop)).to.equal(shop);
    checkShop(JSON.parse(JSON.stringify(shop)));
  });

  it('take nothing away that was said here, whatever words its source begins with, and hand on that alone', () => {
    const own = { lo: 240, hi: 240, how: 'said' as const, source: 'shop floor, by tape' };
    const here: Shop = {
      ...emptyShop(),
      models: [
        { id: 'tavik-20-case', kind: 'case', name: 'Tavik 20 case', facts: { cardRoom: own } },
      ],
    };
    const heard = takeCards(cardFile('Dockside', 250))(here);
    expect(known(heard)?.facts['cardRoom']).to.deep.equal(own);
    expect(cardsOf(heard).cards[0]?.facts['cardRoom']).to.deep.equal(own);
    const strange = takeCards(cardFile('Dockside', 250))(emptyShop());
    expect(cardsOf(strange).cards.flatMap(({ facts }) => Object.keys(facts))).to.deep.equal([]);
  });

  it('make a machine known at once that is taken in afterwards', () => {
    const shop = takeCards(cardFile('Dockside', 250))(emptyShop());
    const inventory = {
      tool: 'form',
      name: 'Tavik 20',
      facts: {},
      parts: [{ kind: 'case' as const, name: 'case', facts: {} }],
      ignored: [],
    };
    const taken = takeIn('M1', inventory as never, NOW)(shop);
    const box = taken.parts.find(({ kind }) => kind === 'case')!;
    expect(factOf(taken, box, 'cardRoom')?.fact).to.deep.include({ lo: 250, hi: 250 });
  });

  it('stand below what was measured here, which says where the two differ', () => {
    const measured = {
      ...emptyShop(),
      models: [
        {
          id: 'tavik-20-case',
          kind: 'case' as const,
          name: 'Tavik 20 case',
          facts: { cardRoom: length(247) },
        },
      ],
    };
    const file = cardFile('Dockside', 250);
    expect(differencesOf(measured, file)).to.deep.include.members([
      {
        modelId: 'tavik-20-case',
        name: 'Tavik 20 case',
        key: 'cardRoom',
        said: length(250),
        here: length(247),
        from: 'Dockside',
      },
    ]);
    const shop = takeCards(file)(measured);
    expect(known(shop)?.facts['cardRoom']).to.deep.equal(length(247));
    expect(disputesOf(known(shop)!)).to.have.length(1);
    expect(disputesOf(known(takeCards(cardFile('Dockside', 247))(measured))!)).to.deep.equal([]);
    /* Measured later, one's own figure takes the place of what was heard. */
    const later = takeCards(cardFile('Mill', 255))({
      ...takeCards(file)(emptyShop()),
    });
    const own = {
      ...later,
      models: later.models.map((each) => ({ ...each, facts: { cardRoom: length(251) } })),
    };
    expect(known(takeCards(cardFile('Mill', 256))(own))?.facts['cardRoom']).to.deep.equal(
      length(251),
    );
  });

  it('of two shops narrow each other only where they agree', () => {
    const both = (a: CardFile, b: CardFile) =>
      known(takeCards(b)(takeCards(a)(emptyShop())))?.facts['cardRoom'];
    expect(both(cardFile('Dockside', 245, 252), cardFile('Mill', 248, 260))).to.deep.include({
      lo: 248,
      hi: 252,
    });
    expect(both(cardFile('Dockside', 245), cardFile('Mill', 252))).to.deep.include({
      lo: 245,
      hi: 252,
      source: 'shop Dockside, shop Mill',
    });
    expect(both(cardFile('Mill', 248, 260), cardFile('Dockside', 245, 252))).to.deep.equal(
      both(cardFile('Dockside', 245, 252), cardFile('Mill', 248, 260)),
    );
  });

  it('never claim what no shop said: the figure lies within all that was said, in whatever order it came', () => {
    const range = fc.tuple(fc.nat(300), fc.nat(30)).map(([lo, wide]) => length(lo, lo + wide));
    fc.assert(
      fc.property(fc.array(range, { minLength: 1, maxLength: 5 }), (facts) => {
        const said = facts.map((fact, i) => ({ from: `s${i}`, fact }));
        const one = combined(said) as NumberFact;
        const mixed = combined([...said].reverse()) as NumberFact;
        expect([one.lo, one.hi]).to.deep.equal([mixed.lo, mixed.hi]);
        expect(one.lo).to.be.at.least(Math.min(...facts.map(({ lo }) => lo)));
        expect(one.hi).to.be.at.most(Math.max(...facts.map(({ hi }) => hi)));
        const allAgree = facts.every((a) => facts.every((b) => agree(a, b)));
        for (const fact of facts)
          if (allAgree) expect(one.lo >= fact.lo && one.hi <= fact.hi).to.equal(true);
          else expect(one.lo <= fact.lo && one.hi >= fact.hi).to.equal(true);
      }),
    );
    expect(
      combined([
        { from: 'a', fact: { text: 'rear', how: 'read' } },
        { from: 'b', fact: { text: 'top', how: 'read' } },
      ]),
    ).to.equal(undefined);
  });

  it('take their pictures along, each once, said to be of that shop', () => {
    const hash = 'ab'.repeat(32);
    const picture = { hash, at: NOW, width: 1600, height: 1200, bytes: 90_000, marks: [] };
    const model = demo.models[0]!;
    const shot = addPhotos([{ ...picture, modelId: model.id, note: 'inside' }])(demo);
    const file = readCards(writeCards(cardsOf(shot, [model.id])));
    expect(file.cards[0]?.photos).to.deep.equal([{ ...picture, note: 'inside' }]);
    const into = takeCards(file)(emptyShop());
    expect(into.photos).to.have.length(1);
    expect(into.photos[0]).to.deep.include({ hash, note: `inside, shop ${demo.name}` });
    expect(into.photos[0]?.modelId).to.equal(into.models[0]?.id);
    expect(takeCards(file)(into)).to.equal(into);
    checkShop(JSON.parse(JSON.stringify(into)));
    const zip = readZip(writeZip(writeCards(file), [], 'cards.nutshell.json'));
    expect(saysCards(zip.document)).to.equal(true);
  });

  it('do not hand on what was only heard', () => {
    const shop = takeCards(cardFile('Dockside', 250))(emptyShop());
    expect(cardsOf(shop).cards).to.deep.equal([]);
  });

  it('bring the plugs their facts name, each once', () => {
    const plug = { ...demo.plugs[0]!, id: 'strange' };
    const file = {
      ...cardFile('Dockside', 250),
      cards: [
        {
          id: 'desk-supply',
          kind: 'supply' as const,
          name: 'Desk supply',
          facts: { mainPlug: { text: 'strange', how: 'read' as const } },
        },
      ],
      plugs: [plug],
    };
    const into = takeCards(file)(demo);
    expect(into.plugs).to.have.length(demo.plugs.length);
    expect(into.models.find(({ id }) => id === 'desk-supply')?.facts['mainPlug']).to.deep.include({
      text: demo.plugs[0]!.id,
    });
    expect(takeCards(file)(emptyShop()).plugs.map(({ id }) => id)).to.deep.equal(['strange']);
  });

  it('tell minutes and faults of a machine with its board', () => {
    const machine = demo.machines.find(({ id }) => id === 'M14')!;
    const board = demo.parts.find(
      ({ id, kind }) => kind === 'board' && machine.seats.some(({ partId }) => partId === id),
    )!;
    const shop: Shop = {
      ...demo,
      models: [
        ...demo.models.filter(({ id }) => id !== 'x-board'),
        { id: 'x-board', kind: 'board', name: 'X board', facts: {} },
      ],
      parts: demo.parts.map((each) => (each === board ? { ...each, modelId: 'x-board' } : each)),
      jobs: demo.jobs.map((each) =>
        each.id === '14'
          ? {
              ...each,
              diagnoses: [
                {
                  id: 'h1',
                  symptom: 'picture',
                  at: NOW,
                  after: [],
                  tried: [],
                  verdict: 'found',
                  causeId: 'supply-dead',
                },
              ],
            }
          : each,
      ),
      ledger: [
        ...demo.ledger,
        { id: 'L900', at: NOW, kind: 'hours', what: 'work', minutes: 45, jobId: '14' },
      ],
    };
    const [card] = cardsOf(shop, ['x-board']).cards;
    expect(card?.minutes?.[0]?.minutes).to.be.at.least(45);
    expect(card?.name).to.equal('X board');
  });
});
