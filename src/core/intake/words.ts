import { socketNames } from '../standards/sockets.ts';
import { believable } from './junk.ts';
import { table } from '../units/table.ts';

/** Words of many tools in one: sockets, chassis, memory kinds, sizes. */

/** `Socket LGA1151`, `FCLGA1151`, `SOCKET AM4 (BGA)` to the name used here; undefined when unknown. */
export function socketIn(text: string | undefined): string | undefined {
  const packed = (text ?? '').toUpperCase().replace(/[\s-]/g, '');
  return [...socketNames]
    .sort((a, b) => b.length - a.length)
    .find((name) =>
      new RegExp(
        `(^|[^A-Z0-9])(SOCKET|FC)*${name.replace(/[\s-]/g, '').replace('+', '\\+')}($|[^0-9+])`,
      ).test(packed),
    );
}

const chassis: Record<string, string> = table({
  tower: 'tower',
  'mini tower': 'mini tower',
  minitower: 'mini tower',
  'low profile desktop': 'slim',
  'low-profile desktop': 'slim',
  'space-saving': 'slim',
  'pizza box': 'slim',
  'mini pc': 'micro',
  'stick pc': 'micro',
  'lunch box': 'custom case',
  'rack mount chassis': 'custom case',
});

export function caseClassIn(text: string | undefined): string | undefined {
  return chassis[(text ?? '').toLowerCase()];
}

/** Chassis types by number: SMBIOS, system enclosure. */
const chassisNumbers: Record<string, string> = table({
  4: 'slim',
  5: 'slim',
  6: 'mini tower',
  7: 'tower',
  15: 'slim',
  16: 'custom case',
  23: 'custom case',
  35: 'micro',
  36: 'micro',
});

export function caseClassOf(number: unknown): string | undefined {
  return chassisNumbers[String(Number(number))];
}

/** `DDR4`, `SDRAM DDR3` and the numbers of SMBIOS, memory device type: 19 DDR2, 20 fully buffered, 24, 26, 34. */
export function memoryKindIn(text: string | number | undefined): string | undefined {
  const byNumber: Record<string, string> = table({
    19: 'DDR2',
    20: 'DDR2',
    24: 'DDR3',
    26: 'DDR4',
    34: 'DDR5',
  });
  const word = String(text ?? '');
  return byNumber[word] ?? /DDR[2-5]/i.exec(word)?.[0].toUpperCase();
}

export function memoryFormIn(text: string | number | undefined): string | undefined {
  const word = String(text ?? '');
  if (word === '12' || /SO-?DIMM/i.test(word)) return 'SO-DIMM';
  return word === '8' || /DIMM/i.test(word) ? 'DIMM' : undefined;
}

const GIB = 2 ** 30;

/** Memory as tools print it: `8 GB`, `8192 MB`, `16384 MiB`. Whole GB as sold (a power-of-two gigabyte). */
export function memoryGb(text: unknown): number | undefined {
  const match = /^(\d+(?:\.\d+)?)\s*([KMGT])i?B?$/i.exec(believable(text) ?? '');
  if (!match) return undefined;
  const factor =
    table({ K: 1 / 2 ** 20, M: 1 / 1024, G: 1, T: 1024 })[(match[2] ?? 'G').toUpperCase()] ?? 1;
  return positive(Number(match[1]) * factor);
}

export function memoryGbFromBytes(bytes: unknown): number | undefined {
  return positive(Number(bytes) / GIB);
}

/** Drive sizes are sold in decimal: 465.8 GiB is a 500 GB drive. */
export function driveGb(bytes: number): number | undefined {
  return positive(Math.round(bytes / 1e9));
}

/** `465.8G` as lsblk prints it (binary units), or plain bytes, to bytes. */
export function bytesIn(text: unknown): number | undefined {
  const match = /^(\d+(?:[.,]\d+)?)\s*([KMGTP])?i?B?$/i.exec(String(text ?? ''));
  if (!match) return undefined;
  const power = ' KMGTP'.indexOf((match[2] ?? ' ').toUpperCase());
  return positive(Number((match[1] ?? '').replace(',', '.')) * 1024 ** power);
}

/** `2400 MT/s`, `2400 MHz (0.4 ns)`, `2400`. */
export function speedIn(text: unknown): number | undefined {
  const match = /^(\d{3,5})(?:\s*(?:MT\/s|MHz))?/i.exec(String(text ?? ''));
  return match ? positive(Number(match[1])) : undefined;
}

function positive(value: number): number | undefined {
  return Number.isFinite(value) && value > 0 ? value : undefined;
}

/** Maker and model without the maker twice. */
export function fullName(maker: string | undefined, model: string | undefined): string | undefined {
  if (!maker || !model) return model ?? maker;
  return model.toLowerCase().startsWith(maker.toLowerCase()) ? model : `${maker} ${model}`;
}
