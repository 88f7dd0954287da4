import { IntakeError, type Inventory } from './inventory.ts';
import { believable } from './junk.ts';

interface Field {
  field?: string;
  data?: string | null;
  children?: Field[];
}

/** Reads `lscpu -J`: a flat list (older) or a tree of fields (newer). */
export function readLscpu(json: unknown): Inventory {
  const fields = (json as { lscpu?: Field[] }).lscpu;
  if (!Array.isArray(fields)) throw new IntakeError('No lscpu list in this JSON.');
  const flat = (list: Field[]): Field[] =>
    list.flatMap((one) => [one, ...flat(one.children ?? [])]);
  const get = (name: string) =>
    believable(flat(fields).find((one) => one.field?.replace(/:$/, '') === name)?.data);
  const name = get('Model name') ?? get('Model');
  const sockets = Number(get('Socket(s)') ?? 1);
  return {
    tool: 'lscpu',
    facts: {},
    parts: name ? [{ kind: 'processor', name, facts: {} }] : [],
    ignored: sockets > 1 ? [`${sockets} sockets: only the first is in the plan`] : [],
  };
}
