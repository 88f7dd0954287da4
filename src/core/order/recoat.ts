import type { Step } from '../model/types/step.ts';
import type { Tick } from '../model/types/types.ts';

/** Until when a step may follow the one whose window it must meet; undefined where that is not done yet. */
export interface Window {
  until: string;
  /** What to do once it is past. */
  past: string | undefined;
}

export function windowOf(step: Step, ticks: readonly Tick[], now: string): Window | undefined {
  const done = step.within && ticks.find((tick) => tick.stepId === step.within?.of);
  if (!step.within || !done || ticks.some((tick) => tick.stepId === step.id)) return undefined;
  const until = new Date(Date.parse(done.at) + step.within.minutes * 60_000).toISOString();
  return { until, past: now > until ? step.within.else : undefined };
}
