import { IntakeError, type Inventory } from './inventory.ts';
import { fitting } from './fitting.ts';
import { readCim } from './cim.ts';
import { readDmidecode } from './dmidecode.ts';
import { isRow } from './json.ts';
import { readLsblk } from './lsblk.ts';
import { readLscpu } from './lscpu.ts';
import { readLshw } from './lshw.ts';

const MOST_CHARACTERS = 5_000_000;

/**
 * Finds out which tool printed the text and reads it. A paste may hold several outputs one
 * after the other. Throws IntakeError with what was wrong.
 */
export function readInventories(text: string): Inventory[] {
  if (text.length > MOST_CHARACTERS)
    throw new IntakeError('This is larger than 5 MB: no inventory is.');
  const clean = text.replace(/^\uFEFF/, '').trim();
  if (clean === '') throw new IntakeError('Nothing in it.');
  const pieces = split(clean);
  return pieces.map((piece) => fitting(readOne(piece)));
}

function readOne(piece: string): Inventory {
  if (/^[[{]/.test(piece)) return readJson(parse(piece));
  if (/DMI type \d+/.test(piece)) return readDmidecode(piece);
  throw new IntakeError(
    `Not an inventory I know: it begins with "${piece.slice(0, 40).replace(/\s+/g, ' ')}". Known: dmidecode, lshw -json, lscpu -J, lsblk -J, and the shell line below.`,
  );
}

function parse(piece: string): unknown {
  try {
    return JSON.parse(piece);
  } catch (error) {
    throw new IntakeError(`Broken JSON: ${(error as Error).message}`);
  }
}

function readJson(json: unknown): Inventory {
  const one: unknown = Array.isArray(json) ? json[0] : json;
  if (isRow(one)) {
    if ('lscpu' in one) return readLscpu(one);
    if ('blockdevices' in one) return readLsblk(one);
    if ('nutshell' in one || (Object.hasOwn(one, 'system') && Object.hasOwn(one, 'processors')))
      return readCim(one);
    if ('class' in one && 'id' in one) return readLshw(json);
  }
  throw new IntakeError('This JSON is no inventory I know.');
}

/** Cuts a paste of several outputs at the places where a JSON value ends or a dmidecode header begins. */
function split(text: string): string[] {
  const pieces: string[] = [];
  let rest = text;
  while (rest !== '') {
    const end = /^[[{]/.test(rest) ? jsonEnd(rest) : textEnd(rest);
    pieces.push(rest.slice(0, end).trim());
    rest = rest.slice(end).trim();
  }
  return pieces;
}

/** Where the JSON value that starts the text ends; the whole text when it never does. */
function jsonEnd(text: string): number {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < text.length; i += 1) {
    const c = text[i];
    if (quoted) {
      if (c === '\\') i += 1;
      else if (c === '"') quoted = false;
    } else if (c === '"') quoted = true;
    else if (c === '{' || c === '[') depth += 1;
    else if (c === '}' || c === ']') {
      depth -= 1;
      if (depth === 0) return i + 1;
    }
  }
  return text.length;
}

function textEnd(text: string): number {
  const json = /\n[[{]\s*["{]/.exec(text);
  return json ? json.index : text.length;
}
