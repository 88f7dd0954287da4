import type { Drawing, Entity, Layer } from '../make/drawing.ts';

const colours: Readonly<Record<Layer, string>> = {
  cut: '#c00',
  drill: '#00c',
  bend: '#080',
  text: '#333',
  guide: '#999',
};

const AIR_MM = 5;
const figure = (n: number) => String(Math.round(n * 1000) / 1000);

/** A drawing as SVG, its size in millimetres: 1 unit is 1 mm, a group for each layer. */
export function svgOf({ bounds, entities, name }: Drawing): string {
  const x0 = bounds.x0 - AIR_MM;
  const y1 = bounds.y1 + AIR_MM;
  const width = bounds.x1 - bounds.x0 + 2 * AIR_MM;
  const height = bounds.y1 - bounds.y0 + 2 * AIR_MM;
  const layers = [...new Set(entities.map(({ layer }) => layer))];
  const groups = layers.map((layer) => {
    const own = entities.filter((each) => each.layer === layer);
    const paint =
      layer === 'text'
        ? `fill="${colours.text}" font-family="sans-serif"`
        : `fill="none" stroke="${colours[layer]}" stroke-width="0.1"`;
    return `<g id="${layer}" ${paint}>${own.map((each) => tag(each, x0, y1)).join('')}</g>`;
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" viewBox="0 0 ${figure(width)} ${figure(height)}">`,
    `<title>${escaped(name)}</title>`,
    ...groups,
    '</svg>\n',
  ].join('\n');
}

/** An entity with the origin upper left and y down, as SVG has it. */
function tag(each: Entity, x0: number, y1: number): string {
  const x = (value: number) => figure(value - x0);
  const y = (value: number) => figure(y1 - value);
  switch (each.is) {
    case 'line':
      return `<path d="M${x(each.x1)} ${y(each.y1)}L${x(each.x2)} ${y(each.y2)}"/>`;
    case 'circle':
      return `<circle cx="${x(each.x)}" cy="${y(each.y)}" r="${figure(each.r)}"/>`;
    case 'arc': {
      const [from, to] = [arcEnd(each, each.from), arcEnd(each, each.to)];
      const large = (each.to - each.from + 360) % 360 > 180 ? 1 : 0;
      return `<path d="M${x(from.x)} ${y(from.y)}A${figure(each.r)} ${figure(each.r)} 0 ${large} 0 ${x(to.x)} ${y(to.y)}"/>`;
    }
    case 'text':
      return `<text x="${x(each.x)}" y="${y(each.y)}" font-size="${figure(each.high)}">${escaped(each.words)}</text>`;
  }
}

const arcEnd = ({ x, y, r }: { x: number; y: number; r: number }, degrees: number) => {
  const angle = (degrees * Math.PI) / 180;
  return { x: x + r * Math.cos(angle), y: y + r * Math.sin(angle) };
};

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
