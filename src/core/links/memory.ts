import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { match } from '../findings/match.ts';
import { plain, termOf, wordOf } from '../findings/terms.ts';
import {
  partsOfKind,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { memorySource } from '../standards/memory.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';

/** Memory against the board: kind and form of every module, slots, limit, speed. */
export function memory(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const modules = partsOfKind(plan, 'memory');
  if (!board || modules.length === 0) return [];
  return [
    ...modules.map((module) => kind(plan, board, module)),
    ...slots(plan, board, modules),
    ...limit(plan, board, modules),
    ...modules.flatMap((module) => perSlot(plan, board, module, modules)),
    ...ranks(plan, board, modules),
    ...speed(plan, board, modules),
  ];
}

function kind(plan: Plan, board: Placed, module: Placed): Finding {
  const word = (placed: Placed) => {
    const kindTold = textAt(plan, placed, 'memoryKind');
    const form = textAt(plan, placed, 'memoryForm');
    return kindTold && { ...kindTold, text: [kindTold.text, form?.text].filter(Boolean).join(' ') };
  };
  return match({
    id: `memory-kind:${module.seat}`,
    station: 'links',
    title: 'RAM kind',
    seats: [module.seat, 'board'],
    have: wordOf(board, 'memoryKind', 'board', word(board)),
    want: wordOf(module, 'memoryKind', module.part.name, word(module)),
    verdict: (have, want) => {
      const [haveKind, haveForm] = have.split(' ');
      const [wantKind, wantForm] = want.split(' ');
      const differs = haveKind !== wantKind || (haveForm && wantForm && haveForm !== wantForm);
      return differs
        ? {
            mark: 'stop',
            rest: 'differs',
            say: `${want} does not go into a ${have} slot; the key sits elsewhere.`,
          }
        : { mark: 'clear', rest: 'same', say: 'The module goes into the slot.' };
    },
    unknownSay: "Read the kind off the module's label.",
    source: memorySource,
    undoMinutes: 10,
  });
}

function slots(plan: Plan, board: Placed, modules: readonly Placed[]): Finding[] {
  const have = numberAt(plan, board, 'memorySlots');
  if (!have) return [];
  return [
    gap({
      id: 'memory-slots',
      station: 'links',
      title: 'RAM slots',
      seats: ['board', ...modules.map((module) => module.seat)],
      unit: '',
      terms: [
        termOf(board, 'memorySlots', 'slots', 1, have),
        plain('modules', range(modules.length), -1),
      ],
      minimumMargin: 0,
      short: 'short',
      source: commonPractice,
      undoMinutes: 10,
      say: (_, mark) =>
        mark === 'stop'
          ? 'More modules than slots: leave the smallest out.'
          : 'Every module has a slot.',
    }),
  ];
}

function limit(plan: Plan, board: Placed, modules: readonly Placed[]): Finding[] {
  const most = numberAt(plan, board, 'memoryMax');
  const sizes = modules.flatMap((module) => {
    const size = numberAt(plan, module, 'size');
    return size ? [termOf(module, 'size', module.part.name, -1, size)] : [];
  });
  if (!most || sizes.length === 0) return [];
  return [
    gap({
      id: 'memory-limit',
      station: 'links',
      title: 'RAM limit',
      seats: ['board', ...modules.map((module) => module.seat)],
      unit: 'GB',
      terms: [termOf(board, 'memoryMax', 'board takes', 1, most), ...sizes],
      minimumMargin: 0,
      source: commonPractice,
      undoMinutes: 10,
      say: (_, mark) =>
        mark === 'stop'
          ? 'More than the board takes: it may not start, or count less.'
          : 'All of it counts, unequal modules too; only the matched part is interleaved.',
    }),
  ];
}

/**
 * The largest module a slot takes; unsaid, the board's limit over its slots, which only usually is it: asked of
 * a module that comes while all of them together keep the limit.
 */
function perSlot(plan: Plan, board: Placed, module: Placed, all: readonly Placed[]): Finding[] {
  const size = numberAt(plan, module, 'size');
  if (!size) return [];
  const said = numberAt(plan, board, 'memoryPerSlot');
  const most = numberAt(plan, board, 'memoryMax');
  const slotCount = numberAt(plan, board, 'memorySlots');
  const usual =
    !said && most && slotCount && slotCount.lo > 0
      ? range(most.lo / slotCount.hi, most.hi / slotCount.lo)
      : undefined;
  const within = all.reduce((sum, each) => sum + (numberAt(plan, each, 'size')?.lo ?? 0), 0);
  const asked =
    usual !== undefined &&
    size.lo > usual.hi &&
    within <= (most?.hi ?? 0) &&
    [board, module].some(({ state }) => state === 'comes');
  if (!said && !asked) return [];
  return [
    gap({
      id: `memory-per-slot:${module.seat}`,
      station: 'links',
      title: 'module in its slot',
      seats: [module.seat, 'board'],
      unit: 'GB',
      terms: [
        termOf(
          board,
          'memoryPerSlot',
          said ? 'a slot takes' : 'limit over slots, or more',
          1,
          said ?? {
            lo: usual?.lo ?? 0,
            hi: Math.max(size.hi, usual?.hi ?? 0),
            how: 'class',
            level: 'model',
            source: undefined,
          },
        ),
        termOf(module, 'size', module.part.name, -1, size),
      ],
      minimumMargin: 0,
      source: commonPractice,
      undoMinutes: 10,
      say: (_, mark) =>
        mark === 'clear'
          ? 'The slot takes a module of this size.'
          : mark === 'stop'
            ? 'Larger than the board reads in one slot: it counts less, or the machine does not start.'
            : "Larger than the board's limit shared over its slots: look up the largest module it reads.",
    }),
  ];
}

/** Ranks one channel drives, as boards of the last generations do: 4 of plain modules, 8 of registered ones. */
const RANKS = { plain: 4, registered: 8 } as const;

/** Ranks of all modules on the fullest channel. Says nothing where it is within what every board drives. */
function ranks(plan: Plan, board: Placed, modules: readonly Placed[]): Finding[] {
  const counted = modules.flatMap((module) => {
    const told = numberAt(plan, module, 'ranks');
    return told ? [{ module, told }] : [];
  });
  const channels = numberAt(plan, board, 'channels');
  if (counted.length === 0 || !channels || channels.lo < 1) return [];
  const registered = modules.some((each) => textAt(plan, each, 'sort')?.text === 'registered');
  const most = RANKS[registered ? 'registered' : 'plain'] * Math.round(channels.lo);
  if (counted.reduce((sum, { told }) => sum + told.lo, 0) <= most) return [];
  return [
    {
      ...gap({
        id: 'memory-ranks',
        station: 'links',
        title: 'ranks on its channels',
        seats: ['board', ...modules.map((module) => module.seat)],
        unit: 'ranks',
        terms: [
          plain(`${Math.round(channels.lo)} channels drive`, range(most), 1),
          ...counted.map(({ module, told }) => termOf(module, 'ranks', module.part.name, -1, told)),
        ],
        minimumMargin: 0,
        short: 'over',
        source: commonPractice,
        undoMinutes: 10,
        say: () =>
          'More ranks than a channel usually drives: some modules are not seen, or all run slower.',
      }),
      mark: 'watch',
    },
  ];
}

function speed(plan: Plan, board: Placed, modules: readonly Placed[]): Finding[] {
  const top = numberAt(plan, board, 'memorySpeed');
  const speeds = modules.flatMap((module) => {
    const told = numberAt(plan, module, 'speed');
    return told ? [{ module, told }] : [];
  });
  const slowest = speeds.reduce<(typeof speeds)[number] | undefined>(
    (least, each) => (!least || each.told.hi < least.told.hi ? each : least),
    undefined,
  );
  if (!top || !slowest) return [];
  const over = slowest.told.lo > top.hi;
  return [
    {
      id: 'memory-speed',
      station: 'links',
      mark: 'clear',
      title: 'RAM speed',
      seats: ['board', ...modules.map((module) => module.seat)],
      unit: 'MT/s',
      terms: [
        termOf(board, 'memorySpeed', 'platform', 1, top),
        { ...termOf(slowest.module, 'speed', 'slowest module', -1, slowest.told) },
      ],
      marginLabel: `runs at ${Math.min(top.hi, slowest.told.hi)}`,
      say: over
        ? "RAM faster than the platform runs at the platform's speed."
        : 'All modules run at the slowest common speed.',
      source: commonPractice,
      remedies: [],
      undoMinutes: 10,
    },
  ];
}
