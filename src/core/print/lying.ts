import type { Printed } from '../model/types/printTypes.ts';

/** How it lies on the bed: along the load, or layers part under it (common practice, no source). */
export function lying(print: Printed): string {
  switch (print.do) {
    case 'card support':
      return 'Print it on its side: standing, the card’s weight pulls its layers apart at the shelf';
    case 'fan bracket':
      return 'Print it on the fan’s face: the flange stands up, more walls where it bends';
    case 'standoff tower':
    case 'riser stand':
      return 'Print it standing, all of it solid round the screws';
    case 'cable comb':
      return 'Print it lying on its back, teeth up';
    default:
      return 'Print it lying on its large face, no supports';
  }
}
