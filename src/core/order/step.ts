import type { SeatId } from '../model/types/types.ts';

export type Phase =
  | 'before'
  | 'open'
  | 'out'
  | 'shell'
  | 'prepare'
  | 'bench start'
  | 'in'
  | 'gate'
  | 'close'
  | 'hand over';

/** One thing to do, in words for the bench. */
export interface Step {
  id: string;
  phase: Phase;
  title: string;
  /** Minutes of hands (common practice, no source). */
  minutes: number;
  /** Minutes it must be left alone afterwards: paint, a stress run. */
  leaveMinutes?: number | undefined;
  seats: SeatId[];
  tools: string[];
  fasteners?: string | undefined;
  cautions: string[];
  /** A gate: what must be seen before going on. */
  gate?: string | undefined;
  /** A picture is taken here: what it is wanted for. */
  photo?: string | undefined;
  undoable: boolean;
  /** Why it stands here. */
  why?: string | undefined;
  /** Ids of steps that come first. */
  after: string[];
}
