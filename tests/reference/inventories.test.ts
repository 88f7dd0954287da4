import { expect } from 'chai';
import { dmiRecords } from '../../src/core/intake/dmidecode.ts';
import type { DraftPart, Inventory } from '../../src/core/intake/inventory.ts';
import { mergeInventories } from '../../src/core/intake/merge.ts';
import { readInventories } from '../../src/core/intake/read.ts';
import { isNumber } from '../../src/core/model/types/fact.ts';
import { fixture } from '../helpers/fixture.ts';

/**
 * Inventories of real machines: dumps from Parse::DMIDecode's and util-linux's own tests
 * (origin and licence: tests/fixtures/README.md). What is expected was read off the dumps by eye.
 */

const read = (name: string) => readInventories(fixture(`inventories/${name}`))[0] as Inventory;
const of = (inventory: Inventory, kind: string): DraftPart[] =>
  inventory.parts.filter((part) => part.kind === kind);
const sizes = (parts: DraftPart[]) =>
  parts.map((part) => {
    const size = part.facts['size'];
    return isNumber(size) ? size.lo : undefined;
  });

describe('reference: dmidecode dumps of real machines', () => {
  const machines = [
    { n: 1, name: 'Ombrik Co Deskline G620', modules: [0.5, 0.5], slots: 4, maxGb: 4 },
    { n: 2, name: 'Tavelin Boards INC. A7T266VM', modules: [0.5, 0.5], slots: 2, maxGb: undefined },
    { n: 3, name: 'PELVAR 1700X95', modules: [1], slots: 2, maxGb: 2 },
    {
      n: 4,
      name: 'Ombrik Machine Company Rackhold 750',
      modules: [0.25, 0.25],
      slots: 4,
      maxGb: 4,
    },
    { n: 5, name: 'Ombrik Co Rackhold 2950', modules: [1, 1, 1, 1], slots: 8, maxGb: 32 },
  ];
  for (const machine of machines) {
    describe(machine.name, () => {
      const text = fixture(`inventories/dmidecode-${machine.n}.txt`);
      const inventory = read(`dmidecode-${machine.n}.txt`);

      it('finds every structure of the table', () => {
        const handles = text.match(/^Handle 0x/gm)?.length ?? 0;
        expect(dmiRecords(text)).to.have.length(handles);
      });
      it('names the machine', () => expect(inventory.name).to.equal(machine.name));
      it('finds the modules that are fitted', () => {
        expect(sizes(of(inventory, 'memory')).sort()).to.deep.equal([...machine.modules].sort());
      });
      it('finds the slots and the limit of the board', () => {
        const board = of(inventory, 'board')[0];
        expect(board?.facts['memorySlots']).to.deep.include({ lo: machine.slots });
        if (machine.maxGb === undefined) {
          expect(board?.facts).to.not.have.property('memoryMax');
          expect(inventory.ignored.join()).to.contain('memory limit');
        } else expect(board?.facts['memoryMax']).to.deep.include({ lo: machine.maxGb });
      });
      it('finds at least one processor and no words that say nothing', () => {
        expect(of(inventory, 'processor').length).to.be.at.least(1);
        expect(JSON.stringify(inventory)).to.not.match(
          /Not Specified|OUT OF SPEC|System Name|Chassis Manufacture/,
        );
      });
    });
  }
});

describe('reference: lsblk of real machines', () => {
  for (const dump of ['simple-nvme', 'simple-lvm']) {
    it(`reads the drives of ${dump} alike from sizes as text and in bytes`, () => {
      const text = of(read(`lsblk-${dump}.json`), 'drive');
      const bytes = of(read(`lsblk-${dump}-bytes.json`), 'drive');
      expect(text.map((part) => part.name)).to.deep.equal(bytes.map((part) => part.name));
      expect(text.length).to.be.at.least(3);
      for (const [i, size] of sizes(text).entries()) {
        expect(size).to.be.closeTo(sizes(bytes)[i] ?? NaN, 1);
      }
    });
  }
  it('knows the drive on the board, and takes loops for no drive', () => {
    const drives = of(read('lsblk-simple-nvme.json'), 'drive');
    expect(drives.some((part) => JSON.stringify(part.facts['form'])?.includes('M.2'))).to.equal(
      true,
    );
    expect(drives.some((part) => /loop/.test(part.name))).to.equal(false);
  });
  it('gives the decimal size a drive is sold by: 223.6 GiB is 240 GB', () => {
    const drives = of(read('lsblk-simple-nvme.json'), 'drive');
    expect(sizes(drives)).to.include(240);
  });
});

describe('reference: lscpu of real machines', () => {
  const machines: Record<string, readonly [name: string, sockets: number]> = {
    'x86_64-64cpu': ['Corvane(R) Xent(R) CPU X7500 @ 2.00GHz', 4],
    'x86_64-e4310': ['Corvane(R) C5 CPU M 500 @ 2.67GHz', 1],
    'x86_64-epyc_7451': ['Tolmar EPIK 7400 24-Core Processor', 2],
  };
  for (const [dump, [name, sockets]] of Object.entries(machines)) {
    it(`names the CPU of ${dump}, once a socket`, () => {
      expect(of(read(`lscpu-${dump}.json`), 'processor').map((part) => part.name)).to.deep.equal(
        Array.from({ length: sockets }, () => name),
      );
    });
  }
});

describe('reference: lshw of a virtual machine, the shape only', () => {
  it('reads it without a module, a name or a fault', () => {
    const inventory = read('lshw-virtual.json');
    expect(of(inventory, 'processor')).to.have.length(1);
    expect(of(inventory, 'memory')).to.deep.equal([]);
  });
  it('joins dmidecode of a real machine without a part twice', () => {
    const merged = mergeInventories([read('dmidecode-1.txt'), read('lshw-virtual.json')]);
    expect(of(merged, 'processor')).to.have.length(1);
    expect(of(merged, 'memory')).to.have.length(2);
  });
});
