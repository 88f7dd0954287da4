/** Where a wire ends and which way it leaves there. */
interface Spot {
  x: number;
  y: number;
  dx: number;
  dy: number;
}

/** A wire as a smooth curve that leaves both ends the way they point, as an SVG path. */
export function wirePath(a: Spot, b: Spot): string {
  const reach = Math.max(4, Math.hypot(b.x - a.x, b.y - a.y) * 0.42);
  const f = (value: number) => String(Math.round(value * 100) / 100);
  const out = (spot: Spot) => `${f(spot.x + spot.dx * reach)} ${f(spot.y + spot.dy * reach)}`;
  return `M${f(a.x)} ${f(a.y)}C${out(a)} ${out(b)} ${f(b.x)} ${f(b.y)}`;
}

/** A tie between two pins of one plug: a small bow on their own side. */
export function tiePath(a: Spot, b: Spot): string {
  const f = (value: number) => String(Math.round(value * 100) / 100);
  const bow = 3 + Math.abs(b.x - a.x) * 0.25;
  const out = (spot: Spot) => `${f(spot.x + spot.dx * bow)} ${f(spot.y + spot.dy * bow)}`;
  return `M${f(a.x)} ${f(a.y)}C${out(a)} ${out(b)} ${f(b.x)} ${f(b.y)}`;
}
