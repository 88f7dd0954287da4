import { isPriced, toPay, type Priced } from '../donors/index.ts';
import { byMark, worst, type Finding, type Mark, type Remedy } from '../findings/finding.ts';
import { indexOf, standingOf, textOf } from '../model/lookup/lookup.ts';
import { kindOfSeat, seatName } from '../model/types/seats.ts';
import { withChange } from '../model/types/stages.ts';
import type { Job, Part, Shop } from '../model/types/types.ts';
import { planOf } from '../plan/planOf.ts';
import { checksOf, runChecks } from '../plan/run.ts';
import type { Money } from '../units/money.ts';

/** Minutes to put another part in, and more to get it out of a donor (common practice, no source). */
export const MINUTES_TO_SWAP = 15;
export const MINUTES_TO_STRIP = 10;

/**
 * Ways out of one finding: its own, and every other part of the shelf and of donors that
 * would settle it, each run through all checks. Best mark first, then cheapest; what brings a new Stop is left out.
 */
export function remediesFor(shop: Shop, job: Job, finding: Finding, most = 5): Remedy[] {
  if (finding.mark === 'clear') return [];
  const before = checksOf(shop, job);
  const markBefore = new Map(before.map((each) => [each.id, each.mark]));
  const swaps = finding.seats
    .filter((seat) => seat !== 'case' && kindOfSeat(seat) !== 'board')
    .flatMap((seat) =>
      candidates(shop, job, seat).flatMap((part) =>
        swap(shop, job, finding, seat, part, markBefore),
      ),
    );
  const all = [...finding.remedies, ...swaps];
  return all.sort((a, b) => byMark(b, a) || cost(a) - cost(b)).slice(0, most);
}

const cost = (remedy: Remedy) =>
  remedy.minutes +
  (remedy.money?.minor ?? 1000) / 50 +
  (remedy.undoable ? 0 : 30) +
  (remedy.givesUp ? 30 : 0);

/** Parts of the seat's kind that are free: on the shelf, in a donor, or already ordered, and nobody else's. */
export function candidates(shop: Shop, job: Job, seat: string): Part[] {
  const index = indexOf(shop);
  const kind = kindOfSeat(seat);
  const { seats } = planOf(shop, job);
  const planned = new Set(seats.map((placed) => placed.part.id));
  const like = sameSort(shop, seats.find((placed) => placed.seat === seat)?.part);
  return shop.parts.filter((part) => {
    if (part.kind !== kind || planned.has(part.id) || part.place === 'gone') return false;
    if (part.loan || (part.reserved !== undefined && part.reserved !== job.id)) return false;
    if (!like(part) || standingOf(shop, part).condition === 'dead') return false;
    const home = index.homeOf.get(part.id);
    return !home || (home.state === 'donor' && !home.keepWhole);
  });
}

/** A small part stands in for one of its own sort only: a screw is no converter. */
export function sameSort(shop: Shop, now: Part | undefined): (part: Part) => boolean {
  const sort = now?.kind === 'small' ? textOf(shop, now, 'sort')?.text : undefined;
  return (part) => sort === undefined || textOf(shop, part, 'sort')?.text === sort;
}

/** A price as a remedy names it: at the most; undefined where nobody priced it. */
const ownMoney = ({ settings }: Shop, price: Priced): Money | undefined =>
  isPriced(price) ? { minor: price.hi, currency: settings.currency } : undefined;

function swap(
  shop: Shop,
  job: Job,
  finding: Finding,
  seat: string,
  part: Part,
  markBefore: ReadonlyMap<string, Mark>,
): Remedy[] {
  const changes = withChange(job.changes, { seat, partId: part.id });
  const after = runChecks(planOf(shop, { ...job, changes }));
  const same = after.find((each) => each.id === finding.id);
  const better = !same || byMark(same, finding) > 0;
  const fresh = after.filter((each) => {
    const worse = each.mark === 'stop' || each.mark === 'mend';
    return worse && each.id !== finding.id && markBefore.get(each.id) !== each.mark;
  });
  if (!better || fresh.some((each) => each.mark === 'stop')) return [];
  const lost = after.filter((each) => each.about?.of === 'requirement' && each.mark === 'mend');
  const home = indexOf(shop).homeOf.get(part.id);
  return [
    {
      value: { do: 'put', seat, partId: part.id },
      title: `${part.name} (${part.id}${home ? `, donor ${home.id}` : ''}) as ${seatName(seat)}`,
      margin: same?.margin,
      mark: worst([...(same ? [same] : []), ...fresh]),
      minutes: MINUTES_TO_SWAP + (home ? MINUTES_TO_STRIP : 0),
      money: ownMoney(shop, toPay(shop, part)),
      undoable: true,
      givesUp: lost.length > 0 ? lost.map((each) => each.title).join(', ') : undefined,
    },
  ];
}
