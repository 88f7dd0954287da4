import { commonPractice } from '../source.ts';
import type { Plug } from './plug.ts';

/**
 * Families of makers' plugs: the housing tells how many ways, never which is which. Pins stay
 * open ('?') until they are measured on the piece itself.
 */
const family = (id: string, name: string, ways: number, more: Partial<Plug> = {}): Plug => ({
  id,
  name,
  group: "maker's",
  rows: 2,
  ways,
  pitchMm: 4.2,
  numbering: 'rows',
  pins: Array.from({ length: ways }, () => '?'),
  latch: 'where it is on the piece',
  source: commonPractice,
  ...more,
});

export const makerPlugs: readonly Plug[] = [
  family('maker6', "maker's 6-pin, 12 V only", 6),
  family('maker8', "maker's 8-pin, 12 V only", 8),
  family('maker10', "maker's 10-pin, 12 V only", 10),
  family('maker14', "maker's 14-pin, 12 V only", 14),
  family('maker18', "maker's 18-pin, 12 V only", 18),
  family('maker20', "maker's 20-pin, another pinout", 20),
  family('maker24', "maker's 24-pin, another pinout", 24),
  family('fan5', "maker's five-way fan", 5, {
    rows: 1,
    pitchMm: 2.54,
    numbering: 'line',
    group: 'fan',
  }),
  family('frontMaker', "maker's combined front block", 14, {
    pitchMm: 2.54,
    numbering: 'zigzag',
    group: 'front',
  }),
  family('pled2c', 'two-coloured power light', 2, {
    rows: 1,
    pitchMm: 2.54,
    numbering: 'line',
    group: 'front',
  }),
  family('modular', 'PSU side of a modular lead: belongs to one PSU', 8, {
    group: 'modular',
  }),
];
