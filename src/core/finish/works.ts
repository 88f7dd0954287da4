import type { Finish } from '../model/types/finishTypes.ts';
import { finishId, step, type Step } from '../model/types/step.ts';
import { table } from '../units/table.ts';
import { finishCautions } from './cautions.ts';

/** Washing, glue, filler, metal and printed parts as steps. Minutes and hours are common practice, no source. */

type Work<D extends Finish['do']> = Extract<Finish, { do: D }>;
const HOUR = 60;

type Own = Omit<Parameters<typeof step>[0], 'id' | 'phase'>;

const one = (finish: string, what: string | undefined, draft: Own): Step =>
  step({ id: finishId(finish, what), phase: 'finish', ...draft });

const washing = {
  panel: { title: 'Wash the panel in warm water with soap, dry it', dry: 4 * HOUR },
  mesh: { title: 'Wash the mesh, blow it out', dry: 4 * HOUR },
  'heat sink': { title: 'Wash the bare heat sink, blow its fins out', dry: 12 * HOUR },
  fan: { title: 'Brush the fan with its blades held: no water', dry: 0 },
  board: { title: 'Brush the board with strong isopropyl alcohol: no water', dry: HOUR },
} as const;

export const washSteps = ({ id, what }: Work<'wash'>): Step[] => [
  one(id, undefined, {
    title: washing[what].title,
    minutes: 15,
    ...(washing[what].dry > 0 && { leaveMinutes: washing[what].dry, rests: true }),
    tools: what === 'fan' || what === 'board' ? ['brush'] : ['soap', 'cloth'],
    cautions:
      what === 'board'
        ? [finishCautions.solvent]
        : what === 'fan'
          ? ['Hold the blades: a fan that is blown round makes current and wears.']
          : [],
  }),
];

/** Minutes it is open to be moved, clamped, and until it bears. */
export const glueTimes = table<{ open: string; clamp: number; holds: number; on: string }>({
  superglue: { open: 'seconds', clamp: 5, holds: 24 * HOUR, on: 'small, close joints' },
  'five-minute epoxy': { open: '4 min', clamp: 20, holds: 24 * HOUR, on: 'metal and plastic' },
  'slow epoxy': { open: 'an hour', clamp: 10 * HOUR, holds: 24 * HOUR, on: 'what carries weight' },
  'contact cement': {
    open: 'dry 10 to 15 min, then press',
    clamp: 5,
    holds: 24 * HOUR,
    on: 'foil, felt, wide faces',
  },
  'plastic cement': { open: '15 s', clamp: 10, holds: 24 * HOUR, on: 'ABS to ABS' },
  'wood glue': { open: '5 to 10 min', clamp: HOUR, holds: 24 * HOUR, on: 'wood to wood' },
});

export function glueSteps({ id, which, piece }: Work<'glue'>): Step[] {
  const times = glueTimes[which];
  if (!times) return [];
  return [
    one(id, 'glue', {
      title: `Glue the ${piece} with ${which} and clamp it; open for ${times.open}`,
      minutes: 12,
      leaveMinutes: times.clamp,
      tools: [which, 'clamps', 'isopropyl alcohol'],
      cautions: [finishCautions.glue],
      why: `for ${times.on}: scuffed and free of grease`,
    }),
    one(id, 'unclamp', {
      title: 'Take the clamps off, no load yet',
      minutes: 3,
      leaveMinutes: times.holds - times.clamp,
      after: [finishId(id, 'glue')],
    }),
  ];
}

export const fillerSteps = ({ id, which, piece }: Work<'filler'>): Step[] => [
  one(id, 'fill', {
    title: `Fill the ${piece} with ${which === 'two-part' ? 'two-part filler, three minutes to work' : 'spot putty, thin layers'}`,
    minutes: 12,
    leaveMinutes: which === 'two-part' ? 30 : 2 * HOUR,
    tools: ['filler', 'spatula'],
    cautions: [finishCautions.solvent],
  }),
  one(id, 'sand', {
    title: 'Sand it flush: 120, 240',
    minutes: 15,
    tools: ['120 to 240 grit', 'dust mask'],
    cautions: [finishCautions.dust],
    after: [finishId(id, 'fill')],
  }),
];

const cutting = { file: 'File', drill: 'Drill', cut: 'Cut' } as const;

export const metalSteps = ({ id, what, piece, minutes }: Work<'metal'>): Step[] => [
  one(id, what, {
    title: `${cutting[what]} the ${piece}, with every board out of it`,
    minutes,
    tools: what === 'drill' ? ['drill', 'centre punch', 'goggles'] : ['file', 'goggles', 'gloves'],
    cautions: [finishCautions.edges],
    undoable: false,
  }),
  one(id, 'deburr', {
    title: 'Deburr both sides, clear every chip: magnet, brush, wipe',
    minutes: 8,
    tools: ['deburring tool', 'magnet', 'brush'],
    cautions: [finishCautions.chips],
    gate: 'a white cloth drawn through the case stays clean',
    after: [finishId(id, what)],
  }),
];

export function printSteps({ id, piece, material, hours, unattended }: Work<'print'>): Step[] {
  return [
    {
      ...one(id, 'start', {
        title: `Start the print of the ${piece} in ${material}, watch the first layer`,
        minutes: 10,
        leaveMinutes: Math.round(hours * HOUR),
        uses: 'printer',
        unattended,
        cautions: [finishCautions.printer],
        ...(material === 'PLA' && {
          why: 'PLA goes soft from about 55 °C: not beside exhaust air or a heat sink',
        }),
      }),
      phase: 'before',
    },
    {
      ...one(id, 'off', {
        title: 'Take the print off, clean its holes',
        minutes: 10,
        uses: 'printer',
        tools: ['scraper', 'drill by hand'],
        after: [finishId(id, 'start')],
      }),
      phase: 'before',
    },
  ];
}

const OLD = { lead: 1980, asbestos: 1990, radium: 1970 };

/** Gates before the first screw: what is in an old shell by its kind and age; an age nobody knows is every age. */
export function shellGates({ id, shell, built }: Work<'old shell'>): Step[] {
  const before = (year: number): boolean => built === undefined || built < year;
  const gates: { key: string; title: string; gate: string; caution: string }[] = [];
  if (shell === 'television' || shell === 'terminal')
    gates.push({
      key: 'tube',
      title: 'Is there a picture tube in it?',
      gate: 'none is in it, or someone qualified has taken it out',
      caution: finishCautions.tube,
    });
  if (shell === 'microwave')
    gates.push({
      key: 'capacitor',
      title: 'Is the high-voltage part still in it?',
      gate: 'someone qualified has taken it out',
      caution: finishCautions.microwave,
    });
  if (before(OLD.asbestos))
    gates.push({
      key: 'asbestos',
      title: 'Board, rope or felt near what gets hot?',
      gate: 'none, or tested free of asbestos',
      caution: finishCautions.asbestos,
    });
  if (before(OLD.lead))
    gates.push({
      key: 'lead',
      title: 'Test the finish for lead before sanding or cutting',
      gate: 'no lead, or worked wet with a particle filter',
      caution: finishCautions.lead,
    });
  if (before(OLD.radium) && (shell === 'radio' || shell === 'other old shell'))
    gates.push({
      key: 'radium',
      title: 'Glowing dial or hands?',
      gate: 'none, or the dial stays untouched',
      caution: finishCautions.radium,
    });
  gates.push({
    key: 'earth',
    title: 'A metal shell on mains is class I: earth it, and keep it bonded',
    gate: 'continuity from the earth pin to every metal part that can be touched',
    caution: finishCautions.law,
  });
  const heavy = shell === 'television' || shell === 'terminal';
  const lift: Step[] = heavy
    ? [
        {
          ...one(id, 'lift', {
            title: 'Lift it onto the bench, glass towards you',
            minutes: 5,
            people: 2,
            cautions: [finishCautions.heavy],
          }),
          phase: 'before',
        },
      ]
    : [];
  const asked = gates.map(({ key, title, gate, caution }, i) => ({
    ...one(id, key, {
      title,
      minutes: 5,
      gate,
      cautions: [caution],
      after: i > 0 ? [finishId(id, gates[i - 1]?.key ?? '')] : lift.map((each) => each.id),
    }),
    phase: 'before' as const,
  }));
  return [...lift, ...asked];
}
