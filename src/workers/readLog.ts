import Papa from 'papaparse';
import { delimiterOf, LogError, LogReader, sensorsJson, type Log } from '$core/heat/index.ts';

/** Bytes a log may have, and what is read at once. */
const MOST_BYTES = 400_000_000;
const PIECE = 2_000_000;

/** Something whose bytes can be read piece by piece: a file, or bytes at hand. */
export interface Source {
  size: number;
  slice: (from: number, to: number) => { arrayBuffer: () => Promise<ArrayBuffer> };
}

export const sourceOf = (bytes: Uint8Array): Source => ({
  size: bytes.length,
  slice: (from, to) => ({
    arrayBuffer: () => Promise.resolve(bytes.slice(from, to).buffer as ArrayBuffer),
  }),
});

/** Which letters the bytes are: by their mark, by their noughts, else UTF-8 if it is whole, else Western. */
export function encodingOf(head: Uint8Array): string {
  if (head[0] === 0xff && head[1] === 0xfe) return 'utf-16le';
  if (head[0] === 0xfe && head[1] === 0xff) return 'utf-16be';
  const noughts = (from: number) => {
    let n = 0;
    for (let i = from; i < Math.min(head.length, 200); i += 2) if (head[i] === 0) n += 1;
    return head.length >= 8 && n > Math.min(head.length, 200) / 4;
  };
  if (noughts(1)) return 'utf-16le';
  if (noughts(0)) return 'utf-16be';
  try {
    /* The last letter may be cut through. */
    new TextDecoder('utf-8', { fatal: true }).decode(head, { stream: true });
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

/**
 * Reads a log of any of the kinds known, piece by piece; `progress` from 0 to 1. Throws LogError for
 * an empty or too large file, and where no row can be read. A caller that no longer wants it aborts
 * by throwing from `progress`.
 */
export async function readLog(
  source: Source,
  progress?: (share: number) => void | Promise<void>,
): Promise<Log> {
  if (source.size === 0) throw new LogError('The file is empty.');
  if (source.size > MOST_BYTES) throw new LogError('The file is larger than 400 MB.');
  const head = new Uint8Array(await source.slice(0, Math.min(source.size, 65_536)).arrayBuffer());
  const encoding = encodingOf(head);
  const start = new TextDecoder(encoding).decode(head).trimStart();
  if (start.startsWith('{') || start.startsWith('[')) {
    const all = new Uint8Array(await source.slice(0, source.size).arrayBuffer());
    return sensorsJson(answersIn(new TextDecoder(encoding).decode(all)), 1);
  }
  const lines = start.split(/\r\n|\n|\r/).slice(0, 40);
  const sign = delimiterOf(lines);
  const comma = lines.some((line) =>
    sign === ',' ? /"[-+]?\d+,\d+"/.test(line) : /\d,\d/.test(line),
  );
  const reader = new LogReader(comma);
  const decoder = new TextDecoder(encoding);
  let rest = '';
  for (let from = 0; from < source.size; from += PIECE) {
    const bytes = await source.slice(from, Math.min(source.size, from + PIECE)).arrayBuffer();
    const text = rest + decoder.decode(bytes, { stream: true });
    const end = text.lastIndexOf('\n') + 1;
    pushRows(reader, text.slice(0, end), sign);
    rest = text.slice(end);
    await progress?.(Math.min(1, (from + PIECE) / source.size));
  }
  pushRows(reader, rest + decoder.decode(), sign);
  return reader.finish();
}

function pushRows(reader: LogReader, text: string, delimiter: string): void {
  if (text === '') return;
  Papa.parse<string[]>(text.endsWith('\n') ? text.slice(0, -1) : text, {
    delimiter,
    fastMode: !text.includes('"'),
    step: ({ data }) => reader.push(data),
  });
}

/** One answer, a list of them, or several after one another. */
function answersIn(text: string): unknown[] {
  try {
    const whole: unknown = JSON.parse(text);
    return Array.isArray(whole) ? whole : [whole];
  } catch {
    const pieces = text.split(/(?<=\})\s*\n(?=\{)/);
    return pieces.map((piece, i) => {
      try {
        return JSON.parse(piece) as unknown;
      } catch (error) {
        throw new LogError(`Answer ${i + 1} is no whole JSON: ${(error as Error).message}.`, i + 1);
      }
    });
  }
}
