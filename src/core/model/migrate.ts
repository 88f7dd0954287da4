import { VERSION } from './types.ts';

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
};

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
