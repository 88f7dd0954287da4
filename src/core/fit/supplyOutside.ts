import type { Finding, Term } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import {
  fedByOneVoltage,
  listAt,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { standsOutside } from '../remedies/supplyOutside.ts';
import { commonPractice } from '../standards/source.ts';
import { range, type Range } from '../units/range.ts';

/** The smaller side of the largest plug that has to pass, latch and all, mm (common practice, no source). */
const PLUG_MM = range(12, 16);
/** Air a brick needs round it, for it is warm all over, mm (common practice, no source). */
const BRICK_AIR_MM = range(5, 10);

/** A PSU outside: its leads through an opening of the case. A brick beside the board: in the place left for it. */
export function suppliesBeside(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const supply = partOfKind(plan, 'supply');
  if (!shell || !supply) return [];
  return fedByOneVoltage(plan, supply)
    ? brickInside(plan, shell, supply)
    : throughOpening(plan, shell, supply);
}

function throughOpening(plan: Plan, shell: Placed, supply: Placed): Finding[] {
  const opening = numberAt(plan, shell, 'leadOpening');
  if (!standsOutside(plan)) return [];
  /* As a class of case says it is a guess; said, or done, it has to come in somewhere. */
  const said = textAt(plan, shell, 'supplyAt')?.level !== 'class';
  if (!opening && !said) return [];
  return [
    gap({
      id: 'lead-opening',
      station: 'fit',
      title: "the PSU's leads into the case",
      seats: [supply.seat, 'case'],
      unit: 'mm',
      terms: [
        opening
          ? termOf(shell, 'leadOpening', 'opening, its smaller side', 1, opening)
          : {
              ...plain('opening, its smaller side', ANY_OPENING_MM, 1),
              how: 'class',
              input: { partId: shell.part.id, key: 'leadOpening', seat: shell.seat },
            },
        plain('main plug, its smaller side', PLUG_MM, -1),
      ],
      minimumMargin: 0,
      source: commonPractice,
      undoMinutes: 30,
      say: (rest, mark) =>
        mark === 'stop'
          ? `The main plug does not pass: ${Math.ceil(-rest.hi)} mm short.`
          : mark === 'clear'
            ? "The plugs pass. Guard the edge, and join the PSU's shell to the case's by a lead of its own."
            : 'Measure the opening: the main plug is the thickest that has to pass.',
    }),
  ];
}

/** None cut yet, or a card opening and more, mm. */
const ANY_OPENING_MM = range(0, 40);

function brickInside(plan: Plan, shell: Placed, brick: Placed): Finding[] {
  const [place] = listAt(plan, shell, 'brickRoom')?.items ?? [];
  if (!place) return [];
  const room = [...place.sides].sort((a, b) => b - a);
  const side = (key: 'depth' | 'width' | 'height', label: string, usual: Range): Term => {
    const told = numberAt(plan, brick, key);
    return told && told.how !== 'class'
      ? termOf(brick, key, label, -1, told)
      : {
          ...plain(label, usual, -1),
          how: 'class',
          input: { partId: brick.part.id, key, seat: brick.seat },
        };
  };
  const sides = [
    side('depth', 'brick, its length', range(90, 200)),
    side('width', 'brick, its width', range(40, 100)),
    side('height', 'brick, its height', range(25, 45)),
  ] as (Term & { value: Range })[];
  /* Laid as it goes best: longest side along the longest. */
  sides.sort((a, b) => b.value.hi - a.value.hi);
  const spare = sides.map(({ value }, i) => (room[i] ?? 0) - value.hi);
  const tight = spare.indexOf(Math.min(...spare));
  return [
    gap({
      id: 'brick-place',
      station: 'fit',
      title: 'brick in the place left for it',
      seats: [brick.seat, 'case'],
      unit: 'mm',
      terms: [
        {
          ...plain('free place, that side', range(room[tight] ?? 0), 1),
          input: { partId: shell.part.id, key: 'brickRoom', seat: shell.seat },
        },
        sides[tight] as Term,
        plain('air round it', BRICK_AIR_MM, -1),
      ],
      minimumMargin: 0,
      source: commonPractice,
      undoMinutes: 30,
      say: (rest, mark) =>
        mark === 'stop'
          ? `However it is laid the brick is ${Math.ceil(-rest.hi)} mm too large for its place, air round it counted.`
          : mark === 'clear'
            ? 'The brick lies in its place with air round it.'
            : 'Measure the brick: it is warm all over and wants air round it.',
    }),
  ];
}
