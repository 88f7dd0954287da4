import { mixed } from 'yup';
import { collections } from '../model/types/collections.ts';
import type { Versions } from '../model/types/versionTypes.ts';

/** What a file says of its versions, looked through at once. What lies in taken-out records is checked when it comes back. */

const DOT = /^(?:0|[a-z]{1,12}\.\d{1,12})$/;
const BENCH = /^[a-z]{1,12}$/;
const LINE = /^[a-z0-9-]{1,64}$/;
const MOST_RECORDS = 200_000;

type Bag = Record<string, unknown>;
const isBag = (value: unknown): value is Bag =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isDot = (value: unknown): boolean => typeof value === 'string' && DOT.test(value);
const every = (value: unknown, test: (each: unknown) => boolean): boolean =>
  value === undefined || (Array.isArray(value) && value.every(test));
const everyIn = (value: unknown, test: (each: unknown) => boolean): boolean =>
  value === undefined || (isBag(value) && Object.values(value).every(test));
const isText = (value: unknown): boolean => typeof value === 'string' && value.length <= 4000;

const isSeen = (value: unknown): boolean =>
  isBag(value) &&
  Object.entries(value).every(
    ([bench, n]) => BENCH.test(bench) && typeof n === 'number' && Number.isSafeInteger(n) && n >= 0,
  );
const isDeletion = (value: unknown): boolean =>
  isBag(value) && isDot(value['dot']) && isSeen(value['seen']);

const names = new Set([
  'made',
  'wrote',
  'births',
  'apart',
  'deleted',
  'tag',
  'after',
  'handed',
  'isNot',
]);

function isVersion(value: unknown): boolean {
  if (!isBag(value) || !Object.keys(value).every((name) => names.has(name))) return false;
  const { made, wrote, births, apart, deleted, tag, after, handed, isNot } = value;
  return (
    isDot(made) &&
    everyIn(wrote, isDot) &&
    everyIn(births, (each) => every(each, isText) && each !== undefined) &&
    everyIn(
      apart,
      (each) => each !== undefined && every(each, (one) => isBag(one) && isDot(one['dot'])),
    ) &&
    every(deleted, isDeletion) &&
    (tag === undefined || isText(tag)) &&
    every(after, isText) &&
    (handed === undefined || isSeen(handed)) &&
    every(isNot, isText)
  );
}

const lists: ReadonlySet<unknown> = new Set(collections);
const isGone = (value: unknown): boolean =>
  isBag(value) &&
  lists.has(value['in']) &&
  isBag(value['record']) &&
  isText(value['record']['id']) &&
  isVersion(value['version']);

/** What is wrong with it; undefined: nothing. */
function versionsFault(value: unknown): string | undefined {
  if (!isBag(value)) return 'is no list of versions';
  const { line, seen, records, gone } = value;
  if (typeof line !== 'string' || !LINE.test(line)) return 'names no line';
  if (!isSeen(seen)) return 'does not say what it has seen';
  if (!isBag(records) || Object.keys(records).length > MOST_RECORDS) return 'holds no records';
  const bad = Object.entries(records).find(([, each]) => !isVersion(each));
  if (bad) return `has a version of ${bad[0].slice(0, 60)} that cannot be read`;
  if (!Array.isArray(gone) || !gone.every(isGone)) return 'has deletions that cannot be read';
  return undefined;
}

const dot = { type: 'string', pattern: DOT.source };
const seen = { type: 'object', additionalProperties: { type: 'integer', minimum: 0 } };

export const versionsSchema = () =>
  mixed<Versions>()
    .optional()
    .test('versions', (value, context) => {
      const fault = value === undefined ? undefined : versionsFault(value);
      return fault === undefined || context.createError({ message: `${context.path} ${fault}` });
    })
    .meta({
      jsonSchema: {
        type: 'object',
        required: ['line', 'seen', 'records', 'gone'],
        properties: {
          line: { type: 'string', pattern: LINE.source },
          seen,
          records: { type: 'object', additionalProperties: { $ref: '#/$defs/version' } },
          gone: {
            type: 'array',
            items: {
              type: 'object',
              required: ['in', 'record', 'version'],
              properties: {
                in: { enum: [...collections] },
                record: { type: 'object' },
                version: { $ref: '#/$defs/version' },
              },
            },
          },
        },
      },
    });

export const versionDefinition = {
  type: 'object',
  required: ['made'],
  additionalProperties: false,
  properties: {
    made: dot,
    wrote: { type: 'object', additionalProperties: dot },
    births: { type: 'object', additionalProperties: { type: 'array', items: { type: 'string' } } },
    apart: {
      type: 'object',
      additionalProperties: {
        type: 'array',
        items: { type: 'object', required: ['dot'], properties: { dot, value: {} } },
      },
    },
    deleted: {
      type: 'array',
      items: { type: 'object', required: ['dot', 'seen'], properties: { dot, seen } },
    },
    tag: { type: 'string' },
    after: { type: 'array', items: { type: 'string' } },
    handed: seen,
    isNot: { type: 'array', items: { type: 'string' } },
  },
};
