import { expect } from 'chai';
import fc from 'fast-check';
import {
  chainsOf,
  DumpError,
  populate,
  populations,
  slotsFirst,
  trainedLinks,
  triesFor,
} from '../../../src/core/links/index.ts';
import { drivePlaces, links } from '../../../src/core/links/chain.ts';
import { generationOf, laneGBs, memoryGBs, sataMBs } from '../../../src/core/standards/links.ts';
import { planWith, the, type Seats } from '../../helpers/build.ts';

const micro: Seats = {
  board: { m2: 1, m2Lanes: 4, m2Gen: 3, sata: 2, slotLanes: 16, slotGen: 3 },
  card1: { lanes: 16, gen: 3, screens: 4 },
};

describe('standards/links', () => {
  it('a lane after coding as the tables have it, GB/s', () => {
    [0.25, 0.5, 0.985, 1.969, 3.938, 7.563].forEach((gbs, i) =>
      expect(laneGBs(i + 1)).to.be.closeTo(gbs, 0.0006),
    );
    expect(() => laneGBs(7)).to.throw(RangeError);
    expect(generationOf(8)).to.equal(3);
    expect(generationOf(7)).to.equal(undefined);
    expect(sataMBs).to.deep.equal([150, 300, 600]);
  });
  it('two channels of 1600 are 25.6 GB/s (common practice, no source)', () =>
    expect(memoryGBs(1600, 2)).to.be.closeTo(25.6, 1e-9));
});

describe('links/chain', () => {
  it('a whole slot loses nothing', () => {
    expect(the(links(planWith(micro)), 'link:card1').mark).to.equal('clear');
  });
  it('an adapter that routes one lane is named before it is bought, with what it costs', () => {
    const plan = planWith({
      ...micro,
      small1: { sort: 'M.2 adapter', lanes: 1, gen: 3, carries: 'card1' },
      card1: { lanes: 4, gen: 3, screens: 0 },
    });
    const found = the(links(plan), 'link:card1');
    expect(found.mark).to.equal('watch');
    expect(found.say).to.contain('1 of 4 lanes');
    /* By hand: three lanes of generation 3 are lost. */
    expect(found.margin!.hi).to.be.closeTo(-3 * laneGBs(3), 1e-9);
    expect(chainsOf(plan)[0]!.weakest?.seat).to.equal('small1');
  });
  it('a riser a generation too old is said so', () => {
    const found = the(
      links(planWith({ ...micro, small1: { sort: 'riser', lanes: 16, gen: 2 } })),
      'link:card1',
    );
    expect(found.say).to.contain('generation 2 of 3');
  });
  it('a drive in an M.2 socket of two lanes; a SATA one there has no lanes to lose', () => {
    const at = (more: Record<string, string | number>) =>
      links(
        planWith({
          board: { m2: 1, m2Lanes: 2, m2Gen: 3 },
          drive1: { form: 'M.2', lanes: 4, gen: 3, ...more },
        }),
      );
    expect(the(at({}), 'link:drive1').margin!.hi).to.be.closeTo(-2 * laneGBs(3), 1e-9);
    expect(at({ bus: 'SATA' })).to.be.empty;
  });
  it('says nothing where nobody knows anything of the way', () => {
    expect(links(planWith({ board: { m2: 1 }, card1: {} }))).to.be.empty;
  });
  it('never gives more than the narrowest element could, nor more than the device wants', () => {
    const n = (max: number) => fc.integer({ min: 1, max });
    fc.assert(
      fc.property(n(16), n(5), n(16), n(5), n(16), n(5), (a, b, c, d, e, f) => {
        const plan = planWith({
          board: { slotLanes: a, slotGen: b },
          small1: { sort: 'riser', lanes: c, gen: d },
          card1: { lanes: e, gen: f },
        });
        const [chain] = chainsOf(plan);
        const gives = Math.min(a, c, e) * laneGBs(Math.min(b, d, f));
        expect(chain!.gives.hi).to.be.closeTo(gives, 1e-9);
        expect(chain!.gives.lo).to.be.closeTo(gives, 1e-9);
        const found = the(links(plan), 'link:card1');
        expect(-found.margin!.hi).to.be.closeTo(e * laneGBs(f) - gives, 1e-9);
      }),
    );
  });
});

describe('links/chain, two long cards', () => {
  const two = (pair: string | undefined) =>
    links(
      planWith({
        board: { slotLanes: 16, slotGen: 3, ...(pair && { slotPair: pair }) },
        card1: { lanes: 16, gen: 3 },
        card2: { lanes: 16, gen: 3 },
      }),
    );
  const marks = (pair?: string) => two(pair).map((each) => each.mark);
  it('share sixteen lanes: unsaid is a Watch for both, said it is what was said', () => {
    expect(marks()).to.deep.equal(['watch', 'watch']);
    expect(marks('16 + 16')).to.deep.equal(['clear', 'clear']);
    expect(two('8 + 8').map((each) => each.margin?.hi)).to.deep.equal(
      [1, 2].map(() => -8 * laneGBs(3)),
    );
    expect(two('16 + 4')[1]?.margin?.hi).to.be.closeTo(-12 * laneGBs(3), 1e-9);
    expect(marks('16 + 4')[0]).to.equal('clear');
  });
  it('a short card beside a long one takes nothing from it', () => {
    const found = links(
      planWith({
        board: { slotLanes: 16, slotGen: 3 },
        card1: { lanes: 16, gen: 3 },
        card2: { lanes: 1, gen: 1 },
      }),
    );
    expect(the(found, 'link:card1').mark).to.equal('clear');
  });
});

describe('links/drivePlaces', () => {
  it('an adapter in the only socket displaces the drive that lived there', () => {
    const found = the(
      drivePlaces(planWith({ ...micro, drive1: { form: 'M.2' }, small1: { sort: 'M.2 adapter' } })),
      'm2-sockets',
    );
    expect(found.mark).to.equal('stop');
    expect(found.say).to.contain('give that drive a port');
  });
  it('a socket that shares its lanes takes the ports with it', () => {
    const at = (takes: number) =>
      the(
        drivePlaces(
          planWith({
            board: { m2: 1, sata: 2, m2Takes: takes },
            drive1: { form: 'M.2' },
            drive2: { form: '3.5' },
            drive3: { form: '2.5' },
          }),
        ),
        'sata-ports',
      );
    expect(at(0).mark).to.equal('clear');
    expect(at(1).mark).to.equal('stop');
    expect(at(1).say).to.contain('shares lanes');
  });
});

describe('links/channels', () => {
  const module = (gb: number, mts = 1600) => ({ name: `${gb} GB`, gb, mts });
  it('4 + 4 + 2 GB count as 10, 8 of them matched (common practice, no source)', () => {
    const all = populate([module(4), module(4), module(2)], 2);
    expect(all).to.include({ gb: 10, matchedGb: 8, mts: 1600 });
    expect(all.matchedGBs).to.be.closeTo(25.6, 1e-9);
  });
  it('two alike beat one of the same size', () => {
    expect(populate([module(8), module(8)], 2).matchedGBs).to.equal(
      2 * populate([module(16)], 2).singleGBs,
    );
    expect(populate([module(16)], 2).matchedGb).to.equal(0);
  });
  it('leaving the slow odd one out is offered against keeping it', () => {
    const list = populations([module(8, 2666), module(8, 2666), module(4, 2133)], 2, 2666);
    expect(list[0]).to.include({ gb: 20, mts: 2133 });
    expect(list.some((each) => each.gb === 16 && each.mts === 2666)).to.equal(true);
  });
  it('RAM faster than the platform runs at its speed', () =>
    expect(populate([module(8, 3200)], 1, 2666).mts).to.equal(2666));
  const size = fc.constantFrom(1, 2, 4, 8, 16, 24, 32);
  /** Every way of dealing so many sizes over channels, at most so many on each: what the least loaded carries at best. */
  const bestLeast = (sizes: readonly number[], channels: number, each: number): number => {
    let best = 0;
    for (let code = 0; code < channels ** sizes.length; code += 1) {
      const sums = Array.from({ length: channels }, () => 0);
      const counts = [...sums];
      sizes.forEach((gb, i) => {
        const at = Math.floor(code / channels ** i) % channels;
        sums[at] = (sums[at] ?? 0) + gb;
        counts[at] = (counts[at] ?? 0) + 1;
      });
      if (Math.max(...counts) <= each) best = Math.max(best, Math.min(...sums));
    }
    return best;
  };
  it('up to two a channel, as even as every way of dealing them by hand allows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 3 }),
        fc.array(size, { minLength: 2, maxLength: 6 }),
        (channels, drawn) => {
          const sizes = drawn.slice(0, 2 * channels);
          const used = Math.min(channels, sizes.length);
          const found = populate(
            sizes.map((gb) => module(gb)),
            channels,
          );
          expect(found.matchedGb).to.equal(used * bestLeast(sizes, used, 2));
          expect(found.gb).to.equal(sizes.reduce((sum, gb) => sum + gb, 0));
          expect(found.channels).to.have.length(channels);
        },
      ),
    );
    expect(() => populate([], 0)).to.throw(RangeError);
    expect(populate([], 2)).to.include({ gb: 0, matchedGb: 0, matchedGBs: 0 });
  });
  /* Csirik, Kellerer and Woeginger 1992: from the largest down, the least loaded of m gets at least (3m - 1)/(4m - 2) of the best. */
  it('more a channel, within a sixth of the best of two channels', () => {
    fc.assert(
      fc.property(fc.array(size, { minLength: 5, maxLength: 8 }), (sizes) => {
        const found = populate(
          sizes.map((gb) => module(gb)),
          2,
        );
        expect(found.matchedGb).to.be.at.least(
          ((2 * 5) / 6) * bestLeast(sizes, 2, sizes.length) - 1e-9,
        );
      }),
    );
  });
  it('fewer modules than channels interleave over as many as they are', () => {
    const two = populate([module(8, 2133), module(8, 2133)], 4);
    expect(two.matchedGBs).to.be.closeTo(34.1, 0.05);
    expect(two.matchedGb).to.equal(16);
  });
  it('deals 64 unlike modules over eight channels, none lost', () => {
    const many = Array.from({ length: 64 }, (_, i) => module(1 + i));
    const [all] = populations(many, 8);
    expect(all?.channels.flat()).to.have.length(64);
    expect(all?.matchedGb).to.be.at.least(0.9 * (all?.gb ?? 0));
  });
  it('names the slots that come first', () => {
    expect(slotsFirst(4, 2)).to.contain('second and fourth');
    expect(slotsFirst(2, 2)).to.equal('every slot');
  });
});

describe('links/trained', () => {
  const dump = (more = '') =>
    [
      '00:01.0 PCI bridge: Pelvar Root Port (rev 07) (prog-if 00 [Normal decode])',
      '\tBus: primary=00, secondary=01, subordinate=01, sec-latency=0',
      '\t\tLnkCap:\tPort #2, Speed 8GT/s, Width x16, ASPM L0s L1, Exit Latency L0s <256ns',
      '\t\tLnkSta:\tSpeed 2.5GT/s, Width x8 (downgraded)',
      '01:00.0 VGA compatible controller [0300]: Fennoch Quad [1a2b:3c4d] (rev a1)',
      '\t\tLnkCap:\tPort #0, Speed 16GT/s, Width x16, ASPM L1, Exit Latency L1 <4us',
      `\t\tLnkSta:\tSpeed 2.5GT/s (downgraded), Width x8 (downgraded)${more}`,
      '',
    ].join('\n');
  it('capability against state, the device against the port it depends on', () => {
    const [link, ...rest] = trainedLinks(dump());
    expect(rest).to.be.empty;
    expect(link).to.deep.include({
      slot: '01:00.0',
      name: 'Fennoch Quad [1a2b:3c4d]',
      can: { gts: 16, lanes: 16 },
      port: { slot: '00:01.0', gts: 8, lanes: 16 },
      runs: { gts: 2.5, lanes: 8 },
      below: ['slower', 'narrower'],
    });
    expect(link!.couldGbs).to.be.closeTo(16 * laneGBs(3), 1e-9);
    expect(triesFor(link!, false)[0]).to.contain('under load');
    expect(triesFor(link!, true)[0]).to.equal('reseat it');
  });
  it('a link at all both ends can is left alone', () => {
    const full = dump().replace(
      '\t\tLnkSta:\tSpeed 2.5GT/s (downgraded), Width x8 (downgraded)',
      '\t\tLnkSta:\tSpeed 8GT/s (downgraded), Width x16 (ok)',
    );
    const [link] = trainedLinks(full);
    expect(link!.below).to.be.empty;
    expect(triesFor(link!, true)).to.be.empty;
  });
  /* A card with a switch of its own: root port, upper port, lower port, and the chip behind it. */
  const switched = (root: string, chip: string) =>
    [
      '00:01.0 PCI bridge: Pelvar Root Port',
      '\tBus: primary=00, secondary=01, subordinate=03, sec-latency=0',
      '\t\tLnkCap:\tPort #2, Speed 8GT/s, Width x16',
      '01:00.0 PCI bridge: Fennoch Switch, upper port',
      '\tBus: primary=01, secondary=02, subordinate=03, sec-latency=0',
      '\t\tLnkCap:\tPort #0, Speed 8GT/s, Width x8',
      `\t\tLnkSta:\tSpeed ${root}`,
      '02:00.0 PCI bridge: Fennoch Switch, lower port',
      '\tBus: primary=02, secondary=03, subordinate=03, sec-latency=0',
      '\t\tLnkCap:\tPort #1, Speed 8GT/s, Width x4',
      '03:00.0 Ethernet controller: Fennoch Quad',
      '\t\tLnkCap:\tPort #0, Speed 8GT/s, Width x4',
      `\t\tLnkSta:\tSpeed ${chip}`,
      '',
    ].join('\n');
  it('behind a switch of its own the narrowest stretch of the whole way counts, and is named', () => {
    const [link] = trainedLinks(switched('2.5GT/s, Width x1', '8GT/s, Width x4'));
    expect(link).to.deep.include({
      slot: '03:00.0',
      runs: { gts: 2.5, lanes: 1 },
      below: ['slower', 'narrower'],
      by: { slot: '01:00.0', name: 'Fennoch Switch, upper port' },
    });
    expect(link?.gbs).to.be.closeTo(laneGBs(1), 1e-9);
    /* All trained, the chip's own four lanes are the least of the way. */
    expect(link?.couldGbs).to.be.closeTo(4 * laneGBs(3), 1e-9);
  });
  it('behind a switch that runs as it can, its own stretch is told', () => {
    const [link] = trainedLinks(switched('8GT/s, Width x8', '5GT/s, Width x4'));
    expect(link).to.deep.include({ runs: { gts: 5, lanes: 4 }, below: ['slower'], by: undefined });
    expect(trainedLinks(switched('8GT/s, Width x8', '8GT/s, Width x4'))[0]?.below).to.be.empty;
  });
  it('refuses words, a dump without rights, one without -vv', () => {
    expect(() => trainedLinks('hello')).to.throw(DumpError, /No device/);
    expect(() => trainedLinks('01:00.0 VGA: a card\n\tCapabilities: <access denied>')).to.throw(
      DumpError,
      /rights/,
    );
    expect(() => trainedLinks('01:00.0 VGA: a card\n')).to.throw(DumpError, /-vv/);
  });
  it('a truncated dump loses the cut device only', () => {
    const cut = dump().slice(0, dump().indexOf('\t\tLnkSta:\tSpeed 2.5GT/s (downgraded)'));
    expect(trainedLinks(cut)).to.be.empty;
    const two = `${dump()}02:00.0 Ethernet controller: cut off`;
    expect(trainedLinks(two)).to.have.length(1);
  });
  it('2 MB of it are read without a thought', () => {
    const large = dump().repeat(6000);
    expect(large.length).to.be.above(2_000_000);
    expect(trainedLinks(large)).to.have.length(6000);
  });
});
