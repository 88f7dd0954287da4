import { commonPractice, type Source } from '../source.ts';
import type { Numbering, Plug } from './plug.ts';

/** Front panel, lights, data, USB headers and sockets, small two- and three-way leads. */

const from = (title: string): Source => ({ title, memory: true });
const frontGuide = from('Front panel I/O connectivity design guide');
const usb = from('Universal Serial Bus specification');
const usb3 = from('USB 3 internal connector and cable specification');
const usbC = from('USB Type-C cable and connector specification');

const words = (text: string) => text.trim().split(/\s+/);

const header = (
  id: string,
  name: string,
  group: Plug['group'],
  rows: number,
  pins: readonly string[],
  source: Source,
  more: Partial<Plug> = {},
): Plug => ({
  id,
  name,
  group,
  rows,
  ways: pins.length,
  pitchMm: 2.54,
  numbering: (rows === 1 ? 'line' : 'zigzag') as Numbering,
  pins,
  contactA: 1,
  source,
  ...more,
});

export const smallPlugs: readonly Plug[] = [
  header(
    'front10',
    'front block 2x5',
    'front',
    2,
    words('HD+ PLED+ HD- PLED- COM PWR_SW RESET COM open key'),
    frontGuide,
  ),
  header('pled3', 'power light 3-pin', 'front', 1, words('PLED+ open PLED-'), commonPractice),
  header('speaker4', 'speaker 4-pin', 'front', 1, words('+5V open open SPK-'), commonPractice),
  header('switch2', 'push button 2-pin', 'front', 1, words('PWR_SW COM'), commonPractice),
  header('lid2', 'lid sensor 2-pin', 'front', 1, words('LID# COM'), commonPractice),
  header('lid3', 'lid sensor 3-pin', 'front', 1, words('LID# COM +5VSB'), commonPractice),
  header(
    'audio10',
    'front audio 2x5',
    'front',
    2,
    words('P1L COM P1R PRESENCE# P2R S1R SENSE key P2L S2R'),
    frontGuide,
  ),
  header(
    'usb2',
    'USB 2 header 2x5',
    'usb',
    2,
    words('VBUS VBUS D1- D2- D1+ D2+ COM COM key open'),
    frontGuide,
    { contactA: 1.5, bare: true },
  ),
  header(
    'usb3',
    'USB 3 header 19-pin',
    'usb',
    2,
    words(`VBUS RX1- RX1+ COM TX1- TX1+ COM D1- D1+ OC#
      D2+ D2- COM TX2+ TX2- COM RX2+ RX2- VBUS key`),
    usb3,
    { pitchMm: 2, numbering: 'loop' },
  ),
  header(
    'usbC20',
    'USB-C front header 20-pin',
    'usb',
    2,
    words(`VBUS TX1+ TX1- COM RX1+ RX1- VBUS CC1 SBU1 SBU2
      VBUS TX2+ TX2- COM RX2+ RX2- COM D- D+ CC2`),
    usb3,
    { pitchMm: 0.8, numbering: 'rows', latch: 'shell with a key' },
  ),
  header(
    'usbC',
    'USB-C socket',
    'usb',
    2,
    words(`COM TX1+ TX1- VBUS CC1 D+ D- SBU1 VBUS RX2- RX2+ COM
      COM TX2+ TX2- VBUS CC2 D+ D- SBU2 VBUS RX1- RX1+ COM`),
    usbC,
    { pitchMm: 0.5, numbering: 'loop', contactA: 1.25, latch: 'goes in either way up' },
  ),
  header('usbA', 'USB-A socket', 'usb', 1, words('VBUS D- D+ COM'), usb, { contactA: 1.5 }),
  header('light12', '12 V light 4-pin', 'light', 1, words('+12V G R B'), commonPractice, {
    contactA: 3,
  }),
  header(
    'light5',
    '5 V light, three of four',
    'light',
    1,
    words('+5V DATA key COM'),
    commonPractice,
    {
      contactA: 3,
    },
  ),
  header(
    'sataData',
    'SATA data',
    'data',
    1,
    words('COM A+ A- COM B- B+ COM'),
    from('Serial ATA specification'),
    {
      pitchMm: 1.27,
      latch: 'L-shaped key',
    },
  ),
];

const barrel = (outer: number, inner: number, amps: number, name = ''): Plug => ({
  id: `barrel${String(outer).replace('.', '')}-${String(inner).replace('.', '')}`,
  name: `barrel ${outer.toFixed(1)}/${inner.toFixed(1)}${name}`,
  group: 'barrel',
  rows: 1,
  ways: name ? 3 : 2,
  pitchMm: outer,
  numbering: 'line',
  /* Inside, outside, and a middle pin that names the brick: a chip, a resistor or a fixed voltage. */
  pins: name ? ['?', 'COM', 'identity'] : ['?', 'COM'],
  contactA: amps,
  source: commonPractice,
});

export const barrels: readonly Plug[] = [
  barrel(5.5, 2.1, 5),
  barrel(5.5, 2.5, 5),
  barrel(5.5, 1.7, 5),
  barrel(4, 1.7, 3),
  barrel(4.5, 3, 7, ' with middle pin'),
  barrel(7.4, 5, 13, ' with middle pin'),
];
