import { fanOf, IN_A_CASE, RISING_CFM, SUPPLY_CFM, warmsK } from '../standards/air.ts';
import { add, range, total, type Range } from '../units/range.ts';

/** A fan where it sits and which way it blows. */
export interface PlacedFan {
  name: string;
  sizeMm: Range;
  wall: string;
  /** Either: nobody knows where it sits. */
  blows: 'in' | 'out' | 'either';
  /** It blows through a radiator, which holds some of it back. */
  throughRadiator?: boolean | undefined;
}

export interface CaseAir {
  fans: (PlacedFan & { cfm: Range })[];
  inCfm: Range;
  outCfm: Range;
  /** What goes through the case. */
  throughCfm: Range;
  /** K its air is warmer than the room. */
  warmerK: Range;
  /** More blown in than out, the other way, or nobody can tell. */
  pressure: 'over' | 'under' | 'even';
}

export interface CaseAirInput {
  fans: readonly PlacedFan[];
  /** A supply whose fan draws air out of the case. */
  supplyDraws: 'yes' | 'no' | 'perhaps';
  /** Holes through which hot air leaves by itself in a small case. */
  rises: 'yes' | 'no' | 'perhaps';
  watts: Range;
  /** Outer faces of the case, m². */
  facesM2: Range;
}

/** Of the weaker side's flow this share comes on top at most (common practice, no source). */
const SHARED = 0.4;
/** Share of its flow a fan keeps that blows through a radiator (common practice, no source). */
const THROUGH_RADIATOR = range(0.5, 0.8);
/** What gaps let through with no fan at all, cfm (common practice, no source). */
const GAPS_CFM = range(1.5, 4);

/** Air through a case of fans in series with the openings, by the flow each watt needs. */
export function caseAir({ fans, supplyDraws, rises, watts, facesM2 }: CaseAirInput): CaseAir {
  const placed = fans.map((fan) => {
    const [small, large] = [fanOf(fan.sizeMm.lo), fanOf(fan.sizeMm.hi)];
    const left = fan.throughRadiator ? THROUGH_RADIATOR : range(1);
    return {
      ...fan,
      cfm: range(small.cfm.lo * IN_A_CASE.lo * left.lo, large.cfm.hi * IN_A_CASE.hi * left.hi),
    };
  });
  const way = (blows: 'in' | 'out') =>
    total(
      placed.flatMap((fan) =>
        fan.blows === blows ? [fan.cfm] : fan.blows === 'either' ? [range(0, fan.cfm.hi)] : [],
      ),
    );
  const draws = { yes: SUPPLY_CFM, perhaps: range(0, SUPPLY_CFM.hi), no: range(0) }[supplyDraws];
  const inCfm = way('in');
  const outCfm = add(way('out'), draws);
  /* Wherever fans nobody placed sit, half of all air or more goes one way. */
  const anyhow = placed.reduce((sum, fan) => sum + fan.cfm.lo, draws.lo) / 2;
  /* Fans in and out share the way: together they move more than the stronger side, less than both. */
  const strong = { lo: Math.max(inCfm.lo, outCfm.lo, anyhow), hi: Math.max(inCfm.hi, outCfm.hi) };
  const weak = { lo: Math.min(inCfm.lo, outCfm.lo), hi: Math.min(inCfm.hi, outCfm.hi) };
  const through = add(
    range(strong.lo, strong.hi + weak.hi * SHARED),
    { yes: RISING_CFM, perhaps: range(GAPS_CFM.lo, RISING_CFM.hi), no: GAPS_CFM }[rises],
  );
  return {
    fans: placed,
    inCfm,
    outCfm,
    throughCfm: through,
    warmerK: range(
      warmer(watts.lo, through.hi, facesM2.hi * FACE_W.hi),
      warmer(watts.hi, through.lo, facesM2.lo * FACE_W.lo),
    ),
    pressure: inCfm.lo > outCfm.hi ? 'over' : outCfm.lo > inCfm.hi ? 'under' : 'even',
  };
}

/** What a face gives off by air and radiation, W for a m² and K (handbook span for still air, from memory). */
const FACE_W = range(5, 9);

/** K above room when watts leave by the stream and through the faces: both in parallel. */
function warmer(watts: number, cfm: number, facesW: number): number {
  return watts / (1 / warmsK(1, cfm) + facesW);
}

/** What either school says of the pressure (common practice, no source). */
export const pressureSays: Record<CaseAir['pressure'], string> = {
  over: 'Over-pressure: dust comes through the filters only; one school holds it cleaner.',
  under: 'Under-pressure: hot air leaves surely, and unfiltered air comes in through every gap.',
  even: 'In and out are about even: neither school has it its way, and neither complains.',
};
