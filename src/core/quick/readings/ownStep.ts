import { nextOwnId, progress } from '../../order/index.ts';
import { workOrderOf } from '../../plan/workOrderOf.ts';
import { minutesIn } from '../../units/span.ts';
import { formatHours } from '../../units/duration.ts';
import { wordSet, type Place } from '../line/phrase.ts';
import type { Understood } from '../line/understood.ts';

/** A step of one's own in the open job: what is done, minutes of hands, and how long it is left alone. */

/** Minutes of hands where none were said: as the form has it. */
const USUAL_MIN = 10;
const EXAMPLE = 'step sand the lid 20 min';
/** Words between what is done and how long it is left alone. */
const LEAVING = wordSet('leave wait alone for it then');

/** A duration of one or two words, with its unit: a bare figure may be anything. */
function spanOf(words: readonly string[]): number | undefined {
  const text = words.join(' ').replace(/,$/, '');
  return /^\d+:\d\d$|[a-z]$/i.test(text) ? minutesIn(text) : undefined;
}

function atEnd(words: readonly string[]): { minutes: number; rest: string[] } | undefined {
  for (const count of [2, 1]) {
    const minutes = spanOf(words.slice(-count));
    if (minutes !== undefined) return { minutes, rest: words.slice(0, -count) };
  }
  return undefined;
}

function atStart(words: readonly string[]): { minutes: number; rest: string[] } | undefined {
  for (const count of [2, 1]) {
    const minutes = spanOf(words.slice(0, count));
    if (minutes !== undefined) return { minutes, rest: words.slice(count) };
  }
  return undefined;
}

/** How long it is left alone, said last: `leave 2 h`, `then wait 1 day`, `let it dry 4 h`. */
function aloneAtEnd(words: readonly string[]): { minutes?: number; rest: string[] } {
  const found = atEnd(words);
  if (!found) return { rest: [...words] };
  const rest = [...found.rest];
  let said = /^dry,?$/i.test(rest.at(-1) ?? '');
  while (rest.length > 0 && LEAVING.has((rest.at(-1) ?? '').toLowerCase()))
    said = /^(?:leave|wait|alone)$/i.test(rest.pop() ?? '') || said;
  return said ? { minutes: found.minutes, rest } : { rest: [...words] };
}

/** A step-up or step-down converter is a part. `step sand the lid 20 min`, `step 20 min glue the foot, leave 2 h`. */
export function asOwnStep(text: string, { plan }: Place): Understood | undefined {
  const [, typed] = /^(?:own )?step:? (?!up\b|down\b)(\S.*)$/i.exec(text) ?? [];
  if (typed === undefined) return undefined;
  const job = plan?.job;
  const none = (say: string): Understood => ({ kind: 'nothing', text, say, guesses: [EXAMPLE] });
  if (!plan || !job) return none('A step needs a job: open one.');
  const alone = aloneAtEnd(typed.split(/\s+/));
  const hands = atEnd(alone.rest) ?? atStart(alone.rest);
  const title = (hands?.rest ?? alone.rest).join(' ').replace(/[,;:]$/, '');
  const minutes = hands?.minutes ?? USUAL_MIN;
  if (title === '') return none('What is done?');
  const after = progress(workOrderOf(plan, job.schools), job.ticks).done.at(-1)?.id;
  const wait = alone.minutes === undefined ? '' : `, then ${formatHours(alone.minutes)} h alone`;
  return {
    kind: 'ownStep',
    text,
    say: `job ${job.id}, a step: ${title}, ${formatHours(minutes)} h of hands${wait}`,
    jobId: job.id,
    step: {
      id: nextOwnId(job),
      title: title.slice(0, 120),
      minutes,
      ...(alone.minutes !== undefined && { leaveMinutes: alone.minutes }),
      ...(after !== undefined && { after }),
    },
  };
}
