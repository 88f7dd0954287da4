import { signal } from '$core/standards/plugs/index.ts';
import { table } from '$core/units/table.ts';

/** Wire colours as they look on the bench. */
export const inks: Record<string, string> = table({
  black: '#1c1c1c',
  red: '#c0392b',
  yellow: '#e2c22f',
  orange: '#e08a2b',
  white: '#f6f6f2',
  blue: '#2f62b5',
  purple: '#7d4fa3',
  green: '#2f8f4e',
  grey: '#8d9499',
  brown: '#7a4a26',
});

const dark = new Set(['black', 'red', 'blue', 'purple', 'green', 'brown']);

/** The usual wire of a signal: a hint, never proof. Data has none. */
export const inkOf = (name: string): string | undefined => inks[signal(name).colour ?? ''];
export const isDark = (name: string): boolean => dark.has(signal(name).colour ?? '');

const words: Record<string, string> = table({
  COM: '0',
  'PS_ON#': 'on',
  PS_ON: 'on↑',
  PWR_OK: 'ok',
  '+5VSB': '5sb',
  '+12VSB': '12sb',
  other: 'sig',
  open: '–',
  key: '×',
  '?': '?',
});

/** A signal in as few letters as a cavity holds. */
export const shortName = (name: string): string =>
  words[name] ?? name.replace(/^\+/, '').replace(/V$/, '').slice(0, 5);
