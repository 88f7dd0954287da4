import type { Finding } from '../findings/finding.ts';
import { mayFail } from '../findings/terms.ts';
import { clashesBetween } from '../fit/clashes.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { withReadings, type Readings } from '../model/lookup/reads.ts';
import { checks } from '../plan/checks.ts';
import { judged } from '../plan/run.ts';
import { isAgainst } from '../plan/runs.ts';

/** A sum by itself: all findings of one check, or of a check over two seats alone. */
export interface Unit {
  run: (plan: Plan) => Finding[];
}

/** A finding with the sum behind it and what that read of the plan. */
export interface Told {
  finding: Finding;
  unit: Unit;
  readings: Readings;
}

/** A sum that two checks give counts once. */
export const once = (told: readonly Told[]): Told[] => [
  ...new Map(told.map((each) => [each.finding.id, each])).values(),
];

/** A check that fails on the data says neither yes nor no: as on the tape, where it stands as a Watch. */
function orNone(work: () => Finding[]): Finding[] {
  try {
    return work();
  } catch {
    return [];
  }
}

/** All findings of a plan, each with the sum behind it and what that read. */
export function tell(plan: Plan): Told[] {
  return checks.flatMap((check) => {
    const { value, readings } = withReadings(plan, (at) => orNone(() => check(at)));
    return value.map((raw): Told => {
      const finding = judged(plan, raw);
      const { about } = raw;
      if (about?.of !== 'space' || !(isAgainst(finding) || mayFail(finding)))
        return { finding, unit: { run: check }, readings };
      const [a, b] = about.between;
      const run = (at: Plan) => clashesBetween(at, a, b);
      const alone = withReadings(plan, run);
      return alone.value.some(({ id, mark }) => id === raw.id && mark === raw.mark)
        ? { finding, unit: { run }, readings: alone.readings }
        : { finding, unit: { run: check }, readings };
    });
  });
}
