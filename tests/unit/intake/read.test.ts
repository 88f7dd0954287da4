import { expect } from 'chai';
import { byHand } from '../../../src/core/intake/byHand.ts';
import { cimCommand } from '../../../src/core/intake/cim.ts';
import { IntakeError, type DraftPart, type Inventory } from '../../../src/core/intake/inventory.ts';
import { believable } from '../../../src/core/intake/junk.ts';
import { mergeInventories, samePiece } from '../../../src/core/intake/merge.ts';
import { readInventories } from '../../../src/core/intake/read.ts';
import {
  driveGbIn,
  isSoldered,
  memoryGb,
  memoryKindIn,
  moduleSortIn,
  socketIn,
  speedIn,
} from '../../../src/core/intake/words.ts';
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
    '0123456789',
    'Unspecified',
    '(null)',
    'Fill By OEM',
    '[Empty]',
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
    expect(speedIn('2400 MT/s')).to.equal(2400);
    expect(speedIn('667 MHz (1.5 ns)')).to.equal(667);
    expect(speedIn('Unknown')).to.equal(undefined);
    expect(speedIn('65535 MT/s')).to.equal(undefined);
  });
  /* What lsblk prints of drives sold as 500 GB, 1 TB, 2 TB, 1.92 TB, 3.84 TB, 4 TB, 8 TB: bytes over 2^30 or 2^40, one decimal. */
  it('takes a rounded size for the one drives are sold in', () => {
    for (const [printed, gb] of [
      ['465.8G', 500],
      ['465,8G', 500],
      ['931.5G', 1000],
      ['1.8T', 2000],
      ['1.7T', 1920],
      ['3.5T', 3840],
      ['3.6T', 4000],
      ['7.3T', 8000],
      ['238.5G', 256],
      ['223.6G', 240],
      ['500107862016', 500],
    ] as const)
      expect(driveGbIn(printed), printed).to.equal(gb);
    expect(driveGbIn('many')).to.equal(undefined);
    expect(driveGbIn('0')).to.equal(undefined);
  });
  it('tells modules from memory that is soldered down, and their sorts apart', () => {
    expect(memoryKindIn('LPDDR4')).to.equal(undefined);
    expect([30, 35, 'LPDDR5', 'LPDDR4X'].every((type) => isSoldered(type))).to.equal(true);
    expect(isSoldered('DDR4', 'Row Of Chips')).to.equal(true);
    expect(isSoldered('DDR4', 'SODIMM')).to.equal(false);
    expect(moduleSortIn('Synchronous Unbuffered (Unregistered)', 'DDR4', 64, 64)).to.equal('plain');
    expect(moduleSortIn('Synchronous Unbuffered (Unregistered)', 'DDR4', 72, 64)).to.equal('ECC');
    expect(moduleSortIn('Synchronous Registered (Buffered)', 'DDR4', 72, 64)).to.equal(
      'registered',
    );
    expect(moduleSortIn('Synchronous', 'DDR2 FB-DIMM', 72, 64)).to.equal('fully buffered');
    expect(moduleSortIn(undefined, 20, undefined, undefined)).to.equal('fully buffered');
    expect(moduleSortIn('Synchronous', 'DDR4', undefined, 64)).to.equal(undefined);
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

/* SMBIOS 3.7, memory device (type 17): widths, details, rank, volts, configured speed. */
const device = (lines: Record<string, string>) =>
  `Handle 0x0040, DMI type 17, 92 bytes\nMemory Device\n${Object.entries({
    Size: '8 GB',
    Type: 'DDR4',
    'Form Factor': 'DIMM',
    ...lines,
  })
    .map(([key, value]) => `\t${key}: ${value}`)
    .join('\n')}\n\n`;
const board2 =
  'Handle 0x0002, DMI type 2, 15 bytes\nBase Board Information\n\tProduct Name: A1\n\n';
const array = (slots: number, most: string) =>
  `Handle 0x0030, DMI type 16, 23 bytes\nPhysical Memory Array\n\tUse: System Memory\n\tMaximum Capacity: ${most}\n\tNumber Of Devices: ${slots}\n\n`;
const textOf = (part: DraftPart | undefined, key: string) => {
  const fact = part?.facts[key];
  return fact && 'text' in fact ? fact.text : fact && 'lo' in fact ? fact.lo : undefined;
};

describe('intake/dmidecode, module by module', () => {
  const read = (lines: Record<string, string>) => of(one(board2 + device(lines)), 'memory')[0];
  it('reads sort, ranks and volts', () => {
    const module = read({
      Type: 'DDR3',
      'Total Width': '72 bits',
      'Data Width': '64 bits',
      'Type Detail': 'Synchronous Registered (Buffered)',
      Rank: '2',
      'Minimum Voltage': '1.35 V',
    });
    expect(textOf(module, 'sort')).to.equal('registered');
    expect(textOf(module, 'ranks')).to.equal(2);
    expect(textOf(module, 'memoryVolts')).to.equal('1.35 V too');
    expect(textOf(read({ Type: 'DDR3', 'Minimum Voltage': '1.5 V' }), 'memoryVolts')).to.equal(
      '1.5 V',
    );
    expect(textOf(read({ 'Minimum Voltage': '1.2 V' }), 'memoryVolts')).to.equal(undefined);
    expect(textOf(read({ Rank: 'Unknown' }), 'ranks')).to.equal(undefined);
  });
  it('leaves soldered memory out, and says so', () => {
    const inventory = one(board2 + device({ Type: 'LPDDR4', 'Form Factor': 'Row Of Chips' }));
    expect(of(inventory, 'memory')).to.deep.equal([]);
    expect(inventory.ignored.join()).to.contain('soldered');
  });
  it('takes the speed all run at for the board’s, where each is made for more', () => {
    const speeds = (...list: [string, string][]) =>
      textOf(
        of(
          one(
            board2 +
              list
                .map(([rated, runs]) => device({ Speed: rated, 'Configured Memory Speed': runs }))
                .join(''),
          ),
          'board',
        )[0],
        'memorySpeed',
      );
    expect(speeds(['3200 MT/s', '2666 MT/s'], ['3200 MT/s', '2666 MT/s'])).to.equal(2666);
    expect(speeds(['3200 MT/s', '2666 MT/s'], ['2666 MT/s', '2666 MT/s'])).to.equal(undefined);
    expect(speeds(['2666 MT/s', '2666 MT/s'])).to.equal(undefined);
  });
  it('adds arrays up, and believes no limit below what is fitted', () => {
    const both = of(one(board2 + array(4, '32 GB') + array(4, '32 GB')), 'board')[0];
    expect(textOf(both, 'memorySlots')).to.equal(8);
    expect(textOf(both, 'memoryMax')).to.equal(64);
    const slip = one(board2 + array(2, '4 GB') + device({ Size: '8 GB' }));
    expect(textOf(of(slip, 'board')[0], 'memoryMax')).to.equal(undefined);
    expect(slip.ignored.join()).to.contain('memory limit');
  });
  it('believes no 65535 W', () => {
    const supply =
      'Handle 0x0050, DMI type 39, 22 bytes\nSystem Power Supply\n\tMax Power Capacity: 65535 W\n';
    expect(of(one(board2 + supply), 'supply')[0]?.facts).to.deep.equal({});
  });
});

describe('intake/lscpu', () => {
  const lscpu = (...lines: [string, string][]) =>
    one(json({ lscpu: lines.map(([field, data]) => ({ field, data })) }));
  it('finds a CPU for every socket, in the languages it speaks', () => {
    for (const [name, sockets] of [
      ['Model name:', 'Socket(s):'],
      ['Modellname:', 'Sockel:'],
      ['Nom de modèle :', 'Socket(s) :'],
      ['Имя модели:', 'Сокетов:'],
    ] as const) {
      const inventory = lscpu([name, 'Corvane X5'], [sockets, '2']);
      expect(
        inventory.parts.map((part) => part.name),
        name,
      ).to.deep.equal(['Corvane X5', 'Corvane X5']);
    }
  });
  it('says so where no line names the CPU', () => {
    const inventory = lscpu(['Architektur:', 'x86_64']);
    expect(inventory.parts).to.deep.equal([]);
    expect(inventory.ignored.join()).to.contain('no line of it names the CPU');
  });
  it('reads what it prints without -J', () => {
    const text =
      'Architecture:            x86_64\nModel name:              Corvane C5-640\nSocket(s):               1\n';
    expect(one(text).parts.map((part) => part.name)).to.deep.equal(['Corvane C5-640']);
  });
});

/* Keys as smartmontools prints them with -j (from memory). */
const smart = {
  json_format_version: [1, 0],
  smartctl: { version: [7, 3] },
  device: { name: '/dev/sda', protocol: 'ATA' },
  model_name: 'Marrowby S256',
  user_capacity: { bytes: 256060514304 },
  form_factor: { name: '2.5 inches' },
  smart_status: { passed: true },
  ata_smart_attributes: { table: [{ id: 5, name: 'Reallocated_Sector_Ct', raw: { value: 8 } }] },
  power_on_time: { hours: 71000 },
};
describe('intake/smartctl', () => {
  it("reads a drive's own record", () => {
    const [drive] = one(json(smart)).parts;
    expect(
      ['size', 'form', 'hours', 'reallocated', 'selfTest'].map((key) => textOf(drive, key)),
    ).to.deep.equal([256, '2.5', 71000, 8, 'passed']);
    expect(drive?.facts).to.not.have.property('worn');
  });
  it('reads an NVMe drive, and joins the drive another tool named', () => {
    const nvme = {
      ...smart,
      device: { protocol: 'NVMe' },
      model_name: 'Marrowby N512',
      user_capacity: { bytes: 512110190592 },
      form_factor: undefined,
      smart_status: { passed: false },
      ata_smart_attributes: undefined,
      nvme_smart_health_information_log: { percentage_used: 12, media_errors: 0 },
    };
    const merged = mergeInventories(readInventories(json(modernLshw) + json(smart) + json(nvme)));
    const drives = of(merged, 'drive');
    expect(
      drives.map((part) => [part.name, textOf(part, 'worn'), textOf(part, 'selfTest')]),
    ).to.deep.equal([
      ['Marrowby S256', undefined, 'passed'],
      ['Marrowby N512', 12, 'failed'],
    ]);
  });
  it('refuses one that names no drive', () =>
    expect(() => readInventories(json({ smartctl: { version: [7] } }))).to.throw(
      IntakeError,
      /no drive/,
    ));
});

describe('intake/paste', () => {
  const cpu = json({ lscpu: [{ field: 'Model name:', data: 'Corvane C5-640' }] });
  it('reads between the prompts and commands of a shell', () => {
    const paste = `bench@skarn:~$ sudo dmidecode\n[sudo] password for bench: \n${modernDmidecode}\nbench@skarn:~$ lscpu -J\n${cpu}\nbench@skarn:~$ `;
    const list = readInventories(paste);
    expect(list.map(({ tool }) => tool)).to.deep.equal(['dmidecode', 'lscpu']);
    expect(list[0]?.parts).to.deep.equal(one(modernDmidecode).parts);
    expect(list.flatMap(({ ignored }) => ignored)).to.deep.equal(one(modernDmidecode).ignored);
  });
  it('reads under the prompt of the common desktop system, and between fences', () => {
    expect(
      one(`PS C:\\Users\\bench> powershell -NoProfile\n${json(cimJson)}\nPS C:\\Users\\bench>`)
        .name,
    ).to.equal('Ombrik Desk 40');
    expect(one('```json\n' + cpu + '\n```').tool).to.equal('lscpu');
  });
  it('says what it did not read beside what it did', () => {
    const [read] = readInventories(`${cpu}\nthe blue one from the cellar`);
    expect(read?.ignored.join()).to.contain('the blue one from the cellar');
    const [beside] = readInventories(`${cpu}\n{"lsblk": [`);
    expect(beside?.ignored.join()).to.match(/cut off|damaged|no JSON/);
  });
  it('tells a command without output, and a list without -J', () => {
    expect(() => readInventories('bench@skarn:~$ sudo dmidecode')).to.throw(
      IntakeError,
      /Commands without/,
    );
    expect(() =>
      readInventories(
        'NAME   MAJ:MIN RM   SIZE RO TYPE MOUNTPOINT\nsda      8:0    0 238.5G  0 disk',
      ),
    ).to.throw(IntakeError, /without their -J/);
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
  const system = (...children: unknown[]) => ({
    id: 'desk',
    class: 'system',
    product: 'Desk 40',
    configuration: { chassis: 'laptop' },
    children,
  });
  it('counts an NVMe drive with its namespace once, and knows its size', () => {
    const inventory = one(
      json(
        system({
          id: 'nvme',
          class: 'storage',
          description: 'NVMe device',
          product: 'Marrowby N512',
          logicalname: '/dev/nvme0',
          children: [
            {
              id: 'namespace:0',
              class: 'disk',
              description: 'NVMe disk',
              logicalname: '/dev/nvme0n1',
              size: 512110190592,
              units: 'bytes',
            },
          ],
        }),
      ),
    );
    expect(of(inventory, 'drive').map((part) => [part.name, textOf(part, 'size')])).to.deep.equal([
      ['Marrowby N512', 512],
    ]);
  });
  it('takes a stick below a USB node for no drive of the machine', () => {
    const stick = {
      id: 'disk',
      class: 'disk',
      product: 'Stick 16',
      businfo: 'scsi@6:0.0.0',
      size: 16e9,
      units: 'bytes',
    };
    const bus = {
      id: 'usbhost:1',
      class: 'bus',
      businfo: 'usb@2',
      children: [{ id: 'scsi', class: 'storage', children: [stick] }],
    };
    expect(of(one(json(system(bus))), 'drive')).to.deep.equal([]);
    expect(of(one(json(system(stick))), 'drive')).to.have.length(1);
  });
  it('takes a notebook in as one', () => {
    expect(textOf(of(one(json(system())), 'case')[0], 'class')).to.equal('notebook');
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
  it('believes no memory limit below what is fitted, and no soldered memory for a module', () => {
    const slip = one(json({ ...cimJson, array: [{ MemoryDevices: 4, MaxCapacity: 2 * 2 ** 20 }] }));
    expect(of(slip, 'board')[0]?.facts).to.not.have.property('memoryMax');
    expect(slip.ignored.join()).to.contain('memory limit');
    const soldered = one(
      json({ ...cimJson, memory: [{ Capacity: 8 * 2 ** 30, SMBIOSMemoryType: 30 }] }),
    );
    expect(of(soldered, 'memory')).to.deep.equal([]);
    expect(soldered.ignored.join()).to.contain('soldered');
  });
  it('reads widths and least volts of modules', () => {
    const memory = [
      {
        Capacity: 8 * 2 ** 30,
        SMBIOSMemoryType: 24,
        TotalWidth: 72,
        DataWidth: 64,
        MinVoltage: 1350,
      },
    ];
    const [module] = of(one(json({ ...cimJson, memory })), 'memory');
    expect([textOf(module, 'sort'), textOf(module, 'memoryVolts')]).to.deep.equal([
      'ECC',
      '1.35 V too',
    ]);
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
    ['half a JSON', '{"lscpu": [', /This text is cut off/],
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
