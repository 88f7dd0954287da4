import { expose } from 'comlink';
import wasm from 'manifold-3d/manifold.wasm?url';
import { stlOf, threeMfOf } from '$core/export/mesh.ts';
import type { Printed } from '$core/model/types/printTypes.ts';
import { loadKit, solidsOf, type Solid } from '$core/print/solid.ts';

/** Solids made beside the page. */

let kit: ReturnType<typeof loadKit> | undefined;
const ready = () => (kit ??= loadKit(new URL(wasm, self.location.href).href));

const worker = {
  async solids(print: Printed, pieces: number): Promise<Solid[]> {
    return solidsOf(await ready(), print, pieces);
  },
  async stl(name: string, print: Printed, pieces: number): Promise<Uint8Array[]> {
    const solids = solidsOf(await ready(), print, pieces);
    return solids.map((solid, i) =>
      stlOf(pieces === 1 ? name : `${name}, piece ${i + 1} of ${pieces}`, solid),
    );
  },
  async threeMf(name: string, print: Printed, pieces: number): Promise<Uint8Array> {
    return threeMfOf(name, solidsOf(await ready(), print, pieces));
  },
};

export type PrintWorker = typeof worker;
expose(worker);
