import { create } from 'mutative';
import type { Money } from '../units/money.ts';
import { nextEntryId } from './ledgerEdits.ts';
import type { Edit } from './edits.ts';

/**
 * A line of the shopping list is bought, for this price apiece where it is known: the parts of that name that
 * were to buy stand on the shelf, the wants of open jobs are had, and the book has a line for each.
 */
export const buyLine =
  (label: string, apiece: Money | undefined, at: string): Edit =>
  (shop) =>
    create(shop, (next) => {
      const open = next.jobs.filter((each) => !each.handedOver);
      const write = (what: string, money: Money | undefined, tag: object) => {
        if (money)
          next.ledger.push({ id: nextEntryId(next), at, kind: 'cost', what, money, ...tag });
      };
      for (const part of next.parts) {
        if (part.place !== 'buy' || part.name !== label) continue;
        const forJob = open.find((job) => job.changes.some((change) => change.partId === part.id));
        if (!forJob) continue;
        part.place = 'shelf';
        part.origin = `bought ${at.slice(0, 10)}`;
        delete part.due;
        if (apiece) part.price = apiece;
        write(label, part.price, { partId: part.id, jobId: forJob.id });
      }
      for (const job of open) {
        for (const want of job.wants) {
          if (want.what !== label || want.bought) continue;
          want.bought = true;
          if (apiece) want.price = { ...apiece, minor: apiece.minor * want.count };
          write(label, want.price, { jobId: job.id });
        }
      }
    });
