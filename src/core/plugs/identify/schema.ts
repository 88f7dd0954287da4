import { array, boolean, number, object, string } from 'yup';

/** What the API takes: rows and ways, readings, whether a load is set. */
export const identifySchema = object({
  rows: number().integer().min(1).max(2).required(),
  ways: number().integer().min(2).max(48).required(),
  loadSet: boolean().default(false),
  readings: array(
    object({
      kind: string().oneOf(['colour', 'chassis', 'standby', 'running']).required(),
      pin: number().integer().min(1).max(48).required(),
      colour: string().max(20),
      beeps: boolean(),
      volts: number().min(-60).max(60),
    })
      .noUnknown()
      .test('whole', 'says nothing: colour, beeps or volts is missing', (reading) =>
        reading.kind === 'colour'
          ? reading.colour !== undefined
          : reading.kind === 'chassis'
            ? reading.beeps !== undefined
            : reading.volts !== undefined,
      )
      .required(),
  )
    .max(400)
    .default([]),
}).noUnknown();
