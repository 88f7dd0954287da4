import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { partsOfKind, listAt, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { plug } from '../standards/plugs/index.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { offer } from '../remedies/offer.ts';
import { sataSplitter } from '../remedies/sataSplitter.ts';

const count = (items: readonly string[], id: string) => items.filter((item) => item === id).length;

/**
 * Card plugs wanted against those the supply brings. Too few is a Stop: card plugs are not made from
 * drive plugs. An 8-pin that is left over mostly splits into 6 and 2.
 */
export function cardPlugs(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const cards = partsOfKind(plan, 'card');
  const gives = supply && listAt(plan, supply, 'plugs');
  if (!supply || !gives) return [];
  const wanted = cards.flatMap((placed) => listAt(plan, placed, 'plugs')?.items ?? []);
  const left = (id: CardPlug) => countOf(gives.items, id) - countOf(wanted, id);
  return cardPlugIds.flatMap((id) => {
    const need = countOf(wanted, id);
    if (need === 0) return [];
    const own = countOf(gives.items, id);
    const splits = id === 'card6' && own < need ? Math.max(0, left('card8')) : 0;
    return gap({
      id: `plugs-${id}`,
      station: 'plugs',
      title: plug(id)?.name ?? id,
      seats: ['supply', ...cards.map((placed) => placed.seat)],
      unit: '',
      terms: [
        {
          ...plain('PSU brings', range(own), 1),
          how: gives.how,
          input: { partId: supply.part.id, key: 'plugs', seat: 'supply' },
        },
        ...(splits > 0 ? [plain('8-pin left, if it splits into 6+2', range(0, splits), 1)] : []),
        plain('cards want', range(need), -1),
      ],
      minimumMargin: 0,
      short: 'short',
      source: plug(id)?.source ?? commonPractice,
      undoMinutes: 30,
      say: (_, mark) =>
        mark === 'stop'
          ? 'The PSU lacks the plug this card wants. Do not make it from drive plugs: they burn.'
          : mark === 'watch'
            ? 'Most 8-pin card plugs split into 6 and 2: look whether the two pins come off.'
            : 'Every card gets its plug.',
    });
  });
}

const cardPlugIds = ['card6', 'card8', 'card16'] as const;
type CardPlug = (typeof cardPlugIds)[number];

/** How many of a kind are among them; the older and the newer sixteen-contact plug go on each other. */
const countOf = (items: readonly string[], id: CardPlug) =>
  count(items, id) + (id === 'card16' ? count(items, 'card16old') : 0);

/** Drives against the supply's SATA plugs; one plug carries one drive unless a splitter is sound. */
export function drivePlugs(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const gives = supply && listAt(plan, supply, 'plugs');
  const drives = partsOfKind(plan, 'drive').filter(
    (drive) => textAt(plan, drive, 'form')?.text !== 'M.2',
  );
  if (!supply || !gives || drives.length === 0) return [];
  const sata = count(gives.items, 'sata');
  return [
    gap({
      id: 'plugs-sata',
      station: 'plugs',
      title: 'SATA power plugs',
      seats: ['supply', ...drives.map((drive) => drive.seat)],
      unit: '',
      terms: [
        {
          ...plain('PSU brings', range(sata), 1),
          how: gives.how,
          input: { partId: supply.part.id, key: 'plugs', seat: 'supply' },
        },
        plain('drives want', range(drives.length), -1),
      ],
      minimumMargin: 0,
      short: 'short',
      lack: 'mend',
      source: plug('sata')?.source ?? commonPractice,
      undoMinutes: 15,
      say: (_, mark) =>
        mark === 'mend'
          ? 'Too few SATA power plugs. A crimped splitter may do for drives; a moulded one is a fire risk.'
          : 'Every drive gets its plug.',
      remedies: () => [offer(plan, sataSplitter(), 'watch')],
    }),
  ];
}
