import { create } from 'mutative';
import { standingOf } from '../model/lookup/lookup.ts';
import { seatName } from '../model/types/seats.ts';
import type { Edit } from '../model/types/edit.ts';
import type { Loan, LoanLine, Machine, PastLoan, Shop } from '../model/types/types.ts';

/** Whole machines lent and borrowed: as they went, and what was found when they came back. */

const linesOf = (shop: Shop, machine: Machine): LoanLine[] =>
  machine.seats.flatMap(({ seat, partId }) => {
    const part = shop.parts.find(({ id }) => id === partId);
    return part
      ? [{ seat, partId, name: part.name, condition: standingOf(shop, part).condition }]
      : [];
  });

/** A machine goes out or comes in on loan, with its list of seats as it stands. */
export const lendMachine =
  (id: string, loan: Loan, at: string): Edit =>
  (shop) =>
    create(shop, (next) => {
      const before = shop.machines.find((each) => each.id === id);
      const machine = next.machines.find((each) => each.id === id);
      if (before && machine) machine.loan = { ...loan, since: at, held: linesOf(shop, before) };
    });

/** Who, until when, how it went: what is said of a loan under way. */
export const editMachineLoan =
  (id: string, fields: Partial<Pick<Loan, 'who' | 'until' | 'as'>>): Edit =>
  (shop) =>
    create(shop, (next) => {
      const loan = next.machines.find((each) => each.id === id)?.loan;
      if (loan) Object.assign(loan, fields);
    });

/** What is missing, changed, damaged or new in a machine against its list when it went: a line each. */
export function loanDifferences(shop: Shop, machine: Machine): string[] {
  const held = machine.loan?.held;
  if (!held) return [];
  const now = linesOf(shop, machine);
  const at = (lines: readonly LoanLine[], line: LoanLine) =>
    lines.find((each) => each.seat === line.seat);
  return [
    ...held.flatMap((was) => {
      const is = at(now, was);
      if (!is) return [`missing: ${seatName(was.seat)}, ${was.name} (${was.partId})`];
      if (is.partId !== was.partId)
        return [
          `changed: ${seatName(was.seat)}, ${was.name} (${was.partId}) went, ${is.name} (${is.partId}) came back`,
        ];
      return is.condition === was.condition
        ? []
        : [`${is.name} (${is.partId}): was ${was.condition}, is ${is.condition}`];
    }),
    ...now.flatMap((is) =>
      at(held, is) ? [] : [`new: ${seatName(is.seat)}, ${is.name} (${is.partId})`],
    ),
  ];
}

/** A loan is over: kept with what was found, one's own words beside what the list says. */
export const endMachineLoan =
  (id: string, back: string, words: readonly string[]): Edit =>
  (shop) =>
    create(shop, (next) => {
      const before = shop.machines.find((each) => each.id === id);
      const machine = next.machines.find((each) => each.id === id);
      if (!before?.loan || !machine) return;
      const { held: _, ...loan } = before.loan;
      const past: PastLoan = {
        ...loan,
        back,
        found: [...loanDifferences(shop, before), ...words].map((line) => line.slice(0, 200)),
      };
      machine.pastLoans = [...(machine.pastLoans ?? []), past];
      delete machine.loan;
      /* What was only borrowed leaves with its end. */
      if (loan.way === 'borrowed') machine.state = 'gone';
    });

/** The same for a part. */
export const endPartLoan =
  (id: string, back: string, words: readonly string[]): Edit =>
  (shop) =>
    create(shop, (next) => {
      const part = next.parts.find((each) => each.id === id);
      if (!part?.loan) return;
      const { held: _, ...loan } = part.loan;
      part.pastLoans = [...(part.pastLoans ?? []), { ...loan, back, found: [...words] }];
      delete part.loan;
      if (loan.way === 'borrowed') part.place = 'gone';
    });
