import type { Finding } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import { partsOfKind, numberAt, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { sataMBs } from '../standards/links.ts';
import type { Source } from '../standards/source.ts';
import { range } from '../units/range.ts';

const source: Source = {
  title: 'Serial ATA specification',
  clause: 'signalling rates',
  memory: true,
};

/** Megabytes a second of a drive on a port: the slower of both, said where both are known. */
export function sataLinks(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const port = board && numberAt(plan, board, 'sataGen');
  if (!board || !port) return [];
  return partsOfKind(plan, 'drive').flatMap((drive): Finding[] => {
    const form = textAt(plan, drive, 'form')?.text;
    const bus = textAt(plan, drive, 'bus')?.text;
    const own = numberAt(plan, drive, 'sataGen');
    if (!own || bus === 'NVMe' || (form === 'M.2' && bus !== 'SATA')) return [];
    const rate = (generation: number) => sataMBs[Math.min(3, Math.max(1, generation)) - 1] ?? 150;
    const gives = range(rate(Math.min(port.lo, own.lo)), rate(Math.min(port.hi, own.hi)));
    const lost = range(
      Math.min(0, rate(port.lo) - rate(own.hi)),
      Math.min(0, rate(port.hi) - rate(own.lo)),
    );
    return [
      {
        id: `sata-link:${drive.seat}`,
        station: 'links',
        mark: lost.lo < 0 ? 'watch' : 'clear',
        title: `${drive.part.name} on its port`,
        seats: [drive.seat, 'board'],
        unit: 'MB/s',
        terms: [
          plain('port', range(rate(port.lo), rate(port.hi)), 1),
          plain('drive', range(rate(own.lo), rate(own.hi)), -1),
        ],
        margin: lost,
        marginLabel: lost.hi < 0 ? 'lost' : lost.lo < 0 ? 'may be lost' : 'nothing lost',
        say:
          lost.lo < 0
            ? gives.hi >= 300
              ? `The port passes ${gives.hi} MB/s: an SSD feels it, a hard drive does not.`
              : `The port passes ${gives.hi} MB/s: an SSD feels it, and so does a hard drive of today (180 to 280).`
            : 'The port passes all the drive can send.',
        source,
        remedies: [],
        undoMinutes: 10,
      },
    ];
  });
}
