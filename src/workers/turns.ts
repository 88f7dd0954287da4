/** Work that gives way: it breathes now and then, and stops when something else was asked meanwhile. */

const BREATH_MS = 40;
let turn = 0;

/** Whatever is under way stops at its next breath. */
export const overtake = (): void => void (turn += 1);

/** Runs a generator to its end, telling of its steps; undefined where it was overtaken. */
export async function inTurns<Step, Answer>(
  work: Generator<Step, Answer>,
  progress: (step: Step) => void,
): Promise<Answer | undefined> {
  overtake();
  const mine = turn;
  let last = performance.now();
  for (let step = work.next(); ; step = work.next()) {
    if (step.done) return step.value;
    if (performance.now() - last < BREATH_MS) continue;
    progress(step.value);
    await new Promise((done) => setTimeout(done, 0));
    if (mine !== turn) return undefined;
    last = performance.now();
  }
}
