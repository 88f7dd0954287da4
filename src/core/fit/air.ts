import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import {
  isApplied,
  listAt,
  numberAt,
  partOfKind,
  textAt,
  type Plan,
  comesAny,
} from '../model/lookup/plan.ts';
import type { Kind } from '../model/types/types.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { litresOf, PASSIVE_LITRES } from './litres.ts';
import { offer } from '../remedies/offer.ts';
import { fanPlaces } from '../remedies/fanPlaces.ts';
import { rearFan } from '../remedies/rearFan.ts';
import { FEET_MM, taller, tallerFeet } from '../remedies/tallerFeet.ts';
import { standsOutside } from '../remedies/supplyOutside.ts';
import { turnSupply } from '../remedies/turnSupply.ts';

const moves: readonly Kind[] = ['case', 'fan', 'supply', 'card', 'cooler'];

/**
 * Where the hot air leaves: fans that blow out, the supply's own fan unless it was turned
 * against steel, or by itself under about 15 litres through a lid with holes (common practice).
 */
export function exhaust(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  if (!shell || !partOfKind(plan, 'board') || !airChanges(plan)) return [];
  const fans = fanPlaces(plan);
  const out = fans.filter(({ blows }) => blows === 'out').length;
  const perhaps = fans.filter(({ blows }) => blows === 'either').length;
  const supply = partOfKind(plan, 'supply');
  const feeds = supply && textAt(plan, supply, 'feeds')?.text;
  const supplyIn =
    supply !== undefined && (feeds === undefined || feeds === 'supply') && !standsOutside(plan);
  const turned = isApplied(plan, turnSupply());
  const vents = listAt(plan, shell, 'vents')?.items;
  const litres = litresOf(plan, shell);
  const passive =
    litres !== undefined && litres.lo < PASSIVE_LITRES && vents?.includes('lid') === true
      ? range(litres.hi < PASSIVE_LITRES ? 1 : 0, 1)
      : undefined;
  const ways = [
    plain('fans that blow out', range(out, out + perhaps), 1),
    plain(turned ? "PSU's fan, turned" : "PSU's fan", range(supplyIn && !turned ? 1 : 0), 1),
    ...(passive ? [plain(`under ${PASSIVE_LITRES} l, holes in the lid`, passive, 1)] : []),
    plain('ways out wanted', range(1), -1),
  ];
  const found = [
    gap({
      id: 'exhaust',
      station: 'fit',
      title: 'way out for hot air',
      seats: ['case', ...(supplyIn ? ['supply'] : [])],
      unit: '',
      terms: ways,
      minimumMargin: 0,
      short: 'short',
      lack: 'watch',
      source: commonPractice,
      undoMinutes: 30,
      say: (_rest, mark) =>
        mark === 'clear'
          ? 'Hot air has a way out.'
          : turned
            ? 'The turned PSU was the last exhaust: now it blows against steel.'
            : perhaps > 0
              ? 'Which way a fan blows has not been said: one has to blow out.'
              : 'No fan blows out: name the vents, turn one, or add a fan at the rear.',
      remedies: () => [offer(plan, rearFan(), 'watch')],
    }),
  ];
  return vents?.includes('floor') ? [...found, ...floorFeet(plan)] : found;
}

/** As found, a machine breathed; asked again when something that moves air or needs it changes. */
function airChanges(plan: Plan): boolean {
  return comesAny(plan, moves) || isApplied(plan, turnSupply());
}

/** A vent in the floor draws only when feet lift the case. */
function floorFeet(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const feet = shell && numberAt(plan, shell, 'feet');
  if (!shell || !feet) return [];
  const lifted = isApplied(plan, tallerFeet());
  return [
    gap({
      id: 'feet',
      station: 'fit',
      title: 'air under the floor',
      seats: ['case'],
      unit: 'mm',
      terms: [
        lifted ? taller(plan) : termOf(shell, 'feet', 'feet', 1, feet),
        plain('wanted under a floor vent', range(FEET_MM.lo), -1),
      ],
      minimumMargin: 0,
      lack: 'watch',
      source: commonPractice,
      undoMinutes: 10,
      say: (_rest, mark) =>
        mark === 'clear'
          ? 'The floor vent can draw.'
          : 'The floor vent lies too close to the table: feet of 17 to 20 mm.',
      remedies: () => (lifted ? [] : [offer(plan, tallerFeet(), 'watch')]),
    }),
  ];
}
