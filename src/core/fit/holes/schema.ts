import { array, boolean, number, object } from 'yup';

/** What the API takes: places in mm, the caliper's standard error, what else is known. */
export const holesSchema = object({
  points: array(object({ x: number().required(), y: number().required() }).noUnknown().required())
    .min(3)
    .max(24)
    .required(),
  accuracyMm: number().moreThan(0).max(5).default(0.3),
  all: boolean().optional(),
  outline: object({
    widthMm: number().positive().max(1000).required(),
    depthMm: number().positive().max(1000).required(),
  })
    .noUnknown()
    .default(undefined),
}).noUnknown();
