import type { ManifoldToplevel, Manifold } from 'manifold-3d';
import type { Printed } from '../model/types/printTypes.ts';
import { shapeOf, type Body } from './shape.ts';

/**
 * Closed solids by Manifold, a modelling package compiled to WebAssembly: loaded when somebody asks for a solid, and
 * in a worker. `wasm`: where its binary is; by itself it looks beside its own module.
 */
export async function loadKit(wasm?: string): Promise<ManifoldToplevel> {
  const { default: load } = await import('manifold-3d');
  const kit = await load(wasm === undefined ? undefined : ({ locateFile: () => wasm } as never));
  kit.setup();
  return kit;
}

/** Sides a circle is drawn with: its area is right to 4 in 10,000, its chords to 2 µm. */
const roundOf = (across: number): number =>
  Math.min(720, Math.max(128, 4 * Math.ceil((Math.PI * Math.sqrt(across / 2 / 0.004)) / 4)));

function bodyOf({ Manifold }: ManifoldToplevel, body: Body): Manifold {
  switch (body.is) {
    case 'box':
      return Manifold.cube([body.w, body.d, body.h]).translate([body.x, body.y, body.z]);
    case 'cone':
      return Manifold.cylinder(
        body.h,
        body.below / 2,
        body.above / 2,
        roundOf(Math.max(body.below, body.above)),
      ).translate([body.x, body.y, body.z]);
    case 'roll':
      return Manifold.cylinder(body.long, body.across / 2, body.across / 2, roundOf(body.across))
        .rotate([-90, 0, 0])
        .translate([body.x, body.y, body.z]);
  }
}

export interface Solid {
  /** x, y, z of each corner, mm; three corners of each triangle, seen from outside against the clock. */
  corners: Float32Array;
  triangles: Uint32Array;
  /** mm³ and mm². */
  volume: number;
  surface: number;
  low: readonly [number, number, number];
  high: readonly [number, number, number];
  /** Cut half way up and half way deep: rings of points, mm. */
  section: [number, number][][];
}

/** The solid of a thing to print, in so many pieces as its bed wants. */
export function solidsOf(kit: ManifoldToplevel, print: Printed, pieces = 1): Solid[] {
  const { add, take } = shapeOf(print);
  const whole = kit.Manifold.union(add.map((body) => bodyOf(kit, body)));
  const solid =
    take.length === 0
      ? whole
      : whole.subtract(kit.Manifold.union(take.map((body) => bodyOf(kit, body))));
  const { min, max } = solid.boundingBox();
  const sides = [0, 1, 2].map((i) => max[i]! - min[i]!);
  const axis = sides.indexOf(Math.max(...sides));
  const normal: [number, number, number] = [0, 0, 0];
  normal[axis] = 1;
  const out: Manifold[] = [];
  let rest = solid;
  for (let i = 1; i < pieces; i += 1) {
    const [far, near] = rest.splitByPlane(normal, min[axis]! + (sides[axis]! * i) / pieces);
    out.push(near);
    rest = far;
  }
  return [...out, rest].map((each) => plainly(each));
}

function plainly(solid: Manifold): Solid {
  const mesh = solid.getMesh();
  const { min, max } = solid.boundingBox();
  const stride = mesh.numProp;
  const corners = new Float32Array((mesh.vertProperties.length / stride) * 3);
  for (let i = 0, k = 0; k < corners.length; i += stride, k += 3)
    corners.set(mesh.vertProperties.subarray(i, i + 3), k);
  const upright = solid.rotate([-90, 0, 0]);
  const deep = upright.boundingBox();
  return {
    corners,
    triangles: Uint32Array.from(mesh.triVerts),
    volume: solid.volume(),
    surface: solid.surfaceArea(),
    low: min as [number, number, number],
    high: max as [number, number, number],
    section: upright.slice((deep.min[2] + deep.max[2]) / 2).toPolygons() as [number, number][][],
  };
}
