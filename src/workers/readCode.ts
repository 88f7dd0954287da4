import * as library from '@zxing/library';

/* Node reads the package's CommonJS form, whose names stand on its default. */
const {
  BinaryBitmap,
  Code128Reader,
  DecodeHintType,
  HybridBinarizer,
  QRCodeReader,
  RGBLuminanceSource,
} = (library as { default?: typeof library }).default ?? library;

/** A picture in shades of grey, row by row, 0 to 255. */
export interface Picture {
  width: number;
  height: number;
  grey: Uint8ClampedArray;
}

const hints = new Map<number, unknown>([[DecodeHintType.TRY_HARDER, true]]);
/** Codes as the labels bear them, then square ones. */
const readers = [new Code128Reader(), new QRCodeReader()];

/** The text of a code in a picture; undefined when there is none. */
export function readCode({ width, height, grey }: Picture): string | undefined {
  const bitmap = new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(grey, width, height)));
  for (const reader of readers) {
    try {
      const text = reader.decode(bitmap, hints).getText().trim();
      if (text) return text;
    } catch {
      /* None of this sort in the picture: the next one may have it. */
    } finally {
      reader.reset();
    }
  }
  return undefined;
}
