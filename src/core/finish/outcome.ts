import type { Finish } from '../model/types/finishTypes.ts';
import { CAN_ML, paintTimes } from '../standards/coatings.ts';
import type { Range } from '../units/range.ts';
import { formatHours } from '../units/duration.ts';
import { bathHours, mixtureOf } from './bath.ts';
import { inRoom } from './climate.ts';
import { finishSteps } from './index.ts';
import { needsOf, paintMm } from './paint.ts';

/** What a piece of finishing comes to: lines for the screen, and what has to be got. */
export interface Outcome {
  /** Minutes of hands, and from the first touch to the last, nights included. */
  hands: number;
  whole: number;
  lines: { label: string; figure: string }[];
  get: { what: string; count: number }[];
}

const between = ({ lo, hi }: Range, digits = 0): string => {
  const [a, b] = [lo.toFixed(digits), hi.toFixed(digits)];
  return a === b ? a : `${a} to ${b}`;
};
const hoursOf = ({ lo, hi }: Range): string =>
  hi < 90
    ? `${between({ lo, hi })} min`
    : `${between({ lo: lo / 60, hi: hi / 60 }, hi < 600 ? 1 : 0)} h`;
const litres = (ml: number): string => `${(ml / 1000).toFixed(ml < 10_000 ? 2 : 1)} l`;

export function outcomeOf(finish: Finish, areaCm2: Range | undefined): Outcome {
  const steps = finishSteps(finish);
  const hands = steps.reduce((sum, { minutes }) => sum + minutes, 0);
  const alone = steps.slice(0, -1).reduce((sum, { leaveMinutes = 0 }) => sum + leaveMinutes, 0);
  const outcome: Outcome = { hands, whole: hands + alone, lines: [], get: [] };
  outcome.lines.push({ label: 'hands', figure: `${formatHours(hands)} h` });
  if (alone > 0)
    outcome.lines.push({
      label: 'from first to last',
      figure:
        alone < 2880
          ? `${formatHours(hands + alone)} h`
          : `${Math.ceil((hands + alone) / 1440)} days`,
    });
  if (finish.do === 'paint') addPaint(outcome, finish, areaCm2);
  if (finish.do === 'bath') addBath(outcome, finish);
  return outcome;
}

function addPaint(
  { lines, get }: Outcome,
  paint: Extract<Finish, { do: 'paint' }>,
  areaCm2: Range | undefined,
): void {
  const times = paintTimes[paint.paint];
  const room = (time: Range) => hoursOf(inRoom(time, paint, paint.paint));
  lines.push(
    { label: 'between coats', figure: room(times.flash) },
    { label: 'dry to touch', figure: room(times.touch) },
    { label: 'to handle', figure: room(times.handle) },
    { label: 'to assemble', figure: room(times.assemble) },
    { label: 'recoat within', figure: `${times.recoat / 60} h, or after ${times.again / 60} h` },
    { label: 'hard', figure: `${between(times.cureDays)} days` },
    { label: 'paint on a face', figure: `${between(paintMm(paint), 2)} mm` },
  );
  const area = paint.areaCm2 === undefined ? areaCm2 : { lo: paint.areaCm2, hi: paint.areaCm2 };
  if (!area) {
    lines.push({ label: 'cans', figure: 'say the area' });
    return;
  }
  lines.push({ label: 'area', figure: `${between(area)} cm²` });
  for (const need of needsOf(paint, area)) {
    lines.push({
      label: need.what,
      figure: `${between(need.cans)} ${need.cans.hi === 1 ? 'can' : 'cans'}, up to ${need.ml.hi.toFixed(0)} ml`,
    });
    get.push({ what: `spray can ${CAN_ML} ml: ${need.what}, ${paint.paint}`, count: need.cans.hi });
  }
}

function addBath({ lines, get }: Outcome, bath: Extract<Finish, { do: 'bath' }>): void {
  lines.push({ label: 'in the light', figure: `${between(bathHours(bath))} h` });
  if (bath.school === 'cream') {
    get.push({ what: `peroxide cream ${bath.bottlePercent} %`, count: 1 });
    return;
  }
  const mixture = mixtureOf(bath);
  if (!mixture) {
    lines.push({ label: 'mixture', figure: 'cannot be mixed' });
    return;
  }
  lines.push(
    { label: 'in the vessel', figure: litres(mixture.solutionMl) },
    { label: `of ${bath.bottlePercent} %`, figure: litres(mixture.bottleMl) },
    { label: 'water', figure: litres(mixture.waterMl) },
    { label: 'strength', figure: `${between(mixture.percent, 1)} %` },
  );
  get.push({
    what: `peroxide ${bath.bottlePercent} %, litre`,
    count: Math.ceil(mixture.bottleMl / 1000),
  });
}
