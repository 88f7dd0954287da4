import { isNumber, isText, outranks, type Facts } from '../model/types/fact.ts';
import { manyKinds } from '../model/types/types.ts';
import type { DraftPart, Inventory } from './inventory.ts';
import { sameName } from './sameName.ts';

/** Several tools about one machine make one inventory: every fact once, the better source kept. */
export function mergeInventories(list: readonly Inventory[]): Inventory {
  const merged: Inventory = {
    tool: list.map((one) => one.tool).join(', '),
    facts: {},
    parts: [],
    ignored: [],
  };
  for (const inventory of list) {
    merged.name ??= inventory.name;
    merged.facts = mergeFacts(merged.facts, inventory.facts);
    merged.ignored.push(...inventory.ignored);
    merged.parts = mergeParts(merged.parts, inventory.parts);
  }
  return merged;
}

/**
 * The machines several inventories speak of, each as one: by serial number, else by name. What names no
 * machine belongs to the one before it.
 */
export function byMachine(list: readonly Inventory[]): Inventory[] {
  const groups: Inventory[][] = [];
  for (const inventory of list) {
    const own = groups.find((group) => group.every((other) => sameMachine(other, inventory)));
    const silent = inventory.name === undefined && inventory.facts['serial'] === undefined;
    const at = silent ? groups[groups.length - 1] : own;
    if (at) at.push(inventory);
    else groups.push([inventory]);
  }
  return groups.map(mergeInventories);
}

function sameMachine(a: Inventory, b: Inventory): boolean {
  const [serialA, serialB] = [a.facts['serial'], b.facts['serial']];
  if (serialA && serialB && isText(serialA) && isText(serialB))
    return serialA.text === serialB.text;
  return a.name === undefined || b.name === undefined || sameName(a.name, b.name);
}

export function mergeFacts(a: Facts, b: Facts): Facts {
  const merged: Facts = { ...a };
  for (const [key, fact] of Object.entries(b)) {
    const before = merged[key];
    if (!before || (outranks(fact, before) && fact.how !== before.how)) merged[key] = fact;
  }
  return merged;
}

/** Each piece of `b` joins the piece of `a` it is, or stands on its own. */
function mergeParts(a: readonly DraftPart[], b: readonly DraftPart[]): DraftPart[] {
  const merged = [...a];
  const joined = new Set<number>();
  for (const part of b) {
    const free = [...a.keys()].filter((at) => {
      const other = merged[at];
      return other && !joined.has(at) && samePiece(other, part);
    });
    const at = free.find((each) => sameName(merged[each]?.name ?? '', part.name)) ?? free[0] ?? -1;
    const before = merged[at];
    if (before) {
      joined.add(at);
      merged[at] = {
        ...before,
        name: betterName(before.name, part.name),
        facts: mergeFacts(before.facts, part.facts),
      };
    } else merged.push(part);
  }
  return merged;
}

/** One-of-a-kind parts are the same piece; others when size and kind do not contradict each other. */
export function samePiece(
  a: Pick<DraftPart, 'kind' | 'facts'>,
  b: Pick<DraftPart, 'kind' | 'facts'>,
): boolean {
  if (a.kind !== b.kind) return false;
  if (!manyKinds.includes(a.kind)) return true;
  const [sizeA, sizeB] = [a.facts['size'], b.facts['size']];
  if (isNumber(sizeA) && isNumber(sizeB)) {
    return Math.abs(sizeA.lo - sizeB.lo) <= 0.02 * Math.max(sizeA.lo, sizeB.lo);
  }
  const [formA, formB] = [a.facts['form'], b.facts['form']];
  return !(isText(formA) && isText(formB) && formA.text !== formB.text);
}

/** A name with a maker's words beats a bare kind. */
function betterName(a: string, b: string): string {
  const plain = /^(board|case( \(.*\))?|processor|drive( \w+)?|supply)$/;
  return plain.test(a) && !plain.test(b) ? b : a;
}
