import { add, type Range } from '../units/range.ts';

/** Amps a fan header of the board gives: makers mostly allow 1 A (common practice, no source). */
export const HEADER_A = 1;

export interface FanIn {
  name: string;
  amps: Range;
}

export interface HeaderUse {
  /** 1 for the first header of the board, which its processor's fan belongs on. */
  header: number;
  fans: string[];
  amps: Range;
  /** The one fan whose speed this header sees; the others turn unseen. */
  reports: string | undefined;
  /** Directly, by a lead that splits, or a hub fed from a drive plug that takes only the control from the header. */
  by: 'directly' | 'a splitter' | 'a hub';
  say: string;
}

/**
 * Which fan on which header: every fan its own while headers last, the hungriest first; the rest
 * share with those that leave most room; where the sum may pass what a header gives, a hub.
 * Throws RangeError for fewer than no headers.
 */
export function fanLayout(headers: number, fans: readonly FanIn[]): HeaderUse[] {
  if (!(headers >= 0)) throw new RangeError(`invalid headers: ${headers}`);
  if (headers === 0 || fans.length === 0) return [];
  const uses = Array.from({ length: Math.min(headers, fans.length) }, (_, i) => ({
    header: i + 1,
    fans: [] as FanIn[],
    amps: { lo: 0, hi: 0 },
  }));
  for (const fan of [...fans].sort((a, b) => b.amps.hi - a.amps.hi)) {
    const [free] = [...uses].sort((a, b) => a.amps.hi - b.amps.hi || a.header - b.header);
    if (!free) continue;
    free.fans.push(fan);
    free.amps = add(free.amps, fan.amps);
  }
  return uses.map(({ header, fans: own, amps }) => {
    const hub = amps.hi > HEADER_A;
    const by = own.length === 1 && !hub ? 'directly' : hub ? 'a hub' : 'a splitter';
    const reports = own[0]?.name;
    const unseen = own.slice(1).map((fan) => fan.name);
    return {
      header,
      fans: own.map((fan) => fan.name),
      amps,
      reports,
      by,
      say: sayOf(by, reports, unseen, amps),
    };
  });
}

function sayOf(
  by: HeaderUse['by'],
  reports: string | undefined,
  unseen: string[],
  amps: Range,
): string {
  const speed =
    unseen.length > 0
      ? ` Only ${reports} reports its speed: if ${unseen.join(' or ')} stops, nobody is told.`
      : '';
  if (by === 'a hub')
    return `${amps.hi.toFixed(2)} A is more than the ${HEADER_A} A a header gives: a hub fed from a drive plug.${speed}`;
  return by === 'a splitter' ? `Together on a splitter.${speed}` : 'On its own.';
}
