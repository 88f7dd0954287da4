import type { Facts } from './fact.ts';

/** What a shop knows of a model, to be handed on: signed by nothing, trusted for nothing but what it says. */
export interface CardBody {
  facts: Facts;
  /** Minutes of hands the jobs on such machines took. */
  minutes?: { what: string; minutes: number }[] | undefined;
  /** Faults that were found on them. */
  faults?: { symptom: string; cause: string }[] | undefined;
}

/** A card that was taken in. */
export interface HeardCard extends CardBody {
  /** Name of the shop it came from. */
  from: string;
}
