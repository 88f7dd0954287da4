import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import DxfParser from 'dxf-parser';
import { PDFDocument } from 'pdf-lib';
import { dxfOf } from '../../src/core/export/dxf.ts';
import { svgOf } from '../../src/core/export/drawingSvg.ts';
import { drawingOf, type Drawing } from '../../src/core/make/drawing.ts';
import { freshMake } from '../../src/core/make/fresh.ts';
import { pieceOf } from '../../src/core/make/pieceOf.ts';
import { HEAD_MM, MARGIN_MM, tilesOf } from '../../src/core/make/tiles.ts';
import type { Make } from '../../src/core/model/types/makeTypes.ts';
import { templatePdf } from '../../src/lib/print/template.ts';
import { planWith, type Seats } from '../helpers/build.ts';

/** Templates as others read them: PDF rasterised by poppler at 254 dpi (a dot is 0.1 mm), DXF by another reader. */

const seats: Seats = {
  case: { openings: [] },
  board: { format: 'ATX', ports: ['USB 10-24 2-8', 'LAN 43-59 2-15', 'DP 120-136 2-7'] },
};
const drawing = (make: Make, mirrored = false): Drawing => {
  const made = pieceOf(planWith(seats, { makes: [make] }), make);
  if ('lacks' in made) throw new Error(made.lacks);
  return drawingOf(made.piece, mirrored);
};

interface Sheet {
  width: number;
  height: number;
  dark: (x: number, y: number) => boolean;
}

/** The pages of a PDF as dots of 0.1 mm. */
async function raster(pdf: Uint8Array): Promise<Sheet[]> {
  const folder = mkdtempSync(join(tmpdir(), 'template-'));
  const file = join(folder, 'a.pdf');
  writeFileSync(file, pdf);
  const { length } = (await PDFDocument.load(pdf)).getPages();
  const sheets = Array.from({ length }, (_, i) => {
    execFileSync('pdftoppm', [
      '-r',
      '254',
      '-gray',
      '-f',
      `${i + 1}`,
      '-l',
      `${i + 1}`,
      '-singlefile',
      file,
      join(folder, 'p'),
    ]);
    const bytes = readFileSync(join(folder, 'p.pgm'));
    const head = /^P5\s+(\d+)\s+(\d+)\s+(\d+)\s/.exec(bytes.subarray(0, 40).toString('latin1'))!;
    const [width, height] = [Number(head[1]), Number(head[2])];
    const at = head[0].length;
    return {
      width,
      height,
      dark: (x: number, y: number) => (bytes[at + y * width + x] ?? 255) < 160,
    };
  });
  rmSync(folder, { recursive: true });
  return sheets;
}

/** Where along a row or a column of dots the dark runs lie: their middles, mm. */
function runs(length: number, dark: (i: number) => boolean): number[] {
  const found: number[] = [];
  let from = -1;
  for (let i = 0; i <= length; i += 1) {
    const on = i < length && dark(i);
    if (on && from < 0) from = i;
    if (!on && from >= 0) {
      found.push((from + i) / 2 / 10);
      from = -1;
    }
  }
  return found;
}

describe('reference: a template on paper, rasterised', function () {
  this.timeout(120_000);
  it('its rule is 100 mm, its square 20, within a dot, on A4 and Letter', async () => {
    for (const paper of ['A4', 'Letter'] as const) {
      const [sheet] = await raster(await templatePdf(drawing(freshMake('L bracket', 'm1')), paper));
      /* A row through the ends of the rule, 1.5 mm under it. */
      const row = Math.round((MARGIN_MM + 20 + 1.5) * 10);
      const [a, b, c, d] = runs(sheet!.width, (x) => sheet!.dark(x, row));
      expect(b! - a!, paper).to.be.closeTo(100, 0.1);
      expect(d! - c!, paper).to.be.closeTo(20, 0.1);
    }
  });
  it('every edge of every opening lies where it is meant, within 0.1 mm', async () => {
    const wall = drawing({ ...freshMake('rear wall', 'm1'), corner: 0 } as Make);
    const tiling = tilesOf(wall.bounds, 'A4');
    const sheets = await raster(await templatePdf(wall, 'A4'));
    const tile = tiling.tiles[0]!;
    const sheet = sheets[0]!;
    const px = (mm: number) => mm - tile.x0 + MARGIN_MM;
    const down = (mm: number) => sheet.height / 10 - MARGIN_MM - (mm - tile.y0);
    let edges = 0;
    for (const [x0, x1, y0, y1] of [
      [9.5, 24.5, 1.5, 8.5],
      [42.5, 59.5, 1.5, 15.5],
      [119.5, 136.5, 1.5, 7.5],
    ] as const) {
      /* Across, at a height below the names; down, right of them. */
      const across = runs(sheet.width, (x) => sheet.dark(x, Math.round(down(y1 - 0.8) * 10)));
      const along = runs(sheet.height, (y) => sheet.dark(Math.round(px(x1 - 0.7) * 10), y));
      for (const [want, got] of [
        [px(x0), across],
        [px(x1), across],
        [down(y0), along],
        [down(y1), along],
      ] as const) {
        expect(Math.min(...got.map((each) => Math.abs(each - want)))).to.be.at.most(0.1 + 1e-6);
        edges += 1;
      }
    }
    expect(edges).to.equal(12);
  });
  it('over several sheets each hole is true on each sheet that shows it, and nothing is drawn in the heading', async () => {
    const holes = drawing(freshMake('drill template', 'm1'));
    const tiling = tilesOf(holes.bounds, 'A4');
    expect(tiling.tiles.length).to.equal(4);
    const sheets = await raster(await templatePdf(holes, 'A4'));
    expect(sheets.length).to.equal(4);
    let seen = 0;
    for (const each of holes.entities) {
      if (each.is !== 'circle') continue;
      for (const [i, tile] of tiling.tiles.entries()) {
        const inside =
          each.x > tile.x0 + 5 &&
          each.x < tile.x0 + tile.width - 5 &&
          each.y > tile.y0 + 5 &&
          each.y < tile.y0 + tile.height - 5;
        if (!inside) continue;
        const sheet = sheets[i]!;
        const x = each.x - tile.x0 + MARGIN_MM;
        const y = sheet.height / 10 - MARGIN_MM - (each.y - tile.y0);
        /* The rim, under 45 degrees where neither cross nor name is. */
        const at = each.r * Math.SQRT1_2;
        const dot = (dx: number, dy: number) =>
          [-1, 0, 1].some((k) =>
            sheet.dark(Math.round((x + dx) * 10 + k - 0.5), Math.round((y + dy) * 10 - 0.5)),
          );
        expect(dot(-at, -at) && dot(-at, at), `${each.x} ${each.y}`).to.equal(true);
        seen += 1;
      }
    }
    expect(seen).to.be.at.least(9);
    expect(tiling.tiles[0]!.height + 2 * MARGIN_MM + HEAD_MM).to.be.at.most(297);
  });
});

describe('reference: DXF by another reader', () => {
  it('has every line, arc and circle in millimetres on its layer', () => {
    for (const sort of [
      'rear wall',
      'rear plate',
      'drill template',
      'Z bracket',
      'PSU plate',
      'dust mesh',
    ] as const) {
      const drawn = drawing(freshMake(sort, 'm1'));
      const read = new DxfParser().parseSync(dxfOf(drawn));
      expect(read?.header['$INSUNITS'], sort).to.equal(4);
      const kinds: Record<string, string> = {
        line: 'LINE',
        arc: 'ARC',
        circle: 'CIRCLE',
        text: 'TEXT',
      };
      for (const [is, type] of Object.entries(kinds)) {
        const own = drawn.entities.filter((each) => each.is === is);
        const got = read!.entities.filter((each) => each.type === type);
        expect(got.length, `${sort} ${type}`).to.equal(own.length);
        expect(got.map((each) => each.layer).sort()).to.deep.equal(
          own.map(({ layer }) => layer).sort(),
        );
      }
      const circles = drawn.entities.flatMap((each) =>
        each.is === 'circle' ? [[each.x, each.y, each.r]] : [],
      );
      const back = read!.entities.flatMap((each) => {
        const { center, radius } = each as unknown as {
          center: { x: number; y: number };
          radius: number;
        };
        return each.type === 'CIRCLE' ? [[center.x, center.y, radius]] : [];
      });
      expect(back).to.deep.equal(circles);
      const arcs = drawn.entities.flatMap((each) => (each.is === 'arc' ? [each] : []));
      const turned = read!.entities.filter((each) => each.type === 'ARC') as unknown as {
        startAngle: number;
        endAngle: number;
      }[];
      arcs.forEach((arc, i) => {
        /* Another reader counts in radians. */
        expect((turned[i]!.startAngle * 180) / Math.PI).to.be.closeTo(
          ((arc.from % 360) + 360) % 360,
          1e-6,
        );
        expect((turned[i]!.endAngle * 180) / Math.PI).to.be.closeTo(
          ((arc.to % 360) + 360) % 360,
          1e-6,
        );
      });
    }
  });
});

describe('reference: a ring of lines and arcs closes', () => {
  for (const mirrored of [false, true])
    it(`each ends where the next begins${mirrored ? ', mirrored' : ''}`, () => {
      const ends = drawing(freshMake('rear plate', 'm1'), mirrored).entities.flatMap(
        (each): [number, number][][] => {
          const on = (r: number, degrees: number, x: number, y: number): [number, number] => [
            x + r * Math.cos((degrees * Math.PI) / 180),
            y + r * Math.sin((degrees * Math.PI) / 180),
          ];
          if (each.layer !== 'cut') return [];
          if (each.is === 'line')
            return [
              [
                [each.x1, each.y1],
                [each.x2, each.y2],
              ],
            ];
          if (each.is === 'arc')
            return [[on(each.r, each.from, each.x, each.y), on(each.r, each.to, each.x, each.y)]];
          return [];
        },
      );
      const key = ([x, y]: [number, number]) => `${x.toFixed(6)} ${y.toFixed(6)}`;
      const count = new Map<string, number>();
      for (const [from, to] of ends) {
        count.set(key(from!), (count.get(key(from!)) ?? 0) + 1);
        count.set(key(to!), (count.get(key(to!)) ?? 0) + 1);
      }
      expect(count.size).to.be.at.least(30);
      for (const [at, n] of count) expect(n, at).to.equal(2);
    });
  it('as SVG says its size in millimetres and has one unit a millimetre', () => {
    const svg = svgOf(drawing(freshMake('L bracket', 'm1')));
    const [, w, h] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg) ?? [];
    expect(svg).to.include(`viewBox="0 0 ${w} ${h}"`);
    expect(Number(h)).to.be.closeTo(20 + 10, 1e-9);
  });
});
