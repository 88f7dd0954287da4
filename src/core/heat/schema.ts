import { array, number, object, string, ValidationError } from 'yup';
import { loadSchools, type HeatRun } from '../model/types/types.ts';

const MOST_POINTS = 20_000;

const course = object({
  s: array(number().required()).min(1).max(MOST_POINTS).required(),
  v: array(number().required()).min(1).max(MOST_POINTS).required(),
})
  .noUnknown()
  .test(
    'pairs',
    '${path}: as many figures as times are wanted',
    (each) => each === undefined || each.s?.length === each.v?.length,
  )
  .test('rising', '${path}: times rise', (each) =>
    (each?.s ?? []).every((s, i, list) => i === 0 || s >= (list[i - 1] ?? 0)),
  );

const runSchema = object({
  name: string().max(200),
  load: string().oneOf([...loadSchools]),
  roomC: number().min(-30).max(60),
  panel: string().oneOf(['on', 'off']),
  changed: array(string().max(200).required()).max(40),
  temperature: course.required(),
  room: course.default(undefined),
  clock: course.default(undefined),
  fan: course.default(undefined),
  watts: course.default(undefined),
}).noUnknown('${path} has names it does not know: ${unknown}');

const schema = object({ runs: array(runSchema.required()).min(1).max(40).required() }).noUnknown(
  '${path} has names it does not know: ${unknown}',
);

/** What the API takes, as runs. Throws yup's ValidationError with the path of the fault. */
export function readRuns(value: unknown): HeatRun[] {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new ValidationError('the body is no object', value);
  const { runs } = schema.validateSync(value, { strict: true });
  return runs.map((run, i): HeatRun => ({
    id: `r${i + 1}`,
    name: run.name ?? `run ${i + 1}`,
    at: '1970-01-01',
    load: (run.load ?? 'until settled') as HeatRun['load'],
    ...(run.roomC === undefined ? {} : { roomC: run.roomC }),
    panel: (run.panel ?? 'on') as HeatRun['panel'],
    changed: run.changed ?? [],
    courses: (['temperature', 'room', 'clock', 'fan', 'watts'] as const).flatMap((what) => {
      const own = run[what];
      return own ? [{ what, name: what, s: own.s, v: own.v }] : [];
    }),
  }));
}
