import type { Check } from '../findings/finding.ts';
import { linkRequirements } from './linkRequirements.ts';
import { largeDrives } from './largeDrives.ts';
import { drivePlaces, links } from './chain.ts';
import { driveRecord } from './driveRecord.ts';
import { firmware } from './firmware.ts';
import { lost } from './lost.ts';
import { m2Fits } from './m2.ts';
import { memory } from './memory.ts';
import { memoryLoss } from './memoryLoss.ts';
import { memoryVolts } from './memoryVolts.ts';
import { moduleSort } from './moduleSort.ts';
import { sataLinks } from './sata.ts';
import { socket } from './socket.ts';
import { wireless } from './wireless.ts';

/** Will it be seen? */
export const linkChecks: readonly Check[] = [
  socket,
  firmware,
  memory,
  memoryLoss,
  memoryVolts,
  moduleSort,
  linkRequirements,
  links,
  sataLinks,
  drivePlaces,
  m2Fits,
  driveRecord,
  largeDrives,
  lost,
  wireless,
];
