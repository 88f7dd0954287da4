import type { Finding, Mark } from '../findings/finding.ts';
import { plain, wordOf } from '../findings/terms.ts';
import { partsOfKind, partOfKind, textAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import type { Source } from '../standards/source.ts';

const source: Source = {
  title: 'JEDEC module specifications',
  clause: 'unbuffered, ECC and registered modules',
  memory: true,
};

interface Verdict {
  mark: Mark;
  rest: string;
  say: string;
}

const agree: Verdict = {
  mark: 'clear',
  rest: 'agree',
  say: 'All of the sort the board takes.',
};

/** Plain, ECC and registered modules: which run together, and on which board. */
export function moduleSort(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  if (!board) return [];
  const takes = textAt(plan, board, 'memorySort');
  const modules = partsOfKind(plan, 'memory').flatMap((module) => {
    const sort = textAt(plan, module, 'sort');
    return sort === undefined ? [] : [{ module, sort }];
  });
  if (modules.length === 0) return [];
  const sorts = new Set(modules.map(({ sort }) => sort.text));
  const came = [board, ...modules.map(({ module }) => module)].some(comes);
  const verdict =
    together(sorts) ?? (takes ? onBoard(takes.text, sorts) : came ? onAnyBoard(sorts) : undefined);
  if (!verdict) return [];
  return [
    {
      id: 'memory-sort',
      station: 'links',
      mark: verdict.mark,
      title: 'plain, ECC or registered modules',
      seats: ['board', ...modules.map(({ module }) => module.seat)],
      unit: '',
      terms: [
        {
          ...wordOf(board, 'memorySort', 'the board takes', takes),
          value: takes?.text ?? '?',
          sign: 0,
        },
        ...modules.map(({ module, sort }) => plain(module.part.name, sort.text, 0)),
      ],
      marginLabel: verdict.rest,
      say: verdict.say,
      source,
      remedies: [],
      undoMinutes: 20,
    },
  ];
}

const comes = ({ state }: Placed): boolean => state === 'comes';

/** What no board runs together, or not as it was bought. */
function together(sorts: ReadonlySet<string>): Verdict | undefined {
  if (sorts.has('fully buffered') && sorts.size > 1)
    return {
      mark: 'stop',
      rest: 'mixed',
      say: 'Fully buffered modules start with their own sort only.',
    };
  if (sorts.has('registered') && sorts.size > 1)
    return {
      mark: 'stop',
      rest: 'mixed',
      say: 'Registered modules and unbuffered ones do not start together.',
    };
  return sorts.has('ECC') && sorts.has('plain')
    ? {
        mark: 'watch',
        rest: 'mixed',
        say: 'ECC beside plain modules: nothing is checked any more, and server boards refuse the mix.',
      }
    : undefined;
}

function onBoard(takes: string, sorts: ReadonlySet<string>): Verdict | undefined {
  if ((takes === 'fully buffered') !== sorts.has('fully buffered'))
    return {
      mark: 'stop',
      rest: 'refused',
      say: `The board takes ${takes === 'either' ? 'plain or registered' : takes} modules only.`,
    };
  if (takes === 'registered' && (sorts.has('plain') || sorts.has('ECC')))
    return { mark: 'stop', rest: 'refused', say: 'The board takes registered modules only.' };
  if (takes === 'plain' && sorts.has('registered'))
    return { mark: 'stop', rest: 'refused', say: 'The board takes no registered modules.' };
  if (takes === 'plain' && sorts.has('ECC'))
    return {
      mark: 'watch',
      rest: 'ECC idle',
      say: 'ECC modules on a board without ECC: most start and check nothing, some do not start.',
    };
  return [...sorts, takes].some((each) => BUFFERED.includes(each)) ? agree : undefined;
}

const BUFFERED = ['registered', 'fully buffered'];

const onAnyBoard = (sorts: ReadonlySet<string>): Verdict | undefined =>
  [...sorts].some((each) => each !== 'plain')
    ? {
        mark: 'watch',
        rest: 'not known',
        say: [...sorts].some((each) => BUFFERED.includes(each))
          ? 'Buffered modules start only on boards made for them: look the board up.'
          : 'ECC modules: whether the board starts with them, and checks with them, is not known.',
      }
    : undefined;
