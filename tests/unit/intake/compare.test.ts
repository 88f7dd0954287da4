import { expect } from 'chai';
import { settleIntake, takeIn, takeInAll } from '../../../src/core/edits/intakeEdits.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { compareInventory } from '../../../src/core/intake/compare.ts';
import type { Inventory } from '../../../src/core/intake/inventory.ts';
import { byMachine } from '../../../src/core/intake/merge.ts';
import { reader } from '../../../src/core/intake/inventory.ts';
import { emptyShop } from '../../../src/core/model/types/empty.ts';
import { readShop } from '../../../src/core/document/read.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';

const say = reader('dmidecode');
const first: Inventory = {
  tool: 'dmidecode',
  name: 'Ombrik Desk 40',
  facts: { model: say.text('Ombrik Desk 40'), serial: say.text('S1') },
  parts: [
    { kind: 'board', name: 'board Ombrik A1', facts: { socket: say.text('LGA1151') } },
    { kind: 'processor', name: 'Corvin C5 6400', facts: {} },
    { kind: 'memory', name: '8 GB', facts: { size: say.number(8), memoryKind: say.text('DDR4') } },
  ],
  ignored: [],
};
const at = '2026-11-25T09:00:00.000Z';
const later = '2026-11-25T10:00:00.000Z';
const shop = takeIn('M1', first, at)(emptyShop());
const machineOf = (from: Shop, id = 'M1') => from.machines.find((each) => each.id === id)!;
const nameOf = (from: Shop, kind: string, id = 'M1') =>
  machineOf(from, id)
    .seats.map((seat) => from.parts.find((part) => part.id === seat.partId)!)
    .find((part) => part.kind === kind)?.name;

/** The same machine read again, with these parts in place of others. */
const again = (changes: Partial<Inventory>): Inventory => ({ ...first, tool: 'lshw', ...changes });

describe('a second reading of a machine', () => {
  it('that agrees, or says more, is merged at once', () => {
    const more = again({
      parts: [
        {
          kind: 'board',
          name: 'board',
          facts: { socket: say.text('LGA 1151'), memorySlots: say.number(4) },
        },
        { kind: 'drive', name: 'drive', facts: { size: say.number(500) } },
      ],
    });
    expect(compareInventory(shop, machineOf(shop), more).differences).to.deep.equal([]);
    const merged = takeIn('M1', more, later)(shop);
    expect(machineOf(merged).unsettled).to.equal(undefined);
    expect(machineOf(merged).seats).to.have.length(4);
  });

  const other = again({
    parts: [
      { kind: 'board', name: 'board Ombrik A1', facts: { socket: say.text('LGA1200') } },
      { kind: 'processor', name: 'Corvin C7 9700', facts: {} },
    ],
  });
  it('that contradicts changes nothing and waits, with what differs by name', () => {
    const { differences, otherMachine } = compareInventory(shop, machineOf(shop), other);
    expect(otherMachine).to.equal(false);
    expect(differences.map(({ was, now }) => [was, now])).to.deep.equal([
      ['LGA1151', 'LGA1200'],
      ['Corvin C5 6400', 'Corvin C7 9700'],
    ]);
    const waiting = takeIn('M1', other, later)(shop);
    expect(waiting.parts).to.deep.equal(shop.parts);
    expect(machineOf(waiting).unsettled).to.have.length(1);
    expect(readShop(writeShop(waiting)).machines[0]?.unsettled?.[0]?.tool).to.equal('lshw');
  });
  it('holds, or what was known holds, as somebody chooses; then nothing waits', () => {
    const waiting = takeIn('M1', other, later)(shop);
    const kept = settleIntake('M1', later, 'old')(waiting);
    expect(nameOf(kept, 'processor')).to.equal('Corvin C5 6400');
    expect(machineOf(kept).unsettled).to.equal(undefined);
    const taken = settleIntake('M1', later, 'new')(waiting);
    expect(nameOf(taken, 'processor')).to.equal('Corvin C7 9700');
    const board = taken.parts.find((part) => part.kind === 'board');
    expect(board?.facts['socket']).to.include({ text: 'LGA1200' });
    expect(machineOf(taken).unsettled).to.equal(undefined);
    expect(settleIntake('M1', '2020-01-01', 'new')(waiting)).to.equal(waiting);
  });
  it('of another machine says so, and becomes a machine of its own', () => {
    const stranger = again({
      name: 'Ombrik Nook 12',
      facts: { model: say.text('Ombrik Nook 12'), serial: say.text('S2') },
    });
    expect(compareInventory(shop, machineOf(shop), stranger).otherMachine).to.equal(true);
    const waiting = takeIn('M1', stranger, later)(shop);
    const apart = settleIntake('M1', later, 'apart')(waiting);
    expect(apart.machines).to.have.length(2);
    expect(apart.machines[1]?.name).to.equal('Ombrik Nook 12');
    expect(machineOf(apart).facts['serial']).to.include({ text: 'S1' });
    expect(machineOf(apart, apart.machines[1]!.id).seats).to.have.length(3);
  });
  it('asked of what somebody named or guessed is no contradiction', () => {
    const hand = takeIn(
      'M2',
      {
        tool: 'by hand',
        facts: {},
        parts: [{ kind: 'board', name: 'the green one', facts: {} }],
        ignored: [],
      },
      at,
    )(emptyShop());
    expect(compareInventory(hand, machineOf(hand, 'M2'), first).differences).to.deep.equal([]);
  });

  /* The same machine a year on: one of two modules out, a larger one in. */
  const pair: Inventory = {
    ...first,
    parts: [...first.parts, { kind: 'memory', name: '8 GB', facts: { size: say.number(8) } }],
  };
  const since: Inventory = {
    ...first,
    parts: [
      ...first.parts.slice(0, 2),
      { kind: 'memory', name: '8 GB', facts: { size: say.number(8) } },
      { kind: 'memory', name: '16 GB', facts: { size: say.number(16) } },
    ],
  };
  const held = takeIn('M1', pair, at)(emptyShop());
  const waiting = takeIn('M1', since, later)(held);
  const sizes = (from: Shop) =>
    machineOf(from)
      .seats.filter(({ seat }) => seat.startsWith('memory'))
      .map(({ partId }) => from.parts.find((part) => part.id === partId)?.facts['size'])
      .map((fact) => (fact && 'lo' in fact ? fact.lo : 0))
      .sort((a, b) => a - b);
  it('tells what is gone and what is new, and lays nothing beside the old by itself', () => {
    const { differences } = compareInventory(held, machineOf(held), since);
    expect(differences.map(({ sort, was, now }) => [sort, was, now])).to.deep.equal([
      ['gone', '8 GB', ''],
      ['new', '', '16 GB'],
    ]);
    expect(sizes(waiting)).to.deep.equal([8, 8]);
  });
  it('takes each line by itself', () => {
    const [gone, fresh] = compareInventory(held, machineOf(held), since).differences;
    const only = (id: string | undefined) =>
      settleIntake('M1', later, { [id ?? '']: 'new' })(waiting);
    expect(sizes(only(gone?.id))).to.deep.equal([8]);
    expect(sizes(only(fresh?.id))).to.deep.equal([8, 8, 16]);
    const all = settleIntake('M1', later, 'new')(waiting);
    expect(sizes(all)).to.deep.equal([8, 16]);
    const out = all.parts.find((part) => part.id === gone?.partId);
    expect(out).to.include({ place: 'shelf', from: 'M1' });
    expect(sizes(settleIntake('M1', later, 'old')(waiting))).to.deep.equal([8, 8]);
  });
  it('a list of drives only says nothing of modules', () => {
    const drives: Inventory = {
      tool: 'lsblk',
      facts: {},
      parts: [{ kind: 'drive', name: 'Corvin S1', facts: { size: say.number(500) } }],
      ignored: [],
    };
    expect(compareInventory(held, machineOf(held), drives).differences).to.deep.equal([]);
    expect(machineOf(takeIn('M1', drives, later)(held)).seats).to.have.length(5);
  });
});

describe('a server taken in', () => {
  const server: Inventory = {
    tool: 'dmidecode',
    name: 'Ombrik Rackhold 2',
    facts: {},
    parts: [
      { kind: 'case', name: 'case', facts: { class: say.text('rack server') } },
      { kind: 'board', name: 'board', facts: {} },
      { kind: 'processor', name: 'Corvin X5', facts: {} },
      { kind: 'processor', name: 'Corvin X5', facts: {} },
      { kind: 'supply', name: 'supply', facts: { watts: say.number(750) } },
      { kind: 'supply', name: 'supply', facts: { watts: say.number(750) } },
    ],
    ignored: [],
  };
  const taken = takeIn('M1', server, at)(emptyShop());
  it('keeps both CPUs and both PSUs, each in a seat of its own', () => {
    expect(machineOf(taken).seats.map(({ seat }) => seat)).to.deep.equal([
      'case',
      'board',
      'processor',
      'processor2',
      'supply',
      'supply2',
    ]);
    expect(readShop(writeShop(taken)).machines[0]?.seats).to.deep.equal(machineOf(taken).seats);
    expect(compareInventory(taken, machineOf(taken), server).differences).to.deep.equal([]);
    expect(machineOf(takeIn('M1', server, later)(taken)).seats).to.have.length(6);
  });
});

describe('two machines in one paste', () => {
  const another: Inventory = {
    ...first,
    name: 'Ombrik Nook 12',
    facts: { serial: say.text('S2') },
  };
  const drives: Inventory = { tool: 'lsblk', facts: {}, parts: [], ignored: [] };
  it('become two, each with what came after it', () => {
    const machines = byMachine([first, drives, another, drives]);
    expect(machines.map(({ name, tool }) => [name, tool])).to.deep.equal([
      ['Ombrik Desk 40', 'dmidecode, lsblk'],
      ['Ombrik Nook 12', 'dmidecode, lsblk'],
    ]);
    const both = takeInAll('M1', machines, at)(emptyShop());
    expect(both.machines.map(({ id, name }) => [id, name])).to.deep.equal([
      ['M1', 'Ombrik Desk 40'],
      ['M2', 'Ombrik Nook 12'],
    ]);
  });
  it('two tools of one machine stay one, in whatever words they name it', () => {
    const same = { ...first, tool: 'lshw', name: 'Ombrik Desk 40 (SKU 12)', facts: {} };
    expect(byMachine([first, same])).to.have.length(1);
  });
});
