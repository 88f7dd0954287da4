import type { Finding } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import { partsOfKind, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import type { Source } from '../standards/source.ts';

const source: Source = {
  title: 'JEDEC module specifications',
  clause: 'unbuffered and registered modules',
  memory: true,
};

/** Registered modules and plain ones do not run together, nor on a board for the other. */
export function moduleSort(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const takes = board && textAt(plan, board, 'memorySort')?.text;
  const modules = partsOfKind(plan, 'memory').flatMap((module) => {
    const sort = textAt(plan, module, 'sort')?.text;
    return sort === undefined ? [] : [{ module, sort }];
  });
  if (modules.length === 0) return [];
  const registered = modules.filter(({ sort }) => sort === 'registered');
  const mixed = registered.length > 0 && registered.length < modules.length;
  const refused =
    takes === 'plain'
      ? registered.length > 0
      : takes === 'registered' && registered.length < modules.length;
  if (
    !mixed &&
    (takes === undefined ||
      (modules.every(({ sort }) => sort === 'plain') && takes !== 'registered'))
  )
    return [];
  return [
    {
      id: 'memory-sort',
      station: 'links',
      mark: mixed || refused ? 'stop' : 'clear',
      title: 'plain or registered modules',
      seats: ['board', ...modules.map(({ module }) => module.seat)],
      unit: '',
      terms: [
        plain('the board takes', takes ?? '?', 0),
        ...modules.map(({ module, sort }) => plain(module.part.name, sort, 0)),
      ],
      marginLabel: mixed ? 'mixed' : refused ? 'refused' : 'agree',
      say: mixed
        ? 'Registered modules and plain ones do not start together.'
        : refused
          ? `The board takes ${takes} modules only.`
          : 'All of the sort the board takes.',
      source,
      remedies: [],
      undoMinutes: 20,
    },
  ];
}
