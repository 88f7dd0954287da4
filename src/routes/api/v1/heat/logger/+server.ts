import { seededNoise, madeRun } from '$core/heat/simulate.ts';
import { numberIn } from '$lib/server/events.ts';
import type { RequestHandler } from './$types';

/**
 * The practice sensor logger: a made-up machine from cold into load as CSV with processor, room, fan,
 * clock and watts. `?seed=`, `?taus=` length in its time constants, `?every=` seconds a row.
 */
export const GET: RequestHandler = ({ url }) => {
  const seed = numberIn(url, 'seed', 1) | 0;
  const taus = Math.min(12, Math.max(0.5, numberIn(url, 'taus', 5) || 5));
  const everyS = Math.min(60, Math.max(0.5, numberIn(url, 'every', 2) || 2));
  const { s, v, room } = madeRun({ seed, taus, everyS });
  const { normal } = seededNoise(seed + 1000);
  const rows = s.map((t, i) =>
    [
      t.toFixed(1),
      (v[i] ?? 0).toFixed(2),
      (room[i] ?? 0).toFixed(1),
      Math.round(900 + 8 * (v[i] ?? 0) + 10 * normal()),
      Math.round(3600 + 15 * normal()),
      (65 + 1.5 * normal()).toFixed(1),
    ].join(','),
  );
  const head =
    'Time [s],CPU Package [°C],Room [°C],Fan 1 [RPM],Core 0 Clock [MHz],CPU Package Power [W]';
  return new Response(`${[head, ...rows].join('\n')}\n`, {
    headers: { 'content-type': 'text/csv; charset=utf-8', 'cache-control': 'no-store' },
  });
};
