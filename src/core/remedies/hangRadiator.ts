import type { SeatId } from '../model/types/names.ts';
import { otherWalls } from './radiatorPlace.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    hangRadiator: { seat: SeatId; to: string };
  }
}

/** The radiator on another wall of the case. */
export const hangRadiator = remedy({
  do: 'hangRadiator',
  id: 'radiator-to',
  fields: { seat: { holds: 'seat' }, to: { holds: 'word' } },
  title: ({ to }) => `Radiator to the ${to}`,
  step: ({ to }) => `Hang the radiator with its fans on the ${to}`,
  minutes: 20,
  undoable: true,
  options: (plan) => [otherWalls(plan).map((to) => ({ do: 'hangRadiator', seat: 'cooler', to }))],
  moves: ({ seat }) => seat,
});
