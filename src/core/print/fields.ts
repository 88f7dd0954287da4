import { toldFault, type FinishField } from '../finish/fields.ts';
import { driveForms } from '../model/properties/index.ts';
import { prints } from '../model/types/finishTypes.ts';
import { makeScrews } from '../model/types/makeTypes.ts';
import { besides, screwHolds, type Printed } from '../model/types/printTypes.ts';

/** What each thing to print is told. Form, schema of the document and its published schema follow from this list. */

const mm = (name: string, label: string, min: number, max: number): FinishField => ({
  name,
  label,
  holds: 'figure',
  min,
  max,
  unit: 'mm',
});

const printing: readonly FinishField[] = [
  { name: 'material', label: 'Material', holds: 'choice', of: prints },
  { name: 'beside', label: 'Stands beside', holds: 'choice', of: besides },
  mm('wall', 'Wall', 0.2, 10),
  { name: 'fill', label: 'Fill', holds: 'figure', min: 0, max: 100, unit: '%' },
  mm('nozzle', 'Nozzle', 0.1, 2),
  mm('bed', 'Bed, longest side', 60, 1000),
  mm('gap', 'Holes wider by', 0, 1),
];
const screwed: readonly FinishField[] = [
  { name: 'screw', label: 'Screws', holds: 'choice', of: makeScrews },
  {
    name: 'hold',
    label: 'Screw',
    holds: 'choice',
    of: screwHolds,
    says: {
      through: 'goes through',
      'self-cut': 'cuts its thread',
      insert: 'in a brass insert',
    },
  },
];

const fans = ['40', '60', '80', '92', '120', '140'];

export const printFields: Readonly<Record<Printed['do'], readonly FinishField[]>> = {
  'card support': [
    mm('height', 'Height to the card', 10, 400),
    mm('width', 'Width', 8, 100),
    mm('reach', 'Reach under the card', 8, 150),
    mm('foot', 'Foot, long', 20, 250),
    ...printing,
  ],
  'riser stand': [
    mm('height', 'Height', 4, 300),
    mm('apart', 'Hole to hole', 10, 400),
    mm('width', 'Width', 8, 120),
    ...screwed,
    ...printing,
  ],
  'drive bracket': [
    {
      name: 'form',
      label: 'Drive',
      holds: 'choice',
      of: driveForms.filter((form) => form === '2.5' || form === '3.5'),
    },
    mm('width', 'Width', 30, 300),
    mm('depth', 'Depth', 30, 300),
    mm('thick', 'Thickness', 0.4, 20),
    ...screwed,
    ...printing,
  ],
  'fan bracket': [
    { name: 'fan', label: 'Fan', holds: 'choice', of: fans },
    mm('flange', 'Flange', 8, 80),
    mm('thick', 'Thickness', 0.4, 20),
    ...screwed,
    ...printing,
  ],
  'printed PSU plate': [mm('thick', 'Thickness', 0.4, 20), ...screwed, ...printing],
  foot: [
    mm('height', 'Height', 4, 100),
    mm('top', 'Across, above', 8, 120),
    mm('bottom', 'Across, below', 8, 150),
    ...screwed,
    ...printing,
  ],
  'standoff tower': [
    mm('height', 'Height', 3, 150),
    mm('across', 'Across', 4, 60),
    ...screwed,
    ...printing,
  ],
  'port frame': [
    mm('width', 'Opening, width', 10, 400),
    mm('height', 'Opening, height', 10, 200),
    mm('rim', 'Rim all round', 2, 40),
    mm('lip', 'Lip goes in', 0.4, 20),
    ...printing,
  ],
  'cable comb': [
    { name: 'leads', label: 'Leads', holds: 'figure', min: 1, max: 40, unit: '' },
    mm('lead', 'Lead, across', 1, 20),
    mm('thick', 'Thickness', 2, 30),
    ...printing,
  ],
  'lid vent': [
    mm('width', 'Width', 15, 400),
    mm('height', 'Height', 15, 400),
    mm('thick', 'Thickness', 0.4, 20),
    mm('slot', 'Slot', 1, 20),
    mm('bar', 'Bar between', 0.4, 20),
    ...printing,
  ],
  saddle: [
    mm('radius', 'Radius of what is round', 5, 500),
    mm('width', 'Width', 8, 200),
    mm('depth', 'Depth', 6, 200),
    mm('thin', 'Thinnest', 0.4, 60),
    ...screwed,
    ...printing,
  ],
};

/** Why a value is nothing to print; undefined where it is. */
export const printFault = (value: unknown): string | undefined =>
  toldFault(printFields, value, 'thing to print');
