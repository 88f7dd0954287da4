import { array, boolean, number, string } from 'yup';
import { marks } from '../findings/finding.ts';
import { currency, id, optionalWords, shape, time, words } from './fields.ts';
import { clearing, reading } from './jobFields.ts';

/** Yup schema of the record a job keeps of its hand-over. */

const MOST_LINES = 1000;
/** Sentences of the product's own, and names joined together. */
const line = () => string().max(4000).defined();
const lines = () => array(line().required()).max(MOST_LINES).required();

const sheetLine = shape({
  seat: words(),
  name: words(),
  tag: id(),
  mark: string().oneOf(['stays', 'goes', 'comes']).required(),
  condition: words(),
});

const finding = shape({
  id: words(),
  mark: string()
    .oneOf([...marks])
    .required(),
  title: line(),
  unit: string().max(20).defined(),
  margin: shape({ lo: number().required(), hi: number().required() }).optional(),
  say: line(),
  shopsOwn: boolean().oneOf([true]).optional(),
});

const sheet = shape({
  title: line(),
  becomes: string().max(300).defined(),
  machine: optionalWords(),
  origin: optionalWords(),
  found: array(sheetLine.required()).max(MOST_LINES).required(),
  built: array(sheetLine.required()).max(MOST_LINES).required(),
  open: array(finding.required()).max(MOST_LINES).required(),
  remedies: lines(),
  readings: array(reading().required()).max(MOST_LINES).required(),
  diagnoses: lines(),
  damages: lines(),
  heat: lines(),
  clearings: array(clearing({ name: words() }).required())
    .max(MOST_LINES)
    .required(),
  uncleared: array(shape({ id: id(), name: words() }).required())
    .max(MOST_LINES)
    .required(),
  loans: lines(),
  done: array(
    shape({
      title: line(),
      at: time().required(),
      note: optionalWords(),
      failed: boolean().required(),
      gate: string().max(4000).optional(),
    }).required(),
  )
    .max(MOST_LINES)
    .required(),
  left: lines(),
  costs: shape({
    currency: currency(),
    total: number().integer().required(),
    lines: array(shape({ label: line(), minor: number().integer().optional() }).required())
      .max(MOST_LINES)
      .required(),
    unpriced: lines(),
  }).required(),
  customer: shape({ name: optionalWords(), contact: optionalWords() }).optional(),
  system: optionalWords(),
  warranty: optionalWords(),
  watch: optionalWords(),
  serials: array(shape({ name: words(), serial: words() }).required())
    .max(MOST_LINES)
    .optional(),
  dropped: array(line().required()).max(MOST_LINES).optional(),
  service: array(line().required()).max(MOST_LINES).optional(),
  note: optionalWords(),
});

export const recordSchema = () =>
  shape({
    at: time().required(),
    shop: words(),
    sheet: sheet.required(),
    incomplete: shape({
      open: lines(),
      follows: words(),
      who: optionalWords(),
      by: time().optional(),
    }).optional(),
  }).optional();
