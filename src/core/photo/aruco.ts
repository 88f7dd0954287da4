// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- a declaration of types is no module to import.
/// <reference path="./js-aruco2.d.ts" />
import aruco from 'js-aruco2';

const DICTIONARY = 'ARUCO_MIP_36h12';
/** Bits of 36 that may be misread. */
const MOST_WRONG = 3;

/** Codes of a picture, found by their outlines: corners to about a pixel. */
export const detect = (pixels: { width: number; height: number; data: ArrayLike<number> }) =>
  new aruco.AR.Detector({
    dictionaryName: DICTIONARY,
    maxHammingDistance: MOST_WRONG + 1,
  }).detect(pixels);

let bits: readonly string[] | undefined;

/** The bits of a code, row by row; 1 is white. */
export const bitsOf = (id: number): string | undefined =>
  (bits ??= new aruco.AR.Dictionary(DICTIONARY).codeList)[id];
