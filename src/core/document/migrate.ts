import { table } from '../units/table.ts';
import { smallSortOf } from '../model/properties/smallSorts.ts';
import { shapeOf } from '../model/properties/index.ts';
import { remedyOf } from '../remedies/index.ts';
import { VERSION } from '../model/types/types.ts';

type Document = Record<string, unknown>;

/** Each step lifts a document by one version; the validator judges the result. */
const steps: Record<number, (document: Document) => Document> = {
  /* Version 1 kept finished steps as plain ids in `done`, and had no theme. */
  1: (document) => ({
    ...document,
    settings: { theme: 'auto', ...(document['settings'] as object) },
    jobs: eachJob(document, ({ done, ...job }) => ({
      ticks: (Array.isArray(done) ? (done as unknown[]) : []).map((stepId) => ({
        stepId,
        at: '1970-01-01',
      })),
      ...job,
    })),
  }),
  /* Version 2 kept no plugs of one's own. */
  2: (document) => ({ plugs: [], ...document }),
  /* Version 3 had no stages (every change is made now, which is what no stage says), no runs and no searches. */
  3: (document) => ({
    ...document,
    jobs: eachJob(document, (job) => ({
      runs: [],
      hunts: [],
      mishaps: [],
      trials: [],
      links: [],
      ...job,
    })),
  }),
  /* Version 4 had no book and no rates. */
  4: (document) => ({
    ledger: [],
    ...document,
    settings: { rates: [], ...(document['settings'] as object) },
  }),
  /* Version 5 kept no record at hand-over (what went out then stays without one), and no unit with a kept sum. */
  5: (document) => {
    const unit = (document['settings'] as Document | null | undefined)?.['unit'];
    return {
      ...document,
      jobs: eachJob(document, ({ sums, ...job }) => ({
        ...job,
        sums: Array.isArray(sums)
          ? sums.map((sum: unknown) => (isObject(sum) ? { unit, ...sum } : sum))
          : sums,
      })),
    };
  },
  /* Version 6 named remedies by a word of their own, `drive-to:drive1:floor` (one nobody knows did nothing), and loads and cases otherwise. */
  6: (document) => ({
    ...document,
    parts: eachOf(document['parts'], renamedClass),
    models: eachOf(document['models'], renamedClass),
    jobs: eachJob(document, ({ taken, wants, ticks, readings, runs, record, ...job }) => ({
      ...job,
      readings: eachOf(readings, renamedLoad),
      runs: eachOf(runs, renamedLoad),
      ...(isObject(record) && {
        record: { ...record, readings: eachOf(record['readings'], renamedLoad) },
      }),
      ticks: eachOf(ticks, (tick) =>
        typeof tick['stepId'] === 'string'
          ? { ...tick, stepId: tick['stepId'].replace(/^remedy:feed-awg-/, 'remedy:feed-awg:') }
          : tick,
      ),
      applied: Array.isArray(taken)
        ? taken.flatMap((id: unknown) => (typeof id === 'string' ? (remedyOf(id) ?? []) : [id]))
        : taken,
      wants: eachOf(wants, ({ remedyId, ...want }) => {
        const remedy = typeof remedyId === 'string' ? remedyOf(remedyId) : undefined;
        return { ...want, ...(remedy && { remedy }) };
      }),
    })),
  }),
  /* Version 7 kept lists as lines of text, `cage 3.5`, and called a few lists of a job otherwise. */
  7: (document) => ({
    ...document,
    parts: eachOf(document['parts'], withShapes),
    models: eachOf(document['models'], withShapes),
    jobs: eachJob(document, ({ asks, hunts, mishaps, record, ...job }) => ({
      ...job,
      ...(asks !== undefined && { requirements: asks }),
      ...(hunts !== undefined && {
        diagnoses: eachOf(hunts, ({ sign, ...hunt }) => ({ ...hunt, symptom: sign })),
      }),
      ...(mishaps !== undefined && { damages: mishaps }),
      ...(isObject(record) && { record: renamedRecord(record) }),
    })),
  }),
  /* Version 8 kept no photographs, no ways given up and no additions: a note changed after hand-over was one. */
  8: (document) => ({
    photos: [],
    ...document,
    jobs: eachJob(document, ({ note, ...job }) => {
      const sheet = isObject(job['record']) ? job['record']['sheet'] : undefined;
      const frozen = isObject(sheet) ? sheet['note'] : undefined;
      const added = sheet !== undefined && typeof note === 'string' && note !== frozen;
      return {
        dropped: [],
        additions: added ? [{ at: job['handedOver'], text: note }] : [],
        ...job,
        ...(added ? frozen !== undefined && { note: frozen } : note !== undefined && { note }),
      };
    }),
  }),
  /* Version 9 had no finishing, no steps of one's own and no plan of the week. */
  9: (document) => ({
    ...document,
    jobs: eachJob(document, (job) => ({ finishes: [], own: [], started: [], planned: [], ...job })),
  }),
  /* Version 10 told what another shop said of a model by how its source began. */
  10: (document) => ({ ...document, models: eachOf(document['models'], withHeard) }),
};

function renamedRecord(record: Document): Document {
  const sheet = record['sheet'];
  if (!isObject(sheet)) return record;
  const { hunts, mishaps, ...kept } = sheet;
  return { ...record, sheet: { ...kept, diagnoses: hunts, damages: mishaps } };
}

function withHeard(model: Document): Document {
  const facts = model['facts'];
  if (!isObject(facts)) return model;
  const isHeard = (fact: unknown): fact is Document =>
    isObject(fact) &&
    fact['how'] === 'said' &&
    typeof fact['source'] === 'string' &&
    fact['source'].startsWith('shop ');
  const lifted = Object.entries(facts).map(([key, fact]) => [
    key,
    isHeard(fact) ? { ...fact, heard: true } : fact,
  ]);
  return { ...model, facts: Object.fromEntries(lifted) as Document };
}

/** Items of lists as data; lines nobody can read are kept in the note of a part. */
function withShapes(each: Document): Document {
  const facts = each['facts'];
  if (!isObject(facts)) return each;
  const unread: string[] = [];
  const lifted = Object.entries(facts).flatMap(([key, fact]): [string, unknown][] => {
    const shape = shapeOf(key);
    if (!shape || !isObject(fact) || !Array.isArray(fact['items'])) return [[key, fact]];
    const read = fact['items'].map((item: unknown) =>
      typeof item === 'string' ? (shape.read(item) ?? item) : item,
    );
    const lost = read.filter((item) => typeof item === 'string');
    const items = read.filter((item) => typeof item !== 'string');
    if (lost.length > 0) unread.push(`${key}, not read: ${lost.join(', ')}`);
    return lost.length > 0 && items.length === 0 ? [] : [[key, { ...fact, items }]];
  });
  const { what, ...kept } = Object.fromEntries(lifted);
  const named = isObject(what) && typeof what['text'] === 'string' ? what['text'] : undefined;
  const sort = named === undefined ? undefined : (smallSortOf(named) ?? 'other');
  if (sort === 'other' && named !== each['name']) unread.push(`${named}`);
  const note = typeof each['note'] === 'string' ? [each['note']] : [];
  return {
    ...each,
    facts: { ...kept, ...(isObject(what) && sort && { sort: { ...what, text: sort } }) },
    ...(unread.length > 0 && 'place' in each && { note: [...note, ...unread].join('; ') }),
  };
}

/** What a load and sorts of cases were called. */
const words = table({
  'flat out': 'full load',
  'low tower': 'mini tower',
  'odd shell': 'custom case',
});
const newWord = (word: unknown) => (typeof word === 'string' ? (words[word] ?? word) : word);

const renamedLoad = (each: Document): Document =>
  'load' in each ? { ...each, load: newWord(each['load']) } : each;

function renamedClass(each: Document): Document {
  const facts = each['facts'];
  const sort = isObject(facts) ? facts['class'] : undefined;
  if (!isObject(facts) || !isObject(sort)) return each;
  return { ...each, facts: { ...facts, class: { ...sort, text: newWord(sort['text']) } } };
}

/** Every thing of a list lifted; what is none is left for the validator to name. */
const eachOf = (list: unknown, lift: (each: Document) => Document): unknown =>
  Array.isArray(list) ? list.map((each: unknown) => (isObject(each) ? lift(each) : each)) : list;

/** Every job lifted; what is no job is left as it stands, for the validator to name its place. */
function eachJob(document: Document, lift: (job: Document) => Document): unknown {
  const jobs = document['jobs'];
  if (!Array.isArray(jobs)) return jobs;
  return jobs.map((job: unknown) => (isObject(job) ? lift(job) : job));
}

const isObject = (value: unknown): value is Document =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Lifts a document of `version` to the current one; shapes are not checked here. */
export function migrate(document: Document, version: number): Document {
  let lifted = document;
  for (let at = version; at < VERSION; at += 1) {
    lifted = { ...(steps[at]?.(lifted) ?? lifted), version: at + 1 };
  }
  return lifted;
}
