import { termOf } from '../findings/terms.ts';
import { numberAt, partOfKind } from '../model/lookup/plan.ts';
import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    cageOut: unknown;
  }
}

/** The drive cage comes out: room for a long card, and no drives in it. */
export const cageOut = remedy({
  do: 'cageOut',
  id: 'cage-out',
  fields: {},
  title: () => 'Take the drive cage out',
  minutes: 20,
  undoable: true,
  term: (plan) => {
    const shell = partOfKind(plan, 'case');
    const gain = shell && numberAt(plan, shell, 'cageGain');
    return gain && termOf(shell, 'cageGain', 'cage out', 1, gain);
  },
  options: (plan) => {
    const shell = partOfKind(plan, 'case');
    return shell && numberAt(plan, shell, 'cageGain') ? [[{ do: 'cageOut' }]] : [];
  },
});
