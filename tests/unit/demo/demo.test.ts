import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { requirementsIn } from '../../../src/core/model/types/empty.ts';
import { indexOf } from '../../../src/core/model/lookup/lookup.ts';
import { itemTexts, property } from '../../../src/core/model/properties/index.ts';
import {
  compareSeats,
  freeSeat,
  kindOfSeat,
  seatName,
} from '../../../src/core/model/types/seats.ts';
import { standing } from '../../../src/core/shop/standing.ts';

const now = '2026-11-25T09:00:00.000Z';
const shop = demoShop(now);

describe('demo', () => {
  it('has at least five jobs in different states, a shelf of sixty and three donors', () => {
    expect(shop.jobs.length).to.be.at.least(5);
    const states = new Set(shop.jobs.map((job) => standing(shop, job, now).hands.when));
    expect([...states].sort()).to.deep.equal(['at', 'done', 'no date', 'now']);
    expect(shop.parts.filter((part) => part.place === 'shelf').length).to.be.at.least(60);
    expect(shop.machines.filter((machine) => machine.state === 'donor').length).to.be.at.least(3);
  });
  it('seats each part once, in a seat of its kind', () => {
    const seated = shop.machines.flatMap((machine) => machine.seats);
    expect(new Set(seated.map((seat) => seat.partId)).size).to.equal(seated.length);
    for (const { seat, partId } of seated) {
      expect(kindOfSeat(seat)).to.equal(indexOf(shop).parts.get(partId)?.kind);
    }
  });
  it('plans only parts there are, into seats of their kind', () => {
    for (const change of shop.jobs.flatMap((job) => job.changes)) {
      if (!change.partId) continue;
      expect(indexOf(shop).parts.get(change.partId)?.kind, change.partId).to.equal(
        kindOfSeat(change.seat),
      );
    }
  });
  it('uses only properties its kinds have', () => {
    for (const part of shop.parts) {
      for (const key of Object.keys(part.facts))
        expect(property(part.kind, key), `${part.id} ${key}`).to.not.equal(undefined);
    }
    for (const model of shop.models) {
      if (model.kind === 'machine') continue;
      for (const key of Object.keys(model.facts))
        expect(property(model.kind, key), `${model.id} ${key}`).to.not.equal(undefined);
    }
  });
  it('says only words its properties know, or plugs of its own', () => {
    const own = new Set(shop.plugs.map(({ id }) => id));
    const strange = [...shop.parts, ...shop.models].flatMap(({ id, kind, facts }) =>
      Object.entries(facts).flatMap(([key, fact]) => {
        const options = kind === 'machine' ? undefined : property(kind, key)?.options;
        const words =
          'text' in fact ? [fact.text] : 'items' in fact ? itemTexts(key, fact.items) : [];
        return words
          .filter((word) => options && !options.includes(word) && !own.has(word))
          .map((word) => `${id} ${key} ${word}`);
      }),
    );
    expect(strange).to.deep.equal([]);
  });
  it('shows honest trouble', () => {
    const ids = shop.jobs.flatMap((job) =>
      standing(shop, job, now)
        .found.filter((each) => each.mark !== 'clear')
        .map((each) => each.id),
    );
    expect(ids).to.include.members([
      'card-length:card1',
      'main-plug',
      'promised:supply',
      'cooler-height',
    ]);
  });
});

describe('model/seats', () => {
  it('knows seats and refuses what is none', () => {
    expect(kindOfSeat('board')).to.equal('board');
    expect(kindOfSeat('memory12')).to.equal('memory');
    for (const bad of ['board1', 'memory', 'engine', 'memory-1', '', 'memory1234']) {
      expect(kindOfSeat(bad), bad).to.equal(undefined);
    }
  });
  it('finds the next free one', () => {
    expect(freeSeat('memory', ['memory1', 'memory3'])).to.equal('memory2');
    expect(freeSeat('board', ['board'])).to.equal('board');
  });
  it('orders them as a bench would name them', () => {
    expect(['memory10', 'card1', 'case', 'memory2', 'board'].sort(compareSeats)).to.deep.equal([
      'case',
      'board',
      'memory2',
      'memory10',
      'card1',
    ]);
    expect(seatName('memory2')).to.equal('RAM 2');
    expect(seatName('leads')).to.equal('front leads');
  });
});

describe('model/empty, asks', () => {
  it('hears what a goal asks for', () => {
    expect(requirementsIn('map desk, four screens')).to.deep.equal([{ what: 'screens', count: 4 }]);
    expect(requirementsIn('store with 2 drives and 32 GB')).to.deep.equal([
      { what: 'drives', count: 2 },
      { what: 'memoryGb', count: 32 },
    ]);
    expect(requirementsIn('quiet machine')).to.deep.equal([]);
  });
});
