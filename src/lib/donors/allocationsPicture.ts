import { BUY, SHELF, type Crossing, type Source, type Allocation } from '$core/shop/allocations.ts';

/** Where everything of the strands' picture stands, in px of its own frame. */
export interface Ribbon {
  key: string;
  strands: Allocation[];
  /** Middle of its left and right end. */
  y0: number;
  y1: number;
  width: number;
  single: boolean;
}

export interface Box {
  id: string;
  y: number;
  height: number;
  /** Its one ribbon ends at its name. */
  inHead: boolean;
  /** Where the parts nobody has planned begin. */
  spareY: number;
  ribbons: Ribbon[];
}

export interface Picture {
  sources: Box[];
  goals: Box[];
  ribbons: Ribbon[];
  height: number;
}

export const HEAD = 26;
const ROW = 24;
const GAP = 12;
/** From the head of a source to the parts nobody has planned: clear of the last row's label. */
const SPARE = 30;
/** A donor is drawn with its parts nobody has planned, some three in a row. */
const DRAWN = 74;
const sourceLeast = (spare: number) =>
  spare === 0 ? HEAD : Math.max(DRAWN, 36 + 27 * Math.ceil(spare / 2.6));

/**
 * Strands of the job in hand and strands with trouble are drawn one by one; the others of one source and one
 * job together, as wide as they are many. `spareOf` tells how many parts of a source nobody has planned.
 */
export function allocationsPicture(
  crossing: Crossing,
  jobId: string | undefined,
  spareOf: (sourceId: string) => number = () => 0,
): Picture {
  const alone = (strand: Allocation) => strand.to === jobId || strand.trouble !== undefined;
  const ribbons = new Map<string, Ribbon>();
  for (const source of crossing.sources) {
    for (const strand of source.strands) {
      const single = alone(strand);
      const key = single
        ? `${strand.from} ${strand.to} ${strand.seat} ${strand.part.id} ${strand.stage}`
        : `${strand.from} ${strand.to}`;
      const ribbon = ribbons.get(key);
      if (ribbon) ribbon.strands.push(strand);
      else ribbons.set(key, { key, strands: [strand], y0: 0, y1: 0, width: 0, single });
    }
  }
  for (const ribbon of ribbons.values())
    ribbon.width = ribbon.single ? 3 : Math.min(16, 2 + 2 * ribbon.strands.length);
  const of = (strands: readonly Allocation[]) => {
    const seen = new Set(strands);
    return [...ribbons.values()]
      .filter((ribbon) => ribbon.strands.some((strand) => seen.has(strand)))
      .sort((a, b) => firstIn(strands, a) - firstIn(strands, b));
  };
  const column = (
    list: readonly { id: string; strands: Allocation[] }[],
    end: 'y0' | 'y1',
    least: (id: string) => number,
  ): Box[] => {
    let y = 0;
    return list.map(({ id, strands }) => {
      const own = of(strands);
      /* A job that gets all from one place has its ribbon at its own name. */
      const inHead = end === 'y1' && own.length === 1 && !own[0]?.single;
      own.forEach(
        (ribbon, i) => (ribbon[end] = inHead ? y + HEAD / 2 : y + HEAD + ROW * (i + 0.5)),
      );
      const rows = HEAD + ROW * (inHead ? 0 : own.length);
      /* Labels of single strands need the whole width: what is spare stands under them. */
      const under = end === 'y0' && own.some(({ single }) => single) ? rows - HEAD : 0;
      const height = Math.max(least(id) + under, rows);
      const box = { id, y, height, inHead, spareY: y + under + SPARE, ribbons: own };
      y += height + GAP;
      return box;
    });
  };
  const sources = column(crossing.sources, 'y0', (id) => sourceLeast(spareOf(id)));
  const goals = column(
    crossing.goals.map(({ job, strands }) => ({ id: job.id, strands })),
    'y1',
    () => HEAD,
  );
  const bottom = (boxes: Box[]) =>
    boxes.reduce((most, { y, height }) => Math.max(most, y + height), 0);
  return {
    sources,
    goals,
    ribbons: [...ribbons.values()],
    height: Math.max(bottom(sources), bottom(goals)) + 4,
  };
}

const firstIn = (strands: readonly Allocation[], { strands: own }: Ribbon): number =>
  strands.findIndex((strand) => own.includes(strand));

/** What a source is called: its machine's name, or what it is. */
export function nameOfSource(source: Source | undefined): string {
  if (source?.machine) return source.machine.name;
  return source?.id === SHELF ? 'the shelf' : source?.id === BUY ? 'to buy' : (source?.id ?? '');
}
