import type { Finding } from '../findings/finding.ts';
import { termOf, wordOf } from '../findings/terms.ts';
import { numberAt, partOfKind, partsOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import type { Source } from '../standards/source.ts';

/** Sectors of 512 bytes counted with 32 bits, GB: what the old partition table reaches. */
const OLD_TABLE_GB = (2 ** 32 * 512) / 1e9;

const source: Source = {
  title: 'UEFI specification, GPT disk layout',
  clause: 'legacy master boot record: 32-bit sector numbers',
  memory: true,
};

/** A drive larger than the old partition table reaches, on a board that starts the old way. */
export function largeDrives(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const starts = board && textAt(plan, board, 'starts');
  if (!board) return [];
  return partsOfKind(plan, 'drive').flatMap((drive): Finding[] => {
    const size = numberAt(plan, drive, 'size');
    if (!size || size.hi <= OLD_TABLE_GB || starts?.text !== 'legacy') return [];
    return [
      {
        id: `large-drive:${drive.seat}`,
        station: 'links',
        mark: 'watch',
        title: 'drive past 2.2 TB',
        seats: [drive.seat, board.seat],
        unit: '',
        terms: [
          { ...termOf(drive, 'size', 'GB', 1, size), sign: 0 },
          { ...wordOf(board, 'starts', 'the board starts', starts), value: starts.text, sign: 0 },
        ],
        marginLabel: 'as data only',
        say: 'A board that starts the old way starts from the first 2.2 TB only: good for data, another drive to start from.',
        source,
        remedies: [],
        undoMinutes: 60,
      },
    ];
  });
}
