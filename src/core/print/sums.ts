import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { lacking } from '../make/lacking.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { listOfJob } from '../model/lookup/reads.ts';
import type { Printed } from '../model/types/printTypes.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { printHeat } from './heat.ts';
import { aroundHole } from './screwHoles.ts';
import { shapeFault, sizesOf, thinnestOf } from './limits.ts';

export const printedOf = (plan: Plan): readonly Printed[] => listOfJob(plan, 'printed') ?? [];

/** What is to be printed comes out of the printer and stands where it goes: walls, bed, heat. */
export function printSums(plan: Plan): Finding[] {
  return printedOf(plan).flatMap((print) => {
    const fault = shapeFault(print);
    return fault === undefined
      ? [...walls(print), bed(print), heat(print)]
      : [lacking(`print:${print.id}`, print.do, fault)];
  });
}

const round = (mm: number) => Math.round(mm * 100) / 100;
const base = { station: 'make' as const, seats: [], undoMinutes: 60 };

/** Walls against the nozzle: what is thinner than one line is left out, what is one line wide breaks. */
function walls(print: Printed): Finding[] {
  const { nozzle } = print;
  const thin = [{ what: 'wall', mm: print.wall }, ...thinnestOf(print)].sort(
    (a, b) => a.mm - b.mm,
  )[0];
  if (!thin) return [];
  const found = [
    gap({
      id: `print-wall:${print.id}`,
      ...base,
      title: `${thin.what} of the ${print.do}`,
      unit: 'mm',
      terms: [
        plain(thin.what, range(round(thin.mm)), 1),
        plain('two lines of the nozzle', range(round(2 * nozzle)), -1),
      ],
      minimumMargin: 0,
      short: 'thin by',
      source: commonPractice,
      lack: thin.mm < nozzle ? 'stop' : 'mend',
      say: (_, mark) =>
        mark === 'clear'
          ? 'Two lines side by side: it holds.'
          : thin.mm < nozzle
            ? 'Thinner than one line of the nozzle: the slicer leaves it out.'
            : 'One line wide it splits along its layers: make it thicker, or take a finer nozzle.',
    }),
  ];
  if (!('hold' in print)) return found;
  const round_ = thinnestOf(print).find(({ screw }) => screw);
  if (!round_) return found;
  const least = aroundHole(print.hold);
  return [
    ...found,
    gap({
      id: `print-screw:${print.id}`,
      ...base,
      title: `${round_.what} of the ${print.do}`,
      unit: 'mm',
      terms: [
        plain('is left', range(round(round_.mm)), 1),
        plain(`least, ${print.hold}`, range(least), -1),
      ],
      minimumMargin: 0,
      short: 'thin by',
      lack: 'mend',
      source: commonPractice,
      say: (_, mark) =>
        mark === 'clear'
          ? 'The screw holds in it.'
          : 'The screw bursts it: wider, or a smaller screw.',
    }),
  ];
}

/** In how many pieces it goes on the bed: cut across its longest side. */
export function piecesOn(print: Printed): number {
  const { x, y, z } = sizesOf(print);
  return Math.max(1, Math.ceil(Math.max(x, y, z) / print.bed - 1e-9));
}

function bed(print: Printed): Finding {
  const { x, y, z } = sizesOf(print);
  const long = Math.max(x, y, z);
  const pieces = piecesOn(print);
  return gap({
    id: `print-bed:${print.id}`,
    ...base,
    title: `${print.do} on the bed`,
    unit: 'mm',
    terms: [
      plain('bed, longest side', range(print.bed), 1),
      plain('longest side', range(round(long)), -1),
    ],
    minimumMargin: 0,
    short: 'over by',
    lack: 'mend',
    source: commonPractice,
    say: (_, mark) =>
      mark === 'clear'
        ? 'It goes on the bed in one piece.'
        : `Larger than the bed: it comes in ${pieces} pieces, cut straight across its longest side; glue and pin them, and give the joint a strap.`,
  });
}

const heat = (print: Printed): Finding =>
  printHeat({
    id: `print-heat:${print.id}`,
    station: 'make',
    title: `${print.do}, ${print.material}`,
    seats: [],
    material: { text: print.material, how: 'said' },
    beside: { text: print.beside },
  });
