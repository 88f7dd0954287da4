/** What is measured on a machine once before and once after, and what was done with its drives. */

export const loadSchools = ['full load', 'until settled', 'real use', 'idle'] as const;

export type ReadingKind = 'temperatureC' | 'wallW' | 'clockMhz';

export interface Reading {
  kind: ReadingKind;
  value: number;
  when: 'before' | 'after';
  at: string;
  load: (typeof loadSchools)[number];
  note?: string | undefined;
}

/** How other people's data on a drive was dealt with (NIST SP 800-88: clear, purge, destroy). */
export interface Clearing {
  partId: string;
  how: 'clear' | 'purge' | 'destroy' | 'none found';
  at: string;
  note?: string | undefined;
}
