import { array, boolean, number, string } from 'yup';
import {
  count,
  figures,
  formerTags,
  id,
  money,
  optionalWords,
  seat,
  shape,
  time,
  words,
} from './fields.ts';
import { finishField, makeField, printField, MOST_MINUTES, ownStepSchema } from './finishSchema.ts';
import { clearing, reading } from './jobFields.ts';
import { remedyField } from './remedyFields.ts';
import { recordSchema } from './recordSchema.ts';
import { MOST_STAGES } from '../model/types/stages.ts';
import { diagnosisVerdicts, loadSchools } from '../model/types/types.ts';

/** More remedies are never applied to one machine. */
const MOST_REMEDIES = 500;

/** Yup schema of a job. */

export const jobSchema = shape({
  id: id(),
  was: formerTags(),
  name: words(),
  becomes: string().max(300).defined(),
  requirements: array(
    shape({
      what: string().oneOf(['screens', 'drives', 'memoryGb']).required(),
      count: count(),
    }).required(),
  ).required(),
  machineId: id().optional(),
  budget: money(),
  deadline: time().optional(),
  changes: array(
    shape({
      seat: seat(),
      partId: string().max(40).nullable().defined(),
      stage: number().integer().min(1).max(MOST_STAGES).optional(),
    }).required(),
  ).required(),
  applied: array(remedyField().required()).max(MOST_REMEDIES).required(),
  schools: shape({
    start: string().oneOf(['bench', 'straight']).required(),
    supply: string().oneOf(['first', 'last']).required(),
  }).required(),
  finishes: array(finishField().required()).max(60).required(),
  makes: array(makeField().required()).max(60).optional(),
  printed: array(printField().required()).max(60).optional(),
  own: array(ownStepSchema.required()).max(200).required(),
  ticks: array(
    shape({
      stepId: words(),
      at: time().required(),
      note: optionalWords(),
      failed: boolean().optional(),
      minutes: number().min(0).max(MOST_MINUTES).optional(),
    }).required(),
  ).required(),
  started: array(shape({ stepId: words(), at: time().required() }).required())
    .max(500)
    .required(),
  planned: array(shape({ stepId: words(), start: time().required() }).required())
    .max(1000)
    .required(),
  weight: number().min(0.1).max(100).optional(),
  waits: array(shape({ why: words(), until: time().optional() }).required()).required(),
  readings: array(reading().required()).required(),
  clearings: array(clearing().required()).required(),
  wants: array(
    shape({
      what: words(),
      count: count(),
      price: money(),
      bought: boolean().optional(),
      remedy: remedyField().optional(),
      finish: id().optional(),
    }).required(),
  ).required(),
  sums: array(
    shape({
      text: words(),
      at: time().required(),
      unit: string().oneOf(['mm', 'in']).required(),
    }).required(),
  ).required(),
  runs: array(
    shape({
      id: id(),
      name: words(),
      at: time().required(),
      load: string()
        .oneOf([...loadSchools])
        .required(),
      roomC: number().min(-30).max(60).optional(),
      panel: string().oneOf(['on', 'off']).required(),
      fans: optionalWords(),
      changed: array(words()).max(40).required(),
      courses: array(
        shape({
          what: string().oneOf(['temperature', 'clock', 'fan', 'watts', 'room']).required(),
          name: words(),
          s: figures(),
          v: figures(),
        })
          .test(
            'pairs',
            ({ path }) => `${path}: as many figures as times are wanted`,
            (course) => course === undefined || course.s?.length === course.v?.length,
          )
          .required(),
      )
        .max(12)
        .required(),
    }).required(),
  ).required(),
  diagnoses: array(
    shape({
      id: id(),
      symptom: words(),
      at: time().required(),
      after: array(words()).max(20).required(),
      tried: array(
        shape({
          testId: words(),
          result: words(),
          minutes: number().min(0).max(10000).required(),
          at: time().required(),
          who: optionalWords(),
          with: optionalWords(),
        }).required(),
      ).required(),
      verdict: string()
        .oneOf([...diagnosisVerdicts])
        .optional(),
      causeId: words().optional(),
      note: optionalWords(),
    }).required(),
  ).required(),
  damages: array(
    shape({
      at: time().required(),
      what: words(),
      partId: id().optional(),
      mended: boolean().required(),
      retested: boolean().required(),
    }).required(),
  ).required(),
  trials: array(
    shape({
      at: time().required(),
      what: string().oneOf(['undervolt', 'base clock', 'watt limit']).required(),
      value: number().required(),
      stable: boolean().required(),
      note: optionalWords(),
    }).required(),
  ).required(),
  links: array(
    shape({
      at: time().required(),
      when: string().oneOf(['before', 'after']).required(),
      underLoad: boolean().required(),
      slot: words(),
      name: words(),
      gts: number().min(0).max(256).required(),
      lanes: number().min(0).max(32).required(),
      couldGts: number().min(0).max(256).required(),
      couldLanes: number().min(0).max(32).required(),
    }).required(),
  ).required(),
  dropped: array(
    shape({
      at: time().required(),
      what: words(),
      why: words(),
      partId: id().optional(),
    }).required(),
  )
    .max(500)
    .required(),
  note: optionalWords(),
  customer: shape({ name: optionalWords(), contact: optionalWords() }).optional(),
  system: optionalWords(),
  warranty: optionalWords(),
  watch: optionalWords(),
  handedOver: time().optional(),
  record: recordSchema(),
  additions: array(
    shape({
      at: time().required(),
      text: string().min(1).max(2000).required(),
      who: optionalWords(),
    }).required(),
  )
    .max(500)
    .required(),
});
