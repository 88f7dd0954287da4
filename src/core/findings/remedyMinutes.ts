import { table } from '../units/table.ts';

/**
 * Minutes of hands a remedy costs, by the first word of its id (common practice, no source): the one
 * figure for the finding that offers it, the search that weighs it and the work order it stands in.
 */
const minutes: Record<string, number> = table({
  adapter: 60,
  'angled-lead': 5,
  bracket: 10,
  'cage-out': 20,
  'cooler-kit': 15,
  'cut-front': 55,
  'drive-bracket': 15,
  'drive-to': 12,
  drill: 25,
  'fan-outside': 20,
  feed: 5,
  'feed-awg': 30,
  'file-slots': 45,
  'lead-longer': 5,
  'lid-washers': 10,
  limit: 15,
  'processor-adapter': 10,
  'rear-fan': 15,
  'rear-open': 10,
  'rear-plate': 30,
  'sata-splitter': 5,
  'slot-far': 2,
  'standoffs-out': 5,
  'supply-plate': 15,
  'taller-feet': 10,
  tilt: 3,
  'to-frame': 40,
  'turn-supply': 15,
});

/** Setting up to cut, and each opening. */
const REAR_CUT = { once: 15, each: 15 };
/** A remedy nobody has timed: to get something and fit it. */
const USUAL = 15;

/** `count`: how many openings are cut. */
export function remedyMinutes(id: string, count = 1): number {
  const stem = id.split(':')[0] ?? id;
  if (stem === 'rear-cut') return REAR_CUT.once + REAR_CUT.each * count;
  return minutes[stem] ?? minutes[stem.replace(/-\d+$/, '')] ?? USUAL;
}
