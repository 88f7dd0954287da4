/** Days along the shelves: minutes since 1970 to pixels. */
export interface Axis {
  /** Midnight at the bench of the first day, minutes. */
  from: number;
  days: number;
  perDay: number;
}

const DAY = 1440;

export const axisOf = (now: number, ahead: number, width: number, days: number): Axis => ({
  from: Math.floor((now + ahead) / DAY) * DAY - ahead,
  days,
  perDay: width / days,
});

export const xOf = ({ from, perDay }: Axis, minute: number): number =>
  ((minute - from) / DAY) * perDay;
export const minuteAt = ({ from, perDay }: Axis, x: number): number =>
  Math.round(from + (x / perDay) * DAY);

/** Hours in which nobody works, as spans of minutes over the axis. */
export function closedSpans(
  axis: Axis,
  open: readonly { from: number; to: number }[],
  now: number,
): { from: number; to: number }[] {
  const spans: { from: number; to: number }[] = [];
  const end = axis.from + axis.days * DAY;
  let at = now;
  for (const { from, to } of open) {
    if (from >= end) break;
    if (from > at) spans.push({ from: at, to: from });
    at = Math.max(at, to);
  }
  if (at < end) spans.push({ from: at, to: end });
  return spans;
}
