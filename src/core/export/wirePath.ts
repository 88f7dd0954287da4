/** A wire as a smooth curve that leaves and enters upright, as an SVG path. */
export function wirePath(a: { x: number; y: number }, b: { x: number; y: number }): string {
  const bend = Math.max(4, Math.abs(b.y - a.y) * 0.45) * (b.y >= a.y ? 1 : -1);
  const f = (value: number) => String(Math.round(value * 100) / 100);
  return `M${f(a.x)} ${f(a.y)}C${f(a.x)} ${f(a.y + bend)} ${f(b.x)} ${f(b.y - bend)} ${f(b.x)} ${f(b.y)}`;
}
