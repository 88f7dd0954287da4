import type { Term, ToGet } from '../findings/finding.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { RemedyFields, RemedyName, RemedyValue } from '../model/types/remedyValue.ts';
import type { SeatId } from '../model/types/types.ts';
import type { Thing } from './things.ts';

/** What a field of a remedy holds; `part` is a tag that may be renumbered. */
export type FieldSort = 'seat' | 'seats' | 'part' | 'word' | 'words' | 'count';

/** A field that tells remedies apart, or one that is only told along with it. */
export interface Field {
  holds: FieldSort;
  /** Not needed to know which remedy it is; older files lack it. */
  aside?: true;
}

type Fields<K extends RemedyName> = { [F in keyof RemedyFields[K]]-?: Field };

/** All that one remedy is and does: its file is the only place that knows it. */
export interface RemedyKind<K extends RemedyName = RemedyName> {
  do: K;
  /** Its name in ids: those of steps and of the API, and of files up to version 6. */
  id: string;
  /** What it has to be told; in ids in this order. */
  fields: Fields<K>;
  /** What is done, as the finding offers it and the search lists it. */
  title: (value: RemedyValue<K>, plan: Plan) => string;
  /** The same as a step of the work order, where it is said otherwise there. */
  step?: (value: RemedyValue<K>, plan: Plan) => string;
  /** Minutes of hands (common practice, no source). */
  minutes: number | ((value: RemedyValue<K>) => number);
  /** What has to be got for it; nothing: it costs minutes alone. */
  get?: (value: RemedyValue<K>, plan: Plan) => ToGet;
  /** Whether a thing made for the job does for it: then nothing has to be got. */
  made?: (thing: Thing, value: RemedyValue<K>) => boolean;
  /** Can it be undone? Metal that is cut cannot. */
  undoable: boolean;
  /** Metal is cut: goggles, and the case empty. */
  cuts?: true;
  /** What it gives up of the goal or of safety. */
  givesUp?: string;
  /** What it does to the looks. */
  spoils?: string;
  /** The line it adds to a sum. */
  term?: (plan: Plan, value: RemedyValue<K>) => Term | undefined;
  /** What the search may choose from: one list for each thing that gives, whatever stands applied. */
  options?: (plan: Plan) => readonly (readonly RemedyValue<K>[])[];
  /** The part that stands or turns elsewhere with it. */
  moves?: (value: RemedyValue<K>) => SeatId;
  /** No step of its own in the work on the case. */
  stepElsewhere?: true;
}

type Told<K extends RemedyName> = Omit<RemedyValue<K>, 'do'>;
type Called<K extends RemedyName> =
  Record<never, never> extends Told<K>
    ? (told?: Told<K>) => RemedyValue<K>
    : (told: Told<K>) => RemedyValue<K>;

/** A remedy to call with what it has to be told, `moveDrive({ seat, to })`, and to ask about itself. */
export function remedy<K extends RemedyName>(kind: RemedyKind<K>): Called<K> & RemedyKind<K> {
  const make = (told?: Told<K>) => ({ do: kind.do, ...told }) as RemedyValue<K>;
  return Object.assign(make as Called<K>, kind);
}
