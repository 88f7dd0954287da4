import { indexOf } from '../../model/lookup/lookup.ts';
import type { Job, Part, Shop } from '../../model/types/types.ts';
import { formatMoney, readMoney } from '../../units/money.ts';
import { dayText, whenIn, whenOf, withHour } from '../../units/when.ts';
import type { Place } from '../line/phrase.ts';
import type { Understood } from '../line/understood.ts';

/** Waits, deliveries, a deadline and a budget of the open job, as they are said. */

/** The bench begins and ends; a default, the hour can be said. Minutes after midnight. */
const BEGINS = 8 * 60;
const ENDS = 18 * 60;

const none = (text: string, say: string, guesses: readonly string[]): Understood => ({
  kind: 'nothing',
  text,
  say,
  guesses,
});

/** `wait 24 h paint`, `due thu cable`, `due thu F04`, `deadline sat`, `budget 120`. */
export function asDates(shop: Shop, text: string, { plan, clock }: Place): Understood | undefined {
  const match = /^(wait|due|deadline|budget)(?:s|ing)?:? (?:is |for )?(\S.*)$/i.exec(text);
  const [, word = '', rest = ''] = match ?? [];
  if (!match || !clock) return undefined;
  const job = plan?.job;
  switch (word.toLowerCase()) {
    case 'wait': {
      if (!job) return none(text, 'A wait needs a job: open one.', []);
      const found = whenIn(rest, clock);
      if (!found) return none(text, 'Until when?', ['wait 24 h paint', 'wait fri 10:00 glue']);
      const until = withHour(found.when, BEGINS);
      if (until <= clock.now) return none(text, 'That has passed already.', ['wait 24 h paint']);
      const why = found.rest.replace(/^(?:for|of|until) /, '') || 'drying';
      return { kind: 'wait', text, say: `job ${job.id} waits: ${why}`, jobId: job.id, why, until };
    }
    case 'due':
      return asDue(shop, text, rest, job, clock);
    case 'deadline': {
      if (!job) return none(text, 'A deadline needs a job: open one.', []);
      if (/^(?:none|no|off)$/i.test(rest))
        return { kind: 'deadline', text, say: `job ${job.id}: no deadline`, jobId: job.id };
      const when = whenOf(rest, clock);
      if (!when) return none(text, 'Which day?', ['deadline sat', 'deadline 3 dec 17:00']);
      const deadline = withHour(when, ENDS);
      if (deadline <= clock.now) return none(text, 'That has passed already.', ['deadline sat']);
      return { kind: 'deadline', text, say: `job ${job.id}: a deadline`, jobId: job.id, deadline };
    }
    default: {
      if (!job) return none(text, 'A budget needs a job: open one.', []);
      const read = readMoney(rest, shop.settings.currency);
      if ('fault' in read) return none(text, read.fault, ['budget 120']);
      const { money } = read;
      const say = `job ${job.id}: budget ${formatMoney(money)} ${money.currency}`;
      return { kind: 'budget', text, say, jobId: job.id, budget: money };
    }
  }
}

function asDue(
  shop: Shop,
  text: string,
  rest: string,
  job: Job | undefined,
  clock: NonNullable<Place['clock']>,
): Understood | undefined {
  const found = whenIn(rest, clock);
  if (!found) return none(text, 'Which day?', ['due thu cable', 'due thu F04']);
  const what = found.rest.replace(/^(?:for|of|the) /, '');
  const part = orderedPart(shop, what, job);
  if (part)
    return {
      kind: 'due',
      text,
      say: `${part.id} ${part.name} comes`,
      partId: part.id,
      due: dayText(found.when, clock),
    };
  if (!job || what === '')
    return none(text, 'What comes? Name its tag, or open the job.', ['due thu F04']);
  const until = withHour(found.when, BEGINS);
  if (until <= clock.now) return none(text, 'That has passed already.', ['due thu cable']);
  const why = `${what} comes`;
  return { kind: 'wait', text, say: `job ${job.id} waits: ${why}`, jobId: job.id, why, until };
}

/** A part by its tag, or the one thing the job has ordered that is called so. */
function orderedPart(shop: Shop, what: string, job: Job | undefined): Part | undefined {
  const { parts } = indexOf(shop);
  const tagged = parts.get(what.toUpperCase());
  if (tagged) return tagged;
  const words = what.toLowerCase().split(' ').filter(Boolean);
  if (words.length === 0) return undefined;
  const planned = (job?.changes ?? []).flatMap(({ partId }) =>
    partId === null ? [] : (parts.get(partId) ?? []),
  );
  const named = planned.filter(
    ({ place, name }) =>
      place === 'buy' && words.every((word) => name.toLowerCase().includes(word)),
  );
  return named.length === 1 ? named[0] : undefined;
}
