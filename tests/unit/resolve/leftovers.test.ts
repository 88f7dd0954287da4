import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { reserveParts } from '../../../src/core/edits/shelfEdits.ts';
import { putPart } from '../../../src/core/edits/edits.ts';
import { checksOf } from '../../../src/core/plan/run.ts';
import { emptyJob } from '../../../src/core/model/types/empty.ts';
import { wantedBy } from '../../../src/core/model/lookup/wanted.ts';
import { freeParts, lackWords, leftovers } from '../../../src/core/resolve/leftovers.ts';
import { jobWith } from '../../helpers/build.ts';

const demo = demoShop('2026-01-01T12:00:00.000Z');

describe('resolve/leftovers', () => {
  it('takes only what is in nobody’s plan, debt or promise, and not dead', () => {
    const wanted = wantedBy(demo);
    const free = freeParts(demo);
    expect(free.length).to.be.greaterThan(10);
    for (const part of free) {
      expect(wanted.has(part.id)).to.equal(false);
      expect(part.loan).to.equal(undefined);
      expect(['shelf', 'machine']).to.contain(part.place);
    }
    const [first] = free;
    const kept = reserveParts([first!.id], demo.jobs[0]!.id)(demo);
    expect(freeParts(kept).some(({ id }) => id === first!.id)).to.equal(false);
  });

  it('builds each around a free board, says what lacks, nearest to complete first, and no Stop among its pairs', () => {
    const found = leftovers(demo);
    expect(found.length).to.be.greaterThan(2);
    const lacks = found.map((each) => each.lacks.length);
    expect(lacks).to.deep.equal([...lacks].sort((a, b) => a - b));
    const free = new Set(freeParts(demo).map(({ id }) => id));
    for (const each of found) {
      expect(each.parts.length + each.lacks.length).to.equal(7);
      for (const { part } of each.parts) expect(free.has(part.id), part.id).to.equal(true);
      const job = {
        ...emptyJob('x', '', ''),
        changes: each.parts.map(({ seat, part }) => ({ seat, partId: part.id })),
      };
      const stops = checksOf(demo, job).filter(
        ({ mark, id, shopsOwn }) => mark === 'stop' && !id.startsWith('missing') && !shopsOwn,
      );
      expect(stops.length).to.equal(each.stops);
    }
    expect(lackWords({ lacks: [] })).to.equal('lacks nothing');
    expect(lackWords({ lacks: ['memory', 'case'] })).to.equal('lacks RAM, case');
  });

  it('finds the machine that lies there whole, and what one part less makes of it', () => {
    const { shop } = jobWith({
      board: { socket: 'AM4', memoryKind: 'DDR4', mainPlug: 'main24', format: 'microATX' },
      processor: { socket: 'AM4', watts: 65 },
      cooler: { sockets: ['AM4'], height: 60 },
      memory1: { memoryKind: 'DDR4', memoryForm: 'DIMM', size: 8 },
      supply: { mainPlug: 'main24', watts: 400, format: 'ATX', plugs: ['cpu44'] },
      case: { boards: ['microATX', 'ATX'] },
      drive1: { driveKind: 'SATA SSD' },
    } as never);
    const loose = {
      ...shop,
      jobs: [],
      machines: [],
      parts: shop.parts.map((part) => ({ ...part, place: 'shelf' as const })),
    };
    const [whole] = leftovers(loose);
    expect(whole?.lacks).to.deep.equal([]);
    const memory = loose.parts.find(({ kind }) => kind === 'memory')!;
    const less = { ...loose, parts: loose.parts.filter((part) => part !== memory) };
    expect(leftovers(less)[0]?.lacks).to.deep.equal(['memory']);
    const planned = putPart(
      '1',
      'memory1',
      memory.id,
    )({ ...loose, jobs: [emptyJob('1', 'x', '')] });
    expect(leftovers(planned)[0]?.lacks).to.deep.equal(['memory']);
    const other = loose.parts.map((part) =>
      part === memory
        ? { ...part, facts: { ...part.facts, memoryKind: { text: 'DDR3', how: 'read' as const } } }
        : part,
    );
    expect(leftovers({ ...loose, parts: other })[0]?.lacks).to.deep.equal(['memory']);
  });
});
