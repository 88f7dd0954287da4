/** Cuts a paste into the outputs in it: JSON values, and the text between them without the shell's own lines. */

/** A shell's prompt with the command typed at it, a password asked for, a heading of a viewer. */
const shell = [
  /^\s*(?:\([^)]*\)\s*)?\[?[\w.-]+@[\w.-]+[\s:][^#$%>]*[#$%>](?:\s.*)?$/,
  /^\s*[$#%>❯➜]\s*(?:sudo\s+)?(?:dmidecode|lshw|lscpu|lsblk|smartctl|cat|clear|exit|powershell)\b.*$/,
  /^\s*[$%>❯➜]\s*$/,
  /^\s*(?:PS )?[A-Z]:\\[^>]*>.*$/,
  /^\s*\[sudo\].*$/,
  /^\s*(?:sudo\s+)?(?:dmidecode|lshw|lscpu|lsblk|smartctl)(?:\s+-\S+)*(?:\s+\S+)?\s*$/,
  /^\s*```\w*\s*$/,
  /^\s*WARNING: you should run this program as super-user\.?\s*$/i,
];

const isShell = (line: string): boolean => shell.some((pattern) => pattern.test(line));

export interface Piece {
  sort: 'json' | 'text';
  text: string;
}

/** The outputs in a paste, in their order; empty where there is nothing but prompts. */
export function piecesOf(paste: string): Piece[] {
  const pieces: Piece[] = [];
  let rest = paste;
  while (rest !== '') {
    const from = jsonStart(rest);
    const before = from < 0 ? rest : rest.slice(0, from);
    const said = before
      .split('\n')
      .filter((line) => !isShell(line))
      .join('\n')
      .replace(/^\s*\n|\s+$/g, '');
    if (said.trim() !== '') pieces.push({ sort: 'text', text: said });
    if (from < 0) break;
    const tail = rest.slice(from);
    const end = jsonEnd(tail);
    pieces.push({ sort: 'json', text: tail.slice(0, end).trim() });
    rest = tail.slice(end).replace(/^\s+/, '');
  }
  return pieces;
}

/** Where a JSON value begins: a bracket at the head of a line, with what may follow one. */
function jsonStart(text: string): number {
  const match = /(?:^|\n)[ \t]*(?=[[{]\s*(?:["{[\]}]))/.exec(text);
  return match ? match.index + match[0].length : -1;
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
