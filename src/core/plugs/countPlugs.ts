import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import {
  partsOfKind,
  listAt,
  numberAt,
  partOfKind,
  textAt,
  type Plan,
  type Placed,
} from '../model/lookup/plan.ts';
import { goesAs, plug } from '../standards/plugs/index.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { offer } from '../remedies/offer.ts';
import { sataSplitter } from '../remedies/sataSplitter.ts';
import { plugAdapter } from '../remedies/plugAdapter.ts';

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
  /* What surely goes: its own plug, or one that splits and that no larger one needs. */
  const spare = countOf(gives.items, 'card62') - Math.max(0, short(gives.items, wanted, 'card8'));
  return cardPlugIds.flatMap((id) => {
    const need = countOf(wanted, id);
    if (need === 0) return [];
    const split =
      id === 'card8' ? countOf(gives.items, 'card62') : id === 'card6' ? Math.max(0, spare) : 0;
    const own = countOf(gives.items, id) + split;
    const left = -short(gives.items, wanted, 'card8');
    const splits = id === 'card6' && own < need ? Math.max(0, left) : 0;
    return gap({
      id: `plugs-${id}`,
      station: 'plugs',
      title: plug(id)?.name ?? id,
      about: { of: 'plugs', plug: offered(gives.items, id), socket: id },
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

/** The plug of those there that goes where one is wanted: itself before one that splits into it; undefined for none. */
const offered = (gives: readonly string[], id: string): string | undefined =>
  gives.find((each) => each === id) ?? gives.find((each) => goesAs(each, id));

/** How many of a plug lack, counting plugs of that very sort alone. */
const short = (gives: readonly string[], wanted: readonly string[], id: CardPlug) =>
  countOf(wanted, id) - countOf(gives, id);

const cardPlugIds = ['card6', 'card8', 'card16'] as const;
type CardPlug = (typeof cardPlugIds)[number];

/** How many of a kind are among them; the older and the newer sixteen-contact plug go on each other. */
const countOf = (items: readonly string[], id: CardPlug | 'card62') =>
  count(items, id) + (id === 'card16' ? count(items, 'card16old') : 0);

/** Boards that make 5 V of 12 V themselves mostly bring the drives' plugs too (common practice, no source). */
const MAY_BRING = range(0, 3);

/** Drive plugs of the board itself: as said, else some where its main plug is a maker's or brings 12 V only. */
function boardBrings(plan: Plan) {
  const board = partOfKind(plan, 'board');
  if (!board) return undefined;
  const said = numberAt(plan, board, 'drivePlugs');
  if (said) return termOf(board, 'drivePlugs', 'board brings', 1, said);
  const main = plug(textAt(plan, board, 'mainPlug')?.text ?? '');
  if (main?.group !== "maker's" && main?.id !== 'main10') return undefined;
  return {
    ...plain('board brings, perhaps', MAY_BRING, 1),
    how: 'class' as const,
    input: { partId: board.part.id, key: 'drivePlugs' as const, seat: board.seat },
  };
}

/** Drives against the plugs they want: each its own, SATA where nobody said; a splitter is sound where it is crimped. */
export function drivePlugs(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const gives = supply && listAt(plan, supply, 'plugs');
  const drives = partsOfKind(plan, 'drive').filter(
    (drive) => textAt(plan, drive, 'form')?.text !== 'M.2',
  );
  if (!supply || !gives) return [];
  const wants = (drive: Placed) => textAt(plan, drive, 'plug')?.text ?? 'sata';
  const ids = [...new Set(drives.map(wants))].sort();
  return ids.flatMap((id) => {
    const own = drives.filter((drive) => wants(drive) === id);
    const fromBoard = id === 'sata' ? boardBrings(plan) : undefined;
    const name = plug(id)?.name ?? id;
    return gap({
      id: `plugs-${id}`,
      station: 'plugs',
      title: id === 'sata' ? 'SATA power plugs' : `${name}s`,
      about: { of: 'plugs', plug: offered(gives.items, id), socket: id },
      seats: ['supply', ...own.map((drive) => drive.seat)],
      unit: '',
      terms: [
        {
          ...plain('PSU brings', range(count(gives.items, id)), 1),
          how: gives.how,
          input: { partId: supply.part.id, key: 'plugs', seat: 'supply' },
        },
        ...(fromBoard ? [fromBoard] : []),
        plain('drives want', range(own.length), -1),
      ],
      minimumMargin: 0,
      short: 'short',
      lack: 'mend',
      source: plug(id)?.source ?? commonPractice,
      undoMinutes: 15,
      say: (_, mark) =>
        mark === 'watch'
          ? "Boards of makers' own feed drives from a plug of their own: look whether this one does, and how many."
          : mark !== 'mend'
            ? 'Every drive gets its plug.'
            : id === 'sata'
              ? 'Too few SATA power plugs. A crimped splitter may do for drives; a moulded one is a fire risk.'
              : `The PSU brings too few plugs of this sort: ${name}. An adapter, or another PSU.`,
      remedies: () =>
        id === 'sata'
          ? [offer(plan, sataSplitter(), 'watch')]
          : [offer(plan, plugAdapter({ pair: `plugs-${id}`, from: 'sata', to: id }), 'watch')],
    });
  });
}
