import type { FactKey } from '../model/properties/index.ts';
import { create } from 'mutative';
import type { Fact } from '../model/types/fact.ts';
import { curvePoint } from '../model/types/shapes.ts';
import type { Correction } from '../watts/correct.ts';
import type { LoadResult } from '../watts/electronicLoad.ts';
import type { Edit } from './edits.ts';

/** Writes facts of parts, on their models where they have one: the next of its kind inherits them. */
const factsOnModels =
  (list: readonly { partId: string; key: FactKey; fact: Fact }[]): Edit =>
  (shop) =>
    create(shop, (draft) => {
      for (const { partId, key, fact } of list) {
        const part = draft.parts.find((each) => each.id === partId);
        const model = draft.models.find((each) => each.id === part?.modelId);
        const facts = (model ?? part)?.facts;
        if (facts) facts[key] = fact;
      }
    });

const tenth = (value: number) => Math.round(value * 10) / 10;

/** Keeps the figures the wall meter corrected, each with the span that is left. */
export const keepCorrection = (correction: Correction, at: string): Edit =>
  factsOnModels(
    correction.parts.map(({ partId, is }) => ({
      partId,
      key: 'watts',
      fact: {
        lo: tenth(is.lo),
        hi: tenth(is.hi),
        how: 'measured',
        source: `wall meter, ${correction.heard.map(({ reading }) => reading.load).join(' and ')}`,
        at,
      },
    })),
  );

/** What a supply gave under an electronic load: volts and ohms inside, and the amps it held. */
export const keepLoadResult = (
  partId: string,
  result: LoadResult,
  at: string,
  single: boolean,
): Edit => {
  const fact = (lo: number, hi: number): Fact => ({
    lo,
    hi,
    how: 'measured',
    source: 'electronic load',
    at,
  });
  const milliohm = { least: result.ohm - 2 * result.ohmDev, most: result.ohm + 2 * result.ohmDev };
  return factsOnModels([
    ...(single
      ? [
          {
            partId,
            key: 'innerOhm' as const,
            fact: fact(Math.max(0.1, tenth(milliohm.least * 1000)), tenth(milliohm.most * 1000)),
          },
          {
            partId,
            key: 'watts' as const,
            fact: fact(
              tenth(result.holdsA * result.openV * 0.97),
              tenth(result.holdsA * result.openV),
            ),
          },
        ]
      : []),
    {
      partId,
      key: 'amps12' as const,
      fact: fact(tenth(result.holdsA), tenth(result.failsA ?? result.holdsA)),
    },
  ]);
};

/** A measured point of the efficiency of a supply: watts out and in, against its label. Replaces one within a twentieth. */
export const addCurvePoint =
  (partId: string, point: { load: number; percent: number }, at: string): Edit =>
  (shop) =>
    create(shop, (draft) => {
      const part = draft.parts.find((each) => each.id === partId);
      const model = draft.models.find((each) => each.id === part?.modelId);
      const facts = (model ?? part)?.facts;
      if (!facts) return;
      const before = facts['curve'];
      const items = (before && 'items' in before ? before.items : []).filter(curvePoint.holds);
      const far = items.filter((each) => Math.abs(each.load - point.load) > 5);
      facts['curve'] = {
        items: [...far, { load: tenth(point.load), percent: tenth(point.percent) }],
        how: 'measured',
        at,
      };
    });
