import { expect } from 'chai';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, constants } from 'node:zlib';
import { compactIds, idIndex, trainedLinks } from '../../src/core/links/index.ts';
import { laneGBs, memoryGBs } from '../../src/core/standards/links.ts';
import { random } from '../helpers/boards.ts';

/**
 * Made-up machines as configuration space (PCI Express base specification: link capabilities at 0Ch,
 * link status at 12h of the capability, speed in bits 3:0, width in bits 9:4), printed by lspci of
 * pciutils itself and read back by the house. Invented ids, so no name is in it.
 */
interface Made {
  slot: string;
  bridge?: { secondary: number };
  cap: { speed: number; width: number };
  sta: { speed: number; width: number };
}

const gts = [0, 2.5, 5, 8, 16, 32];

function space({ bridge, cap, sta }: Made): Uint8Array {
  const bytes = new Uint8Array(256);
  const view = new DataView(bytes.buffer);
  view.setUint16(0x00, 0xfffe, true);
  view.setUint16(0x02, 0x1234, true);
  view.setUint16(0x06, 0x0010, true);
  view.setUint16(0x0a, bridge ? 0x0604 : 0x0200, true);
  view.setUint8(0x0e, bridge ? 1 : 0);
  if (bridge) view.setUint8(0x19, bridge.secondary);
  view.setUint8(0x34, 0x40);
  view.setUint8(0x40, 0x10);
  view.setUint16(0x42, bridge ? 0x0042 : 0x0002, true);
  view.setUint32(0x4c, cap.speed | (cap.width << 4), true);
  view.setUint16(0x52, sta.speed | (sta.width << 4), true);
  return bytes;
}

const hex = (made: Made): string =>
  [
    `${made.slot} ${made.bridge ? 'PCI bridge' : 'Ethernet controller'}: made up`,
    ...Array.from({ length: 16 }, (_, row) => {
      const cells = [...space(made).slice(row * 16, row * 16 + 16)].map((each) =>
        each.toString(16).padStart(2, '0'),
      );
      return `${(row * 16).toString(16).padStart(2, '0')}: ${cells.join(' ')}`;
    }),
    '',
  ].join('\n');

describe('reference: trained links against lspci', () => {
  it('30 made-up links with their ports, printed by lspci, read back', () => {
    const dice = random(17);
    const pick = (below: number) => Math.floor(dice() * below);
    const widths = [1, 2, 4, 8, 16];
    const pairs = Array.from({ length: 30 }, (_, i): [Made, Made] => {
      const end = () => ({ speed: 1 + pick(4), width: widths[pick(5)]! });
      const [port, device] = [end(), end()];
      const both = {
        speed: Math.min(port.speed, device.speed),
        width: Math.min(port.width, device.width),
      };
      const sta = {
        speed: 1 + pick(both.speed),
        width: widths.filter((w) => w <= both.width)[pick(widths.indexOf(both.width) + 1)]!,
      };
      const bus = (i + 1).toString(16).padStart(2, '0');
      return [
        {
          slot: `00:${(i % 31).toString(16).padStart(2, '0')}.${Math.floor(i / 31)}`,
          bridge: { secondary: i + 1 },
          cap: port,
          sta,
        },
        { slot: `${bus}:00.0`, cap: device, sta },
      ];
    });
    const folder = mkdtempSync(join(tmpdir(), 'lspci-'));
    try {
      const file = join(folder, 'dump.txt');
      writeFileSync(file, pairs.flat().map(hex).join('\n'));
      const text = execFileSync('lspci', ['-F', file, '-vv'], { encoding: 'utf8' });
      const found = new Map(trainedLinks(text).map((each) => [each.slot, each]));
      expect(found.size).to.equal(30);
      for (const [port, device] of pairs) {
        const link = found.get(device.slot)!;
        expect(link.can).to.deep.equal({ gts: gts[device.cap.speed], lanes: device.cap.width });
        expect(link.runs).to.deep.equal({ gts: gts[device.sta.speed], lanes: device.sta.width });
        expect(link.port).to.deep.include({ gts: gts[port.cap.speed], lanes: port.cap.width });
        const slower = device.sta.speed < Math.min(device.cap.speed, port.cap.speed);
        const narrower = device.sta.width < Math.min(device.cap.width, port.cap.width);
        expect(link.below.includes('slower')).to.equal(slower);
        expect(link.below.includes('narrower')).to.equal(narrower);
      }
    } finally {
      rmSync(folder, { recursive: true });
    }
  });
});

/**
 * Real machines (see data/lspci/README.md). The truth is read by other programs of pciutils: `setpci`
 * takes the registers out of the dump, `lspci -PP` tells the port above each device.
 */
const folder = join(import.meta.dirname, 'data', 'lspci');
const machines = readdirSync(folder).filter((name) => name.endsWith('.txt'));
const run = (program: string, args: string[]) =>
  execFileSync(program, args, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] });

/** Link capability and status of a device, or undefined where it has none. */
function registers(file: string, slot: string) {
  try {
    const [cap = '', sta = ''] = run('setpci', [
      ...['-A', 'dump', '-O', `dump.name=${file}`, '-s', slot],
      ...['CAP_EXP+0c.l', 'CAP_EXP+12.w'],
    ])
      .trim()
      .split('\n');
    const of = (word: number) => ({ gts: gts[word & 15] ?? NaN, lanes: (word >> 4) & 63 });
    return { can: of(parseInt(cap, 16)), runs: of(parseInt(sta, 16)) };
  } catch {
    return undefined;
  }
}

describe('reference: links of real machines', () => {
  let compared = 0;
  let withPort = 0;
  for (const name of machines) {
    it(`${name}: every link as setpci reads it, under the port lspci draws it`, () => {
      const file = join(folder, name);
      const rows = run('lspci', ['-F', file, '-n', '-PP'])
        .trim()
        .split('\n')
        .map((line) => {
          const [path = '', kind = ''] = line.split(' ');
          const steps = path.split('/');
          return { slot: steps.at(-1) ?? '', above: steps.at(-2), kind: kind.replace(':', '') };
        });
      const wanted = rows
        .filter(({ kind }) => !kind.startsWith('06'))
        .flatMap((row) => {
          const own = registers(file, row.slot);
          return own && own.can.lanes > 0 && own.runs.lanes > 0 ? [{ ...row, ...own }] : [];
        });
      const text = run('lspci', ['-F', file, '-vv', '-n']);
      if (wanted.length === 0) {
        expect(text).to.contain('LnkCap:');
        expect(trainedLinks(text)).to.deep.equal([]);
        return;
      }
      const found = trainedLinks(text);
      expect(found.map(({ slot }) => slot)).to.have.members(wanted.map(({ slot }) => slot));
      for (const each of wanted) {
        const link = found.find(({ slot }) => slot === each.slot);
        expect(link?.can).to.deep.equal(each.can);
        expect(link?.runs).to.deep.equal(each.runs);
        const port = each.above === undefined ? undefined : registers(file, each.above);
        expect(link?.port?.slot).to.equal(port ? each.above : undefined);
        if (port)
          expect([link?.port?.gts, link?.port?.lanes]).to.deep.equal([
            port.can.gts,
            port.can.lanes,
          ]);
        const could = {
          gts: Math.min(each.can.gts, port?.can.gts ?? Infinity),
          lanes: Math.min(each.can.lanes, port?.can.lanes ?? Infinity),
        };
        expect(link?.below.includes('narrower')).to.equal(each.runs.lanes < could.lanes);
        expect(link?.below.includes('slower')).to.equal(each.runs.gts < could.gts);
        compared += 1;
        if (port) withPort += 1;
      }
    });
  }
  it('compared enough of them', () => {
    expect(compared).to.be.at.least(18);
    expect(withPort).to.be.at.least(4);
  });
});

/** The open lists of numbers, by another program: awk counts them, and its lines are looked up. */
describe('reference: names from numbers', () => {
  for (const [kind, file] of [
    ['pci', '/usr/share/misc/pci.ids'],
    ['usb', '/var/lib/usbutils/usb.ids'],
  ] as const) {
    it(`${kind}.ids: as many makers and devices as awk counts, and 400 names the same`, () => {
      const listed = execFileSync(
        'awk',
        [
          'BEGIN{v=""} /^[0-9a-f][0-9a-f][0-9a-f][0-9a-f]  /{v=substr($0,1,4); print v "\t\t" substr($0,7); next}' +
            ' /^[A-Z]/{v=""} /^\t[0-9a-f][0-9a-f][0-9a-f][0-9a-f]  /{if(v!="") print v "\t" substr($0,2,4) "\t" substr($0,8)}',
          file,
        ],
        { encoding: 'latin1', maxBuffer: 1e8 },
      )
        .trimEnd()
        .split('\n')
        .map((line) => line.split('\t'));
      const compact = compactIds(readFileSync(file, 'latin1'));
      const index = idIndex(compact);
      const makers = listed.filter(([, device]) => device === '');
      expect(index.makers).to.equal(new Set(makers.map(([maker]) => maker)).size);
      expect(index.devices).to.equal(listed.length - makers.length);
      const step = Math.floor(listed.length / 400);
      for (let i = 0; i < listed.length; i += step) {
        const [maker = '', device = '', name = ''] = listed[i] ?? [];
        const found = device === '' ? index.maker(maker) : index.device(maker, device);
        expect(found, `${maker}:${device}`).to.equal(name.trim());
      }
    });
  }
  it('both together are packed to less than 400 kB', () => {
    const sizes = ['/usr/share/misc/pci.ids', '/var/lib/usbutils/usb.ids'].map(
      (file) =>
        brotliCompressSync(compactIds(readFileSync(file, 'utf8')), {
          params: { [constants.BROTLI_PARAM_QUALITY]: 9 },
        }).length,
    );
    expect(sizes[0]! + sizes[1]!).to.be.within(100_000, 400_000);
  });
});

/** Published rates (PCI Express, JEDEC) and rules of the trade (common practice, no source). */
describe('reference: rates of lanes and memory', () => {
  for (const [generation, gbs] of [
    [1, 0.25],
    [2, 0.5],
    [3, 0.985],
    [4, 1.969],
    [5, 3.938],
  ] as const) {
    it(`a lane of generation ${generation} passes ${gbs} GB/s`, () =>
      expect(laneGBs(generation)).to.be.closeTo(gbs, 0.001));
  }
  for (const [mts, channels, gbs] of [
    [1600, 2, 25.6],
    [1333, 2, 21.3],
    [2400, 1, 19.2],
    [3200, 2, 51.2],
  ] as const) {
    it(`${channels} channels of ${mts} are ${gbs} GB/s`, () =>
      expect(memoryGBs(mts, channels)).to.be.closeTo(gbs, 0.05));
  }
});
