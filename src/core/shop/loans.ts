import type { Loan, Machine, Part, Shop } from '../model/types/types.ts';

/** Something lent or borrowed, and how long it is until it is owed back. */
export interface Owed {
  part: Part | Machine;
  loan: Loan;
  /** Days from now, below nothing where it is overdue; undefined where no day was said. */
  days: number | undefined;
  say: string;
}

const DAY_MS = 86_400_000;

/** Loans of the shop, the next one owed first, those without a day last. `now` is ISO time. */
export function loansOf(shop: Shop, now: string): Owed[] {
  const today = Date.parse(now.slice(0, 10));
  const things = [
    ...shop.parts.filter(({ place }) => place !== 'gone'),
    ...shop.machines.filter(({ state }) => state !== 'gone'),
  ];
  return things
    .flatMap((part): Owed[] => {
      const { loan } = part;
      if (!loan) return [];
      const days = loan.until
        ? Math.round((Date.parse(loan.until.slice(0, 10)) - today) / DAY_MS)
        : undefined;
      return [{ part, loan, days, say: sayOf(loan, days) }];
    })
    .sort(
      (a, b) => (a.days ?? Infinity) - (b.days ?? Infinity) || a.part.id.localeCompare(b.part.id),
    );
}

function sayOf({ way, who }: Loan, days: number | undefined): string {
  const other = who ? ` ${way === 'lent' ? 'to' : 'from'} ${who}` : '';
  if (days === undefined) return `${way}${other}, no day said`;
  if (days < 0) return `${way}${other}, ${-days} ${days === -1 ? 'day' : 'days'} overdue`;
  return `${way}${other}, ${days === 0 ? 'owed today' : `${days} ${days === 1 ? 'day' : 'days'} left`}`;
}
