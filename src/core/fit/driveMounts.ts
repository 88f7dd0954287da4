import { gap } from '../findings/gap.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { plain, termOf } from '../findings/terms.ts';
import {
  partsOfKind,
  isApplied,
  numberAt,
  partOfKind,
  textAt,
  type Plan,
} from '../model/lookup/plan.ts';
import type { Placed } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { drivePlaces, mountsOf } from '../remedies/mounts.ts';
import { cageOut } from '../remedies/cageOut.ts';
import { driveBracket } from '../remedies/driveBracket.ts';
import { offer } from '../remedies/offer.ts';

const CAGE_HOLDS = 2;

/** Every drive a place where it is screwed down; a 2.5 in drive may use a 3.5 in place with a bracket. */
export function driveMounts(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  if (!shell) return [];
  return (['3.5', '2.5'] as const).flatMap((form) => {
    const drives = partsOfKind(plan, 'drive').filter(
      (drive) => textAt(plan, drive, 'form')?.text === form,
    );
    const terms = drives.length > 0 ? mountTerms(plan, shell, form) : undefined;
    if (!terms) return [];
    terms.push(plain(`${form} in drives`, range(drives.length), -1));
    return gap({
      id: `drive-mounts-${form === '3.5' ? 'bays35' : 'bays25'}`,
      station: 'fit',
      title: `mounts for ${form} in drives`,
      seats: [...drives.map((drive) => drive.seat), 'case'],
      unit: '',
      terms,
      minimumMargin: 0,
      short: 'short',
      lack: 'mend',
      source: commonPractice,
      undoMinutes: 15,
      say: (rest, mark) =>
        mark === 'mend'
          ? `${-rest.hi} drive would hang loose. Look for mounts under the front, on the PSU bay and behind the tray.`
          : mark === 'clear'
            ? said(plan, drives)
            : 'Count the mounts: people overlook one.',
      remedies: () => [offer(plan, driveBracket({ form }), 'watch')],
    });
  });
}

/** The list of mounts where somebody made it, else the count. */
function mountTerms(plan: Plan, shell: Placed, form: '3.5' | '2.5'): Term[] | undefined {
  const noCage = isApplied(plan, cageOut());
  if (mountsOf(plan)) {
    const held = drivePlaces(plan);
    const seated = partsOfKind(plan, 'drive').filter(
      (drive) => textAt(plan, drive, 'form')?.text === form && held.has(drive.seat),
    ).length;
    return [plain(`mounts for them${noCage ? ', cage out' : ''}`, range(seated), 1)];
  }
  const key = form === '3.5' ? 'bays35' : 'bays25';
  const mounts = numberAt(plan, shell, key);
  if (!mounts) return undefined;
  const terms: Term[] = [termOf(shell, key, `${form} in mounts`, 1, mounts)];
  if (form === '3.5' && noCage)
    terms.push(plain('cage out', range(Math.min(CAGE_HOLDS, mounts.lo)), -1));
  return terms;
}

function said(plan: Plan, drives: readonly Placed[]): string {
  const held = drivePlaces(plan);
  const named = drives.flatMap((drive) => {
    const mount = held.get(drive.seat);
    return mount ? [`${drive.part.name}: ${mount.at}`] : [];
  });
  return named.length > 0 ? `${named.join('; ')}.` : 'Every drive can be screwed down.';
}
