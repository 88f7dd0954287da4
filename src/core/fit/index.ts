import { fanMounts } from './fanMounts.ts';
import { driveDepth, mountDepth } from './mountDepth.ts';
import type { Check } from '../findings/finding.ts';
import { boardHoles } from './boardHoles.ts';
import { boardOutline } from './boardOutline.ts';
import { cardHeight } from './cardHeight.ts';
import { cardLength } from './cardLength.ts';
import { cardSlots } from './cardSlots.ts';
import { riserCard } from './riserCard.ts';
import { coolerHeight } from './coolerHeight.ts';
import { coolerMount } from './coolerMount.ts';
import { exhaust } from './air.ts';
import { clashes } from './clashes.ts';
import { contradictions } from './contradictions.ts';
import { cover } from './cover.ts';
import { driveMounts } from './driveMounts.ts';
import { hotFaces } from './hotFace.ts';
import { coolerSinks } from './coolerSinks.ts';
import { leadReach } from './reach.ts';
import { leadRoom } from './leadRoom.ts';
import { leads } from './leads.ts';
import { leadsUnder } from './leadsUnder.ts';
import { suppliesBeside } from './supplyOutside.ts';
import { noInsertionPath } from './insertionPaths.ts';
import { radiators } from './radiator.ts';
import { memoryHeight } from './memoryHeight.ts';
import { portPlate, rearPorts } from './rear.ts';
import { stack } from './stack.ts';
import { supplyBay } from './supplyBay.ts';

/** Will it go in? */
export const fitChecks: readonly Check[] = [
  boardOutline,
  boardHoles,
  coolerHeight,
  memoryHeight,
  coolerMount,
  cardLength,
  cardHeight,
  cardSlots,
  riserCard,
  supplyBay,
  driveMounts,
  stack,
  clashes,
  fanMounts,
  mountDepth,
  driveDepth,
  radiators,
  exhaust,
  contradictions,
  rearPorts,
  portPlate,
  hotFaces,
  cover,
  leads,
  leadReach,
  leadRoom,
  leadsUnder,
  suppliesBeside,
  coolerSinks,
  noInsertionPath,
];
