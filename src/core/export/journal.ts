import { formatMoney } from '../units/money.ts';
import type { Entry, Shop } from '../model/types/types.ts';
import { isTime } from '../document/fields.ts';
import { defuse } from './partsTable.ts';

/**
 * The book as a plain-text journal of double entries, which the usual command-line bookkeeping programs
 * read: money out of Assets:Cash into Expenses, sales the other way, gifts out of Income:Gifts, hours in
 * a commodity of their own. What it was for is the account: job, machine, part or shop.
 */
export function journal({ ledger, settings, name }: Shop): string {
  const rates = settings.rates.map(
    ({ currency, rate, at }) =>
      `P ${(at ?? '1970-01-01').slice(0, 10)} ${currency} ${rate} ${settings.currency}`,
  );
  const lines = [...ledger]
    .sort((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id))
    .flatMap((entry) => posting(entry));
  return `; ${clean(name)}\n${rates.map((line) => `${line}\n`).join('')}\n${lines.join('\n')}`;
}

function posting(entry: Entry): string[] {
  const { at, what, money, minutes, who } = entry;
  /* A day that is none would spoil the whole file for whoever reads it: the line stands as a note. */
  if (!isTime(at)) return [`; ${entry.id}, no day (${clean(at)}): ${clean(what)}`, ''];
  const goal = goalOf(entry);
  const head = `${at.slice(0, 10)} * ${clean(what)}${who ? ` (${clean(who)})` : ''}  ; ${entry.id}`;
  const sum = money && `${formatMoney(money)} ${money.currency}`;
  const minus = money && `${formatMoney({ ...money, minor: -money.minor })} ${money.currency}`;
  switch (entry.kind) {
    case 'cost':
      return sum ? [head, `    Expenses:${goal}    ${sum}`, '    Assets:Cash', ''] : [];
    case 'gift':
      return sum ? [head, `    Expenses:${goal}    ${sum}`, '    Income:Gifts', ''] : [];
    case 'sale':
      return minus ? [head, `    Income:${goal}    ${minus}`, '    Assets:Cash', ''] : [];
    case 'hours':
      return minutes
        ? [
            head,
            `    Hours:${goal}    ${Math.round(minutes * 100) / 100} min`,
            '    Equity:Hands',
            '',
          ]
        : [];
  }
}

const goalOf = ({ jobId, machineId, partId }: Entry): string =>
  jobId !== undefined
    ? `Job ${jobId}`
    : machineId !== undefined
      ? `Machine ${machineId}`
      : partId !== undefined
        ? `Part ${partId}`
        : 'Shop';

/** Two blanks end a name, and a semicolon begins a note. */
const clean = (text: string): string =>
  text
    .replace(/[;\r\n\t]/g, ' ')
    .replace(/ {2,}/g, ' ')
    .trim();

/** The book as rows of texts, a header row first. */
export function bookTable({ ledger }: Shop): string[][] {
  const header = [
    'tag',
    'date',
    'kind',
    'what',
    'amount',
    'currency',
    'minutes',
    'job',
    'machine',
    'part',
    'who',
  ];
  return [
    header,
    ...ledger.map((entry) =>
      [
        entry.id,
        entry.at.slice(0, 10),
        entry.kind,
        entry.what,
        entry.money ? formatMoney(entry.money) : '',
        entry.money?.currency ?? '',
        entry.minutes === undefined ? '' : String(entry.minutes),
        entry.jobId ?? '',
        entry.machineId ?? '',
        entry.partId ?? '',
        entry.who ?? '',
      ].map(defuse),
    ),
  ];
}
