import { expect } from 'chai';
import fc from 'fast-check';
import { leads, leadPaths } from '../../../src/core/fit/leads.ts';
import { route, type Rect } from '../../../src/core/fit/space/route.ts';
import { planWith, the } from '../../helpers/build.ts';

const bounds = { x0: 0, y0: 0, x1: 20, y1: 20 };

/** The same by flooding every cell of a grid of 1 mm: slow and plain. */
function flooded(
  from: [number, number],
  to: [number, number],
  rects: readonly Rect[],
): number | undefined {
  const inside = (rect: Rect, x: number, y: number) =>
    x > rect.x0 && x < rect.x1 && y > rect.y0 && y < rect.y1;
  const walls = rects.filter((rect) => !inside(rect, ...from) && !inside(rect, ...to));
  const blocked = (x: number, y: number) => walls.some((rect) => inside(rect, x, y));
  const seen = new Map<string, number>([[from.join(), 0]]);
  const queue: [number, number][] = [from];
  for (const [x, y] of queue) {
    const far = seen.get(`${x},${y}`) ?? 0;
    if (x === to[0] && y === to[1]) return far;
    for (const [dx, dy] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const) {
      const [nx, ny] = [x + dx, y + dy];
      if (nx < 0 || ny < 0 || nx > 20 || ny > 20 || seen.has(`${nx},${ny}`)) continue;
      if (blocked(nx, ny) || blocked(x + dx / 2, y + dy / 2)) continue;
      seen.set(`${nx},${ny}`, far + 1);
      queue.push([nx, ny]);
    }
  }
  return undefined;
}

describe('fit/space, the way of a lead', () => {
  it('is straight where nothing stands in between', () => {
    expect(route({ x: 1, y: 2 }, { x: 9, y: 7 }, [], bounds)?.mm).to.equal(13);
  });
  it('goes round what stands in between', () => {
    const wall = { x0: 4, y0: -1, x1: 6, y1: 15 };
    const way = route({ x: 1, y: 2 }, { x: 9, y: 2 }, [wall], bounds);
    expect(way?.mm).to.equal(8 + 2 * 13);
    expect(way?.path[0]).to.deep.equal({ x: 1, y: 2 });
    expect(way?.path.at(-1)).to.deep.equal({ x: 9, y: 2 });
  });
  it('has no way through a closed wall', () => {
    const wall = { x0: 4, y0: -1, x1: 6, y1: 21 };
    expect(route({ x: 1, y: 2 }, { x: 9, y: 2 }, [wall], bounds)).to.equal(undefined);
  });
  it('is as long as flooding the whole place finds', () => {
    const spot = fc.tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 0, max: 20 }));
    const rect = fc
      .tuple(spot, fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }))
      .map(([[x0, y0], w, h]) => ({ x0, y0, x1: x0 + w, y1: y0 + h }));
    fc.assert(
      fc.property(spot, spot, fc.array(rect, { maxLength: 6 }), (from, to, rects) => {
        const way = route({ x: from[0], y: from[1] }, { x: to[0], y: to[1] }, rects, bounds);
        expect(way?.mm).to.equal(flooded(from, to, rects));
      }),
      { numRuns: 400 },
    );
  });
});

describe('fit/leads', () => {
  const seats = {
    case: {
      class: 'tower',
      innerDepth: 400,
      innerHeight: 400,
      coolerRoom: 160,
      cardRoom: 300,
      supplyAt: 'above the board',
    },
    board: { format: 'ATX' },
    processor: {},
    supply: { format: 'ATX', depth: 140, leadMain: 500, leadProcessor: 600 },
    card1: { length: 240, height: 111, slotsWide: 2, plugs: ['card8'] },
  };
  it('judges a measured lead by itself, those nobody measured by the worst of them', () => {
    const ids = leads(planWith(seats)).map((each) => each.id);
    /* Those nobody measured reach more likely than not: nothing is said of them. */
    expect(ids).to.have.members(['lead:main', 'lead:processor']);
    const { leadMain: _m, leadProcessor: _p, ...bare } = seats.supply;
    const far = { ...seats.case, innerHeight: 900, innerDepth: 800, boardDepth: 800 };
    expect(leads(planWith({ ...seats, case: far, supply: bare })).length).to.be.at.most(1);
  });
  it('stops one that cannot reach, and offers an extension that costs contacts', () => {
    const short = planWith({ ...seats, supply: { ...seats.supply, leadMain: 40 } });
    const found = the(leads(short), 'lead:main');
    expect(found.mark).to.equal('stop');
    expect(found.say).to.match(/mm too short for its way/);
    expect(found.remedies[0]?.givesUp).to.match(/contacts/);
  });
  it('starts and ends at the parts it joins, never shorter than straight', () => {
    for (const lead of leadPaths(planWith(seats))) {
      const [first, last] = [lead.path[0], lead.path.at(-1)];
      if (!first || !last) throw new Error(lead.id);
      expect(lead.mm.hi).to.be.at.least(Math.abs(first.x - last.x) + Math.abs(first.y - last.y));
      expect(lead.mm.lo).to.be.at.most(lead.mm.hi);
    }
  });
  it('begins behind the rear wall where the PSU stays outside, and asks nothing of a brick', () => {
    const shell = { ...seats.case, supplyAt: 'outside the case' };
    const outside = leadPaths(planWith({ ...seats, case: shell }));
    expect(outside.map((lead) => lead.id)).to.deep.equal(['main', 'processor', 'card1']);
    for (const lead of outside) expect(lead.path[0]?.x).to.be.below(0);
    const brick = planWith({ ...seats, case: shell, supply: { ...seats.supply, feeds: 'brick' } });
    expect(leadPaths(brick)).to.deep.equal([]);
  });
});
