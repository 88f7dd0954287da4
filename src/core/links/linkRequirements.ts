import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { partsOfKind, numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { listOfJob } from '../model/lookup/reads.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';

/** What there would have to be more of. */
const kindFor = { screens: 'card', drives: 'drive', memoryGb: 'memory' } as const;

/** What the job asked for, counted against the plan: screens, drives, memory. */
export function linkRequirements(plan: Plan): Finding[] {
  return listOfJob(plan, 'requirements').map((ask) => {
    const terms = [
      ...{ screens, drives, memoryGb }[ask.what](plan),
      plain('the job asks for', range(ask.count), -1),
    ];
    const label = { screens: 'screens', drives: 'drives', memoryGb: 'RAM' }[ask.what];
    return gap({
      id: `asks-${ask.what}`,
      about: { of: 'requirement', kind: kindFor[ask.what] },
      station: 'links',
      title: `${label} the job asks for`,
      seats: [...new Set(terms.flatMap((term) => (term.input ? [term.input.seat] : [])))],
      unit: ask.what === 'memoryGb' ? 'GB' : '',
      terms,
      minimumMargin: 0,
      short: 'short',
      lack: 'mend',
      source: commonPractice,
      undoMinutes: 20,
      say: (rest, mark) =>
        mark === 'mend'
          ? `${-rest.hi} short of what the job asks for.`
          : mark === 'clear'
            ? 'The job gets what it asks for.'
            : 'Not counted yet.',
    });
  });
}

/** With a card, a board's own outputs go dark on most machines: the card counts, or else the board. */
function screens(plan: Plan) {
  const cards = partsOfKind(plan, 'card').flatMap((placed) => {
    const told = numberAt(plan, placed, 'screens');
    return told ? [termOf(placed, 'screens', placed.part.name, 1, told)] : [];
  });
  if (cards.length > 0) return cards;
  const board = partOfKind(plan, 'board');
  const told = board && numberAt(plan, board, 'screens');
  return board && told ? [termOf(board, 'screens', 'board outputs', 1, told)] : [];
}

function drives(plan: Plan) {
  return [plain('drives in the plan', range(partsOfKind(plan, 'drive').length), 1)];
}

function memoryGb(plan: Plan) {
  return partsOfKind(plan, 'memory').flatMap((placed) => {
    const told = numberAt(plan, placed, 'size');
    return told ? [termOf(placed, 'size', placed.part.name, 1, told)] : [];
  });
}
