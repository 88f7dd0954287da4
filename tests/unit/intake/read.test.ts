import { expect } from 'chai';
import { byHand } from '../../../src/core/intake/byHand.ts';
import { cimCommand } from '../../../src/core/intake/cim.ts';
import { IntakeError, type DraftPart, type Inventory } from '../../../src/core/intake/inventory.ts';
import { believable } from '../../../src/core/intake/junk.ts';
import { mergeInventories, samePiece } from '../../../src/core/intake/merge.ts';
import { readInventories } from '../../../src/core/intake/read.ts';
import { bytesIn, memoryGb, memoryKindIn, socketIn, speedIn } from '../../../src/core/intake/words.ts';
import { cimJson, modernDmidecode, modernLshw } from '../../helpers/made.ts';

const one = (text: string): Inventory => {
  const list = readInventories(text);
  expect(list).to.have.length(1);
  return list[0] as Inventory;
};
const of = (inventory: Inventory, kind: string): DraftPart[] =>
  inventory.parts.filter((part) => part.kind === kind);
const json = (value: unknown) => JSON.stringify(value);

describe('intake/junk', () => {
  for (const text of [
    'To Be Filled By O.E.M.',
    'Default string',
    'Not Specified',
    'System Product Name',
    'System manufacturer',
    'Chassis Manufacture',
    '<OUT OF SPEC>',
    'None',
    '00000000',
    'xxxxxxxxxxx',
    'FFFFFFFFFFFFFFFF',
    '   ',
    'No Module Installed',
    '1234567890',
  ]) {
    it(`does not believe "${text}"`, () => expect(believable(text)).to.equal(undefined));
  }
  it('keeps what says something, with single spaces', () => {
    expect(believable('  Ombrik   Desk 40 ')).to.equal('Ombrik Desk 40');
    expect(believable('DIMM1')).to.equal('DIMM1');
    expect(believable('Nonesuch')).to.equal('Nonesuch');
    expect(believable(undefined)).to.equal(undefined);
  });
});

describe('intake/words', () => {
  it('finds sockets in what tools print', () => {
    expect(socketIn('Socket LGA1151')).to.equal('LGA1151');
    expect(socketIn('FCLGA1200')).to.equal('LGA1200');
    expect(socketIn('SOCKET AM4')).to.equal('AM4');
    expect(socketIn('LGA 1155')).to.equal('LGA1155');
    expect(socketIn('Socket AM2+')).to.equal('AM2+');
    expect(socketIn('Socket AM2')).to.equal('AM2');
    expect(socketIn('SOCKET FM2+')).to.equal('FM2+');
    expect(socketIn('Socket LGA2011-3')).to.equal('LGA2011-3');
    expect(socketIn('LGA2011')).to.equal('LGA2011');
    expect(socketIn('U3E1')).to.equal(undefined);
    expect(socketIn('LGA11510')).to.equal(undefined);
    expect(socketIn(undefined)).to.equal(undefined);
  });
  /* SMBIOS 3.7, memory device type (table 77, from memory). */
  it('knows memory by its number', () => {
    expect([19, 20, 24, 26, 34].map(memoryKindIn)).to.deep.equal([
      'DDR2',
      'DDR2',
      'DDR3',
      'DDR4',
      'DDR5',
    ]);
    expect(memoryKindIn(18)).to.equal(undefined);
  });
  it('reads sizes and speeds in their spellings', () => {
    expect(memoryGb('8192 MB')).to.equal(8);
    expect(memoryGb('16 GB')).to.equal(16);
    expect(memoryGb('512 MB')).to.equal(0.5);
    expect(memoryGb('No Module Installed')).to.equal(undefined);
    expect(bytesIn('465.8G')).to.be.closeTo(465.8 * 2 ** 30, 1);
    expect(bytesIn('500107862016')).to.equal(500107862016);
    expect(bytesIn('465,8G')).to.be.closeTo(465.8 * 2 ** 30, 1);
    expect(speedIn('2400 MT/s')).to.equal(2400);
    expect(speedIn('667 MHz (1.5 ns)')).to.equal(667);
    expect(speedIn('Unknown')).to.equal(undefined);
  });
});

describe('intake/dmidecode, a newer one', () => {
  const inventory = one(modernDmidecode);
  it('names the machine without the maker twice', () => {
    expect(inventory.name).to.equal('Ombrik Desk 40');
    expect(inventory.facts).to.have.property('firmware');
    expect(inventory.facts).to.not.have.property('serial');
  });
  it('finds the shell, the board and what it takes', () => {
    expect(of(inventory, 'case')[0]?.facts['class']).to.deep.include({ text: 'slim', how: 'read' });
    const board = of(inventory, 'board')[0];
    expect(board?.facts['socket']).to.deep.include({ text: 'LGA1151', source: 'dmidecode' });
    expect(board?.facts['memorySlots']).to.deep.include({ lo: 4, hi: 4 });
    expect(board?.facts['memoryMax']).to.deep.include({ lo: 64 });
    expect(board?.facts['x16']).to.deep.include({ lo: 1 });
  });
  it('counts what is fitted, not what is empty', () => {
    expect(of(inventory, 'memory')).to.have.length(1);
    expect(of(inventory, 'processor')).to.have.length(1);
  });
  it('does not believe a supply of half a watt', () => {
    const supply = of(inventory, 'supply')[0];
    expect(supply?.facts['watts']).to.deep.include({ lo: 460, hi: 460, how: 'said' });
    expect(inventory.ignored.join()).to.contain('0.460 W');
  });
  it('reads the same from spaces and carriage returns', () => {
    const spaced = one(modernDmidecode.replace(/\t/g, '        ').replace(/\n/g, '\r\n'));
    expect(spaced).to.deep.equal(inventory);
  });
});

describe('intake/lshw', () => {
  it('reads an object and an array alike', () => {
    expect(one(json([modernLshw]))).to.deep.equal(one(json(modernLshw)));
  });
  it('finds modules, drives and no stick, disc or empty bank', () => {
    const inventory = one(json(modernLshw));
    expect(inventory.name).to.equal('Ombrik Desk 40');
    expect(of(inventory, 'memory').map((part) => part.facts['speed'])).to.have.length(1);
    expect(of(inventory, 'drive').map((part) => part.name)).to.deep.equal([
      'Marrowby S256',
      'Marrowby N512',
    ]);
    expect(of(inventory, 'drive')[1]?.facts['form']).to.deep.include({ text: 'M.2' });
  });
});

describe('intake/cim', () => {
  it('reads lists that were printed as one object', () => {
    const inventory = one(json(cimJson));
    expect(inventory.name).to.equal('Ombrik Desk 40');
    expect(of(inventory, 'processor')).to.have.length(1);
    expect(of(inventory, 'memory')).to.have.length(2);
    expect(of(inventory, 'board')[0]?.facts['memoryMax']).to.deep.include({ lo: 64 });
    expect(of(inventory, 'case')[0]?.facts['class']).to.deep.include({ text: 'slim' });
  });
  it('takes graphics of the processor for no card, and a stick for no drive', () => {
    const inventory = one(json(cimJson));
    expect(of(inventory, 'card')).to.deep.equal([]);
    expect(of(inventory, 'drive').map((part) => part.name)).to.deep.equal(['Marrowby S256']);
  });
  it('shows one line to copy that asks for every list it reads', () => {
    expect(cimCommand).to.not.contain('\n');
    for (const key of Object.keys(cimJson)) expect(cimCommand).to.contain(`${key}=`);
  });
});

describe('intake/merge', () => {
  it('makes one machine of four tools', () => {
    const merged = mergeInventories(
      readInventories(
        `${modernDmidecode}\n${json(modernLshw)}\n${json({ lscpu: [{ field: 'Model name:', data: 'Corvane C5-640 CPU @ 3.20GHz' }] })}\n${json({ blockdevices: [{ name: 'sda', size: 256060514304, type: 'disk', model: 'Marrowby S256', rm: false }] })}`,
      ),
    );
    const count = (kind: string) => merged.parts.filter((part) => part.kind === kind).length;
    expect(count('processor')).to.equal(1);
    expect(count('memory')).to.equal(1);
    expect(count('board')).to.equal(1);
    expect(count('drive')).to.equal(2);
    expect(merged.tool).to.equal('dmidecode, lshw, lscpu, lsblk');
  });
  it('keeps every fact with the tool it came from', () => {
    const merged = mergeInventories(readInventories(`${modernDmidecode}\n${json(modernLshw)}`));
    const sources = merged.parts.flatMap((part) =>
      Object.values(part.facts).map((fact) => fact.source),
    );
    expect(new Set(sources)).to.include('dmidecode');
    expect(sources.every(Boolean)).to.equal(true);
  });
  it('tells pieces apart by size and form', () => {
    const drive = (size: number, form?: string) => ({
      kind: 'drive' as const,
      facts: {
        size: { lo: size, hi: size, how: 'read' as const },
        ...(form ? { form: { text: form, how: 'read' as const } } : {}),
      },
    });
    expect(samePiece(drive(256), drive(256))).to.equal(true);
    expect(samePiece(drive(256), drive(255))).to.equal(true);
    expect(samePiece(drive(256), drive(500))).to.equal(false);
    expect(samePiece(drive(256), { kind: 'memory', facts: {} })).to.equal(false);
  });
});

describe('intake/read, what is refused', () => {
  const bad: [string, string, RegExp][] = [
    ['nothing', '', /Nothing/],
    ['plain words', 'hello there', /Not an inventory/],
    ['half a JSON', '{"lscpu": [', /Broken JSON/],
    ['another JSON', '{"a": 1}', /no inventory/],
    ['an empty list', '[]', /no inventory/],
    ['a list that is none', '{"lscpu": 3}', /No lscpu list/],
    ['block devices that are none', '{"blockdevices": {}}', /No blockdevices/],
    ['five megabytes', 'x'.repeat(5_000_001), /5 MB/],
  ];
  for (const [what, text, message] of bad) {
    it(`refuses ${what} with a reason`, () => {
      expect(() => readInventories(text)).to.throw(IntakeError, message);
    });
  }
  it('survives JSON of the right name and wrong insides', () => {
    expect(
      of(one('{"blockdevices":[{"name":5,"size":{}},{"size":null,"type":"disk"}]}'), 'drive'),
    ).to.deep.equal([]);
    expect(one('{"lscpu":[{"field":"Model name:","data":null}]}').parts).to.deep.equal([]);
    expect(
      one('{"nutshell":1,"system":{},"memory":"none","processors":[null]}').parts.length,
    ).to.be.above(0);
  });
});

describe('intake/byHand', () => {
  it('says the shell and leaves the rest to its class', () => {
    const inventory = byHand({ name: 'Dead tower', shell: 'tower', boardFormat: 'ATX' });
    expect(inventory.parts.map((part) => part.kind)).to.deep.equal(['case', 'board', 'supply']);
    expect(inventory.parts[1]?.facts['format']).to.deep.include({ text: 'ATX', how: 'said' });
  });
});
