import type { GapSpec } from '../findings/gap.ts';
import type { Placed } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import type { FeedState } from './feedState.ts';

/** Whose facts tell of the lead: the source's, or the converter's at the end of a branch of its own. */
export const leadAt = ({ tap, supply }: FeedState): Placed => tap?.converter.placed ?? supply;

export const base = (
  id: string,
  title: string,
  supply: Placed,
): Pick<GapSpec, 'id' | 'station' | 'title' | 'seats' | 'source' | 'undoMinutes'> => ({
  id,
  station: 'watts',
  title,
  seats: [supply.seat],
  source: commonPractice,
  undoMinutes: 60,
});
