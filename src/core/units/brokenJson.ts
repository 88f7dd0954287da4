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

/** The line the parser stopped at, where it says so. */
function damagedLine(text: string): number | undefined {
  try {
    JSON.parse(text);
    return undefined;
  } catch (error) {
    const at = /position (\d+)/.exec((error as Error).message)?.[1];
    return at === undefined ? undefined : text.slice(0, Number(at)).split('\n').length;
  }
}
