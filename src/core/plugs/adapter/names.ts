import type { End, AdapterWire, Recipe } from './types.ts';

/** Giving plugs are A, B, C; taking plugs P, Q, R; converters X1, X2. */
export function endName(end: End): string {
  if (end.side === 'converter') return `X${end.plug + 1} ${end.pin}`;
  return `${plugLetter(end.side, end.plug)}${end.pin}`;
}

export const plugLetter = (side: 'give' | 'take' | 'sense', plug: number): string =>
  String.fromCharCode((side === 'give' ? 65 : 80) + plug);

export const same = (a: End, b: End): boolean =>
  a.side === b.side && a.plug === b.plug && a.pin === b.pin;

/** One wire as a line of text, as an adapter keeps it: `A7 > P16 PS_ON# green AWG 22 150 mm`. */
export const wireLine = (wire: AdapterWire): string =>
  [
    `${endName(wire.from)} > ${endName(wire.to)} ${wire.signal} ${wire.colour} AWG ${wire.awg} ${wire.lengthMm} mm`,
    ...(wire.spliceFrom ? [`splice ${endName(wire.from)}`] : []),
    ...(wire.spliceTo ? [`splice ${endName(wire.to)}`] : []),
  ].join(' ');

/** A tie beside its own plug, mm. */
const TIE_MM = 60;

/** Pieces, or millimetres of what is bought by its length. */
export interface ShopLine {
  what: string;
  count: number;
  unit?: 'mm';
}

/** What to have at hand: housings, contacts, wire by colour and gauge, sleeves, converters, small parts. */
export function shopping(recipe: Recipe): ShopLine[] {
  const lines = new Map<string, ShopLine>();
  const add = (what: string, count: number, unit?: 'mm') => {
    const before = lines.get(what)?.count ?? 0;
    lines.set(what, { what, count: before + count, ...(unit && { unit }) });
  };
  for (const plug of recipe.gives) add(`housing to take a ${plug.name} plug`, 1);
  for (const plug of recipe.takes) add(`housing ${plug.name}`, 1);
  const crimped = new Map<string, { mm: number; awg: number }>();
  for (const wire of recipe.wires) {
    for (const end of [wire.from, wire.to]) {
      if (end.side === 'converter' || end.side === 'sense') continue;
      const plug = (end.side === 'give' ? recipe.gives : recipe.takes)[end.plug];
      if (plug && !crimped.has(endName(end)))
        crimped.set(endName(end), { mm: plug.pitchMm, awg: wire.awg });
    }
    add(`wire ${wire.colour} AWG ${wire.awg}`, wire.lengthMm, 'mm');
  }
  for (const { mm, awg } of crimped.values()) add(`crimp contact, ${mm} mm, for AWG ${awg}`, 1);
  if (recipe.splices > 0) add('shrink sleeve for a splice', recipe.splices);
  for (const each of recipe.converters) add(each.name, 1);
  for (const tie of recipe.ties) {
    if (tie.through) add(tie.through, 1);
    if (tie.end.side === 'sense') add('wire AWG 28 for a side contact', TIE_MM, 'mm');
  }
  return [...lines.values()];
}
