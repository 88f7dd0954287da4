import {
  registerAll,
  standardPatterns,
  type Candidate,
  type Pattern,
  type RegisterInput,
} from './register.ts';

/**
 * Whose board is it? One pattern, one nearly, several that cannot be told apart yet (and what
 * would tell them apart), or none.
 */
export interface BoardIdentity {
  verdict: 'is' | 'nearly' | 'cannot tell' | 'none';
  /** The pattern it is or nearly is, or those it may be. */
  candidates: Candidate[];
  say: string;
  /** What to ask or measure next, the one that parts most candidates first. */
  ask: Ask[];
}

export type Ask =
  | { kind: 'all'; question: string }
  | { kind: 'outline'; question: string }
  | {
      kind: 'hole';
      question: string;
      hole: string;
      x: number;
      y: number;
      yes: string[];
      no: string[];
    };

export function identifyBoard(
  given: RegisterInput,
  patterns: readonly Pattern[] = standardPatterns,
): BoardIdentity {
  const { input, all, noise } = registered(given, patterns);
  const whole = all.filter(
    (candidate) => candidate.extra.length === 0 && candidate.chi2 <= candidate.chi2Limit,
  );
  const open = whole.filter((candidate) => allowed(candidate, input));
  const alike = open.some((each) => each.outlineAgrees === undefined && each.pattern.others);
  if (open.length > 1) {
    return {
      verdict: 'cannot tell',
      candidates: open,
      say: `These holes lie in ${names(open)} alike.${noise}`,
      ask: asks(input, open),
    };
  }
  const [only] = open;
  if (only && alike)
    return {
      verdict: 'is',
      candidates: [only],
      say: `${sayIs(only, input)} ${formatsOf(only.pattern).slice(1).join(', ')} has the same holes and another outline.${noise}`,
      ask: [OUTLINE],
    };
  if (only)
    return { verdict: 'is', candidates: [only], say: `${sayIs(only, input)}${noise}`, ask: [] };
  const near = nearly(all, whole);
  if (near) return { verdict: 'nearly', candidates: [near], say: sayNearly(near, input), ask: [] };
  return {
    verdict: 'none',
    candidates: [],
    say: "No known pattern has three of these holes: a board of its maker's own, or a figure is wrong.",
    ask: [],
  };
}

/** The roughest figures a hand takes, mm; what is further off is another pattern. */
const ROUGHEST_MM = 1;

/**
 * All patterns at the accuracy that was said; where none holds and more holes were measured than it needs, at
 * the accuracy the figures themselves show: the least residual of a pattern that has every one of them.
 */
function registered(
  given: RegisterInput,
  patterns: readonly Pattern[],
): { input: RegisterInput; all: Candidate[]; noise: string } {
  const all = registerAll(given, patterns);
  const whole = (each: Candidate) => each.extra.length === 0;
  const asSaid = { input: given, all, noise: '' };
  if (given.points.length < 4 || all.some((each) => whole(each) && each.chi2 <= each.chi2Limit))
    return asSaid;
  const rough = registerAll(
    { ...given, accuracyMm: Math.max(given.accuracyMm, ROUGHEST_MM / 2) },
    patterns,
  );
  const shown = Math.min(
    ...rough
      .filter(whole)
      .map(({ pairs, rmsMm }) => rmsMm * Math.sqrt(pairs.length / (2 * pairs.length - 3))),
  );
  if (!(shown > given.accuracyMm && shown <= ROUGHEST_MM)) return asSaid;
  const input = { ...given, accuracyMm: shown };
  return {
    input,
    all: registerAll(input, patterns),
    noise: ` The figures are off by ${shown.toFixed(1)} mm, more than the ${given.accuracyMm} said.`,
  };
}

/** A pattern is out when its outline differs, or when all holes were measured and it has more. */
function allowed(candidate: Candidate, input: RegisterInput): boolean {
  if (candidate.outlineAgrees === false) return false;
  return !(input.all === true && candidate.missing.length > 0);
}

/** The best of those that match well but for some holes, or for the outline. */
function nearly(all: readonly Candidate[], whole: readonly Candidate[]): Candidate | undefined {
  if (whole.length > 0) {
    return [...whole].sort((a, b) => a.missing.length - b.missing.length)[0];
  }
  const good = all.filter(
    (candidate) => candidate.chi2 <= candidate.chi2Limit && candidate.pairs.length >= 3,
  );
  return good.sort(
    (a, b) => b.pairs.length - a.pairs.length || a.missing.length - b.missing.length,
  )[0];
}

const names = (candidates: readonly Candidate[]) =>
  candidates
    .flatMap(({ pattern, outlineAgrees }) =>
      outlineAgrees === undefined ? formatsOf(pattern) : [pattern.name],
    )
    .join(', ');

/** The formats with these holes; only the outline tells several apart. */
const formatsOf = ({ name, others }: Pattern): string[] => [
  name,
  ...(others ?? []).map((each) => each.name),
];

function sayIs(candidate: Candidate, input: RegisterInput): string {
  const left = candidate.missing.length;
  const tail =
    left === 0
      ? ''
      : input.all === false
        ? ` Not measured: ${candidate.missing.join(', ')}.`
        : ` Holes ${candidate.missing.join(', ')} were not measured.`;
  return `${candidate.pattern.name}, off by ${candidate.rmsMm.toFixed(2)} mm.${tail}`;
}

function sayNearly(candidate: Candidate, input: RegisterInput): string {
  const parts = [
    candidate.extra.length > 0
      ? `hole ${candidate.extra.map((i) => i + 1).join(', ')} lies where it has none`
      : '',
    input.all && candidate.missing.length > 0
      ? `its ${candidate.missing.join(', ')} are not there`
      : '',
    candidate.outlineAgrees === false ? 'its outline differs' : '',
  ].filter(Boolean);
  return `Nearly ${candidate.pattern.name}: ${parts.join('; ') || 'the figures are further off than the caliper'}.`;
}

const OUTLINE: Ask = {
  kind: 'outline',
  question: 'How wide is the board along the rear, and how deep?',
};

function asks(input: RegisterInput, open: readonly Candidate[]): Ask[] {
  const list: Ask[] = [];
  const hole = partingHole(open);
  if (hole) list.push(hole);
  if (input.all === undefined && open.some((candidate) => candidate.missing.length === 0)) {
    list.push({ kind: 'all', question: 'Are these all the holes the board has?' });
  }
  const sizes = new Set(open.map(({ pattern }) => `${pattern.widthMm} ${pattern.depthMm}`));
  if (!input.outline && sizes.size > 1) {
    list.push(OUTLINE);
  }
  return list;
}

/** The unmeasured hole whose presence splits the candidates most evenly. */
function partingHole(open: readonly Candidate[]): Extract<Ask, { kind: 'hole' }> | undefined {
  const missing = new Map(
    open.flatMap(({ pattern, missing: names }) =>
      pattern.holes.filter((hole) => names.includes(hole.name)).map((hole) => [hole.name, hole]),
    ),
  );
  let best: { name: string; x: number; y: number; yes: string[]; no: string[] } | undefined;
  for (const [name, { x, y }] of missing) {
    const yes = open
      .filter((candidate) => candidate.missing.includes(name))
      .map((each) => each.pattern.name);
    const no = open.map((each) => each.pattern.name).filter((pattern) => !yes.includes(pattern));
    if (no.length === 0) continue;
    const even = Math.min(yes.length, no.length);
    if (!best || even > Math.min(best.yes.length, best.no.length)) best = { name, x, y, yes, no };
  }
  if (!best) return undefined;
  return {
    kind: 'hole',
    hole: best.name,
    x: best.x,
    y: best.y,
    yes: best.yes,
    no: best.no,
    question: `Is there a hole ${best.x.toFixed(1)} mm from the port end and ${best.y.toFixed(1)} mm from the rear edge? Yes: ${best.yes.join(', ')}; no: ${best.no.join(', ')}.`,
  };
}
