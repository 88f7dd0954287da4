/** What is measured on a machine once before and once after, and what was done with its drives. */

export const loadSchools = ['full load', 'until settled', 'real use', 'idle'] as const;

/** What is read once before and once after. `most` is the end of its scale; `better`: which way is. */
export const readingKinds = {
  temperatureC: { label: 'CPU', unit: '°C', most: 110, better: 'less', aimC: 85 },
  cardC: { label: 'card', unit: '°C', most: 110, better: 'less', aimC: 83 },
  hotSpotC: { label: 'hot spot of the card', unit: '°C', most: 120, better: 'less', aimC: 100 },
  ssdC: { label: 'SSD', unit: '°C', most: 100, better: 'less', aimC: 70 },
  hddC: { label: 'hard drive', unit: '°C', most: 80, better: 'less', aimC: 50 },
  wallW: { label: 'at the wall', unit: 'W', most: 400, better: 'less' },
  clockMhz: { label: 'clock', unit: 'MHz', most: 6000, better: 'more' },
  soundDb: { label: 'sound', unit: 'dB(A)', most: 70, better: 'less' },
  score: { label: 'score', unit: '', most: 100, better: 'more' },
  taskS: { label: 'time for a task', unit: 's', most: 600, better: 'less' },
} as const satisfies Record<
  string,
  { label: string; unit: string; most: number; better: 'less' | 'more'; aimC?: number }
>;
export type ReadingKind = keyof typeof readingKinds;
/** What only means something with its name and settings: frames of which scene, seconds of which export. */
export const namedKinds: readonly ReadingKind[] = ['score', 'taskS'];

export interface Reading {
  kind: ReadingKind;
  value: number;
  when: 'before' | 'after';
  at: string;
  load: (typeof loadSchools)[number];
  /** What was run and how it was set, for a score or a task. */
  name?: string | undefined;
  note?: string | undefined;
}

/** Ways of dealing with data (NIST SP 800-88), and none found. */
export const clearingWays = ['clear', 'purge', 'destroy', 'none found'] as const;

/** How other people's data on a drive was dealt with (NIST SP 800-88: clear, purge, destroy). */
export interface Clearing {
  partId: string;
  how: (typeof clearingWays)[number];
  at: string;
  /** The command or program it was done with, who did it, and the drive's serial number. */
  tool?: string | undefined;
  who?: string | undefined;
  serial?: string | undefined;
  note?: string | undefined;
}
