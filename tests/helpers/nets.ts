import type { Kind, Prices, Taking } from '../../src/core/plugs/adapter/index.ts';

/** Made-up nets of an adapter: a few kinds of contacts on both sides, needs near what they carry. */
export interface MadeNet {
  gives: Kind[];
  takes: Taking[];
  prices: Prices;
}

export function madeNet(random: () => number, most: number): MadeNet {
  const pick = (lo: number, hi: number) => lo + Math.floor(random() * (hi - lo + 1));
  const amps = () => pick(3, 9) + (random() < 0.3 ? 0.5 : 0);
  const split = (whole: number): number[] => {
    const first = pick(1, whole);
    return first === whole || random() < 0.5 ? [whole] : [first, whole - first];
  };
  const gives: Kind[] = split(pick(1, most)).map((count) => ({ count, amps: amps() }));
  if (gives.length > 1 && random() < 0.4)
    gives[1] = { count: 1, amps: pick(1, 4), returnOnly: true };
  const room = gives.reduce((sum, each) => sum + each.count * each.amps, 0);
  const kinds = split(pick(1, most));
  const takes = kinds.map((count): Taking => {
    const each = amps();
    return {
      count,
      amps: each,
      need:
        Math.round(
          Math.min(count * each, (room / kinds.length) * 1.05) * (0.3 + random() * 0.7) * 10,
        ) / 10,
      all: random() < 0.6,
    };
  });
  return { gives, takes, prices: { wire: 3 + Math.round(random() * 4) / 4, splice: pick(1, 6) } };
}

export interface Node {
  kind: number;
  amps: number;
}

/** One entry for every contact. */
export const contacts = (kinds: readonly Kind[]): Node[] =>
  kinds.flatMap((each, kind) =>
    Array.from({ length: each.count }, () => ({ kind, amps: each.amps })),
  );
