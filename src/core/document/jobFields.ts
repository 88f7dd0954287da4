import { number, string, type ObjectShape } from 'yup';
import { id, optionalWords, shape, time } from './fields.ts';
import { loadSchools } from '../model/types/jobTypes.ts';
import { clearingWays, readingKinds, type ReadingKind } from '../model/types/readings.ts';

const readingKindNames = Object.keys(readingKinds) as ReadingKind[];

/** Shapes that stand in a job and again in the record of its hand-over. */

export const reading = () =>
  shape({
    kind: string()
      .oneOf([...readingKindNames])
      .required(),
    value: number().min(-100).max(100_000).required(),
    when: string().oneOf(['before', 'after']).required(),
    at: time().required(),
    load: string()
      .oneOf([...loadSchools])
      .required(),
    name: optionalWords(),
    note: optionalWords(),
  });

/** `more`: fields beside those of a clearing. */
export const clearing = (more: ObjectShape = {}) =>
  shape({
    partId: id(),
    how: string()
      .oneOf([...clearingWays])
      .required(),
    at: time().required(),
    tool: optionalWords(),
    who: optionalWords(),
    serial: optionalWords(),
    note: optionalWords(),
    ...more,
  });
