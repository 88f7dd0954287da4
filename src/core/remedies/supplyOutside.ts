import {
  fedByOneVoltage,
  isApplied,
  numberAt,
  partOfKind,
  textAt,
  type Plan,
} from '../model/lookup/plan.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    supplyOutside: unknown;
  }
}

/** The PSU outside the case, its leads through an opening. */
export const supplyOutside = remedy({
  do: 'supplyOutside',
  id: 'supply-outside',
  fields: {},
  title: () => 'PSU outside the case',
  step: () =>
    "Set the PSU up outside, its leads through an opening with an edge guard; join its shell to the case's by a lead of its own",
  minutes: 40,
  undoable: true,
  givesUp: 'the PSU stands outside',
  spoils: 'an opening for the leads',
  options: (plan) => (mayBeTooDeep(plan) ? [[{ do: 'supplyOutside' }]] : []),
  moves: () => 'supply',
});

/** A PSU that sits inside and may be too deep for its bay: only then is it worth taking out. */
function mayBeTooDeep(plan: Plan): boolean {
  const [shell, supply] = [partOfKind(plan, 'case'), partOfKind(plan, 'supply')];
  const room = shell && numberAt(plan, shell, 'supplyRoom');
  const depth = supply && numberAt(plan, supply, 'depth');
  if (!supply || !room || !depth || room.lo >= depth.hi) return false;
  return !fedByOneVoltage(plan, supply) && said(plan) !== OUT;
}

const OUT = 'outside the case';

function said(plan: Plan): string | undefined {
  const shell = partOfKind(plan, 'case');
  return shell && textAt(plan, shell, 'supplyAt')?.text;
}

/** Where the PSU sits in this plan: outside, once it is put there, else where the case holds it. */
export const supplyPlaceOf = (plan: Plan): string | undefined =>
  isApplied(plan, supplyOutside()) ? OUT : said(plan);

/** Whether it stands outside the case. */
export const standsOutside = (plan: Plan): boolean => supplyPlaceOf(plan) === OUT;
