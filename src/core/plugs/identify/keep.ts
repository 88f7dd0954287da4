import type { OwnPlug } from '../../model/types/types.ts';
import type { Identified } from './answer.ts';
import type { PlugNotes } from './words.ts';

/** What was found out, as a plug of one's own: sure pins by name, all others left open ('?'). */
export function ownPlugOf(
  notes: PlugNotes,
  answer: Identified,
  name: string,
  id: string,
  at: string,
): OwnPlug {
  const { rows, ways } = notes.grid ?? { rows: 1, ways: answer.pins.length };
  const colour = (pin: number) =>
    notes.readings.find((each) => each.kind === 'colour' && each.pin === pin);
  return {
    id,
    name,
    rows,
    ways,
    pitchMm: 4.2,
    pins: answer.pins.map((pin) => (pin.word === 'sure' && pin.best !== 'other' ? pin.best : '?')),
    colours: answer.pins.map(({ pin }) => {
      const seen = colour(pin);
      return seen?.kind === 'colour' ? seen.colour : '';
    }),
    at,
  };
}

/** A tag from a name: letters and digits, in small letters. */
export const plugTag = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 36) || 'plug';
