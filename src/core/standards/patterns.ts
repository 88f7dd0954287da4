import { table } from '../units/table.ts';
import type { Source } from './source.ts';

/** Screw holes as they lie on the faces of standard parts, mm. */

/** Rear faces of PSUs, seen from outside, from the lower left corner, mm. */
export interface SupplyFace {
  width: number;
  height: number;
  points: readonly (readonly [number, number])[];
}

const face = (width: number, height: number, points: SupplyFace['points']): SupplyFace => ({
  width,
  height,
  points,
});

export type SupplyFaceName = 'ATX' | 'SFX';

/** Screw holes of the rear faces (ATX12V and SFX12V design guides, from memory): hold them against yours. */
export const supplyFaces: Readonly<Record<SupplyFaceName, SupplyFace>> = {
  ATX: face(150, 86, [
    [6, 80],
    [144, 80],
    [6, 16],
    [120, 6],
  ]),
  SFX: face(125, 63.5, [
    [6, 57.5],
    [119, 57.5],
    [6, 6],
    [119, 6],
  ]),
};

/** Which face a PSU of a format has; undefined where none is kept. */
export const faceOf = (format: string): SupplyFaceName | undefined => faces[format];
const faces = table<SupplyFaceName>({ ATX: 'ATX', SFX: 'SFX', 'SFX-L': 'SFX' });

export const supplySource: Source = { title: 'ATX12V and SFX12V design guides', memory: true };

export type DriveForm = '2.5' | '3.5';

/** Undersides of drives: hole to hole across and along, mm. */
export const driveHoles: Readonly<Record<DriveForm, readonly [number, number]>> = {
  '2.5': [61.72, 76.6],
  '3.5': [95.25, 44.45],
};
export const driveSource: Source = { title: 'SFF-8301, SFF-8201', memory: true };

/** The four corners of a pattern, from its lower left one. */
export const fourHoles = (across: number, along = across): [number, number][] => [
  [0, 0],
  [across, 0],
  [0, along],
  [across, along],
];
