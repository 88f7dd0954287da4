import { expect } from 'chai';
import {
  placeOf,
  plug,
  plugs,
  seen,
  views,
  type View,
} from '../../src/core/standards/plugs/index.ts';
import { slotSides } from '../../src/core/standards/plugs/slots.ts';
import { signal } from '../../src/core/standards/plugs/signals.ts';
import { fixture } from '../helpers/fixture.ts';

const kicad = JSON.parse(fixture('connectors.json')) as {
  symbols: Record<string, Record<string, string>>;
  pads: Record<string, Record<string, [number, number]>>;
};

/** KiCad's names of slot signals in the words of the house. */
function slotName(name: string): string {
  const bare = name.replace(/~\{([^}]*)\}/g, '$1');
  const lane = /^PE([TR])([pn])(\d+)$/.exec(bare);
  if (lane) return `${lane[1]}X${lane[3]}${lane[2] === 'p' ? '+' : '-'}`;
  const same: Record<string, string> = {
    GND: 'COM',
    RSVD: 'reserved',
    'JTAG1/TRST': 'TRST#',
    'JTAG/TRST': 'TRST#',
    '+3.3Vaux': '+3.3VAUX',
    '3.3Vaux': '+3.3VAUX',
  };
  return same[bare] ?? bare;
}

/** Names are compared without the mark of a signal that is active low. */
const bare = (name: string) =>
  name
    .replace('#', '')
    .replace(/^JTAG\d?[/:]?/, '')
    .toUpperCase();

describe('reference: card slots against the KiCad symbols 6.0, pin by pin', () => {
  for (const lanes of [1, 4, 8, 16] as const) {
    it(`x${lanes}: power, returns, lanes and presence`, () => {
      const symbol = kicad.symbols[`Bus_PCI_Express_x${lanes}`] ?? {};
      const { a, b } = slotSides(lanes);
      expect(Object.keys(symbol)).to.have.length(a.length + b.length);
      for (const [side, pins] of [
        ['A', a],
        ['B', b],
      ] as const) {
        pins.forEach((name, i) => {
          const theirs = slotName(symbol[`${side}${i + 1}`] ?? 'none');
          /* B12 was reserved before the clock request; the symbol keeps the older name. */
          if (side === 'B' && i + 1 === 12) return;
          const judged = /^(COM|\+|TX|RX|PRSNT|REFCLK|PERST|WAKE|reserved)/;
          if (judged.test(name) || judged.test(theirs))
            expect(bare(theirs), `${side}${i + 1}`).to.equal(bare(name));
        });
      }
    });
  }
});

describe('reference: M.2 sockets against the KiCad symbols 6.0', () => {
  for (const key of ['A', 'B', 'E', 'M'] as const) {
    it(`key ${key}: every 3.3 V contact, every return, the key`, () => {
      const symbol = kicad.symbols[`Bus_M.2_Socket_${key}`] ?? {};
      const mine = plug(`m2${key}`)?.pins ?? [];
      const where = (names: readonly string[], wanted: string) =>
        names.flatMap((name, i) => (name === wanted ? [i + 1] : []));
      const theirs = Array.from({ length: 75 }, (_, i) => symbol[String(i + 1)] ?? 'key');
      expect(where(mine, '+3.3V')).to.deep.equal(where(theirs, '3.3V'));
      expect(where(mine, 'COM')).to.deep.equal(where(theirs, 'GND'));
      expect(where(mine, 'key')).to.deep.equal(where(theirs, 'key'));
    });
  }
});

describe('reference: USB sockets against the KiCad symbols 6.0', () => {
  it('USB-C, both rows', () => {
    const symbol = kicad.symbols['USB_C_Receptacle'] ?? {};
    const mine = plug('usbC')?.pins ?? [];
    mine.forEach((name, i) => {
      const pin = `${i < 12 ? 'A' : 'B'}${(i % 12) + 1}`;
      expect(name === 'COM' ? 'GND' : name, pin).to.equal(symbol[pin]);
    });
  });
  it('USB-A', () => {
    const symbol = kicad.symbols['USB_A'] ?? {};
    expect(plug('usbA')?.pins.map((name) => (name === 'COM' ? 'GND' : name))).to.deep.equal(
      ['1', '2', '3', '4'].map((pin) => symbol[pin]),
    );
  });
});

describe('reference: 4.2 mm headers against the KiCad footprints 6.0', () => {
  for (const [size, id] of [
    ['2x02', 'cpu4'],
    ['2x03', 'card6'],
    ['2x04', 'cpu8'],
    ['2x05', 'main10'],
    ['2x12', 'main24'],
  ] as const) {
    it(`${size}: pitch 4.2, rows 5.5 apart, pin 1 at a corner, the second row beneath it`, () => {
      const pads = kicad.pads[size] ?? {};
      const each = plug(id);
      if (!each) throw new Error(id);
      expect(Object.keys(pads)).to.have.length(each.ways);
      for (let pin = 1; pin <= each.ways; pin += 1) {
        const { row, col } = placeOf(each, pin);
        expect(pads[String(pin)], `pad ${pin}`).to.deep.equal([
          Math.round(col * each.pitchMm * 100) / 100,
          row * 5.5,
        ]);
      }
    });
  }
});

describe('the shelf of plugs', () => {
  it('holds at least 45, each once', () => {
    expect(plugs.length).to.be.at.least(45);
    expect(new Set(plugs.map((each) => each.id)).size).to.equal(plugs.length);
  });
  for (const each of plugs) {
    it(`${each.id}: a signal a way, every pin in a place of its own, in every view`, () => {
      expect(each.pins).to.have.length(each.ways);
      for (const view of Object.keys(views) as View[]) {
        const places = each.pins.map((_, i) => {
          const { row, col } = seen(each, i + 1, view);
          expect(row).to.be.within(0, each.rows - 1);
          expect(col).to.be.within(0, Math.ceil(each.ways / each.rows) - 1);
          return `${row} ${col}`;
        });
        expect(new Set(places).size).to.equal(each.ways);
      }
      expect(each.source.title).to.not.equal('');
    });
  }
  it('mirrors the mating face against the header, and not the wire side: the way boards burn', () => {
    const main = plug('main24');
    if (!main) throw new Error('main24');
    expect(seen(main, 1, 'header face')).to.deep.equal(seen(main, 1, 'plug wire side'));
    expect(seen(main, 1, 'plug mating face')).to.deep.equal({ row: 0, col: 11 });
    expect(seen(main, 13, 'header solder side')).to.deep.equal({ row: 1, col: 11 });
  });
  it('counts along the rows, across them, or round', () => {
    const at = (numbering: 'rows' | 'zigzag' | 'loop', pin: number) =>
      placeOf({ rows: 2, ways: 6, numbering }, pin);
    expect(at('rows', 4)).to.deep.equal({ row: 1, col: 0 });
    expect(at('zigzag', 4)).to.deep.equal({ row: 1, col: 1 });
    expect(at('loop', 4)).to.deep.equal({ row: 1, col: 2 });
    expect(() => at('rows', 7)).to.throw(RangeError, 'no pin 7');
    expect(() => at('rows', 0)).to.throw(RangeError);
  });
  it('gives the square cavities of the main plug as the brief of the trade has them', () => {
    expect(plug('main24')?.squares).to.have.length(12);
  });
  it('knows the volts of every feed within its tolerance', () => {
    for (const name of ['+3.3V', '+5V', '+12V', '-12V', '+5VSB']) {
      const { volts, atSupply } = signal(name);
      const share = name === '-12V' ? 0.1 : 0.05;
      expect(Math.abs((atSupply?.hi ?? 0) - (volts ?? 0))).to.be.closeTo(
        Math.abs(volts ?? 0) * share,
        1e-9,
      );
    }
    expect(signal('TX1+').direction).to.equal('data');
  });
});
