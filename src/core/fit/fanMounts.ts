import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { listAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { fanPlaces, takesFan } from '../remedies/fanPlaces.ts';

/** A mount for every fan: of its size, or one larger that mostly has holes for both. */
export function fanMounts(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const mounts = shell && listAt(plan, shell, 'fanMounts')?.items;
  if (!shell || !mounts) return [];
  const fans = fanPlaces(plan).filter(({ outside }) => !outside);
  const sizes = [...new Set(fans.flatMap(({ mm }) => mm ?? []))];
  return sizes.flatMap((mm) => {
    const own = fans.filter((each) => each.mm === mm);
    const sure = mounts.filter((mount) => takesFan(mount, mm) === 'yes').length;
    /* Larger mounts that no larger fan wants. */
    const larger = mounts.filter((mount) => takesFan(mount, mm) === 'perhaps').length;
    const wanted = fans.filter((each) => each.mm !== undefined && each.mm > mm).length;
    if (own.length <= sure) return [];
    return gap({
      id: `fan-mounts-${mm}`,
      station: 'fit',
      title: `mounts for ${mm} mm fans`,
      seats: [...own.map(({ fan }) => fan.seat), 'case'],
      unit: '',
      terms: [
        {
          ...plain(`mounts for ${mm}`, range(sure), 1),
          input: { partId: shell.part.id, key: 'fanMounts', seat: 'case' },
        },
        ...(larger > 0
          ? [
              plain(
                'larger ones, if they have its holes too',
                range(0, Math.max(0, larger - wanted)),
                1,
              ),
            ]
          : []),
        plain(`fans of ${mm}`, range(own.length), -1),
      ],
      minimumMargin: 0,
      short: 'short',
      source: commonPractice,
      undoMinutes: 20,
      say: (rest, mark) =>
        mark === 'stop'
          ? `${-rest.hi} fan of ${mm} mm has no mount in this case.`
          : 'It goes on a larger mount only if that has holes for both sizes: look.',
    });
  });
}
