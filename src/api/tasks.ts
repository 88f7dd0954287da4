import { donorsPlan } from './allocate.ts';
import type { LateTask, Task } from './answer.ts';
import { candidates, check, fitSearch } from './documents.ts';
import {
  donorsWorth,
  heatFit,
  holes,
  linksCheck,
  plugsIdentify,
  plugsJoin,
  startupNext,
  wattsSolve,
} from './sums.ts';

/** Every computation of `/api/v1`, by its path. */
export const tasks = {
  check,
  'fit/search': fitSearch,
  'fit/holes': holes,
  'plugs/join': plugsJoin,
  'plugs/identify': plugsIdentify,
  'watts/solve': wattsSolve,
  'heat/fit': heatFit,
  'links/check': linksCheck,
  'donors/worth': donorsWorth,
  'donors/candidates': candidates,
  'donors/plan': donorsPlan,
  'startup/next': startupNext,
} satisfies Record<string, Task | LateTask>;

export type TaskName = keyof typeof tasks;
