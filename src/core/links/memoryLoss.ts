import type { Finding } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import { numberOf } from '../model/lookup/lookup.ts';
import { numberAt, partOfKind, partsOfKind, type Plan } from '../model/lookup/plan.ts';
import { behind, goesOfKind } from '../model/lookup/reads.ts';
import type { Part } from '../model/types/types.ts';
import { commonPractice } from '../standards/source.ts';
import { populate, type Module } from './channels.ts';

/**
 * Modules taken out and not made good: fewer channels run side by side than did, or less is left than
 * there was. Says nothing while nothing of either is lost.
 */
export function memoryLoss(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const gone = goesOfKind(plan, 'memory').map(({ part }) => part);
  if (!board || board.state !== 'stays' || gone.length === 0) return [];
  const now = partsOfKind(plan, 'memory').map(({ part }) => part);
  const stayed = partsOfKind(plan, 'memory').flatMap(({ part, state }) =>
    state === 'stays' ? [part] : [],
  );
  const had = [...stayed, ...gone];
  const channels = numberAt(plan, board, 'channels');
  const most = Math.max(1, Math.round(channels?.hi ?? 2));
  const [before, after] = [had, now].map((parts) => Math.min(most, parts.length));
  const [hadGb, hasGb] = [had, now].map((parts) => sizeOf(plan, parts));
  const narrower = (after ?? 0) < (before ?? 0);
  const less = hadGb !== undefined && hasGb !== undefined && hasGb < hadGb;
  if (now.length === 0 || (!narrower && !less)) return [];
  const speeds = [had, now].map((parts) => speedOf(plan, parts, most));
  return [
    {
      id: 'memory-loss',
      station: 'links',
      mark: 'watch',
      title: 'RAM taken out',
      seats: ['board', ...partsOfKind(plan, 'memory').map(({ seat }) => seat)],
      unit: 'GB',
      terms: [
        plain('as found', words(had.length, hadGb), 0),
        plain('as planned', words(now.length, hasGb), 0),
      ],
      marginLabel: narrower ? `${after} of ${before} channels` : 'less than it had',
      say: [
        narrower
          ? `${before} modules ran side by side, ${after === 1 ? 'one is' : `${after} are`} left${
              speeds[0] && speeds[1]
                ? `: ${speeds[1].toFixed(1)} of ${speeds[0].toFixed(1)} GB/s`
                : ''
            }; ${channels ? '' : 'with two channels, '}graphics in the CPU feel it most.`
          : '',
        less ? `${hasGb} GB where ${hadGb} were.` : '',
      ]
        .filter(Boolean)
        .join(' '),
      source: commonPractice,
      remedies: [],
      undoMinutes: 10,
    },
  ];
}

const sizeOf = (plan: Plan, parts: readonly Part[]): number | undefined => {
  const sizes = parts.map((part) => numberOf(behind(plan), part, 'size')?.lo);
  return sizes.some((size) => size === undefined)
    ? undefined
    : sizes.reduce<number>((sum, size) => sum + (size ?? 0), 0);
};

/** GB/s of the part that runs side by side, by size and speed of every module; undefined when one is not known. */
function speedOf(plan: Plan, parts: readonly Part[], channels: number): number | undefined {
  const modules = parts.flatMap((part): Module[] => {
    const [gb, mts] = [numberOf(behind(plan), part, 'size'), numberOf(behind(plan), part, 'speed')];
    return gb && mts ? [{ name: part.name, gb: gb.lo, mts: mts.lo }] : [];
  });
  if (modules.length < parts.length) return undefined;
  const { matchedGBs, singleGBs } = populate(modules, channels);
  return matchedGBs > 0 ? matchedGBs : singleGBs;
}

const words = (count: number, gb: number | undefined): string =>
  `${count} ${count === 1 ? 'module' : 'modules'}${gb === undefined ? '' : `, ${gb} GB`}`;
