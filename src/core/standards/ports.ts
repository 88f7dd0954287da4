import type { Source } from './source.ts';

/** Ports as they stand at the rear edge of a board: their faces with the shell, mm. */
export interface PortKind {
  name: string;
  widthMm: number;
  heightMm: number;
}

/** Faces of the connectors, from their drawings (from memory, to half a millimetre or so). */
export const portKinds: readonly PortKind[] = [
  { name: 'USB', widthMm: 13.5, heightMm: 6 },
  { name: 'USB x2', widthMm: 13.5, heightMm: 15.6 },
  { name: 'USB-C', widthMm: 9, heightMm: 3.3 },
  { name: 'LAN', widthMm: 16, heightMm: 13.5 },
  { name: 'LAN+USB', widthMm: 16.5, heightMm: 30 },
  { name: 'HDMI', widthMm: 15, heightMm: 5.6 },
  { name: 'DP', widthMm: 16.1, heightMm: 4.8 },
  { name: 'DVI', widthMm: 37, heightMm: 11 },
  { name: 'VGA', widthMm: 31, heightMm: 12.5 },
  { name: 'serial', widthMm: 31, heightMm: 12.5 },
  { name: 'PS/2', widthMm: 14, heightMm: 14 },
  { name: 'audio', widthMm: 13, heightMm: 12 },
  { name: 'audio x3', widthMm: 13, heightMm: 33 },
  { name: 'DC-in', widthMm: 9, heightMm: 11 },
];

/** The opening for the plate of a board's ports: 6.25 x 1.75 in. */
export const ioOpening = { widthMm: 158.75, heightMm: 44.45 } as const;

export const ioSource: Source = {
  title: 'ATX 2.2 motherboard specification',
  clause: 'I/O aperture, 158.75 x 44.45',
  memory: true,
};
