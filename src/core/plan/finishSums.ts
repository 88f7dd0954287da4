import { finishName } from '../finish/index.ts';
import { coldestPiece, noSpraying } from '../finish/climate.ts';
import { HOTTEST_C, lawSource, mixtureOf, MOST_PERCENT } from '../finish/bath.ts';
import { paintMm } from '../finish/paint.ts';
import type { Finding, Mark } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { BathWork, Finish, PaintWork } from '../model/types/finishTypes.ts';
import { dewSource, materialFacts, paintSource, paintTimes } from '../standards/coatings.ts';
import { commonPractice, type Source } from '../standards/source.ts';
import { trim } from '../units/length.ts';
import { range, subtract, type Range } from '../units/range.ts';

/** What stands against finishing as it is planned: too cold, too hot, too strong, paints that lift each other. */
export function finishSums(plan: Plan): Finding[] {
  const finishes = plan.job?.finishes ?? [];
  return [
    ...finishes.flatMap((work) =>
      work.do === 'paint' ? paintSums(work) : work.do === 'bath' ? bathSums(work) : [],
    ),
    ...lifted(finishes),
  ];
}

interface Told {
  id: string;
  mark: Mark;
  title: string;
  say: string;
  label: string;
  unit?: string;
  terms?: Finding['terms'];
  margin?: Range;
  source?: Source;
}

const found = (work: Finish, told: Told): Finding => ({
  id: `${told.id}:${work.id}`,
  station: 'order',
  mark: told.mark,
  title: told.title,
  seats: [],
  unit: told.unit ?? '',
  terms: told.terms ?? [plain(finishName(work), told.label, 0)],
  ...(told.margin && { margin: told.margin }),
  marginLabel: told.label,
  say: told.say,
  source: told.source ?? commonPractice,
  remedies: [],
  undoMinutes: 240,
});

function paintSums(work: PaintWork): Finding[] {
  const sums: Finding[] = [];
  const not = noSpraying(work);
  if (not !== undefined)
    sums.push(
      found(work, {
        id: 'spraying',
        mark: 'stop',
        title: 'room for spraying',
        label: 'not in this room',
        say: `${not}. Warm or dry the place, or wait for a better day.`,
        source: paintSource,
      }),
    );
  const coldest = coldestPiece(work);
  if (not === undefined && coldest !== undefined && work.roomC !== undefined) {
    const margin = range(work.roomC - coldest);
    if (margin.lo < 0)
      sums.push(
        found(work, {
          id: 'dew',
          mark: 'stop',
          title: 'piece over the dew point',
          label: 'too damp',
          unit: 'K',
          terms: [
            plain('room', range(work.roomC), 1),
            plain('dew point and 3 K', range(coldest), -1),
          ],
          margin,
          say: `Water settles on it: the piece must be at ${coldest.toFixed(0)} °C or more. Warm it, or wait for dry air.`,
          source: dewSource,
        }),
      );
  }
  if (work.bake) sums.push(...bakeSums(work));
  if (work.paint === 'two-part')
    sums.push(
      found(work, {
        id: 'isocyanate',
        mark: 'watch',
        title: 'two-part paint',
        label: 'supplied air only',
        say: 'It holds isocyanates: no filter mask helps. With supplied air, or at a paint shop.',
      }),
    );
  return sums;
}

function bakeSums(work: PaintWork): Finding[] {
  const facts = work.material && materialFacts[work.material];
  if (!facts)
    return [
      found(work, {
        id: 'bake',
        mark: 'watch',
        title: 'baking the paint',
        label: 'material not said',
        say: 'Metal only bears the oven. Say what it is made of.',
      }),
    ];
  const ceiling = facts.bakeC;
  if (ceiling === undefined)
    return [
      found(work, {
        id: 'bake',
        mark: 'stop',
        title: 'baking the paint',
        label: 'never',
        say: `${work.material} never goes into the oven: let it dry in the room.`,
      }),
    ];
  const wanted = work.bakeC ?? ceiling;
  if (wanted <= ceiling) return [];
  return [
    found(work, {
      id: 'bake',
      mark: 'stop',
      title: 'baking the paint',
      label: 'too hot',
      unit: 'K',
      terms: [
        plain('the paint bears, °C', range(ceiling), 1),
        plain('oven, °C', range(wanted), -1),
      ],
      margin: range(ceiling - wanted),
      say: `${trim(wanted, 1)} °C blisters it: 50 to ${ceiling} °C for an hour, after the solvent has gone.`,
    }),
  ];
}

function bathSums(work: BathWork): Finding[] {
  const sums: Finding[] = [];
  if (work.bottlePercent > MOST_PERCENT)
    sums.push(
      found(work, {
        id: 'peroxide-law',
        mark: 'stop',
        title: 'strength that may be bought',
        label: 'over what the public may buy',
        unit: '%',
        terms: [
          plain('without a licence', range(MOST_PERCENT), 1),
          plain('the bottle', range(work.bottlePercent), -1),
        ],
        margin: range(MOST_PERCENT - work.bottlePercent),
        say: `In the EU the public may buy and hold up to ${MOST_PERCENT} %; elsewhere the local law says. Take a weaker bottle.`,
        source: lawSource,
      }),
    );
  if (work.roomC !== undefined && work.roomC >= HOTTEST_C)
    sums.push(
      found(work, {
        id: 'bath-warm',
        mark: 'stop',
        title: 'warmth of the bath',
        label: 'too warm',
        say: `From ${HOTTEST_C} °C on it may run away: shade it, let it cool.`,
      }),
    );
  if (work.school === 'bath' && !mixtureOf(work))
    sums.push(
      found(work, {
        id: 'bath-mix',
        mark: 'stop',
        title: 'mixing the bath',
        label: 'cannot be mixed',
        say:
          work.wantedPercent > work.bottlePercent
            ? `Water makes it weaker: from ${work.bottlePercent} % no ${work.wantedPercent} %.`
            : work.wantedPercent <= 0
              ? 'At 0 % it is water: nothing fades.'
              : 'The part and the fillers leave no room in the vessel.',
      }),
    );
  return sums;
}

/** A lacquer over an enamel or a two-part paint of the same piece lifts it. */
function lifted(finishes: readonly Finish[]): Finding[] {
  const paints = finishes.filter((work): work is PaintWork => work.do === 'paint');
  return paints.flatMap((work, i) => {
    const under = paints
      .slice(0, i)
      .find(
        (other) =>
          other.piece === work.piece &&
          paintTimes[other.paint].family === 'enamel' &&
          ['lacquer', 'two-part'].includes(paintTimes[work.paint].family),
      );
    return under
      ? [
          found(work, {
            id: 'lifts',
            mark: 'mend',
            title: 'paint over paint',
            label: 'lifts it',
            say: `${work.paint} lifts ${under.paint} that is under it: take one family for both, or try a hidden spot first.`,
          }),
        ]
      : [];
  });
}

/** Gaps wider than this do not notice paint, mm. */
const PAINT_MATTERS_MM = 1;

/** A tight sum of fit in a painted case: up to the whole coat on the faces it lies between, if they are painted at all. */
export function withPaint(plan: Plan, finding: Finding): Finding {
  const paints = (plan.job?.finishes ?? []).filter(
    (work): work is PaintWork => work.do === 'paint' && work.piece !== 'other piece',
  );
  const { margin } = finding;
  if (paints.length === 0 || finding.station !== 'fit' || finding.unit !== 'mm' || !margin)
    return finding;
  if (margin.lo < 0 || margin.lo >= PAINT_MATTERS_MM) return finding;
  const layer = range(
    0,
    paints.reduce((sum, work) => sum + paintMm(work).hi, 0),
  );
  const left = subtract(margin, layer);
  const mark = left.lo < 0 && finding.mark === 'clear' ? 'watch' : finding.mark;
  return {
    ...finding,
    mark,
    terms: [...finding.terms, plain('paint on the faces', layer, -1)],
    margin: left,
    say:
      left.lo < 0
        ? `${finding.say} Paint takes up to ${layer.hi.toFixed(2)} mm: mask these faces, or try it before the last coat.`
        : finding.say,
  };
}
