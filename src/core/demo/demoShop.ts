import type { Shop } from '../model/types/types.ts';
import { checkShop } from '../document/read.ts';
import written from './shop.json';

/** The moment the demo was written for: its waits, readings and stamps lie round it. */
const WRITTEN_FOR = '2026-01-01T12:00:00.000Z';
const time = /^\d{4}-\d{2}-\d{2}T[\d:.]+Z$/;

/**
 * The demo: the mountain-rescue post of Skarnhol was given a batch of retired office machines.
 * Everything in it is invented. An ordinary shop file, its times moved to lie round `now` (ISO time).
 */
export function demoShop(now: string): Shop {
  const by = Date.parse(now) - Date.parse(WRITTEN_FOR);
  return checkShop(moved(written, by));
}

function moved(value: unknown, by: number): unknown {
  if (typeof value === 'string') {
    return time.test(value) ? new Date(Date.parse(value) + by).toISOString() : value;
  }
  if (Array.isArray(value)) return value.map((each) => moved(each, by));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, moved(each, by)]));
}
