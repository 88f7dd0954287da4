import { brokenJson } from '../units/brokenJson.ts';
import { IntakeError, type Inventory } from './inventory.ts';
import { fitting } from './fitting.ts';
import { readCim } from './cim.ts';
import { readDmidecode } from './dmidecode.ts';
import { isRow } from './json.ts';
import { readLsblk } from './lsblk.ts';
import { isLscpuText, readLscpu, readLscpuText } from './lscpu.ts';
import { readLshw } from './lshw.ts';
import { piecesOf, type Piece } from './paste.ts';
import { readSmartctl } from './smartctl.ts';

const MOST_CHARACTERS = 5_000_000;

/**
 * Finds out which tool printed the text and reads it. A paste may hold several outputs one after the
 * other, with the prompts and commands of a shell between them; what is none of it is said, not swallowed.
 * Throws IntakeError with what was wrong when nothing in it can be read.
 */
export function readInventories(text: string): Inventory[] {
  if (text.length > MOST_CHARACTERS)
    throw new IntakeError('This is larger than 5 MB: no inventory is.');
  const clean = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n');
  if (clean.trim() === '') throw new IntakeError('Nothing in it.');
  const pieces = piecesOf(clean);
  if (pieces.length === 0) throw new IntakeError('Commands without what they print.');
  const read: Inventory[] = [];
  const faults: string[] = [];
  for (const piece of pieces) {
    try {
      read.push(fitting(readOne(piece)));
    } catch (error) {
      if (!(error instanceof IntakeError)) throw error;
      faults.push(error.message);
    }
  }
  const [first] = read;
  if (!first) throw new IntakeError(faults[0] ?? 'Nothing in it.');
  return [
    { ...first, ignored: [...first.ignored, ...faults.map((each) => each.slice(0, 200))] },
    ...read.slice(1),
  ];
}

function readOne({ sort, text }: Piece): Inventory {
  if (sort === 'json') return readJson(parse(text));
  if (/DMI type \d+/.test(text)) return readDmidecode(text);
  if (isLscpuText(text)) return readLscpuText(text);
  const hint = /^\s*NAME\b.*\bSIZE\b|^\s*description:/m.test(text)
    ? ' It looks like lsblk or lshw without their -J or -json: run it again with that.'
    : '';
  throw new IntakeError(
    `Not an inventory I know: it begins with "${text.trim().slice(0, 40).replace(/\s+/g, ' ')}".${hint || ' Known: dmidecode, lshw -json, lscpu, lsblk -J, smartctl -a -j, and the shell line below.'}`,
  );
}

function parse(piece: string): unknown {
  try {
    return JSON.parse(piece);
  } catch {
    throw new IntakeError(brokenJson(piece, 'text'));
  }
}

function readJson(json: unknown): Inventory {
  const one: unknown = Array.isArray(json) ? json[0] : json;
  if (isRow(one)) {
    if (isRow(one['smartctl'])) return readSmartctl(one);
    if ('lscpu' in one) return readLscpu(one);
    if ('blockdevices' in one) return readLsblk(one);
    if ('nutshell' in one || (Object.hasOwn(one, 'system') && Object.hasOwn(one, 'processors')))
      return readCim(one);
    if ('class' in one && 'id' in one) return readLshw(json);
  }
  throw new IntakeError('This JSON is no inventory I know.');
}
