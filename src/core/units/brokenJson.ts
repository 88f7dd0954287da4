/**
 * What is wrong with a text that JSON.parse refuses, in words for whoever holds the file: empty, cut off, another
 * sort of file, or damaged at a line. `what`: what the text is called, `file` or `text`.
 */
export function brokenJson(text: string, what: 'file' | 'text' = 'file'): string {
  const plain = text.replace(/^\uFEFF/, '');
  const begins = plain.trimStart();
  if (begins === '') return `This ${what} is empty.`;
  if (!/^[[{]/.test(begins)) {
    const start = begins
      .slice(0, 24)
      .replace(/[^\x20-\x7e]+/g, ' ')
      .trim();
    return `This ${what} is no JSON${start === '' ? '' : `: it begins with “${start}”`}.`;
  }
  const end = structure(plain);
  if (end === 'open') return `This ${what} is cut off: its end is missing.`;
  const line = damagedLine(plain);
  return line === undefined
    ? `This ${what} is damaged.`
    : `This ${what} is damaged at line ${line}.`;
}

/** Whether every bracket and quotation that was opened is closed at the end. */
function structure(text: string): 'open' | 'closed' {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < text.length; i += 1) {
    const char = text[i];
    if (quoted) {
      if (char === '\\') i += 1;
      else if (char === '"') quoted = false;
    } else if (char === '"') quoted = true;
    else if (char === '{' || char === '[') depth += 1;
    else if (char === '}' || char === ']') depth -= 1;
  }
  return quoted || depth > 0 ? 'open' : 'closed';
}

/** The first line after which no continuation makes it JSON, from 1; undefined where it is JSON. */
function damagedLine(text: string): number | undefined {
  if (isPossible(text, text.length) === 'whole') return undefined;
  const ends = [...text.matchAll(/\n|$/g)].map(({ index }) => index);
  let lo = 0;
  let hi = ends.length - 1;
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if (isPossible(text, ends[mid] ?? text.length) === 'damaged') hi = mid;
    else lo = mid + 1;
  }
  return lo + 1;
}

/**
 * Whether the first `end` characters are JSON, could become JSON, or cannot. A parser that stops before the end of
 * what it was given has met what it cannot read; not every one says where, but all name what they met at the end.
 */
function isPossible(text: string, end: number): 'whole' | 'open' | 'damaged' {
  const begin = text.slice(0, end).trimEnd();
  try {
    JSON.parse(begin);
    return 'whole';
  } catch (error) {
    const { message } = error as Error;
    if (/unexpected end|end of data|\bEOF\b|unterminated/i.test(message)) return 'open';
    const at = /position (\d+)/.exec(message)?.[1];
    return at !== undefined && Number(at) >= begin.length ? 'open' : 'damaged';
  }
}
