import type { Source } from '../standards/source.ts';
import { isExact, type Range } from '../units/range.ts';
import { trim } from '../units/length.ts';
import type { Finding, Mark, Remedy, StationId, Subject, Term } from './finding.ts';

/**
 * The sum every figure is judged by: room less need leaves a rest.
 *
 *   |<------------- room ------------->|
 *   |######## need ########|<-- rest ->|
 *
 * The whole range decides: Clear when even the least rest keeps the margin, Stop when
 * even the most is below nothing, Watch between.
 */
export interface GapSpec {
  id: string;
  station: StationId;
  title: string;
  seats: string[];
  about?: Subject;
  unit: string;
  terms: Term[];
  /** Rest below which it works but is thin, in the unit. */
  minimumMargin: number;
  /** Names of the rest when it is there and when it lacks. */
  spare?: string;
  short?: string;
  source: Source;
  undoMinutes: number;
  /** What a lack is: Stop, unless a way to join is the rule (Mend). */
  lack?: Mark;
  say: (rest: Range, mark: Mark) => string;
  remedies?: (rest: Range) => Remedy[];
}

export function restOf(terms: readonly Term[]): Range {
  let [lo, hi] = [0, 0];
  for (const { value, sign } of terms) {
    if (typeof value === 'string' || sign === 0) continue;
    lo += sign === 1 ? value.lo : -value.hi;
    hi += sign === 1 ? value.hi : -value.lo;
  }
  return { lo, hi };
}

export function markOf(rest: Range, margin: number, lack: Mark = 'stop'): Mark {
  if (rest.hi < 0) return lack;
  return rest.lo >= margin ? 'clear' : 'watch';
}

export function gap(spec: GapSpec): Finding {
  const rest = restOf(spec.terms);
  const mark = markOf(rest, spec.minimumMargin, spec.lack);
  const found: Finding = {
    id: spec.id,
    station: spec.station,
    mark,
    title: spec.title,
    seats: spec.seats,
    unit: spec.unit,
    terms: spec.terms,
    margin: rest,
    marginLabel: labelOf(rest, spec.spare ?? 'spare', spec.short ?? 'over'),
    say: spec.say(rest, mark),
    source: spec.source,
    remedies: mark === 'clear' ? [] : (spec.remedies?.(rest) ?? []),
    undoMinutes: spec.undoMinutes,
  };
  if (spec.about) found.about = spec.about;
  return found;
}

/**
 * Whether a sum over what is only usual says anything: a Watch of it stands only where trouble is the likelier
 * half of the range. One that stands on every clean job says nothing.
 */
export const worthSaying = ({ mark, margin }: Finding): boolean =>
  mark !== 'watch' || !margin || margin.lo + margin.hi < 0;

function labelOf(rest: Range, spare: string, short: string): string {
  if (rest.hi < 0) return short;
  return rest.lo < 0 ? 'leaves' : spare;
}

/** `38`, `-20`, `250–400`, with a true minus sign. */
export function figure(value: Range, digits = 1): string {
  const one = (n: number) => trim(n, digits).replace('-', '−');
  return isExact(value) ? one(value.lo) : `${one(value.lo)} to ${one(value.hi)}`;
}
