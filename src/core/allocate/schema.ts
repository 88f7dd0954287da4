import { array, boolean, mixed, number, object, string } from 'yup';
import { goals, usualWishes, type Goal, type Wishes } from './wishes.ts';

/** What a plan is asked for over the wire, besides the document. */
export interface PlanRequest {
  document: unknown;
  jobs: string[] | undefined;
  wishes: Wishes;
  others: number;
  reasons: boolean;
  seconds: number | undefined;
}

const tags = () => array(string().min(1).max(200).required());

const wishes = object({
  order: array(
    string()
      .oneOf([...goals])
      .required(),
  ).max(goals.length),
  prices: string().oneOf(['sure', 'middle']),
  leave: tags().max(1000),
}).noUnknown('${path} has names it does not know: ${unknown}');

const schema = object({
  document: mixed().required(),
  jobs: tags().min(1).max(200),
  wishes: wishes.default(undefined),
  others: number().integer().min(0).max(3),
  reasons: boolean(),
  seconds: number().moreThan(0).max(3600),
}).noUnknown('${path} has names it does not know: ${unknown}');

/** Throws yup's ValidationError with the path of the fault. */
export function readPlanRequest(value: unknown): PlanRequest {
  const said = schema.validateSync(value, { strict: true });
  return {
    document: said.document,
    jobs: said.jobs,
    wishes: {
      order: (said.wishes?.order as Goal[] | undefined) ?? usualWishes.order,
      prices: (said.wishes?.prices as Wishes['prices'] | undefined) ?? usualWishes.prices,
      leave: said.wishes?.leave ?? [],
    },
    others: said.others ?? 0,
    reasons: said.reasons ?? false,
    seconds: said.seconds,
  };
}
