import { angledDrive } from './angledDrive.ts';
import { angledPlug } from './angledPlug.ts';
import { angledRibbon } from './angledRibbon.ts';
import { cageOut } from './cageOut.ts';
import { coolerKit } from './coolerKit.ts';
import { cutFront } from './cutFront.ts';
import { cutSink } from './cutSink.ts';
import { drill } from './drill.ts';
import { driveBracket } from './driveBracket.ts';
import { fanOutside } from './fanOutside.ts';
import { fileSlots } from './fileSlots.ts';
import { firmwareFirst } from './firmwareFirst.ts';
import { flatSink } from './flatSink.ts';
import { hangOn } from './hangOn.ts';
import { hangRadiator } from './hangRadiator.ts';
import { lidWashers } from './lidWashers.ts';
import { limitWatts } from './limitWatts.ts';
import { longerLead } from './longerLead.ts';
import { moveDrive } from './moveDrive.ts';
import { oneOpening } from './oneOpening.ts';
import { otherBracket } from './otherBracket.ts';
import { otherSocket } from './otherSocket.ts';
import { plugAdapter } from './plugAdapter.ts';
import { processorAdapter } from './processorAdapter.ts';
import { rearCut } from './rearCut.ts';
import { rearFan } from './rearFan.ts';
import { rearOpen } from './rearOpen.ts';
import { rearPlate } from './rearPlate.ts';
import { sataSplitter } from './sataSplitter.ts';
import { slotFurther } from './slotFurther.ts';
import { standoffsOut } from './standoffsOut.ts';
import { supplyOutside } from './supplyOutside.ts';
import { supplyPlate } from './supplyPlate.ts';
import { tallerFeet } from './tallerFeet.ts';
import { thickerLead } from './thickerLead.ts';
import { tilt } from './tilt.ts';
import { toFrame } from './toFrame.ts';
import { turnSupply } from './turnSupply.ts';

/** Every remedy there is: checks offer from it, the search chooses from it, work order, schema and docs follow. */
export const remedies = [
  angledDrive,
  angledPlug,
  angledRibbon,
  cageOut,
  coolerKit,
  cutFront,
  cutSink,
  drill,
  driveBracket,
  fanOutside,
  fileSlots,
  firmwareFirst,
  flatSink,
  hangOn,
  hangRadiator,
  lidWashers,
  limitWatts,
  longerLead,
  moveDrive,
  oneOpening,
  otherBracket,
  otherSocket,
  plugAdapter,
  processorAdapter,
  rearCut,
  rearFan,
  rearOpen,
  rearPlate,
  sataSplitter,
  slotFurther,
  standoffsOut,
  supplyOutside,
  supplyPlate,
  tallerFeet,
  thickerLead,
  tilt,
  toFrame,
  turnSupply,
] as const;
