import { VERSION } from './types.ts';

type Document = Record<string, unknown>;

/** Each step lifts a document by one version; the validator judges the result. */
const steps: Record<number, (document: Document) => Document> = {
  /* Version 1 kept finished steps as plain ids in `done`, and had no theme. */
  1: (document) => ({
    ...document,
    settings: { theme: 'auto', ...(document['settings'] as object) },
    jobs: asList(document['jobs']).map(({ done, ...job }) => ({
      ticks: asList<unknown>(done).map((stepId) => ({ stepId, at: '1970-01-01' })),
      ...job,
    })),
  }),
  /* Version 2 kept no plugs of one's own. */
  2: (document) => ({ plugs: [], ...document }),
  /* Version 3 had no stages (every change is made now, which is what no stage says), no runs and no searches. */
  3: (document) => ({
    ...document,
    jobs: asList(document['jobs']).map((job) => ({
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
};

function asList<T = Document>(value: unknown): T[] {
  return Array.isArray(value) ? (value as T[]) : [];
}

/** Lifts a document of `version` to the current one; shapes are not checked here. */
export function migrate(document: Document, version: number): Document {
  let lifted = document;
  for (let at = version; at < VERSION; at += 1) {
    lifted = { ...(steps[at]?.(lifted) ?? lifted), version: at + 1 };
  }
  return lifted;
}
