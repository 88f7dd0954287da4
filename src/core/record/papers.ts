import type { Mark } from '../model/types/names.ts';
import { readingKinds, type Clearing, type Reading } from '../model/types/readings.ts';
import type { Addition, Incomplete, Sheet, SheetFinding } from '../model/types/recordTypes.ts';
import { spoken, type Spoken } from '../units/degrees.ts';
import { trim } from '../units/length.ts';
import { formatMoney } from '../units/money.ts';

/**
 * What goes on paper, as data: the page, the print, the HTML file and the JSON file show the same. Two papers are made
 * of one sheet: the shop's own with everything, and the customer's, without prices paid and without inner sums.
 */

export interface PaperRow {
  /** Seat, day, kind: set apart on the left. */
  left?: string | undefined;
  mark?: Mark | undefined;
  text: string;
  right?: string | undefined;
  /** A sum, a total: set off. */
  strong?: boolean | undefined;
}

export interface PaperSection {
  title: string;
  rows: PaperRow[];
  /** Said where it has no rows. */
  empty?: string | undefined;
}

export interface Paper {
  sort: 'customer' | 'shop';
  title: string;
  /** What it became, from what. */
  subtitle: string;
  /** Shop, contact, day. */
  from: string;
  /** Said first: handed over incomplete. */
  warning?: string | undefined;
  sections: PaperSection[];
  /** Tag of the job: a scan of its code leads there. */
  code: string;
}

/** What a paper says beside the sheet. */
export interface PaperAround {
  jobId: string;
  shop: string;
  contact?: string | undefined;
  /** ISO time it stands for. */
  at: string;
  handedOver: boolean;
  incomplete?: Incomplete | undefined;
  additions: readonly Addition[];
  /** Units of the shop. */
  units: Spoken;
  /** How a day is written. */
  day: (iso: string) => string;
}

const joined = (...parts: readonly (string | undefined | false)[]): string =>
  parts.filter(Boolean).join(', ');

/** How a drive's data was dealt with: method, tool, who, when, by serial number (terms of NIST SP 800-88). */
function clearingRow(
  clearing: Clearing & { name: string },
  day: (iso: string) => string,
): PaperRow {
  const { name, partId, serial, how, tool, who, at, note } = clearing;
  return {
    left: partId,
    text: joined(
      name,
      serial && `serial ${serial}`,
      how === 'none found' ? 'no data found' : how,
      tool && `with ${tool}`,
      who && `by ${who}`,
      day(at),
      note,
    ),
  };
}

const readingWords = ({ kind, name, value, load }: Reading, units: Spoken): string => {
  const { label, unit } = readingKinds[kind];
  return spoken(`${joined(label, name)}: ${trim(value, 2)} ${unit}, ${load}`, units);
};

/** What was measured, before beside after where both are there at the same load. */
function readingRows(readings: readonly Reading[], units: Spoken): PaperRow[] {
  const same = (a: Reading, b: Reading) =>
    a.kind === b.kind && a.load === b.load && a.name === b.name;
  return readings.flatMap((reading, at): PaperRow[] => {
    const before = readings.findLast((each) => each.when === 'before' && same(each, reading));
    if (reading.when === 'before')
      return readings.some((each) => each.when === 'after' && same(each, reading))
        ? []
        : [{ left: 'before', text: readingWords(reading, units) }];
    const later = readings
      .slice(at + 1)
      .some((each) => each.when === 'after' && same(each, reading));
    if (later) return [];
    const was =
      before && spoken(`${trim(before.value, 2)} ${readingKinds[before.kind].unit} before`, units);
    return [{ left: 'after', text: joined(readingWords(reading, units), was) }];
  });
}

const heading = (sheet: Sheet): string =>
  joined(
    sheet.becomes && `became ${sheet.becomes}`,
    sheet.machine && `from ${sheet.machine}`,
    sheet.origin,
  );

function frame(sheet: Sheet, around: PaperAround): Omit<Paper, 'sort' | 'sections'> {
  const { incomplete, handedOver, day } = around;
  return {
    title: sheet.title,
    subtitle: heading(sheet),
    from: [
      around.shop,
      around.contact,
      `${day(around.at)}${handedOver ? `, handed over${incomplete ? ' incomplete' : ''}` : ', not handed over yet'}`,
    ]
      .filter(Boolean)
      .join(' · '),
    warning: incomplete
      ? `Handed over incomplete: ${joined(incomplete.follows, incomplete.who, incomplete.by && `by ${day(incomplete.by)}`)}.`
      : undefined,
    code: around.jobId,
  };
}

const additionRows = ({ additions, day }: PaperAround): PaperSection[] =>
  additions.length === 0
    ? []
    : [
        {
          title: 'Added afterwards',
          rows: additions.map(({ at, text, who }) => ({
            left: day(at),
            text: joined(text, who && `by ${who}`),
          })),
        },
      ];

/** Lines of one's own as rows. */
const lines = (texts: readonly string[]): PaperRow[] => texts.map((text) => ({ text }));

/**
 * The customer's sheet: what it is now, what was tested and how it did, what is not original, data, what to watch.
 * No purchase prices, no inner sums.
 */
export function customersPaper(sheet: Sheet, around: PaperAround): Paper {
  const { day, units } = around;
  const inUnit = (text: string) => spoken(text, units);
  const after = sheet.readings.filter(({ when }) => when === 'after');
  const gates = sheet.done.filter(({ gate }) => gate !== undefined);
  const watch = sheet.open.filter(({ mark, shopsOwn }) => mark !== 'clear' && !shopsOwn);
  return {
    sort: 'customer',
    ...frame(sheet, around),
    sections: [
      ...(sheet.customer?.name || sheet.customer?.contact
        ? [
            {
              title: 'For',
              rows: lines([joined(sheet.customer.name, sheet.customer.contact)]),
            },
          ]
        : []),
      {
        title: 'What it is now',
        rows: [
          ...sheet.built.map(({ seat, name }) => ({ left: seat, text: name })),
          ...(sheet.system ? [{ left: 'system', text: sheet.system }] : []),
          ...(sheet.serials ?? []).map(({ name, serial }) => ({
            left: 'serial',
            text: `${serial}, ${name}`,
          })),
        ],
      },
      {
        title: 'What was tested',
        rows: [
          ...gates.map(({ title, gate, failed, note }) => ({
            left: failed ? 'failed' : 'passed',
            text: inUnit(joined(title, gate, note)),
          })),
          ...readingRows(sheet.readings, units).filter(
            ({ left }) => after.length > 0 || left !== 'before',
          ),
          ...lines(sheet.heat.map(inUnit)),
        ],
        empty: 'No test is on record.',
      },
      {
        title: 'What is not original',
        rows: [
          ...sheet.built
            .filter(({ mark }) => mark === 'comes')
            .map(({ seat, name, condition }) => ({ left: seat, text: joined(name, condition) })),
          ...lines(sheet.remedies.map(inUnit)),
          ...lines(sheet.damages),
        ],
        empty: 'Everything in it came with it.',
      },
      dataSection(sheet, day),
      {
        title: 'What to watch',
        rows: [
          ...(sheet.watch ? lines([sheet.watch]) : []),
          ...watch.map(({ mark, title }) => ({ mark, text: inUnit(title) })),
          ...(around.incomplete
            ? lines(sheet.left.map((title) => `Not done: ${inUnit(title)}`))
            : []),
        ],
        empty: 'Nothing is known.',
      },
      ...(sheet.warranty ? [{ title: 'Warranty', rows: lines([sheet.warranty]) }] : []),
      ...additionRows(around),
    ],
  };
}

const dataSection = (sheet: Sheet, day: (iso: string) => string): PaperSection => ({
  title: 'Data',
  rows: [
    ...sheet.clearings.map((clearing) => clearingRow(clearing, day)),
    ...sheet.uncleared.map(({ id, name }) => ({ left: id, text: `${name}: not recorded` })),
  ],
  empty: 'No drives came with it.',
});

const openRow = (finding: SheetFinding, units: Spoken): PaperRow => ({
  mark: finding.mark,
  text: spoken(`${joined(finding.title, restOf(finding))}: ${finding.say}`, units),
});

function restOf({ margin, unit }: SheetFinding): string {
  if (!margin) return '';
  const [lo, hi] = [trim(margin.lo, 1), trim(margin.hi, 1)];
  return `${lo === hi ? lo : `${lo} to ${hi}`} ${unit}`.trim();
}

/** The shop's sheet: everything, with costs and what was tried and given up. */
export function shopsPaper(sheet: Sheet, around: PaperAround): Paper {
  const { day, units } = around;
  const inUnit = (text: string) => spoken(text, units);
  const money = (minor: number | undefined) =>
    minor === undefined ? '?' : formatMoney({ minor, currency: sheet.costs.currency });
  const { unpriced, total, currency } = sheet.costs;
  const some = (title: string, rows: PaperRow[]): PaperSection[] =>
    rows.length > 0 ? [{ title, rows }] : [];
  return {
    sort: 'shop',
    ...frame(sheet, around),
    sections: [
      ...some(
        'Customer',
        lines(
          sheet.customer
            ? [joined(sheet.customer.name, sheet.customer.contact)].filter(Boolean)
            : [],
        ),
      ),
      {
        title: 'As found',
        rows: sheet.found.map(({ seat, name, mark }) => ({ left: seat, text: name, right: mark })),
        empty: 'no machine: built from parts',
      },
      {
        title: 'As built',
        rows: sheet.built.map(({ seat, name, tag, mark, condition }) => ({
          left: seat,
          text: name,
          right: mark === 'comes' ? `${tag}, ${condition}` : 'original',
        })),
      },
      ...some('System and serial numbers', [
        ...(sheet.system ? [{ left: 'system', text: sheet.system }] : []),
        ...(sheet.serials ?? []).map(({ name, serial }) => ({ left: serial, text: name })),
      ]),
      {
        title: 'Open',
        rows: [
          ...sheet.open.map((finding) => openRow(finding, units)),
          ...lines(
            sheet.left.length > 0 ? [`Steps not done: ${sheet.left.map(inUnit).join('; ')}.`] : [],
          ),
        ],
        empty: 'nothing',
      },
      {
        title: 'Measured',
        rows: [...readingRows(sheet.readings, units), ...lines(sheet.heat.map(inUnit))],
        empty: 'no readings',
      },
      ...some('Faults and damage', lines([...sheet.diagnoses, ...sheet.damages])),
      ...some('Tried and given up', lines(sheet.dropped ?? [])),
      ...some('Service', lines(sheet.service ?? [])),
      ...some('Ways taken', lines(sheet.remedies.map(inUnit))),
      ...some('Lent and borrowed', lines(sheet.loans)),
      dataSection(sheet, day),
      {
        title: 'Cost',
        rows: [
          ...sheet.costs.lines.map(({ label, minor }) => ({ text: label, right: money(minor) })),
          {
            text: unpriced.length > 0 ? `without ${unpriced.join(', ')}` : 'in all',
            right: `${money(total)} ${currency}`,
            strong: true,
          },
        ],
      },
      {
        title: 'Done',
        rows: sheet.done.map(({ at, title, failed, note }) => ({
          left: day(at),
          text: inUnit(joined(`${title}${failed ? ', failed' : ''}`, note)),
        })),
        empty: 'nothing ticked',
      },
      ...some('What to watch', lines([sheet.watch, sheet.note].flatMap((text) => text ?? []))),
      ...some('Warranty', lines(sheet.warranty ? [sheet.warranty] : [])),
      ...additionRows(around),
    ],
  };
}
