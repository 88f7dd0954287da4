import type { TextKey } from '../model/properties/index.ts';
import { indexOf, standingOf, textOf } from '../model/lookup/lookup.ts';
import {
  appliedOf,
  isSort,
  partOfKind,
  partsOfKind,
  textAt,
  type Plan,
} from '../model/lookup/plan.ts';
import { kindOfSeat } from '../model/types/seats.ts';
import type { Diagnosis, Kind, Part, Shop } from '../model/types/types.ts';
import { betweenSlots } from '../model/properties/smallSorts.ts';
import {
  symptomIds,
  type DiagnosisState,
  type Learned,
  type Need,
  type Symptom,
} from '../startup/index.ts';
import { table } from '../units/table.ts';

/** What a search for a fault knows of a plan and its shop. */
export function diagnosisOf(plan: Plan, hunt: Diagnosis): DiagnosisState | undefined {
  const sign = symptomIds.find((each) => each === hunt.symptom);
  if (!sign) return undefined;
  return {
    symptom: sign,
    after: hunt.after.flatMap((each) => kindOfSeat(each) ?? []),
    maker: isMakers(plan),
    spares: sparesFor(plan),
    has: hasOf(plan),
    tried: hunt.tried.flatMap(({ testId, result }) =>
      result === 'yes' || result === 'no' ? [{ test: testId, yes: result === 'yes' }] : [],
    ),
    learned: learnedOf(plan.shop, hunt.id, plan.machine?.name),
  };
}

/** What the machine has, for causes and tests that hang on it; undefined where hardly anything was said of it. */
function hasOf(plan: Plan): ReadonlySet<Need> | undefined {
  if (!partOfKind(plan, 'board')) return undefined;
  const adapter = plan.seats.some((each) => isSort(plan, each, ['plug adapter']));
  const wired = isMakers(plan) || adapter || appliedOf(plan, 'plugAdapter').length > 0;
  return new Set<Need>([
    ...plan.seats.map((placed) => placed.kind),
    ...(plan.seats.some((each) => isSort(plan, each, betweenSlots)) ? ['riser' as const] : []),
    ...(partsOfKind(plan, 'memory').length > 1 ? ['two modules' as const] : []),
    ...(wired ? ["maker's plug" as const] : []),
  ]);
}

/** A maker's own board, or a plug of its own. */
export function isMakers(plan: Plan): boolean {
  const board = partOfKind(plan, 'board');
  if (!board) return false;
  const plug = textAt(plan, board, 'mainPlug')?.text;
  return (
    textAt(plan, board, 'format')?.text === "maker's own" ||
    (plug !== undefined && !['main20', 'main24'].includes(plug))
  );
}

const swappable: readonly Kind[] = ['memory', 'supply', 'card', 'drive', 'processor'];
/** What a spare must have in common with the part it stands in for. */
const alike: Partial<Record<Kind, readonly TextKey[]>> = {
  memory: ['memoryKind', 'memoryForm'],
  processor: ['socket'],
  supply: ['mainPlug'],
};

/** A part of the shelf or of a donor for each kind that can be swapped in; tested ones first. */
export function sparesFor(plan: Plan): DiagnosisState['spares'] {
  const { shop } = plan;
  const used = new Set(plan.seats.map((placed) => placed.part.id));
  const index = indexOf(shop);
  const rank = (part: Part) =>
    ['good', 'worn', 'mended', 'unknown', 'damaged', 'dead'].indexOf(
      standingOf(shop, part).condition,
    );
  return Object.fromEntries(
    swappable.flatMap((kind) => {
      const now = partOfKind(plan, kind)?.part;
      const fits = (part: Part) =>
        !now ||
        (alike[kind] ?? []).every((key) => {
          const [own, other] = [textOf(shop, now, key)?.text, textOf(shop, part, key)?.text];
          return own === undefined || other === undefined || own === other;
        });
      const [best] = shop.parts
        .filter((part) => {
          const home = index.homeOf.get(part.id);
          return (
            part.kind === kind &&
            !used.has(part.id) &&
            (part.place === 'shelf' || home?.state === 'donor') &&
            rank(part) < 4 &&
            fits(part)
          );
        })
        .sort((a, b) => rank(a) - rank(b) || a.id.localeCompare(b.id));
      return best ? [[kind, { id: best.id, name: `${best.name} (${best.id})` }]] : [];
    }),
  );
}

/** The same model of machine counts twice. */
const SAME_MODEL = 2;

/** What the shop's own searches found, by sign, and how long its tests took; all but the one in hand. */
export function learnedOf(shop: Shop, without?: string, machineName?: string): Learned {
  const found: Record<string, Record<string, number>> = table();
  const minutes: Record<string, { sum: number; n: number }> = table();
  const machines = indexOf(shop).machines;
  for (const job of shop.jobs) {
    const name = job.machineId ? machines.get(job.machineId)?.name : undefined;
    const weight = name !== undefined && name === machineName ? SAME_MODEL : 1;
    for (const hunt of job.diagnoses) {
      if (hunt.id === without) continue;
      if (hunt.verdict === 'found' && hunt.causeId) {
        const own = (found[hunt.symptom as Symptom] ??= table());
        own[hunt.causeId] = (own[hunt.causeId] ?? 0) + weight;
      }
      for (const { testId, minutes: took } of hunt.tried) {
        const own = (minutes[testId] ??= { sum: 0, n: 0 });
        minutes[testId] = { sum: own.sum + took * weight, n: own.n + weight };
      }
    }
  }
  return { found, minutes };
}
