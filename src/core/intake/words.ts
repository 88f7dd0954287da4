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
  'mini-tower': 'mini tower',
  minitower: 'mini tower',
  'low profile desktop': 'slim',
  'low-profile desktop': 'slim',
  'space-saving': 'slim',
  'pizza box': 'slim',
  'mini pc': 'micro',
  'stick pc': 'micro',
  'lunch box': 'custom case',
  'rack mount chassis': 'rack server',
  'main server chassis': 'rack server',
  rackmount: 'rack server',
  server: 'rack server',
  blade: 'rack server',
  notebook: 'notebook',
  laptop: 'notebook',
  portable: 'notebook',
  'sub notebook': 'notebook',
  convertible: 'notebook',
  detachable: 'notebook',
  tablet: 'notebook',
  vehicle: 'custom case',
  'all in one': 'custom case',
  'all-in-one': 'custom case',
  'low-profile': 'slim',
  mini: 'micro',
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
  8: 'notebook',
  9: 'notebook',
  10: 'notebook',
  13: 'custom case',
  14: 'notebook',
  15: 'slim',
  16: 'custom case',
  17: 'rack server',
  23: 'rack server',
  28: 'rack server',
  30: 'notebook',
  31: 'notebook',
  32: 'notebook',
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
  return byNumber[word] ?? /(?<!LP)DDR[2-5]/i.exec(word)?.[0].toUpperCase();
}

/** Memory soldered to the board, by its word or its number (SMBIOS, memory device type: 27 to 30 and 35), or by its form. */
export const isSoldered = (type: string | number | undefined, form?: string): boolean =>
  /LP-?DDR|^(?:27|28|29|30|35)$/i.test(String(type ?? '')) || /row of chips/i.test(form ?? '');

/**
 * The sort of a module: by the words of its details (`Registered (Buffered)`, `Fully Buffered`), else by its
 * widths in bits: more than carry data are check bits. Undefined where neither says anything.
 */
export function moduleSortIn(
  details: string | undefined,
  type: string | number | undefined,
  totalBits: number | undefined,
  dataBits: number | undefined,
): string | undefined {
  if (/FB-?DIMM|fully buffered/i.test(`${type} ${details}`) || String(type) === '20')
    return 'fully buffered';
  if (/(?<!un)(?:registered|buffered|LRDIMM)/i.test(details ?? '')) return 'registered';
  if (!totalBits || !dataBits || totalBits < dataBits) return undefined;
  return totalBits > dataBits ? 'ECC' : 'plain';
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

/** Sizes drives are sold in, GB (common practice, no source): a rounded figure means the one it may be. */
const soldGb = [
  16, 32, 64, 80, 120, 128, 160, 180, 240, 250, 256, 320, 400, 480, 500, 512, 640, 750, 800, 960,
  1000, 1024, 1500, 1600, 1920, 2000, 2048, 3000, 3200, 3840, 4000, 5000, 6000, 7680, 8000, 10000,
  12000, 14000, 16000, 18000, 20000, 22000, 24000,
];

/** `465.8G` as lsblk prints it (binary units, rounded to a tenth), or plain bytes, to the GB it was sold as. */
export function driveGbIn(text: unknown): number | undefined {
  const match = /^(\d+(?:[.,]\d+)?)\s*([KMGTP])?i?B?$/i.exec(String(text ?? ''));
  if (!match) return undefined;
  const unit = 1024 ** ' KMGTP'.indexOf((match[2] ?? ' ').toUpperCase());
  const figure = Number((match[1] ?? '').replace(',', '.'));
  if (unit === 1) return driveGb(figure);
  const half = /[.,]/.test(match[1] ?? '') ? 0.05 : 0.5;
  const [lo, hi] = [((figure - half) * unit) / 1e9, ((figure + half) * unit) / 1e9];
  const near = soldGb
    .filter((gb) => gb >= lo && gb <= hi)
    .sort((a, b) => Math.abs(a - (lo + hi) / 2) - Math.abs(b - (lo + hi) / 2))[0];
  return near ?? driveGb(figure * unit);
}

/** `2400 MT/s`, `2400 MHz (0.4 ns)`, `2400`; 65535 is what firmware prints for "not known". */
export function speedIn(text: unknown): number | undefined {
  const match = /^(\d{3,5})(?:\s*(?:MT\/s|MHz))?/i.exec(String(text ?? ''));
  return match && match[1] !== '65535' ? positive(Number(match[1])) : undefined;
}

/** `1.35 V`; undefined for none, or for what firmware prints where it does not know. */
export function voltsIn(text: unknown): number | undefined {
  const match = /^(\d+(?:\.\d+)?)\s*V$/i.exec(String(text ?? ''));
  return match ? positive(Number(match[1])) : undefined;
}

/** DDR3 by the least volts it runs at: 1.35 and less is the low-voltage sort, which takes 1.5 V too. */
export function ddr3Volts(least: number | undefined, kind: string | undefined): string | undefined {
  if (kind !== 'DDR3' || least === undefined || least < 1.2) return undefined;
  return least <= 1.36 ? '1.35 V too' : least <= 1.6 ? '1.5 V' : undefined;
}

function positive(value: number): number | undefined {
  return Number.isFinite(value) && value > 0 ? value : undefined;
}

/** Maker and model without the maker twice. */
export function fullName(maker: string | undefined, model: string | undefined): string | undefined {
  if (!maker || !model) return model ?? maker;
  return model.toLowerCase().startsWith(maker.toLowerCase()) ? model : `${maker} ${model}`;
}
