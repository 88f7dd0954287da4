import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { stlOf, threeMfOf } from '../../src/core/export/mesh.ts';
import type { Printed } from '../../src/core/model/types/printTypes.ts';
import { printFields } from '../../src/core/print/fields.ts';
import { freshPrint } from '../../src/core/print/fresh.ts';
import { loadKit, solidsOf } from '../../src/core/print/solid.ts';

describe('reference: solids read back by other programs', function () {
  this.timeout(120_000);
  let folder: string;
  before(() => (folder = mkdtempSync(join(tmpdir(), 'mesh-'))));
  after(() => rmSync(folder, { recursive: true }));

  it('ADMesh finds every STL whole, and of the same volume', async () => {
    const kit = await loadKit();
    for (const sort of Object.keys(printFields) as Printed['do'][]) {
      const [solid] = solidsOf(kit, freshPrint(sort, 'p1'));
      const path = join(folder, `${sort.replace(/ /g, '-')}.stl`);
      writeFileSync(path, stlOf(sort, solid!));
      const said = execFileSync('admesh', ['--no-check', '--exact', path], { encoding: 'utf8' });
      const volume = Number(/Volume\s+:\s+([\d.]+)/.exec(said)?.[1]);
      expect(volume / solid!.volume, sort).to.be.within(0.9995, 1.0005);
      expect(Number(/Number of facets\s+:\s+(\d+)/.exec(said)?.[1])).to.equal(
        solid!.triangles.length / 3,
      );
      /* Found : before and after: no edge without its other triangle. */
      expect(
        /Facets with 1 disconnected edge\s+:\s+(\d+)\s+(\d+)/.exec(said)?.slice(1),
      ).to.deep.equal(['0', '0']);
      expect(/Backwards edges\s+:\s+(\d+)/.exec(said)?.[1]).to.equal('0');
    }
  });

  it('Assimp reads every 3MF: its triangles, its pieces and their names, sizes in mm', async () => {
    const kit = await loadKit();
    const long = { ...freshPrint('lid vent', 'p1'), width: 390, bed: 150 } as Printed;
    for (const [print, pieces] of [
      [freshPrint('card support', 'p1'), 1],
      [freshPrint('saddle', 'p1'), 1],
      [long, 3],
    ] as const) {
      const solids = solidsOf(kit, print, pieces);
      const path = join(folder, 'one.3mf');
      writeFileSync(path, threeMfOf(`${print.do} & more`, solids));
      const said = execFileSync('assimp', ['info', path], { encoding: 'utf8' });
      expect(Number(/Meshes:\s+(\d+)/.exec(said)?.[1])).to.equal(pieces);
      const faces = solids.reduce((sum, { triangles }) => sum + triangles.length / 3, 0);
      expect(Number(/Faces:\s+(\d+)/.exec(said)?.[1])).to.equal(faces);
      const high = /Maximum point\s+\(([-\d.e]+) ([-\d.e]+) ([-\d.e]+)\)/
        .exec(said)
        ?.slice(1)
        .map(Number);
      expect(Math.max(...(high ?? []))).to.be.closeTo(
        Math.max(...solids.flatMap((solid) => [...solid.high])),
        0.01,
      );
    }
  });
});
