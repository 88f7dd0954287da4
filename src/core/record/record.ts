import { attribute, dropBetween, runFit, SettleError, type RunFit } from '../heat/index.ts';
import type { Diagnosis, Job, Service } from '../model/types/types.ts';
import type { Dropped } from '../model/types/recordTypes.ts';
import { causes, symptoms, testOf } from '../startup/index.ts';

/** A search for a fault in a line or two: the sign, what was tried, what it was. */
export function diagnosisLine(hunt: Diagnosis): string {
  const sign = symptoms[hunt.symptom as keyof typeof symptoms] ?? hunt.symptom;
  const cause = causes.find((each) => each.id === hunt.causeId)?.name;
  const tried = hunt.tried.map((each) => {
    const test = testOf(each.testId, []);
    const words =
      each.testId === 'undo' ? 'last change undone' : (test?.ask.split(/[:,]/)[0] ?? each.testId);
    return `${words.toLowerCase()}${each.with ? ` (${each.with})` : ''} ${each.result}`;
  });
  const minutes = hunt.tried.reduce((sum, each) => sum + each.minutes, 0);
  const who = [...new Set(hunt.tried.flatMap((each) => each.who ?? []))];
  return [
    `${sign}: ${hunt.verdict === 'found' ? (cause ?? 'found') : (hunt.verdict ?? 'still open')}`,
    tried.length > 0 ? `tried ${tried.join(', ')}` : '',
    minutes > 0 ? `${minutes} min${who.length > 0 ? ` by ${who.join(', ')}` : ''}` : '',
    hunt.note ?? '',
  ]
    .filter((each) => each !== '')
    .join('; ');
}

/** What the runs of a job came to: where each settled, and the drop from first to last. */
export function heatLines(job: Job): string[] {
  const said = job.runs.flatMap((run): RunFit[] => {
    try {
      return [runFit(run)];
    } catch (error) {
      if (!(error instanceof SettleError)) throw error;
      return [];
    }
  });
  const lines = said.map(
    ({ run, settling, roomC, pinned }) =>
      `${run.name}, ${run.load}, panel ${run.panel}: ${
        pinned
          ? pinned.say
          : `${settling.end.toFixed(1)} °C${settling.settled ? '' : ' foretold, not settled'}`
      }${roomC === undefined ? '' : `, room ${roomC.toFixed(1)} °C`}`,
  );
  const [first, last] = [said[0], said.at(-1)];
  if (first && last && first !== last) lines.push(dropBetween(first, last).say);
  const parted = attribute(said).effects;
  return [...lines, ...parted.map((each) => `${each.change}: ${each.dropK.toFixed(1)} K`)];
}

/** A way that was given up, with the reason. */
export const droppedLine = ({ what, why }: Dropped): string => `${what}: ${why}`;

const serviceWords: Record<Service['what'], string> = {
  paste: 'fresh paste',
  pads: 'new pads',
  cleaned: 'cleaned',
  checked: 'checked',
  mended: 'mended',
  soldered: 'soldered',
  cut: 'cut',
  other: 'worked on',
};

/** A line of a part's service record: day, what, and what cannot be undone. */
export function serviceLine({ at, what, note, hours, wear, forGood, who, jobId }: Service): string {
  return [
    `${at.slice(0, 10)} ${serviceWords[what]}`,
    note ?? '',
    hours === undefined ? '' : `at ${hours} h`,
    wear === undefined ? '' : `${wear} % worn`,
    who ? `by ${who}` : '',
    jobId ? `job ${jobId}` : '',
    forGood ? 'cannot be undone' : '',
  ]
    .filter((each) => each !== '')
    .join(', ');
}

/** Parts damaged on the way and what became of them. */
export function damageLines(job: Job): string[] {
  return job.damages.map(
    (each) =>
      `${each.what}: ${each.mended ? 'mended' : 'not mended'}, ${each.retested ? 'retested' : 'not retested'}`,
  );
}
