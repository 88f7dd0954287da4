import type { NumberKey } from '$core/model/properties/index.ts';
import { numberOf, textOf } from '$core/model/lookup/lookup.ts';
import type { Part, Shop } from '$core/model/types/types.ts';
import { table } from '$core/units/table.ts';

/** Outside of a shell in mm; `known` is false where it is only what its class usually measures. */
export interface Outside {
  w: number;
  h: number;
  d: number;
  known: boolean;
  class: string;
}

const usual: Record<string, [number, number, number]> = table({
  tower: [190, 430, 440],
  'mini tower': [175, 360, 360],
  slim: [95, 290, 293],
  micro: [178, 36, 182],
  'custom case': [220, 200, 300],
});

/** What a case of a class usually measures outside. */
export function usualOutside(name: string): Outside {
  const [w, h, d] = usual[name] ?? [175, 360, 360];
  return { w, h, d, known: false, class: name };
}

export function outsideOf(shop: Shop, shell: Part): Outside {
  const name = textOf(shop, shell, 'class')?.text ?? 'mini tower';
  const { w, h, d } = usualOutside(name);
  const at = (key: NumberKey) => numberOf(shop, shell, key);
  const [width, height, depth] = [at('outerWidth'), at('outerHeight'), at('outerDepth')];
  return {
    w: width ? width.hi : w,
    h: height ? height.hi : h,
    d: depth ? depth.hi : d,
    known: Boolean(width && height && depth),
    class: name,
  };
}

export const litres = (outside: Outside): number => (outside.w * outside.h * outside.d) / 1e6;
