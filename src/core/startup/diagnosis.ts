import type { Kind } from '../model/types/types.ts';
import { causes, type Cause, type Need, type Symptom } from './causes.ts';
import { BY_CHANCE, tests, type Test } from './tests.ts';

/** What is known of a machine that does not start. */
export interface DiagnosisState {
  symptom: Symptom;
  /** Kinds of part changed last. */
  after: readonly Kind[];
  /** Its maker's own board and plugs. */
  maker: boolean;
  /** Parts of the shelf that can be swapped in, by kind. */
  spares: Partial<Record<Kind, { id: string; name: string }>>;
  tried: readonly { test: string; yes: boolean }[];
  /** What the machine has; undefined: nobody said, everything may be there. */
  has?: ReadonlySet<Need> | undefined;
  /** What the shop itself found before. */
  learned?: Learned | undefined;
}

/** The shop's own results: causes found by sign, and minutes its tests took. */
export interface Learned {
  found: Readonly<Record<string, Readonly<Record<string, number>>>>;
  minutes: Readonly<Record<string, { sum: number; n: number }>>;
}

export interface Odds {
  cause: Cause;
  share: number;
}

export interface NextTest {
  test: Test;
  /** Bits it is expected to tell. */
  bits: number;
  /** Minutes it takes here, and its chance of yes. */
  minutes: number;
  chance: number;
  /** What it is done with. */
  with: { id: string; name: string } | undefined;
  /** Bits for a minute, risk counted in. */
  worth: number;
}

/** A cause changed last is this much likelier (common practice, no source). */
const CHANGED_LAST = 3;
/** The odds written down count as so many cases of one's own. */
const WRITTEN = 8;
const WRITTEN_MINUTES = 3;
/** What is left of the odds that an undone change mends what it brought. */
const UNDONE = 0.9;

/** Undoing the last change, as a test: likely for every cause that sits in what was changed. */
export function undoLast(after: readonly Kind[]): Test | undefined {
  if (after.length === 0) return undefined;
  return {
    id: 'undo',
    ask: `Undo the last change: ${after.join(', ')} as it was`,
    yes: 'it works as before',
    no: 'as before',
    minutes: 4 + 4 * after.length,
    risk: 0,
    mends: false,
    byChance: BY_CHANCE,
    blind: [],
    likely: Object.fromEntries(
      causes
        .filter((cause) => cause.kinds.some((kind) => after.includes(kind)))
        .map((cause) => [cause.id, UNDONE]),
    ),
  };
}

/** A test by its id, the undoing of the last change among them. */
export function testOf(id: string, after: readonly Kind[]): Test | undefined {
  return id === 'undo' ? undoLast(after) : tests.find((each) => each.id === id);
}

export const chanceOf = (test: Test, cause: Cause): number =>
  test.likely[cause.id] ?? test.byChance;

/** A sign that shows the part is there, listed or not. */
const shows: Partial<Record<Symptom, Need>> = { drive: 'drive', card: 'card' };

const isThere = (state: DiagnosisState, need: Need | undefined): boolean =>
  need === undefined ||
  state.has === undefined ||
  state.has.has(need) ||
  shows[state.symptom] === need;

/**
 * What was tried, each test once: repeated it tells nothing new, for it would come out alike. A test that came out
 * both ways tells nothing at all and is named. What is blind to the sign is left out.
 */
function toldBy(state: DiagnosisState): { told: { test: Test; yes: boolean }[]; both: Test[] } {
  const told: { test: Test; yes: boolean }[] = [];
  const both: Test[] = [];
  for (const id of new Set(state.tried.map((each) => each.test))) {
    const test = testOf(id, state.after);
    if (!test || test.blind.includes(state.symptom)) continue;
    const answers = new Set(state.tried.flatMap((each) => (each.test === id ? [each.yes] : [])));
    if (answers.size > 1) both.push(test);
    else told.push({ test, yes: answers.has(true) });
  }
  return { told, both };
}

/** Odds before any test: those written down, what was changed last, the kind of machine, the shop's own. */
export function priorOf(state: DiagnosisState): Odds[] {
  const own = state.learned?.found[state.symptom] ?? {};
  const cases = Object.values(own).reduce((sum, each) => sum + each, 0);
  const written = shares(
    causes
      .filter((cause) => isThere(state, cause.needs))
      .map((cause) => ({
        cause,
        share:
          (cause.odds[state.symptom] ?? 0) *
          (cause.kinds.some((kind) => state.after.includes(kind)) ? CHANGED_LAST : 1) *
          (state.maker ? (cause.maker ?? 1) : 1),
      })),
  );
  return written.map(({ cause, share }) => ({
    cause,
    share: (share * WRITTEN + (own[cause.id] ?? 0)) / (WRITTEN + cases),
  }));
}

/** Odds after all that was tried (Bayes, one cause at a time), likeliest first, and how well anything explains it. */
export function oddsOf(state: DiagnosisState): { odds: Odds[]; explained: number } {
  let explained = 1;
  const odds = toldBy(state).told.reduce((before, { test, yes }) => {
    const after = before.map(({ cause, share }) => ({
      cause,
      share: share * (yes ? chanceOf(test, cause) : 1 - chanceOf(test, cause)),
    }));
    const sum = after.reduce((total, each) => total + each.share, 0);
    explained *= sum;
    return shares(after);
  }, priorOf(state));
  return {
    odds: odds.filter((each) => each.share > 1e-6).sort((a, b) => b.share - a.share),
    explained,
  };
}

function shares(list: readonly Odds[]): Odds[] {
  const sum = list.reduce((total, each) => total + each.share, 0);
  return sum > 0 ? list.map(({ cause, share }) => ({ cause, share: share / sum })) : [...list];
}

const entropy = (list: readonly number[]): number =>
  list.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);

/** Minutes a test takes in this shop. */
export function minutesOf(test: Test, learned: Learned | undefined): number {
  const own = learned?.minutes[test.id];
  if (!own || own.n === 0) return test.minutes;
  return (test.minutes * WRITTEN_MINUTES + own.sum) / (WRITTEN_MINUTES + own.n);
}

/**
 * Tests still to make, the one that tells most for its minutes and risk first. A swap is offered with
 * the part of the shelf it is done with, or not at all.
 */
export function nextTests(state: DiagnosisState): NextTest[] {
  const { odds } = oddsOf(state);
  const done = new Set(state.tried.map((each) => each.test));
  const undo = undoLast(state.after);
  const before = entropy(odds.map((each) => each.share));
  return [...(undo ? [undo] : []), ...tests]
    .filter((test) => !done.has(test.id) && (!test.spare || state.spares[test.spare]))
    .filter((test) => isThere(state, test.needs) && !test.blind.includes(state.symptom))
    .map((test): NextTest => {
      const yes = odds.map((each) => each.share * chanceOf(test, each.cause));
      const no = odds.map((each, i) => each.share - (yes[i] ?? 0));
      const chance = yes.reduce((sum, each) => sum + each, 0);
      const left =
        chance * entropy(yes.map((each) => each / Math.max(chance, 1e-12))) +
        (1 - chance) * entropy(no.map((each) => each / Math.max(1 - chance, 1e-12)));
      const bits = Math.max(0, before - left);
      const minutes = minutesOf(test, state.learned);
      return {
        test,
        bits,
        minutes,
        chance,
        with: test.spare ? state.spares[test.spare] : undefined,
        worth: bits / (minutes + test.risk),
      };
    })
    .filter((each) => each.bits > 1e-4)
    .sort((a, b) => b.worth - a.worth);
}

/** From this share on a cause is named. */
export const SURE = 0.9;

/** Where a search stands: the cause named, or what contradicts itself. */
export function standOf(state: DiagnosisState): {
  named: Odds | undefined;
  contradicts: string | undefined;
} {
  const { odds } = oddsOf(state);
  const [first] = odds;
  return {
    named: first && first.cause.id !== 'other' && first.share >= SURE ? first : undefined,
    contradicts: contradictionOf(state),
  };
}

/** Below this even the cause that explains it best hardly does. */
const HARDLY = 0.05;

/**
 * What was found that goes together under no one cause: for each cause, how much rarer the results are than the ones
 * it would bring by itself; the best of all causes counts. Something else explains that nothing helped, never what did.
 */
function contradictionOf(state: DiagnosisState): string | undefined {
  const { told, both } = toldBy(state);
  const [twice] = both;
  if (twice)
    return `Tried twice and came out both ways: ${twice.ask}. It counts as not tried; a loose contact does that.`;
  if (told.length < 2) return undefined;
  const explains = (cause: Cause) =>
    told.reduce((product, { test, yes }) => {
      const chance = chanceOf(test, cause);
      return product * ((yes ? chance : 1 - chance) / Math.max(chance, 1 - chance));
    }, 1);
  const best = Math.max(
    ...priorOf(state).map((each) => (each.share > 0 ? explains(each.cause) : 0)),
  );
  return best < HARDLY
    ? 'What was found hardly goes together under any one cause: do the last test again, or there are two faults.'
    : undefined;
}
