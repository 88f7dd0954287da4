import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { all, listAt, one, textAt, type Plan } from '../model/plan.ts';
import { plug } from '../standards/plugs/index.ts';
import { practice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { offer } from '../remedies/offer.ts';
import { sataSplitter } from '../remedies/sataSplitter.ts';

const count = (items: readonly string[], id: string) => items.filter((item) => item === id).length;

/** Card plugs wanted against those the supply brings. Too few is a Stop: card plugs are not made from drive plugs. */
export function cardPlugs(plan: Plan): Finding[] {
  const supply = one(plan, 'supply');
  const cards = all(plan, 'card');
  const gives = supply && listAt(plan, supply, 'plugs');
  if (!supply || !gives) return [];
  return (['card6', 'card8'] as const).flatMap((id) => {
    const wanted = cards.flatMap((placed) =>
      (listAt(plan, placed, 'plugs')?.items ?? []).filter((item) => item === id),
    ).length;
    if (wanted === 0) return [];
    return gap({
      id: `plugs-${id}`,
      station: 'plugs',
      title: plug(id)?.name ?? id,
      seats: ['supply', ...cards.map((placed) => placed.seat)],
      unit: '',
      terms: [
        {
          ...plain('PSU brings', range(count(gives.items, id)), 1),
          how: gives.how,
          input: { partId: supply.part.id, key: 'plugs', seat: 'supply' },
        },
        plain('cards want', range(wanted), -1),
      ],
      margin: 0,
      short: 'short',
      source: plug(id)?.source ?? practice,
      undoMinutes: 30,
      say: (_, mark) =>
        mark === 'stop'
          ? 'The PSU lacks the plug this card wants. Do not make it from drive plugs: they burn.'
          : 'Every card gets its plug.',
    });
  });
}

/** Drives against the supply's SATA plugs; one plug carries one drive unless a splitter is sound. */
export function drivePlugs(plan: Plan): Finding[] {
  const supply = one(plan, 'supply');
  const gives = supply && listAt(plan, supply, 'plugs');
  const drives = all(plan, 'drive').filter((drive) => textAt(plan, drive, 'form')?.text !== 'M.2');
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
      margin: 0,
      short: 'short',
      lack: 'mend',
      source: plug('sata')?.source ?? practice,
      undoMinutes: 15,
      say: (_, mark) =>
        mark === 'mend'
          ? 'Too few SATA power plugs. A crimped splitter may do for drives; a moulded one is a fire risk.'
          : 'Every drive gets its plug.',
      remedies: () => [offer(plan, sataSplitter(), 'watch')],
    }),
  ];
}
