import { expect } from 'chai';
import { settleIntake, takeIn } from '../../../src/core/edits/edits.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { compareInventory } from '../../../src/core/intake/compare.ts';
import type { Inventory } from '../../../src/core/intake/inventory.ts';
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
    expect(compareInventory(shop, machineOf(shop), more).contradictions).to.deep.equal([]);
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
    const { contradictions, otherMachine } = compareInventory(shop, machineOf(shop), other);
    expect(otherMachine).to.equal(false);
    expect(contradictions.map(({ was, now }) => [was, now])).to.deep.equal([
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
    expect(compareInventory(hand, machineOf(hand, 'M2'), first).contradictions).to.deep.equal([]);
  });
});
