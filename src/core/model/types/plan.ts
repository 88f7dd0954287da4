import type { RemedyValue } from './remedyValue.ts';
import type { Job, Kind, Machine, Part, SeatId, Shop } from './types.ts';

/** A machine as it shall be (or as found): what sits in which seat. */
export interface Placed {
  seat: SeatId;
  kind: Kind;
  part: Part;
  state: 'stays' | 'comes';
}

export interface Plan {
  shop: Shop;
  job?: Job | undefined;
  machine?: Machine | undefined;
  seats: Placed[];
  /** What was in a seat and leaves it. */
  goes: { seat: SeatId; kind: Kind; part: Part }[];
  /** Remedies that are applied. */
  applied: readonly RemedyValue[];
}
