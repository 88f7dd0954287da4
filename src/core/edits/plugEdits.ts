import type { FactKey } from '../model/properties/index.ts';
import { create } from 'mutative';
import { endName, wireLine, type Recipe } from '../plugs/adapter/index.ts';
import type { Part, OwnPlug, Shop } from '../model/types/types.ts';
import { nextPartId, putPart, setFact, type Edit } from './edits.ts';

/** Keeps plugs of one's own; one of the same tag is replaced. */
export const keepPlugs =
  (plugs: readonly OwnPlug[]): Edit =>
  (shop) =>
    create(shop, (next) => {
      const fresh = new Set(plugs.map((each) => each.id));
      next.plugs = [...next.plugs.filter((each) => !fresh.has(each.id)), ...plugs];
    });

/** Keeps a plug and says it of a part, or of its model, so that the next one of its kind is known. */
export const keepPlugOf =
  (plug: OwnPlug, part: Part, key: FactKey, at: string): Edit =>
  (shop) =>
    setFact(
      part.id,
      key,
      { text: plug.id, how: 'measured', at },
      part.modelId !== undefined,
    )(keepPlugs([plug])(shop));

/** Forgets a plug nobody names any more; one in use stays. */
export const dropPlug =
  (id: string): Edit =>
  (shop) =>
    plugInUse(shop, id) ? shop : { ...shop, plugs: shop.plugs.filter((each) => each.id !== id) };

/** Does any part or model say it has this plug? */
export function plugInUse(shop: Shop, id: string): boolean {
  return [...shop.parts, ...shop.models].some((each) =>
    Object.values(each.facts).some((fact) =>
      'text' in fact ? fact.text === id : 'items' in fact && fact.items.includes(id),
    ),
  );
}

/** A finished adapter as a part of the shelf, put into a free small seat of the job. */
export const addAdapter =
  (recipe: Recipe, jobId: string, at: string): Edit =>
  (shop) => {
    const id = nextPartId(shop, 'W');
    const from = recipe.gives.map((plug) => plug.id);
    const to = recipe.takes.map((plug) => plug.id);
    const list = (items: string[]) => ({ items, how: 'said' as const, at });
    const part: Part = {
      id,
      kind: 'small',
      name: `adapter ${recipe.gives.map((plug) => plug.name).join(' and ')} to ${recipe.takes.map((plug) => plug.name).join(' and ')}`.slice(
        0,
        200,
      ),
      facts: {
        sort: { text: 'plug adapter', how: 'said', at },
        joinsFrom: list(from),
        joinsTo: list(to),
        wiring: list([
          ...recipe.wires.map(wireLine),
          ...recipe.ties.map(
            (tie) =>
              `${endName(tie.end)} tied to ${tie.to}${tie.through ? ` by ${tie.through}` : ''}`,
          ),
        ]),
        proved: { text: 'not yet', how: 'said', at },
      },
      place: 'shelf',
    };
    const withPart = { ...shop, parts: [...shop.parts, part] };
    return putPart(jobId, freeSmall(withPart, jobId), id)(withPart);
  };

/** The first small seat neither the machine nor the plan of the job has taken. */
function freeSmall(shop: Shop, jobId: string): string {
  const job = shop.jobs.find((each) => each.id === jobId);
  const machine = shop.machines.find((each) => each.id === job?.machineId);
  const used = new Set([
    ...(machine?.seats ?? []).map((each) => each.seat),
    ...(job?.changes ?? []).map((each) => each.seat),
  ]);
  for (let n = 1; ; n += 1) if (!used.has(`small${n}`)) return `small${n}`;
}
