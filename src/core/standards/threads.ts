/** Screws found in computers. Diameters and pitches: ISO 261 and ASME B1.1. */
export interface Thread {
  name: string;
  diameterMm: number;
  pitchMm: number;
  where: string;
}

export const threads: readonly Thread[] = [
  { name: '6-32', diameterMm: 3.505, pitchMm: 0.794, where: 'PSU, 3.5 in drive, card bracket' },
  { name: 'M3', diameterMm: 3, pitchMm: 0.5, where: '2.5 in drive, standoffs of many cases' },
  {
    name: '4-40',
    diameterMm: 2.845,
    pitchMm: 0.635,
    where: 'D-sub jacks, older fan and card brackets',
  },
  { name: 'M2.5', diameterMm: 2.5, pitchMm: 0.45, where: 'small drives and boards, notebooks' },
  { name: 'M2', diameterMm: 2, pitchMm: 0.4, where: 'M.2 drive' },
  { name: 'M4', diameterMm: 4, pitchMm: 0.7, where: 'cooler backplates, rack fittings' },
];
