import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import type { Limit } from '../../src/core/fit/limits.ts';
import { limits } from '../../src/core/fit/limits.ts';
import { holes, type HoleName } from '../../src/core/standards/boards.ts';
import { limitStripPdf, rowsOf } from '../../src/lib/print/limitStrip.ts';
import { SHEET } from '../../src/lib/print/page.ts';
import { onSheet, patternsPdf, tiles } from '../../src/lib/print/patterns.ts';
import { planWith } from '../helpers/build.ts';

/** Sheets as poppler (Debian poppler-utils) paints them, 254 dots an inch: a dot is 0.1 mm. */
interface Picture {
  width: number;
  height: number;
  dark: (xMm: number, yMm: number) => boolean;
}

function painted(pdf: Uint8Array): Picture[] {
  const folder = mkdtempSync(join(tmpdir(), 'sheets-'));
  writeFileSync(join(folder, 'a.pdf'), pdf);
  execFileSync('pdftoppm', ['-gray', '-r', '254', 'a.pdf', 'page'], { cwd: folder });
  const pages = readdirSync(folder)
    .filter((name) => name.endsWith('.pgm'))
    .sort();
  return pages.map((name) => {
    const bytes = readFileSync(join(folder, name));
    const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 40).toString('latin1'));
    if (!head) throw new Error('no PGM');
    const [width, height] = [Number(head[1]), Number(head[2])];
    const start = head[0].length;
    const dark = (x: number, y: number) =>
      (bytes[start + Math.floor(y * 10) * width + Math.floor(x * 10)] ?? 255) < 150;
    return { width, height, dark };
  });
}

/** The dark stretch along a row or column through a place, mm. */
function stretch(
  dark: (at: number) => boolean,
  from: number,
  to: number,
): [number, number] | undefined {
  let first: number | undefined;
  let last: number | undefined;
  for (let at = from; at <= to; at += 0.1) {
    if (!dark(at)) continue;
    first ??= at;
    last = at;
  }
  return first === undefined || last === undefined ? undefined : [first, last];
}

describe('reference: printed sheets, measured to 0.2 mm as painted', () => {
  it('every hole of every pattern lies where the specification puts it', async () => {
    const pages = painted(await patternsPdf());
    expect(pages).to.have.length(tiles.length);
    expect(pages[0]?.width).to.be.within(2969, 2971);
    let seen = 0;
    for (const name of Object.keys(holes) as HoleName[]) {
      tiles.forEach((tile, i) => {
        const at = onSheet(tile, holes[name].x, holes[name].y);
        const page = pages[i];
        if (
          !page ||
          at.x < 18 ||
          at.x > SHEET.widthMm - 18 ||
          at.y < 30 ||
          at.y > SHEET.heightMm - 18
        )
          return;
        /* The cross hair is 8 mm long: its middle is the hole's centre. */
        const across = stretch((x) => page.dark(x, at.y), at.x - 4.6, at.x + 4.6);
        const down = stretch((y) => page.dark(at.x, y), at.y - 4.6, at.y + 4.6);
        if (!across || !down) throw new Error(`${name} is not on sheet ${i + 1}`);
        expect((across[0] + across[1]) / 2, `${name} x`).to.be.closeTo(at.x, 0.2);
        expect((down[0] + down[1]) / 2, `${name} y`).to.be.closeTo(at.y, 0.2);
        seen += 1;
      });
    }
    expect(seen).to.be.at.least(8);
  });

  it('each bar of a limit strip is as long as it says', async () => {
    const list: Limit[] = limits(
      planWith({ case: { cardRoom: 247, cageGain: 58, coolerRoom: 56, supplyRoom: 165 } }),
    );
    expect(list.map((limit) => limit.mm)).to.include.members([247, 305, 56, 165]);
    const [page] = painted(await limitStripPdf('test case', list));
    if (!page) throw new Error('no sheet');
    for (const row of rowsOf(list)) {
      const bar = stretch((x) => page.dark(x, row.y), SHEET.marginMm - 2, SHEET.widthMm - 2);
      if (!bar) throw new Error(`no bar for ${row.limit.label}`);
      const length = bar[1] - bar[0];
      expect(length, row.limit.label).to.be.closeTo(row.toMm - row.fromMm, 0.5);
      expect(bar[0] + 0.2).to.be.closeTo(SHEET.marginMm, 0.3);
    }
  });
});
