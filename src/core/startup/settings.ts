import {
  partsOfKind,
  listAt,
  partOfKind,
  textAt,
  type Plan,
  isSort,
} from '../model/lookup/plan.ts';
import { trainingOf } from '../model/lookup/training.ts';
import { risers } from '../model/properties/smallSorts.ts';

/** A setting of the firmware this plan needs, and what it gives up where it silences something. */
export interface Setting {
  setting: string;
  why: string;
  /** Protection that is lost. */
  loses?: string;
}

/** Settings to look at before the lid goes on (common practice, no source). */
export function settingsFor(plan: Plan): Setting[] {
  const board = partOfKind(plan, 'board');
  if (!board) return [];
  const found: Setting[] = [];
  const makers = textAt(plan, board, 'format')?.text === "maker's own";
  const newCase = plan.seats.some((placed) => placed.kind === 'case' && placed.state === 'comes');
  if (makers && newCase)
    found.push({
      setting: 'lid sensor: off, if the new case has none',
      why: "a maker's board stops with an alarm when its lid sensor is missing",
      loses: 'nobody is told when the case was opened',
    });
  const headers = listAt(plan, board, 'fanHeaders')?.items.length;
  const fans = partsOfKind(plan, 'fan').length + (partOfKind(plan, 'cooler') ? 1 : 0);
  if (headers !== undefined && fans < headers)
    found.push({
      setting: 'fan lower limit: ignore on the empty headers',
      why: `${headers} headers, ${fans} fan${fans === 1 ? '' : 's'}: the board misses the others`,
      loses: 'a fan that dies there later is not told',
    });
  const cards = partsOfKind(plan, 'card');
  const riser = partsOfKind(plan, 'small').some((each) => isSort(plan, each, risers));
  if (riser)
    found.push({
      setting: "slot generation: fixed at the riser's",
      why: 'a link that trains too fast for its riser drops out under load',
    });
  if (cards.some((card) => card.state === 'comes'))
    found.push({
      setting: 'link power saving: off, for the first starts',
      why: 'some firmware does not bring up a card until it is off; put it back after',
    });
  const graphics = partOfKind(plan, 'processor');
  if (cards.length > 0 && graphics && textAt(plan, graphics, 'graphics')?.text === 'yes')
    found.push({
      setting: 'first picture: from the card, the CPU’s own left on'.replace('’', "'"),
      why: 'the first picture goes where the firmware sends it: look at both ports',
    });
  if (partsOfKind(plan, 'memory').some((module) => module.state === 'comes'))
    found.push({
      setting: 'RAM: no profile for the first start',
      why: 'new RAM first at its plain speed, faster once it runs',
    });
  return found;
}

/** Seconds to leave a machine alone at its first start, and why; 0 where there is no need. */
export function leaveAlone(plan: Plan): { seconds: number; why: string } {
  const memory = partsOfKind(plan, 'memory').some((module) => module.state === 'comes');
  const board = partOfKind(plan, 'board')?.state === 'comes';
  if (memory || board) {
    const { minutes, words } = trainingOf(plan);
    return { seconds: minutes * 60, why: `${words}. Leave it.` };
  }
  return { seconds: 30, why: 'half a minute to a picture is usual.' };
}
