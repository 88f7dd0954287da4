import type { NumberKey } from '../model/properties/index.ts';
import { gap } from '../findings/gap.ts';
import type { Finding } from '../findings/finding.ts';
import { plain, termOf } from '../findings/terms.ts';
import { numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { table } from '../units/table.ts';

const words: Record<string, string> = table({
  innerWidth: 'width inside',
  innerHeight: 'height inside',
  innerDepth: 'depth inside',
  outerWidth: 'width outside',
  outerHeight: 'height outside',
  outerDepth: 'depth outside',
  coolerRoom: 'cooler height clearance',
  cardRoom: 'room from the bracket',
  cardHeightRoom: 'card height clearance',
  boardWidth: 'room for the board',
  boardDepth: 'room to the front',
});

/** What cannot be larger than what: a room inside the whole inside, an inside inside its outside. */
const within: readonly [NumberKey, NumberKey][] = [
  ['innerWidth', 'outerWidth'],
  ['innerHeight', 'outerHeight'],
  ['innerDepth', 'outerDepth'],
  ['coolerRoom', 'innerWidth'],
  ['cardHeightRoom', 'innerWidth'],
  ['cardRoom', 'innerDepth'],
  ['boardDepth', 'innerDepth'],
  ['boardWidth', 'innerHeight'],
  ['coolerRoom', 'outerWidth'],
  ['cardHeightRoom', 'outerWidth'],
  ['cardRoom', 'outerDepth'],
  ['boardDepth', 'outerDepth'],
  ['boardWidth', 'outerHeight'],
];

/** CPU over the board 2 (soldered) to 8.5, the board 1.2 to 1.6, standoffs 3 to 8 (common practice, no source). */
const UNDER_MM = range(6, 18.1);

/** Two measures of one case that cannot both be true: which two, and by how much. */
export function contradictions(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  if (!shell) return [];
  const outer = (['outerWidth', 'outerHeight', 'outerDepth'] as const).map((key) =>
    numberAt(plan, shell, key),
  );
  /* A case that lies flat has its rooms along other sides: compare with the longest side. */
  const [w, h] = outer;
  const flat = w !== undefined && h !== undefined && w.lo > h.lo;
  return within.flatMap(([innerKey, outerKey]) => {
    const key = flat ? turned(outerKey) : outerKey;
    const room = numberAt(plan, shell, innerKey);
    const whole = numberAt(plan, shell, key);
    if (!room || !whole || room.how === 'class' || whole.how === 'class') return [];
    /* Under the processor's top there are still socket, board and standoffs. */
    const under =
      innerKey === 'coolerRoom' ? [plain('socket, board, standoffs', UNDER_MM, -1)] : [];
    if (room.lo + (under[0]?.value.lo ?? 0) <= whole.hi) return [];
    return gap({
      id: `contradiction:${innerKey}:${key}`,
      station: 'fit',
      title: `${words[innerKey]} against ${words[key]}`,
      seats: ['case'],
      unit: 'mm',
      terms: [
        termOf(shell, key, words[key] ?? key, 1, whole),
        termOf(shell, innerKey, words[innerKey] ?? innerKey, -1, room),
        ...under,
      ],
      minimumMargin: 0,
      source: commonPractice,
      undoMinutes: 20,
      say: (rest) =>
        `${words[innerKey]} is ${trimmed(-rest.hi)} mm more than ${words[key]}: measure the two again.`,
    });
  });
}

const trimmed = (mm: number) => String(Math.round(mm * 10) / 10);

const turned = (key: NumberKey): NumberKey =>
  key === 'outerWidth' ? 'outerHeight' : key === 'outerHeight' ? 'outerWidth' : key;
