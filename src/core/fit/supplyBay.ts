import { gap } from '../findings/gap.ts';
import { match } from '../findings/match.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { termOf, wordOf } from '../findings/terms.ts';
import {
  isApplied,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { supplyFormat } from '../standards/room.ts';
import { range, type Range } from '../units/range.ts';
import { cageOut } from '../remedies/cageOut.ts';
import { offer } from '../remedies/offer.ts';
import { standsOutside, supplyOutside, supplyPlaceOf } from '../remedies/supplyOutside.ts';
import { supplyPlate } from '../remedies/supplyPlate.ts';

/** The supply's format against the bay, and its depth with plugs in. */
export function supplyBay(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const supply = partOfKind(plan, 'supply');
  if (!shell || !supply) return [];
  if (standsOutside(plan)) return [];
  const found: Finding[] = [];
  const bay = textAt(plan, shell, 'supplyFormat');
  const format = textAt(plan, supply, 'format');
  if (bay || format) {
    found.push(
      match({
        id: 'supply-format',
        station: 'fit',
        title: 'PSU in its bay',
        seats: ['supply', 'case'],
        have: wordOf(shell, 'supplyFormat', 'bay', bay),
        want: wordOf(supply, 'format', 'PSU', format),
        verdict: (have, want) => bayVerdict(have, want),
        unknownSay: 'Nobody said which format the bay or the PSU is.',
        source: supplyFormat(bay?.text)?.source ?? supplyFormat('ATX')!.source,
        undoMinutes: 30,
        remedies: (mark) =>
          mark === 'mend'
            ? [offer(plan, supplyPlate({ from: format?.text ?? '', to: bay?.text ?? '' }), 'watch')]
            : [],
      }),
    );
  }
  const room = numberAt(plan, shell, 'supplyRoom');
  const depth = numberAt(plan, supply, 'depth');
  if (room && depth) {
    found.push(
      gap({
        id: 'supply-depth',
        station: 'fit',
        title: 'PSU, plugs in',
        seats: ['supply', 'case'],
        unit: 'mm',
        terms: [
          termOf(shell, 'supplyRoom', 'depth of the bay', 1, room),
          ...(isApplied(plan, cageOut()) ? cageBefore(plan, shell) : []),
          termOf(supply, 'depth', 'PSU', -1, depth),
        ],
        minimumMargin: 0,
        source: supplyFormat(format?.text ?? 'ATX')?.source ?? supplyFormat('ATX')!.source,
        undoMinutes: 30,
        say: (rest, mark) =>
          mark === 'stop'
            ? `The PSU is ${Math.ceil(-rest.hi)} mm too deep for the bay.`
            : mark === 'clear'
              ? 'The PSU goes in with its plugs.'
              : 'Measure the bay with the plugs in mind.',
        remedies: (rest) => [
          ...cageBefore(plan, shell).flatMap((more) =>
            isApplied(plan, cageOut()) || rest.hi + more.value.hi < 0
              ? []
              : offer(plan, cageOut(), 'watch'),
          ),
          offer(plan, supplyOutside(), 'watch'),
        ],
      }),
    );
  }
  return found;
}

/** Beneath the board a drive cage may stand before the bay: out, it gives up to what it gives the card. */
function cageBefore(plan: Plan, shell: Placed): (Term & { value: Range })[] {
  const gain = numberAt(plan, shell, 'cageGain');
  if (!gain || supplyPlaceOf(plan) !== 'below the board') return [];
  const term = termOf(shell, 'cageGain', 'cage out, where it stood before the bay', 1, gain);
  return [{ ...term, value: range(0, gain.hi) }];
}

function bayVerdict(bay: string, supply: string) {
  if (bay === supply || (bay === 'SFX-L' && supply === 'SFX')) {
    return { mark: 'clear' as const, rest: 'same', say: 'The PSU meets the bay.' };
  }
  if (bay === 'SFX' && supply === 'SFX-L')
    return {
      mark: 'watch' as const,
      rest: 'same face',
      say: 'Same face and holes, 130 deep instead of 100: no plate, but measure the depth with its plugs in.',
    };
  const [outer, inner] = [supplyFormat(bay), supplyFormat(supply)];
  const smaller =
    outer && inner && inner.widthMm <= outer.widthMm && inner.heightMm <= outer.heightMm;
  return smaller
    ? {
        mark: 'mend' as const,
        rest: 'smaller',
        say: `A ${supply} PSU is smaller than the ${bay} bay: it needs a plate.`,
      }
    : {
        mark: 'stop' as const,
        rest: 'differs',
        say: `A ${supply} PSU does not go into a ${bay} bay.`,
      };
}
