import { array, boolean, number, string } from 'yup';
import { facts } from './factFields.ts';
import {
  currency,
  formerTags,
  id,
  money,
  optionalWords,
  seat,
  shape,
  time,
  words,
} from './fields.ts';
import { jobSchema } from './jobSchema.ts';
import { ownPlugSchema } from './ownPlugSchema.ts';
import { cardBody } from './cardFields.ts';
import { resources } from '../model/types/finishTypes.ts';
import { versionsSchema } from './versionsSchema.ts';
import { photoSchema } from './photoSchema.ts';
import {
  conditions,
  entryKinds,
  FORMAT,
  kinds,
  machineStates,
  serviceSorts,
  VERSION,
} from '../model/types/types.ts';

/** Yup schemas of the document. The JSON Schema under docs/ and the API is made from these. */

const model = shape({
  id: id(),
  kind: string()
    .oneOf([...kinds, 'machine'])
    .required(),
  name: words(),
  facts: facts(),
  cards: array(shape({ from: words(), ...cardBody }).required())
    .max(50)
    .optional(),
});

const loan = () =>
  shape({
    way: string().oneOf(['lent', 'borrowed']).required(),
    who: optionalWords(),
    until: time().optional(),
    as: optionalWords(),
    since: time().optional(),
    held: array(
      shape({
        seat: seat(),
        partId: id(),
        name: words(),
        condition: string()
          .oneOf([...conditions])
          .required(),
      }).required(),
    )
      .max(500)
      .optional(),
  }).optional();

const pastLoans = () =>
  array(
    shape({
      way: string().oneOf(['lent', 'borrowed']).required(),
      who: optionalWords(),
      since: time().optional(),
      until: time().optional(),
      back: time().required(),
      as: optionalWords(),
      found: array(words()).max(500).required(),
    }).required(),
  )
    .max(500)
    .optional();

const service = () =>
  array(
    shape({
      at: time().required(),
      what: string()
        .oneOf([...serviceSorts])
        .required(),
      note: optionalWords(),
      hours: number().min(0).max(1_000_000).optional(),
      wear: number().min(0).max(1000).optional(),
      forGood: boolean().optional(),
      jobId: id().optional(),
      who: optionalWords(),
    }).required(),
  )
    .max(500)
    .optional();

const cents = () => number().integer().min(0).max(Number.MAX_SAFE_INTEGER);

const part = shape({
  id: id(),
  was: formerTags(),
  kind: string()
    .oneOf([...kinds])
    .required(),
  name: words(),
  modelId: id().optional(),
  facts: facts(),
  place: string().oneOf(['shelf', 'machine', 'buy', 'gone']).required(),
  where: optionalWords(),
  due: time().optional(),
  condition: string()
    .oneOf([...conditions])
    .optional(),
  origin: optionalWords(),
  price: money(),
  priceTo: cents().optional(),
  lot: optionalWords(),
  worth: money(),
  from: id().optional(),
  reserved: id().optional(),
  loan: loan(),
  service: service(),
  pastLoans: pastLoans(),
  count: number().integer().min(1).max(9999).optional(),
  note: optionalWords(),
});

const amount = () => shape({ lo: cents().required(), hi: cents().required() }).optional();

const offer = () =>
  shape({
    currency: currency(),
    asked: cents().optional(),
    value: amount(),
    fixes: array(shape({ what: words(), price: amount() }).required())
      .max(100)
      .required(),
    hours: shape({
      lo: number().min(0).max(1000).required(),
      hi: number().min(0).max(1000).required(),
    }).optional(),
  }).optional();

const machine = shape({
  id: id(),
  was: formerTags(),
  name: words(),
  modelId: id().optional(),
  state: string()
    .oneOf([...machineStates])
    .required(),
  starts: boolean().optional(),
  condition: string()
    .oneOf([...conditions])
    .optional(),
  origin: optionalWords(),
  price: money(),
  facts: facts(),
  seats: array(shape({ seat: seat(), partId: id() }).required()).required(),
  keepWhole: boolean().optional(),
  loan: loan(),
  pastLoans: pastLoans(),
  unsettled: array(
    shape({
      at: time().required(),
      tool: words(),
      name: optionalWords(),
      facts: facts(),
      parts: array(
        shape({
          kind: string()
            .oneOf([...kinds])
            .required(),
          name: words(),
          facts: facts(),
        }).required(),
      )
        .max(400)
        .required(),
      ignored: array(words()).max(40).required(),
    }).required(),
  )
    .max(5)
    .optional(),
  offer: offer(),
  note: optionalWords(),
});

const entry = shape({
  id: id(),
  at: time().required(),
  kind: string()
    .oneOf([...entryKinds])
    .required(),
  what: words(),
  money: money().test(
    'nothing and up',
    ({ path }) => `${path} is negative: a sale is a line of its own`,
    (value) => value === undefined || (value.minor ?? 0) >= 0,
  ),
  minutes: number().min(0).max(100_000).optional(),
  jobId: id().optional(),
  machineId: id().optional(),
  partId: id().optional(),
  who: optionalWords(),
});

export const shopSchema = shape({
  format: string().oneOf([FORMAT]).required(),
  version: number().oneOf([VERSION]).required(),
  name: words(),
  settings: shape({
    unit: string().oneOf(['mm', 'in']).required(),
    currency: currency(),
    headroom: number().min(0).max(3).required(),
    mains: number<115 | 230>().oneOf([115, 230]).optional(),
    theme: string().oneOf(['light', 'dark', 'auto']).required(),
    rates: array(
      shape({
        currency: currency(),
        rate: string()
          .matches(/^\d{1,9}(\.\d{1,9})?$/, '${path} is no rate: 0.92')
          .required(),
        at: time().optional(),
      }).required(),
    ).required(),
    degrees: string<'C' | 'F'>().oneOf(['C', 'F']).optional(),
    anHour: money(),
    contact: optionalWords(),
    labelStock: optionalWords(),
    textSize: number<100 | 115 | 130 | 150>().oneOf([100, 115, 130, 150]).optional(),
    workshop: shape({
      opens: number().integer().min(0).max(1440).required(),
      closes: number().integer().min(0).max(1440).required(),
      off: array(number().integer().min(0).max(6).required()).max(7).required(),
      closed: array(time().required()).max(400).required(),
      people: array(words()).max(40).required(),
      places: array(
        string()
          .oneOf([...resources])
          .required(),
      )
        .max(20)
        .required(),
      overnight: boolean().required(),
      rack: number().integer().min(0).max(200).optional(),
      weather: array(
        shape({
          day: time().required(),
          roomC: number().min(-20).max(50).optional(),
          humidity: number().min(1).max(100).optional(),
        }).required(),
      )
        .max(60)
        .optional(),
    }).optional(),
    demo: boolean().optional(),
  }).required(),
  models: array(model.required()).required(),
  machines: array(machine.required()).required(),
  parts: array(part.required()).required(),
  jobs: array(jobSchema.required()).required(),
  plugs: array(ownPlugSchema.required()).required(),
  ledger: array(entry.required()).required(),
  photos: array(photoSchema.required()).required(),
  versions: versionsSchema(),
}).required();
