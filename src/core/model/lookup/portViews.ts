import type { Area } from '../types/shapes.ts';

/** Air a plug's shroud wants round a port, mm (common practice, no source). */
const ROUND_MM = 1;

/** One port against the cut-outs: how much of it is behind metal, and what to cut away. */
export interface PortView {
  port: Area;
  /** The cut-out it shows through best. */
  opening?: Area | undefined;
  /** The most metal over one side of it, mm; 0 when it is free. */
  blockedMm: number;
  /** What to cut: the port with the air round it. */
  cut?: Area | undefined;
}

export function portViews(ports: readonly Area[], openings: readonly Area[]): PortView[] {
  return ports.map((port) => {
    const ranked = openings
      .map((opening) => ({ opening, over: overhang(port, opening) }))
      .sort((a, b) => a.over - b.over);
    const best = ranked[0];
    const size = Math.max(port.x1 - port.x0, port.y1 - port.y0);
    const blockedMm = Math.min(size, Math.max(0, best?.over ?? size));
    if (blockedMm === 0) return { port, opening: best?.opening, blockedMm };
    const cut = {
      name: port.name,
      x0: port.x0 - ROUND_MM,
      x1: port.x1 + ROUND_MM,
      y0: port.y0 - ROUND_MM,
      y1: port.y1 + ROUND_MM,
    };
    return { port, opening: best?.opening, blockedMm, cut };
  });
}

/** How far a port stands out of a cut-out on its worst side, mm; below nothing it lies within. */
const overhang = (port: Area, opening: Area) =>
  Math.max(opening.x0 - port.x0, port.x1 - opening.x1, opening.y0 - port.y0, port.y1 - opening.y1);
