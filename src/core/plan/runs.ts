import type { Finding } from '../findings/finding.ts';
import { partOfKind, type Plan } from '../model/lookup/plan.ts';
import { kindName } from '../model/types/seats.ts';
import type { Kind } from '../model/types/types.ts';

/** What a machine must have to run. */
export const vitalKinds = [
  'case',
  'board',
  'processor',
  'cooler',
  'memory',
  'supply',
] as const satisfies readonly Kind[];

/**
 * Whether a machine runs as it is planned, told in one way everywhere: case, board, CPU, cooler, RAM and PSU are
 * there, no Stop stands and no Mend is left unmended. Money and what a job asks for beyond that are told apart.
 */
export interface Runs {
  runs: boolean;
  /** What it must have and has not. */
  lacks: Kind[];
  /** Not listed of a machine nobody said starts or does not: it may be there. */
  unsaid: Kind[];
  /** Stops, and Mends left unmended. */
  against: Finding[];
}

/** How a vital kind stands in a plan. Of a machine that starts, whatever no tool lists is there all the same. */
export function vitalOf(plan: Plan, kind: Kind): 'there' | 'lacks' | 'unsaid' {
  if (partOfKind(plan, kind)) return 'there';
  if (!plan.machine || plan.goes.some((each) => each.kind === kind)) return 'lacks';
  const { starts } = plan.machine;
  return starts === undefined ? 'unsaid' : starts ? 'there' : 'lacks';
}

/** A finding that keeps a machine from running; a bracket that bends wrong does not. */
export const isAgainst = ({ mark, about, station }: Finding): boolean =>
  (mark === 'stop' || mark === 'mend') &&
  station !== 'make' &&
  about?.of !== 'money' &&
  about?.of !== 'requirement';

export function runsOf(plan: Plan, found: readonly Finding[]): Runs {
  const stands = vitalKinds.map((kind) => ({ kind, is: vitalOf(plan, kind) }));
  const kindsThat = (is: string) => stands.flatMap((each) => (each.is === is ? [each.kind] : []));
  const lacks = kindsThat('lacks');
  const against = found.filter(isAgainst);
  return {
    runs: lacks.length === 0 && against.length === 0,
    lacks,
    unsaid: kindsThat('unsaid'),
    against,
  };
}

/** Why it does not run, a reason each. */
export const whyNot = ({ lacks, against }: Runs): string[] => [
  ...lacks.map((kind) => `no ${kindName(kind)}`),
  ...against.map(({ title, say }) => `${title}: ${say}`),
];
