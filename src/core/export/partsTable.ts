import { property } from '../model/properties/index.ts';
import { writeList } from '../model/properties/listText.ts';
import { isList, isNumber, isText } from '../model/types/fact.ts';
import { indexOf, standingOf } from '../model/lookup/lookup.ts';
import type { Part, Shop } from '../model/types/types.ts';
import { formatMoney } from '../units/money.ts';

/** The parts of a shop or job as rows of texts, a header row first. Cells that a spreadsheet would run are defused. */
export function partsTable(shop: Shop, parts: readonly Part[]): string[][] {
  const header = [
    'tag',
    'kind',
    'name',
    'place',
    'condition',
    'origin',
    'price',
    'currency',
    'price to',
    'lot',
    'facts',
    'note',
  ];
  return [header, ...parts.map((part) => row(shop, part).map(defuse))];
}

function row(shop: Shop, part: Part): string[] {
  const { condition, origin, price } = standingOf(shop, part);
  const home = indexOf(shop).homeOf.get(part.id);
  const facts = Object.entries(part.facts).map(([key, fact]) => {
    const value = isNumber(fact)
      ? fact.lo === fact.hi
        ? String(fact.lo)
        : `${fact.lo}..${fact.hi}`
      : isText(fact)
        ? fact.text
        : isList(fact)
          ? writeList(property(part.kind, key) ?? { key }, fact.items)
          : '';
    return `${key}=${value} (${fact.how})`;
  });
  return [
    part.id,
    part.kind,
    part.name,
    home ? `machine ${home.id}` : (part.where ?? part.place),
    condition,
    origin ?? '',
    price ? formatMoney(price) : '',
    price?.currency ?? '',
    price && part.priceTo !== undefined
      ? formatMoney({ minor: part.priceTo, currency: price.currency })
      : '',
    part.lot ?? '',
    facts.join('; '),
    part.note ?? '',
  ];
}

/** A leading quote turns what a spreadsheet would take for a formula into plain text. */
export function defuse(cell: string): string {
  /* Also behind a semicolon: where that parts the cells, what follows it is a cell of its own. */
  const inside = cell.replace(/(?<!^)([;\t\r\n])(\s*[=+\-@|＝＋－＠])/g, "$1'$2");
  return /^\s*[=+\-@\t\r|＝＋－＠]/.test(inside) ? `'${inside}` : inside;
}
