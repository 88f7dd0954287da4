/** `1:10` from 70 minutes; `0:05` from 5. */
export function formatHours(minutes: number): string {
  const whole = Math.round(minutes);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
