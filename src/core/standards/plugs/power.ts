import { commonPractice, type Source } from '../source.ts';
import type { Plug } from './plug.ts';

/** Main, processor, card, drive and fan plugs. Pin tables of the two main plugs are checked against KiCad's symbols. */

const from = (title: string, clause?: string): Source => ({
  title,
  ...(clause ? { clause } : {}),
  memory: true,
});
const atx = from('ATX12V power supply design guide');
const cem = from('PCI Express Card Electromechanical specification', 'auxiliary power connectors');
const cem51 = from('PCI Express Card Electromechanical specification 5.1', '12V-2x6');
const cem50 = from('PCI Express Card Electromechanical specification 5.0', '12VHPWR');
const sata = from('Serial ATA specification', 'power connector');
const fan = from('4-wire PWM controlled fans specification');

const words = (text: string) => text.trim().split(/\s+/);
const times = (signal: string, n: number) => Array.from({ length: n }, () => signal);

/** 4.2 mm housing, two rows, latch on the row of the high numbers. */
const mini = (plug: Omit<Plug, 'rows' | 'pitchMm' | 'numbering' | 'latch' | 'ways'>): Plug => ({
  ...plug,
  rows: 2,
  ways: plug.pins.length,
  pitchMm: 4.2,
  numbering: 'rows',
  latch: 'middle of the row with the high numbers',
});

const line = (plug: Omit<Plug, 'rows' | 'numbering' | 'ways'>): Plug => ({
  ...plug,
  rows: 1,
  ways: plug.pins.length,
  numbering: 'line',
});

export const powerPlugs: readonly Plug[] = [
  mini({
    id: 'main24',
    name: 'ATX 24-pin',
    group: 'main',
    pins: words(`+3.3V +3.3V COM +5V COM +5V COM PWR_OK +5VSB +12V +12V +3.3V
      +3.3V -12V COM PS_ON# COM COM COM open +5V +5V +5V COM`),
    squares: [1, 4, 5, 8, 9, 12, 14, 15, 18, 19, 22, 23],
    source: { ...atx, memory: false },
  }),
  mini({
    id: 'main20',
    name: 'ATX 20-pin',
    group: 'main',
    pins: words(`+3.3V +3.3V COM +5V COM +5V COM PWR_OK +5VSB +12V
      +3.3V -12V COM PS_ON# COM COM COM -5V +5V +5V`),
    source: { ...atx, memory: false },
  }),
  mini({
    id: 'main10',
    name: 'ATX12VO 10-pin',
    group: 'main',
    pins: words('PS_ON# COM COM COM reserved PWR_OK +12VSB +12V +12V +12V'),
    source: from('ATX12VO power supply design guide'),
  }),
  mini({
    id: 'cpu4',
    name: 'EPS 4-pin',
    group: 'processor',
    pins: words('COM COM +12V +12V'),
    source: atx,
  }),
  mini({
    id: 'cpu8',
    name: 'EPS 8-pin',
    group: 'processor',
    pins: [...times('COM', 4), ...times('+12V', 4)],
    source: from('EPS12V power supply design guide'),
  }),
  mini({
    id: 'cpu44',
    name: 'EPS 4+4-pin',
    group: 'processor',
    pins: [...times('COM', 4), ...times('+12V', 4)],
    goesAs: ['cpu4', 'cpu8'],
    source: from('EPS12V power supply design guide'),
  }),
  mini({
    id: 'card6',
    name: 'PCIe 6-pin',
    group: 'card',
    pins: words('+12V +12V +12V COM sense COM'),
    limitW: 75,
    source: cem,
  }),
  mini({
    id: 'card8',
    name: 'PCIe 8-pin',
    group: 'card',
    pins: words('+12V +12V +12V sense1 COM sense0 COM COM'),
    limitW: 150,
    source: cem,
  }),
  mini({
    id: 'card62',
    name: 'PCIe 6+2-pin',
    group: 'card',
    pins: words('+12V +12V +12V sense1 COM sense0 COM COM'),
    limitW: 150,
    goesAs: ['card6', 'card8'],
    source: cem,
  }),
  {
    id: 'card16',
    name: '12V-2x6',
    group: 'card',
    rows: 2,
    ways: 12,
    pitchMm: 3,
    numbering: 'rows',
    pins: [...times('+12V', 6), ...times('COM', 6)],
    latch:
      'over the four side contacts: S1 CARD_PWR_STABLE, S2 CARD_CBL_PRES#, S3 SENSE0, S4 SENSE1; both sense open: 0 W',
    contactA: 9.2,
    contactAwg: 16,
    limitW: 600,
    source: cem51,
  },
  {
    id: 'card16old',
    name: '12VHPWR',
    group: 'card',
    rows: 2,
    ways: 12,
    pitchMm: 3,
    numbering: 'rows',
    pins: [...times('+12V', 6), ...times('COM', 6)],
    latch: 'over the four side contacts; both sense open: 150 W',
    contactA: 9.2,
    contactAwg: 16,
    limitW: 600,
    source: cem50,
  },
  line({
    id: 'sata',
    name: 'SATA power',
    group: 'drive',
    pitchMm: 1.27,
    pins: words('+3.3V +3.3V disable COM COM COM +5V +5V +5V COM activity COM +12V +12V +12V'),
    latch: 'L-shaped key at the end of pin 15',
    contactA: 1.5,
    limitW: 54,
    source: sata,
  }),
  line({
    id: 'slimsata',
    name: 'slim SATA power',
    group: 'drive',
    pitchMm: 1,
    pins: words('present +5V +5V diagnostic COM COM'),
    latch: 'L-shaped key',
    contactA: 1.5,
    limitW: 15,
    source: from('Serial ATA specification', 'slimline connector'),
  }),
  line({
    id: 'drive4',
    name: '4-pin peripheral plug',
    group: 'drive',
    pitchMm: 5.08,
    pins: words('+12V COM COM +5V'),
    latch: 'two cut corners; a snapped key lets it in backwards',
    contactA: 8,
    source: commonPractice,
  }),
  line({
    id: 'small4',
    name: 'small 4-pin plug',
    group: 'drive',
    pitchMm: 2.5,
    pins: words('+5V COM COM +12V'),
    contactA: 2,
    source: commonPractice,
  }),
  line({
    id: 'fan2',
    name: 'fan 2-pin',
    group: 'fan',
    pitchMm: 2.54,
    pins: words('COM +12V'),
    contactA: 1,
    source: commonPractice,
  }),
  line({
    id: 'fan3',
    name: 'fan 3-pin',
    group: 'fan',
    pitchMm: 2.54,
    pins: words('COM +12V tach'),
    latch: 'ridge behind pins 1 and 2',
    contactA: 1,
    source: fan,
  }),
  line({
    id: 'fan4',
    name: 'fan 4-pin',
    group: 'fan',
    pitchMm: 2.54,
    pins: words('COM +12V tach pwm'),
    latch: 'ridge behind pins 1 to 3',
    contactA: 1,
    source: fan,
  }),
];
