import { partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    turnSupply: unknown;
  }
}

/** The supply turned round, its plugs to the other side. */
export const turnSupply = remedy({
  do: 'turnSupply',
  id: 'turn-supply',
  fields: {},
  title: () => 'Turn the PSU round',
  step: () => 'Turn the PSU round: look where its fan blows',
  minutes: 15,
  undoable: true,
  givesUp: 'its fan blows the other way',
  options: (plan) => (canTurn(plan) ? [[{ do: 'turnSupply' }]] : []),
  moves: () => 'supply',
});

/** Whether the case holds its supply where it can be turned. */
export function canTurn(plan: Plan): boolean {
  const shell = partOfKind(plan, 'case');
  const at = shell && textAt(plan, shell, 'supplyAt')?.text;
  return at === 'in front of the board' || at === 'over the board';
}
