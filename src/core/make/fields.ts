import { toldFault, type FinishField } from '../finish/fields.ts';
import { drillPatterns, makeScrews, sheetMaterials, type Make } from '../model/types/makeTypes.ts';

/** What each thing to make is told. Form, schema of the document and its published schema follow from this list. */

const figure = (name: string, label: string, min: number, max: number): FinishField => ({
  name,
  label,
  holds: 'figure',
  min,
  max,
  unit: 'mm',
});

const sheet: readonly FinishField[] = [
  { name: 'material', label: 'Sheet', holds: 'choice', of: sheetMaterials },
  figure('thick', 'Thickness', 0.3, 12),
];
const screw: FinishField = { name: 'screw', label: 'Screws', holds: 'choice', of: makeScrews };
const round: readonly FinishField[] = [
  figure('allowance', 'Air round each port', 0, 10),
  figure('corner', 'Corner radius', 0, 20),
];

export const makeFields: Readonly<Record<Make['do'], readonly FinishField[]>> = {
  'rear wall': [...sheet, ...round],
  'rear plate': [
    ...sheet,
    figure('width', 'Width', 20, 500),
    figure('height', 'Height', 10, 500),
    ...round,
    screw,
  ],
  'drill template': [
    ...sheet,
    { name: 'pattern', label: 'Holes of', holds: 'choice', of: drillPatterns },
    screw,
    { name: 'threaded', label: 'Thread in the sheet', holds: 'yes' },
  ],
  plate: [
    ...sheet,
    figure('width', 'Width', 10, 600),
    figure('height', 'Height', 10, 600),
    figure('corner', 'Corner radius', 0, 50),
    screw,
    figure('inset', 'Screws from the edges', 1, 100),
    { name: 'pattern', label: 'Holes of', holds: 'choice', of: ['none', ...drillPatterns] },
  ],
  'L bracket': [
    ...sheet,
    figure('legA', 'Leg A, outside', 5, 500),
    figure('legB', 'Leg B, outside', 5, 500),
    figure('width', 'Width', 5, 500),
    figure('radius', 'Inside radius', 0, 30),
    screw,
  ],
  'Z bracket': [
    ...sheet,
    figure('legA', 'Leg A, outside', 5, 500),
    figure('web', 'Step, outside', 3, 500),
    figure('legB', 'Leg B, outside', 5, 500),
    figure('width', 'Width', 5, 500),
    figure('radius', 'Inside radius', 0, 30),
    screw,
  ],
  'PSU plate': [...sheet, figure('aside', 'Off the middle', -40, 40)],
  'dust mesh': [
    ...sheet,
    figure('width', 'Opening, width', 10, 600),
    figure('height', 'Opening, height', 10, 600),
    figure('border', 'Border', 2, 40),
  ],
};

/** A new one, as most are made. */
export function freshMake(sort: Make['do'], id: string): Make {
  const steel = { id, material: 'steel', thick: 1 } as const;
  switch (sort) {
    case 'rear wall':
      return { do: sort, ...steel, allowance: 0.5, corner: 1.5 };
    case 'rear plate':
      return {
        do: sort,
        ...steel,
        width: 172,
        height: 58,
        allowance: 0.5,
        corner: 1.5,
        screw: 'M3',
      };
    case 'drill template':
      return { do: sort, ...steel, pattern: 'board', screw: 'M3', threaded: false };
    case 'plate':
      return {
        do: sort,
        id,
        material: 'aluminium',
        thick: 2,
        width: 200,
        height: 200,
        corner: 4,
        screw: 'M3',
        inset: 8,
        pattern: 'none',
      };
    case 'L bracket':
      return { do: sort, ...steel, legA: 30, legB: 30, width: 20, radius: 1, screw: 'M3' };
    case 'Z bracket':
      return {
        do: sort,
        ...steel,
        legA: 20,
        web: 20,
        legB: 20,
        width: 20,
        radius: 1,
        screw: 'M3',
      };
    case 'PSU plate':
      return { do: sort, ...steel, thick: 1.5, aside: 0 };
    case 'dust mesh':
      return { do: sort, id, material: 'steel', thick: 0.5, width: 120, height: 120, border: 8 };
  }
}

/** Why a value is no piece to make; undefined where it is. */
export const makeFault = (value: unknown): string | undefined =>
  toldFault(makeFields, value, 'piece to make');
