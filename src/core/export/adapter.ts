import { continuity, live } from '../plugs/adapter/sheets.ts';
import { endName, shopping } from '../plugs/adapter/names.ts';
import { layOut } from '../plugs/adapter/places.ts';
import type { Recipe } from '../plugs/adapter/types.ts';
import { defuse } from './partsTable.ts';
import { tiePath, wirePath } from './wirePath.ts';
import { table } from '../units/table.ts';

const escapes = table({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' });

/** An adapter's recipe as tables, JSON and a drawing, for paper and for other programs. */

export const wiringHeader = [
  'wire',
  'from',
  'to',
  'signal',
  'colour',
  'AWG',
  'length mm',
  'splice',
  'most A',
];

/** The wiring list as rows of texts, its header first. */
export function wiringTable(recipe: Recipe): string[][] {
  return [
    wiringHeader,
    ...recipe.wires.map((wire) => [
      String(wire.n),
      endName(wire.from),
      endName(wire.to),
      defuse(wire.signal),
      wire.colour,
      String(wire.awg),
      String(wire.lengthMm),
      [wire.spliceFrom ? endName(wire.from) : '', wire.spliceTo ? endName(wire.to) : '']
        .filter(Boolean)
        .join(' '),
      wire.mostA === undefined ? '' : wire.mostA.toFixed(2),
    ]),
  ];
}

/** The recipe with its sheets, as one JSON document. */
export function adapterJson(recipe: Recipe): string {
  const ends = <T extends object>(row: T) =>
    Object.fromEntries(
      Object.entries(row).map(([key, value]) => [
        key,
        typeof value === 'object' && value !== null && 'side' in value && 'pin' in value
          ? endName(value as Recipe['wires'][number]['from'])
          : value,
      ]),
    );
  return `${JSON.stringify(
    {
      format: 'nutshell-swap-adapter',
      version: 1,
      gives: recipe.gives.map(({ id, name, rows, ways, pins }) => ({ id, name, rows, ways, pins })),
      takes: recipe.takes.map(({ id, name, rows, ways, pins }) => ({ id, name, rows, ways, pins })),
      wires: recipe.wires.map(ends),
      ties: recipe.ties.map(ends),
      open: recipe.open.map(ends),
      converters: recipe.converters.map(({ name, inA, outA }) => ({ name, inA, outA })),
      impossible: recipe.impossible.map(ends),
      minutes: recipe.cost,
      bound: recipe.bound,
      bundle: recipe.bundle,
      shopping: shopping(recipe),
      continuity: continuity(recipe).map(ends),
      live: live(recipe).map(ends),
    },
    null,
    1,
  )}\n`;
}

const escape = (text: string) =>
  text.replace(/\p{Cc}/gu, ' ').replace(/[&<>"]/g, (c) => escapes[c] ?? c);

/** Both ends laid open with the wires between, black on white, true to scale: 1 unit is 1 mm. */
export function adapterSvg(recipe: Recipe): string {
  const laid = layOut(recipe.gives, recipe.takes, recipe.converters.length);
  const margin = 8;
  const box = (x: number, y: number, w: number, h: number) =>
    `<rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}" fill="none" stroke="black" stroke-width="0.4"/>`;
  const text = (x: number, y: number, size: number, words: string, anchor = 'middle') =>
    `<text x="${n(x)}" y="${n(y)}" font-size="${size}" text-anchor="${anchor}" font-family="sans-serif">${escape(words)}</text>`;
  const faces = laid.plugs.flatMap(({ side, plug, x, y, w, h }) => {
    const own = (side === 'give' ? recipe.gives : recipe.takes)[plug];
    if (!own) return [];
    const letter = endName({ side, plug, pin: 1 }).slice(0, 1);
    return [
      box(x, y, w, h),
      text(
        x + w / 2,
        side === 'give' ? y - 1.5 : y + h + 4,
        3,
        `${letter}: ${own.name}, ${side === 'give' ? 'header solder side, latch down' : 'plug wire side, latch up'}`,
      ),
      ...own.pins.flatMap((_, i) => {
        const at = laid.at({ side, plug, pin: i + 1 });
        const r = own.pitchMm * 0.38;
        return [
          box(at.x - r, at.y - r, 2 * r, 2 * r),
          text(at.x, at.y + 0.8, Math.min(2.2, own.pitchMm * 0.5), String(i + 1)),
        ];
      }),
    ];
  });
  const side = laid.sense.flatMap(({ pin, x, y }) => [
    box(x - 0.6, y - 0.6, 1.2, 1.2),
    text(x, y + 2, 1.3, pin),
  ]);
  const boards = laid.converters.flatMap(({ x, y, w, h }, i) => [
    box(x, y, w, h),
    text(x + w / 2, y + h / 2 + 1, 2, recipe.converters[i]?.name.replace('converter ', '') ?? ''),
  ]);
  const wires = recipe.wires.map(
    (wire) =>
      `<path d="${wirePath(laid.at(wire.from), laid.at(wire.to))}" fill="none" stroke="black" stroke-width="${n(wire.awg <= 18 ? 0.6 : 0.35)}"><title>${escape(`${wire.n}: ${endName(wire.from)} to ${endName(wire.to)}, ${wire.signal}, ${wire.colour}`)}</title></path>`,
  );
  const ties = recipe.ties.flatMap((tie) =>
    tie.at
      ? [
          `<path d="${tiePath(laid.at(tie.end), laid.at(tie.at))}" fill="none" stroke="black" stroke-width="0.4" stroke-dasharray="1 0.6"><title>${escape(`${tie.signal} tied to ${tie.to}`)}</title></path>`,
        ]
      : [],
  );
  const [w, h] = [laid.width + 2 * margin, laid.height + 2 * margin];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(w)}mm" height="${n(h)}mm" viewBox="${-margin} ${-margin} ${n(w)} ${n(h)}">\n${[...faces, ...side, ...boards, ...wires, ...ties].join('\n')}\n</svg>\n`;
}

const n = (value: number) => String(Math.round(value * 100) / 100);
