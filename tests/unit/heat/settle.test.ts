import { expect } from 'chai';
import fc from 'fast-check';
import {
  attribute,
  dropBetween,
  pairOf,
  panelVerdict,
  runFit,
  settle,
  SettleError,
} from '../../../src/core/heat/index.ts';
import { changesBetween } from '../../../src/core/heat/compare.ts';
import { seededNoise, madeRun } from '../../../src/core/heat/simulate.ts';
import { courseAt, student } from '../../../src/core/heat/settle.ts';
import type { Course, HeatRun } from '../../../src/core/model/types/types.ts';

const curve = (end: number, start: number, tau: number, length: number, every = 5) => {
  const s = Array.from({ length: Math.floor(length / every) + 1 }, (_, i) => i * every);
  return { s, v: s.map((t) => end - (end - start) * Math.exp(-t / tau)) };
};

export function runWith(
  end: number,
  more: Partial<HeatRun> & { noise?: number; extra?: Course[]; seed?: number } = {},
): HeatRun {
  const { noise = 0.2, extra = [], seed = 5, ...fields } = more;
  const { normal } = seededNoise(seed);
  const { s, v } = curve(end, 30, 120, 900);
  return {
    id: fields.name ?? `r${end}`,
    name: `run ${end}`,
    at: '2026-11-25T10:00:00Z',
    load: 'full load',
    roomC: 22,
    panel: 'on',
    changed: [],
    courses: [
      { what: 'temperature', name: 'processor', s, v: v.map((each) => each + noise * normal()) },
      ...extra,
    ],
    ...fields,
  };
}

describe('heat/settle', () => {
  it('finds the end, start and time constant of a curve without noise', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 100, noNaN: true }),
        fc.double({ min: 15, max: 38, noNaN: true }),
        fc.double({ min: 60, max: 400, noNaN: true }),
        (end, start, tau) => {
          const fit = settle(curve(end, start, tau, 4 * tau));
          expect(fit.end).to.be.closeTo(end, 0.05);
          expect(fit.start).to.be.closeTo(start, 0.2);
          expect(fit.tauS).to.be.closeTo(tau, tau * 0.01);
        },
      ),
      { numRuns: 40 },
    );
  });
  it('knows a run that has not settled, and how long it takes yet', () => {
    const early = settle(curve(80, 30, 300, 450));
    expect(early.settled).to.equal(false);
    /* By hand: 11.16 K are left after 1.5 time constants; to 1 K it is 300 ln 11.16 = 723 s. */
    expect(early.moreS).to.be.closeTo(300 * Math.log(50 * Math.exp(-1.5)), 12);
    const done = settle(curve(80, 30, 300, 1800));
    expect(done.settled).to.equal(true);
    expect(done.moreS).to.equal(0);
  });
  it('holds a run that is the same all along for what it is', () => {
    const { normal } = seededNoise(4);
    const flat = settle({
      s: Array.from({ length: 200 }, (_, i) => i * 3),
      v: Array.from({ length: 200 }, () => 52 + 0.3 * normal()),
    });
    expect(flat.end).to.be.closeTo(52, 1);
  });
  it('the span holds the truth in 93 to 97 of 100 made-up runs', function () {
    this.timeout(60_000);
    let held = 0;
    for (let seed = 1; seed <= 500; seed += 1) {
      const { s, v, room, endC } = madeRun({ seed });
      const run = runFit({
        ...runWith(60),
        courses: [
          { what: 'temperature', name: 'processor', s, v },
          { what: 'room', name: 'room', s, v: room },
        ],
      });
      /* Its end is reckoned for the room it began with. */
      if (endC >= run.settling.lo && endC <= run.settling.hi) held += 1;
    }
    expect(held / 500).to.be.within(0.93, 0.97);
  });
  it('sees the case warm up after the cooler: two time constants, end within a thirtieth of a kelvin', () => {
    const s = Array.from({ length: 400 }, (_, i) => i * 5);
    const v = s.map((t) => 78 - 38 * Math.exp(-t / 45) - 9 * Math.exp(-t / 520));
    const found = settle({ s, v });
    expect(found.end).to.be.closeTo(78, 0.03);
    expect(found.parts[0]?.tauS).to.be.closeTo(45, 3);
    expect(found.tauS).to.be.closeTo(520, 20);
    const one = s.map((t) => 78 - 47 * Math.exp(-t / 180));
    expect(settle({ s, v: one }).parts).to.have.length(1);
    for (const [i, t] of s.entries())
      if (i > 20) expect(courseAt(found, t)).to.be.closeTo(v[i]!, 0.2);
  });
  it('holds the truth of made-up runs of two parts too, and takes no single one for two', function () {
    this.timeout(60_000);
    const shapes = [
      { share: 0.3, times: 6, taus: 4 },
      { share: 0.2, times: 10, taus: 3 },
      { share: 0.1, times: 8, taus: 3 },
    ];
    let [inside, two, single, n] = [0, 0, 0, 0];
    for (const { taus, ...slow } of shapes)
      for (let seed = 1; seed <= 60; seed += 1) {
        const made = madeRun({ seed, taus, slow });
        const { settling } = runFit({
          ...runWith(60),
          courses: [
            { what: 'temperature', name: 't', s: made.s, v: made.v },
            { what: 'room', name: 'room', s: made.s, v: made.room },
          ],
        });
        n += 1;
        if (settling.lo <= made.endC && made.endC <= settling.hi) inside += 1;
        if (settling.parts.length === 2) two += 1;
        if (settle(madeRun({ seed: seed + 500 })).parts.length === 2) single += 1;
      }
    expect(inside / n).to.be.within(0.92, 0.99);
    expect(two / n).to.be.above(0.95);
    expect(single / n).to.be.below(0.02);
  });
  it('tells of a run far too short by a wide span', () => {
    const widths = [0.6, 1.5, 4].map((taus) => {
      const { s, v } = madeRun({ seed: 9, taus });
      const fit = settle({ s, v });
      return fit.hi - fit.lo;
    });
    expect(widths[0]).to.be.above(widths[1]!);
    expect(widths[1]).to.be.above(widths[2]!);
  });
  it('refuses too few points and a run without length', () => {
    expect(() => settle({ s: [0, 1], v: [40, 41] })).to.throw(SettleError, /At least 6/);
    expect(() => settle({ s: [5, 5, 5, 5, 5, 5, 5], v: [1, 2, 3, 4, 5, 6, 7] })).to.throw(
      SettleError,
      /no length/,
    );
    expect(() => runFit({ ...runWith(60), courses: [] })).to.throw(SettleError, /no temperature/);
  });
  it("Student's t as tables have it (Abramowitz and Stegun, table 26.10)", () => {
    for (const [free, t] of [
      [5, 2.571],
      [10, 2.228],
      [30, 2.042],
      [120, 1.98],
    ] as const)
      expect(student(free)).to.be.closeTo(t, 0.01);
  });
});

describe('heat/run, what held it', () => {
  const s = Array.from({ length: 180 }, (_, i) => i * 5);
  const course = (what: Course['what'], of: (t: number) => number): Course => ({
    what,
    name: what,
    s,
    v: s.map(of),
  });
  const pinned = (extra: Course[], most = 80) =>
    runFit({
      ...runWith(60),
      courses: [course('temperature', (t) => Math.min(most, 40 + t / 2)), ...extra],
    }).pinned;
  it('throttling: flat and the clock gives way', () => {
    expect(pinned([course('clock', (t) => 4000 - t * 0.6)])?.by).to.equal('throttling');
    expect(pinned([course('clock', () => 4000)])).to.equal(undefined);
  });
  it('the fan: flat and the fan still rises', () => {
    expect(pinned([course('fan', (t) => 900 + t)])?.by).to.equal('fan');
    expect(pinned([course('fan', () => 1200)])).to.equal(undefined);
  });
  it('its limit from the start: flat at 95 °C at once, nobody logged the clock', () => {
    expect(pinned([], 95)?.say).to.match(/limit of 95 °C/);
    expect(pinned([], 80), 'no usual limit').to.equal(undefined);
    expect(pinned([course('clock', () => 4000)], 95), 'the clock held').to.equal(undefined);
    /* The clock falls in the first seconds and stands from then on. */
    const early = course('clock', (t) => (t < 10 ? 4800 : 3600));
    expect(pinned([early], 95)?.by).to.equal('throttling');
  });
  it('two coolers at the limit differ in clock, not in temperature', () => {
    const held = (mhz: number) =>
      runFit({
        ...runWith(60),
        courses: [
          course('temperature', (t) => Math.min(95, 40 + t / 2)),
          course('clock', (t) => (t < 10 ? 4800 : mhz)),
        ],
      });
    expect(dropBetween(held(3200), held(3600)).say).to.equal(
      'Both are held at their limit: 3200 MHz before, 3600 after, 12.5 % more.',
    );
  });
  it('a fan that rose with the temperature and stays holds nothing, nor one beside a rising temperature', () => {
    const follows = course('fan', (t) => 900 + 400 * (1 - Math.exp(-t / 100)));
    expect(runFit(runWith(70, { extra: [follows] })).pinned).to.equal(undefined);
    const rising = {
      ...runWith(60),
      courses: [course('temperature', (t) => 40 + t / 20), course('fan', (t) => 900 + t)],
    };
    expect(runFit(rising).pinned).to.equal(undefined);
  });
});

describe('heat/compare', () => {
  it('never holds a rise against a temperature: where one room is not known the span says so', () => {
    const before = runFit(runWith(70, { name: 'before', roomC: 30 }));
    const { roomC: _, ...bare } = runWith(66, { name: 'after', changed: ['paste'], seed: 8 });
    const drop = dropBetween(before, runFit(bare));
    expect(drop.dropK).to.be.closeTo(4, 0.6);
    expect(drop.lo).to.be.below(0);
    expect(drop.hi).to.be.above(10);
    expect(drop.doubts).to.include('the room was not read at both');
  });
  it('offers runs of one load, compares no others, and says what idle leaves open', () => {
    const run = (name: string, load: HeatRun['load']) => runFit({ ...runWith(60, { name }), load });
    const [a, b, c] = [run('a', 'full load'), run('b', 'idle'), run('c', 'full load')];
    expect(pairOf([a, b, c])).to.deep.equal([a, c]);
    expect(pairOf([a, b])).to.equal(undefined);
    expect(dropBetween(a, b).say).to.match(/^Not to be compared: one ran full load/);
    expect([a.caveat, b.caveat]).to.deep.equal([
      undefined,
      'Idle says nothing of its cooling: run it at full load.',
    ]);
  });
  it('compares rises over the room, and lays the drop to the only change', () => {
    const before = runFit(runWith(82, { name: 'before', roomC: 24 }));
    const after = runFit(runWith(70, { name: 'after', roomC: 22, changed: ['paste'], seed: 8 }));
    const drop = dropBetween(before, after);
    expect(drop.dropK).to.be.closeTo(82 - 24 - (70 - 22), 0.5);
    expect(drop.lo).to.be.below(10);
    expect(drop.hi).to.be.above(10);
    expect(drop.doubts).to.be.empty;
    expect(drop.say).to.contain('by “paste”');
  });
  it('82 to 70 C after several changes at once belongs to none of them (common practice, no source)', () => {
    const said = [
      runFit(runWith(82, { name: 'a' })),
      runFit(runWith(70, { name: 'b', changed: ['paste', 'fan', 'feet'] })),
    ];
    const drop = dropBetween(said[0]!, said[1]!);
    expect(drop.say).to.contain('none of them alone');
    const found = attribute(said);
    expect(found.effects).to.be.empty;
    expect(found.tangled).to.deep.equal([['fan', 'feet', 'paste']]);
    expect(found.wanted).to.have.length(2);
  });
  it('parts them once the runs it named are there, and names no more than are needed', () => {
    const effects: Record<string, number> = { paste: 4, fan: 6, feet: 2 };
    const at = (changed: string[], name: string, seed: number) =>
      runFit(
        runWith(82 - changed.reduce((sum, each) => sum + (effects[each] ?? 0), 0), {
          name,
          changed,
          seed,
        }),
      );
    const all = ['paste', 'fan', 'feet'];
    const said = [at([], 'a', 1), at(all, 'b', 2)];
    const { wanted } = attribute(said);
    const more = wanted.map((changed, i) => at(changed, `w${i}`, 10 + i));
    const fewer = attribute([...said, ...more.slice(0, -1)]);
    expect(fewer.tangled).to.not.be.empty;
    const found = attribute([...said, ...more]);
    expect(found.tangled).to.be.empty;
    expect(found.wanted).to.be.empty;
    for (const { change, dropK, lo, hi } of found.effects) {
      expect(dropK, change).to.be.closeTo(effects[change]!, 1);
      expect(lo).to.be.at.most(effects[change]!);
      expect(hi).to.be.at.least(effects[change]!);
    }
  });
  it('as many runs as the rank lacks, whatever was changed when', () => {
    const any = fc.array(fc.subarray(['a', 'b', 'c', 'd']), { minLength: 2, maxLength: 5 });
    fc.assert(
      fc.property(any, (list) => {
        const said = list.map((changed, i) =>
          runFit(runWith(70, { name: `n${i}`, changed, seed: i + 1 })),
        );
        const found = attribute(said);
        if (new Set(list.flat()).size === 0) return;
        const again = attribute([
          ...said,
          ...found.wanted.map((changed, i) =>
            runFit(runWith(70, { name: `w${i}`, changed, seed: 40 + i })),
          ),
        ]);
        expect(again.tangled).to.be.empty;
        expect(again.effects.map((each) => each.change).sort()).to.deep.equal(
          [...new Set(list.flat())].sort(),
        );
      }),
      { numRuns: 25 },
    );
  });
  it('doubts what was not alike: load, room, watts, held, panel', () => {
    const a = runFit(runWith(80, { name: 'a' }));
    const doubts = (more: Partial<HeatRun> & { extra?: Course[] }) =>
      dropBetween(a, runFit(runWith(70, { name: 'b', changed: ['x'], ...more }))).doubts.join();
    expect(doubts({ load: 'idle' })).to.contain('full load');
    expect(doubts({ roomC: 35 })).to.contain('rooms differ');
    expect(doubts({ roomC: undefined })).to.contain('room was not read');
    expect(doubts({ panel: 'off' })).to.contain('panel');
    expect(doubts({})).to.equal('');
    const idle = runFit(runWith(40, { name: 'i', load: 'idle' }));
    expect(dropBetween(idle, idle).doubts.join()).to.contain('idle proves no cooling');
  });
  it('a change undone counts as one', () => {
    expect(
      changesBetween(runWith(1, { changed: ['a', 'b'] }), runWith(2, { changed: ['b', 'c'] })),
    ).to.deep.equal(['a', 'c']);
  });
  it('panel off from 100 to the 60s: the panel is the problem (common practice, no source)', () => {
    const on = runFit(runWith(100, { name: 'on', noise: 0.3 }));
    const off = runFit(runWith(66, { name: 'off', panel: 'off', seed: 3 }));
    const { dropK, lo, hi } = dropBetween(on, off);
    expect(panelVerdict(dropK, lo, hi).says).to.equal('the panel is the problem');
    expect(panelVerdict(2, 1, 3).says).to.equal('the panel costs nothing');
    expect(panelVerdict(21, 12, 30).text).to.contain('does not prove');
  });
});
