import type { Finding, Mark } from '../findings/finding.ts';
import { termOf, wordOf } from '../findings/terms.ts';
import { numberAt, partsOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';

/** Hours a spinning or solid drive is trusted for without a look (common practice, no source: about five years on). */
const MANY_HOURS = 40_000;
/** Share of its life, percent, from which a solid drive is near its end. */
const WORN = 80;

/** What drives say of themselves: a test failed, sectors set aside, much of their life used, many hours. */
export function driveRecord(plan: Plan): Finding[] {
  return partsOfKind(plan, 'drive').flatMap((drive): Finding[] => {
    const test = textAt(plan, drive, 'selfTest');
    const hours = numberAt(plan, drive, 'hours');
    const worn = numberAt(plan, drive, 'worn');
    const bad = numberAt(plan, drive, 'reallocated');
    const terms = [
      ...(test
        ? [
            {
              ...wordOf(drive, 'selfTest', 'its own record', test),
              value: test.text,
              sign: 0 as const,
            },
          ]
        : []),
      ...(bad
        ? [{ ...termOf(drive, 'reallocated', 'bad sectors', 1, bad), sign: 0 as const }]
        : []),
      ...(worn ? [{ ...termOf(drive, 'worn', 'worn, %', 1, worn), sign: 0 as const }] : []),
      ...(hours ? [{ ...termOf(drive, 'hours', 'hours', 1, hours), sign: 0 as const }] : []),
    ];
    if (terms.length === 0) return [];
    const [mark, rest, say] = verdict({
      failed: test?.text === 'failed',
      bad: bad?.lo ?? 0,
      worn: worn?.lo ?? 0,
      hours: hours?.lo ?? 0,
    });
    return [
      {
        id: `drive-record:${drive.seat}`,
        station: 'links',
        mark,
        title: "drive's own record",
        seats: [drive.seat],
        unit: '',
        terms,
        marginLabel: rest,
        say,
        source: commonPractice,
        remedies: [],
        undoMinutes: 60,
      },
    ];
  });
}

interface Told {
  failed: boolean;
  bad: number;
  worn: number;
  hours: number;
}

function verdict({ failed, bad, worn, hours }: Told): [mark: Mark, rest: string, say: string] {
  if (failed)
    return [
      'stop',
      'failing',
      'It says of itself that it is failing: data off, and no machine goes out with it.',
    ];
  if (bad > 0)
    return [
      'watch',
      `${bad} bad`,
      `${bad} sectors set aside: run its long test, and look whether there are more afterwards.`,
    ];
  if (worn >= WORN)
    return [
      'watch',
      `${Math.round(worn)} % worn`,
      'Near the end of the life it was made for: not for anything that must last.',
    ];
  if (hours >= MANY_HOURS)
    return [
      'watch',
      `${Math.round(hours / 8766)} years`,
      `${Math.round(hours)} hours are about ${Math.round(hours / 8766)} years of running: say so on the sheet, and keep copies.`,
    ];
  return ['clear', 'well', 'Nothing in its record speaks against it.'];
}
