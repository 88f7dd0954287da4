import { expect } from 'chai';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { trainedLinks } from '../../src/core/links/index.ts';
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
