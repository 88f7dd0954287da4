import type { Area } from '../model/types/shapes.ts';
import { ioOpening, type PortKind } from '../standards/ports.ts';

/** Between one port and the next, and from the port end to the first, mm (common practice, no source). */
const GAP_MM = 2;
const FIRST_MM = 6;
/** The opening reaches this far below the board's surface and stands this far in from its port end, mm (from memory). */
const BELOW_MM = 3.8;
const IN_MM = 2;

const near = (mm: number): number => Math.round(mm * 10) / 10;

/** A port picked by its kind: beside the last one along the rear, standing on the board. */
export function nextPort(ports: readonly Area[], kind: PortKind): Area {
  const from = ports.length === 0 ? FIRST_MM : Math.max(...ports.map(({ x1 }) => x1)) + GAP_MM;
  return {
    name: kind.name.replaceAll(' ', '-'),
    x0: near(from),
    x1: near(from + kind.widthMm),
    y0: 0,
    y1: near(kind.heightMm),
  };
}

/** The standard opening over the ports, as far as it stands over the board. */
export const standardOpening = (): Area => ({
  name: 'opening',
  x0: IN_MM,
  x1: near(IN_MM + ioOpening.widthMm),
  y0: 0,
  y1: near(ioOpening.heightMm - BELOW_MM),
});

/** An area shifted along the rear, its left end never before the board's edge. */
export function shifted(area: Area, byMm: number): Area {
  const by = Math.max(-area.x0, byMm);
  return { ...area, x0: near(area.x0 + by), x1: near(area.x1 + by) };
}
