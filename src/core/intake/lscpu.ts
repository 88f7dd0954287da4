import { IntakeError, type Inventory } from './inventory.ts';
import { flatRows, numberIn, rowsIn, textIn } from './json.ts';
import { believable } from './junk.ts';

/** Reads `lscpu -J`: a flat list (older) or a tree of fields (newer). */
export function readLscpu(json: unknown): Inventory {
  const list = (json as { lscpu?: unknown }).lscpu;
  if (!Array.isArray(list)) throw new IntakeError('No lscpu list in this JSON.');
  const fields = flatRows(rowsIn(list), 'children');
  const get = (name: string) =>
    believable(fields.find((one) => textIn(one['field'])?.replace(/:$/, '') === name)?.['data']);
  const name = get('Model name') ?? get('Model');
  const sockets = numberIn(get('Socket(s)')) ?? 1;
  return {
    tool: 'lscpu',
    facts: {},
    parts: name ? [{ kind: 'processor', name, facts: {} }] : [],
    ignored: sockets > 1 ? [`${sockets} sockets: only the first is in the plan`] : [],
  };
}
