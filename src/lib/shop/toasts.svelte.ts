export interface Toast {
  id: number;
  text: string;
  tone: 'plain' | 'stop';
  /** What its button does: takes back what the sentence says. */
  undo?: (() => void) | undefined;
}

let last = 0;
const list = $state<Toast[]>([]);

export const toasts = list;

const PLAIN_MS = 4_000;
/** A Stop is read twice, and an undo is looked for. */
const LONG_MS = 12_000;

/** A short message at the foot of the stage; it leaves by itself. */
export function toast(text: string, tone: Toast['tone'] = 'plain', undo?: () => void): void {
  last += 1;
  const id = last;
  list.push({ id, text, tone, undo });
  if (list.length > 4) list.shift();
  setTimeout(() => dismiss(id), tone === 'stop' || undo ? LONG_MS : PLAIN_MS);
}

export function dismiss(id: number): void {
  const at = list.findIndex((each) => each.id === id);
  if (at >= 0) list.splice(at, 1);
}
