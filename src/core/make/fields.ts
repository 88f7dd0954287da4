import { toldFault, type FinishField } from '../finish/fields.ts';
import { bracketSizes } from './cardBrackets.ts';
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
  'slot bracket': [
    ...sheet,
    { name: 'size', label: 'Size', holds: 'choice', of: bracketSizes },
    figure('radius', 'Inside radius', 0, 5),
    screw,
    figure('along', 'Opening, along it', 0, 110),
    figure('across', 'Opening, across it', 0, 16),
  ],
  'card openings': [
    ...sheet,
    { name: 'size', label: 'Size', holds: 'choice', of: bracketSizes },
    { name: 'slots', label: 'Slots', holds: 'figure', min: 1, max: 8, unit: '' },
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

/** Why a value is no piece to make; undefined where it is. */
export const makeFault = (value: unknown): string | undefined =>
  toldFault(makeFields, value, 'piece to make');
