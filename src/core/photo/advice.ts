import { pixelMm } from './plane.ts';
import { planeOf, spreadAt, within95, type Height, type Survey } from './survey.ts';

/** What would make a picture better, the most telling first; nothing where it is as good as it gets. */
export function advice(survey: Survey, height: Height): string[] {
  const at = { x: (survey.box.x0 + survey.box.x1) / 2, y: (survey.box.y0 + survey.box.y1) / 2 };
  const edge = { x: at.x + 70, y: at.y + 70 };
  const all = survey.shots.map((shot, i) => {
    const view = survey.solution.views[i]!;
    const own = (high: Height, off: number) => within95(spreadAt(survey, i, edge, high, off));
    const mm = pixelMm(planeOf(survey, i, height), at);
    /* What the rules' own reading makes of it that far from the middle. */
    const [across, down] = [survey.off.across * (edge.x - at.x), survey.off.down * (edge.y - at.y)];
    const ruled = within95({ xx: across ** 2, xy: 0, yy: down ** 2 });
    const whole = own(height, 0.2 * mm);
    const sure = within95({ ...spreadAt(survey, i, edge, { ...height, off: 0 }, 0.2 * mm), xy: 0 });
    const lean =
      Math.hypot(view.stands.x - at.x, view.stands.y - at.y) / Math.max(1, view.stands.z);
    return {
      whole,
      sure,
      ruled,
      mm,
      lean,
      blur: shot.blur,
      codes: shot.seen.length,
    };
  });
  const best = [...all].sort((a, b) => a.whole - b.whole)[0];
  if (!best) return [];
  return [
    ...(!survey.measured
      ? ['hold a caliper or a ruler to the mat’s two rules and type what they measure']
      : []),
    ...(survey.measured && !survey.fine && best.ruled > best.whole * 0.6 && best.whole > 0.2
      ? ['read the mat’s rules with a caliper']
      : []),
    ...(best.sure < best.whole * 0.75
      ? [
          best.lean > 0.25
            ? 'from straight above: then the height matters less'
            : 'measure how high it lies above the mat',
        ]
      : []),
    ...(best.mm > 0.15 ? ['closer, or with more pixels'] : []),
    ...(best.blur > 1.8 ? ['sharper: hold still, more light'] : []),
    ...(best.codes < 6 ? ['more of the mat’s codes in sight'] : []),
    ...(survey.shots.length === 1 && best.whole > 0.25
      ? ['a second picture from the other side']
      : []),
  ];
}
