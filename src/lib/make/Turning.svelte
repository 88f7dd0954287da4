<script lang="ts">
  import type { Solid } from '$core/print/solid.ts';

  /** A solid to be turned by mouse, finger or arrow keys; drawn by three, which is loaded with it. */
  const { solids, name }: { solids: readonly Solid[]; name: string } = $props();
  let canvas = $state<HTMLCanvasElement>();
  let room = $state(340);
  let angle = $state({ round: -0.6, up: 0.5 });
  let none = $state(false);

  type Stage = { draw: (round: number, up: number) => void; end: () => void };
  let stage = $state.raw<Stage | undefined>(undefined);

  async function staged(own: HTMLCanvasElement, list: readonly Solid[]): Promise<Stage> {
    const three = await import('three');
    const renderer = new three.WebGLRenderer({ canvas: own, antialias: true, alpha: true });
    renderer.setPixelRatio(Math.min(2, devicePixelRatio));
    const scene = new three.Scene();
    const colour = (token: string) =>
      new three.Color(getComputedStyle(own).getPropertyValue(token).trim() || '#888');
    const group = new three.Group();
    const low = [0, 1, 2].map((i) => Math.min(...list.map((each) => each.low[i] ?? 0)));
    const high = [0, 1, 2].map((i) => Math.max(...list.map((each) => each.high[i] ?? 0)));
    const size = Math.hypot(...high.map((value, i) => value - (low[i] ?? 0)));
    const geometries = list.map((solid, k) => {
      const shape = new three.BufferGeometry();
      shape.setAttribute('position', new three.BufferAttribute(solid.corners, 3));
      shape.setIndex(new three.BufferAttribute(solid.triangles, 1));
      const flat = shape.toNonIndexed();
      flat.computeVertexNormals();
      const edges = new three.EdgesGeometry(flat, 25);
      const face = new three.Mesh(
        flat,
        new three.MeshLambertMaterial({
          color: colour(k % 2 === 0 ? '--part-comes' : '--part-stays'),
          polygonOffset: true,
          polygonOffsetFactor: 1,
        }),
      );
      const lines = new three.LineSegments(
        edges,
        new three.LineBasicMaterial({ color: colour('--ink') }),
      );
      group.add(face, lines);
      return [shape, flat, edges];
    });
    group.position.set(
      ...(high.map((value, i) => -(value + (low[i] ?? 0)) / 2) as [number, number, number]),
    );
    const turned = new three.Group();
    turned.add(group);
    scene.add(turned, new three.HemisphereLight(0xffffff, 0x9a9a90, 2.4));
    const lamp = new three.DirectionalLight(0xffffff, 1.6);
    lamp.position.set(1, 2, 3);
    scene.add(lamp);
    const camera = new three.PerspectiveCamera(28, 1, size / 100, size * 10);
    return {
      draw: (round, up) => {
        const [w, h] = [own.clientWidth || 340, own.clientHeight || 260];
        renderer.setSize(w, h, false);
        camera.aspect = w / h;
        camera.updateProjectionMatrix();
        turned.rotation.set(-Math.PI / 2 + up, 0, round, 'XYZ');
        camera.position.set(0, 0, size * (w / h < 1 ? 2.6 : 2.2));
        renderer.render(scene, camera);
      },
      end: () => {
        for (const each of geometries.flat()) each.dispose();
        renderer.dispose();
      },
    };
  }

  $effect(() => {
    const own = canvas;
    const list = solids;
    if (!own || list.length === 0) return;
    let ended = false;
    let made: Stage | undefined;
    void staged(own, list)
      .then((next) => {
        if (ended) next.end();
        else {
          made = next;
          stage = next;
          none = false;
        }
      })
      .catch(() => (none = true));
    return () => {
      ended = true;
      made?.end();
      stage = undefined;
    };
  });
  $effect(() => {
    if (room > 0) stage?.draw(angle.round, angle.up);
  });

  const turns: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-0.15, 0],
    ArrowRight: [0.15, 0],
    ArrowUp: [0, -0.15],
    ArrowDown: [0, 0.15],
  };
  const turn = (round: number, up: number) =>
    (angle = { round: angle.round + round, up: Math.max(-1.2, Math.min(1.5, angle.up + up)) });
</script>

<div bind:clientWidth={room}>
  <button
    type="button"
    aria-label="{name} in the round: turn it with the arrow keys or by pulling"
    onkeydown={(event) => {
      const by = turns[event.key];
      if (!by) return;
      event.preventDefault();
      event.stopPropagation();
      turn(...by);
    }}
    onpointerdown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
    onpointermove={(event) => {
      if (event.buttons === 1) turn(event.movementX * 0.01, event.movementY * 0.01);
    }}
  >
    <canvas bind:this={canvas} hidden={none}></canvas>
    {#if none}<span
        >This browser draws nothing in the round: the section beside it is to scale.</span
      >{/if}
  </button>
</div>

<style>
  div {
    flex: 1 1 300px;
    min-width: 0;
  }
  button {
    display: block;
    width: 100%;
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink-soft);
    cursor: grab;
    touch-action: none;
  }
  canvas {
    display: block;
    width: 100%;
    height: 280px;
  }
  canvas[hidden] {
    display: none;
  }
</style>
