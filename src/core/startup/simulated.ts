import type { Kind } from '../model/types/types.ts';
import { seededRandom } from '../units/seededRandom.ts';
import { causes, type Cause, type Symptom } from './causes.ts';
import { chanceOf, nextTests, standOf, testOf, type DiagnosisState } from './diagnosis.ts';
import { checklist, tests, type Test } from './tests.ts';

/**
 * A stand-in for a machine on the power-up bench: a hidden cause, answers with noise, minutes counted.
 * Same seed, same machine.
 */
export interface FaultyMachine {
  symptom: Symptom;
  /** Told only afterwards. */
  cause: Cause;
  answer: (test: Test) => { yes: boolean; minutes: number };
}

/** A machine with this sign, its cause drawn by the odds; every test answers alike however often it is asked. */
export function faultyMachine(sign: Symptom, seed: number): FaultyMachine {
  const random = seededRandom(seed);
  const able = causes.filter((each) => (each.odds[sign] ?? 0) > 0 && each.id !== 'other');
  const sum = able.reduce((total, each) => total + (each.odds[sign] ?? 0), 0);
  let at = random() * sum;
  const cause = able.find((each) => (at -= each.odds[sign] ?? 0) <= 0) ?? (able.at(-1) as Cause);
  const rolls = new Map(tests.map((each) => [each.id, { yes: random(), slow: random() }]));
  const undo = { yes: random(), slow: random() };
  return {
    symptom: sign,
    cause,
    answer: (test) => {
      const roll = rolls.get(test.id) ?? undo;
      return {
        yes: roll.yes < chanceOf(test, cause),
        minutes: Math.round(test.minutes * (0.7 + 0.9 * roll.slow)),
      };
    },
  };
}

export interface SimulatedDiagnosis {
  minutes: number;
  tests: string[];
  /** The cause that was named, right or wrong; undefined: given up. */
  named: string | undefined;
}

/** A search by a way of choosing the next test, until a cause is named or nothing is left to try. */
export function diagnoseBy(
  machine: FaultyMachine,
  start: Omit<DiagnosisState, 'symptom' | 'tried'>,
  choose: (state: DiagnosisState) => Test | undefined,
): SimulatedDiagnosis {
  let state: DiagnosisState = { ...start, symptom: machine.symptom, tried: [] };
  let minutes = 0;
  for (;;) {
    const { named } = standOf(state);
    const ids = state.tried.map((each) => each.test);
    if (named) return { minutes, tests: ids, named: named.cause.id };
    const test = choose(state);
    if (!test) return { minutes, tests: ids, named: undefined };
    const answer = machine.answer(test);
    minutes += answer.minutes;
    state = { ...state, tried: [...state.tried, { test: test.id, yes: answer.yes }] };
  }
}

/** Always the test that tells most for its minutes. */
export const bestFirst = (state: DiagnosisState): Test | undefined => nextTests(state)[0]?.test;

/** The checklist in its order, passing over tests no cause of this sign answers to, and swaps without a part. */
export const byChecklist = (state: DiagnosisState): Test | undefined => {
  const done = new Set(state.tried.map((each) => each.test));
  const able = causes.filter((each) => (each.odds[state.symptom] ?? 0) > 0);
  return checklist
    .map((id) => testOf(id, state.after) as Test)
    .find(
      (test) =>
        !done.has(test.id) &&
        (!test.spare || state.spares[test.spare]) &&
        able.some((cause) => (test.likely[cause.id] ?? 0) > 0),
    );
};

/** What a practised hand would have tried instead, step by step: where another test told more for its minutes. */
export function afterwards(
  state: DiagnosisState,
): { step: number; did: string; better: string; by: number }[] {
  return state.tried.flatMap(({ test: id }, i) => {
    const then = { ...state, tried: state.tried.slice(0, i) };
    const [best] = nextTests(then);
    const did = nextTests(then).find((each) => each.test.id === id);
    const own = testOf(id, state.after);
    if (!best || !own || best.test.id === id) return [];
    const by = best.worth / Math.max(did?.worth ?? 0, 1e-6);
    return by > 1.5 ? [{ step: i + 1, did: own.ask, better: best.test.ask, by }] : [];
  });
}

/** Kinds there is something of to swap with, in practice. */
export const simulatedSpares: Partial<Record<Kind, { id: string; name: string }>> = {
  memory: { id: 'practice', name: 'a module of the practice shelf' },
  supply: { id: 'practice', name: 'a PSU of the practice shelf' },
  card: { id: 'practice', name: 'a card of the practice shelf' },
  drive: { id: 'practice', name: 'a drive of the practice shelf' },
};
