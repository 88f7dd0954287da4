import type { Remote } from 'comlink';

/** What speaks with workers comes with the first question. */
const speech = () => import('comlink');

/** Tells the page how far work in a worker is; silent once the work was overtaken. */
type Telling = <Step>(tell: (step: Step) => void) => (step: Step) => void;

/** A worker that answers one question at a time: a later one overtakes the one under way. */
export class Background<Api> {
  /** A question is under way. */
  busy = $state(false);
  /** What went wrong with the last one. */
  fault = $state<string | undefined>(undefined);
  #open: () => Worker;
  #worker: Worker | undefined;
  #remote: Remote<Api> | undefined;
  #turn = 0;

  /** `open` starts the worker, when the first question is asked. */
  constructor(open: () => Worker) {
    this.#open = open;
  }

  /** Whether its worker stands. */
  get opened(): boolean {
    return this.#worker !== undefined;
  }

  /** The answer; undefined where it failed (see `fault`) or where a later question, `stop` or `close` overtook it. */
  async ask<T>(work: (api: Remote<Api>, telling: Telling) => Promise<T>): Promise<T | undefined> {
    const mine = ++this.#turn;
    this.busy = true;
    this.fault = undefined;
    let answer: T | undefined;
    let fault: string | undefined;
    try {
      const { proxy } = await speech();
      /* Overtaken, or closed, before it was put. */
      if (mine !== this.#turn) return undefined;
      const telling: Telling = (tell) =>
        proxy((step) => {
          if (mine === this.#turn) tell(step);
        });
      answer = await work(await this.api(), telling);
    } catch (error) {
      fault = (error as Error).message;
    }
    if (mine !== this.#turn) return undefined;
    this.busy = false;
    this.fault = fault;
    return answer;
  }

  /** The worker itself, for short questions that may run beside another. */
  async api(): Promise<Remote<Api>> {
    const { wrap } = await speech();
    if (!this.#remote) {
      this.#worker = this.#open();
      this.#remote = wrap<Api>(this.#worker);
    }
    return this.#remote;
  }

  /** Nobody waits for the question under way any more. */
  stop(): void {
    this.#turn += 1;
    this.busy = false;
  }

  close(): void {
    this.stop();
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#remote = undefined;
  }
}
