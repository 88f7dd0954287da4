export interface Toast {
  id: number;
  text: string;
  tone: 'plain' | 'stop';
}

let last = 0;
const list = $state<Toast[]>([]);

export const toasts = list;

/** A short message at the foot of the stage; it leaves by itself, a Stop stays longer. */
export function toast(text: string, tone: Toast['tone'] = 'plain'): void {
  last += 1;
  const id = last;
  list.push({ id, text, tone });
  if (list.length > 4) list.shift();
  setTimeout(() => dismiss(id), tone === 'stop' ? 12_000 : 4_000);
}

export function dismiss(id: number): void {
  const at = list.findIndex((each) => each.id === id);
  if (at >= 0) list.splice(at, 1);
}
