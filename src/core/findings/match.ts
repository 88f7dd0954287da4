import type { Source } from '../standards/source.ts';
import type { Finding, Mark, Remedy, StationId, Subject, Term } from './finding.ts';

/** Two words that must agree: a socket, a plug, a kind of memory. */
export interface MatchSpec {
  id: string;
  station: StationId;
  title: string;
  seats: string[];
  about?: Subject;
  /** What is there, then what is wanted; a value of `undefined` is not known. */
  have: Omit<Term, 'sign' | 'value'> & { value: string | undefined };
  want: Omit<Term, 'sign' | 'value'> & { value: string | undefined };
  /** The verdict when both are known. */
  verdict: (have: string, want: string) => { mark: Mark; rest: string; say: string };
  unknownSay: string;
  source: Source;
  undoMinutes: number;
  remedies?: (mark: Mark) => Remedy[];
}

export function match(spec: MatchSpec): Finding {
  const { have, want } = spec;
  const known = have.value !== undefined && want.value !== undefined;
  const result = known
    ? spec.verdict(have.value as string, want.value as string)
    : { mark: 'watch' as const, rest: 'not known', say: spec.unknownSay };
  const term = (side: MatchSpec['have']): Term => ({ ...side, value: side.value ?? '?', sign: 0 });
  return {
    id: spec.id,
    station: spec.station,
    mark: result.mark,
    title: spec.title,
    seats: spec.seats,
    ...(spec.about && { about: spec.about }),
    unit: '',
    terms: [term(have), term(want)],
    marginLabel: result.rest,
    say: result.say,
    source: spec.source,
    remedies: result.mark === 'clear' ? [] : (spec.remedies?.(result.mark) ?? []),
    undoMinutes: spec.undoMinutes,
  };
}
