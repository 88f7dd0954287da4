import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { brotliCompressSync, constants } from 'node:zlib';
import { demoShop } from '../src/core/demo/demoShop.ts';
import { compactIds, idIndex, trainedLinks } from '../src/core/links/index.ts';
import type { Job, Part, Shop } from '../src/core/model/types/types.ts';
import { candidatesFor, pool } from '../src/core/resolve/candidatesFor.ts';
import { findParts } from '../src/core/quick/readings/find.ts';
import { largeShop } from '../tests/helpers/largeShop.ts';

/** Links and donors: candidates through all checks, a large shop searched, names from numbers, a large dump read. */

const medianOf = (values: number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
const timed = (runs: number, work: (run: number) => void): number =>
  medianOf(
    Array.from({ length: runs }, (_, run) => {
      const start = performance.now();
      work(run);
      return performance.now() - start;
    }),
  );

const demo = demoShop('2026-11-25T09:00:00.000Z');
const jobOf = (shop: Shop, id: string): Job => {
  const job = shop.jobs.find((each) => each.id === id);
  if (!job) throw new Error(`no job ${id}`);
  return job;
};

/** The demo's shelf until 400 parts lie on it, each a part of its own; of one kind only, or as they come. */
function shelfOf(kind?: Part['kind']): Shop {
  const like = demo.parts.filter((part) => part.place === 'shelf' && (!kind || part.kind === kind));
  const parts = Array.from({ length: 400 }, (_, i): Part => {
    const part = like[i % like.length] as Part;
    return { ...part, id: `X${i}`, name: `${part.name}, ${i}`, facts: { ...part.facts } };
  });
  return {
    ...demo,
    parts: [...demo.parts.filter((part) => part.place !== 'shelf' || part.kind !== kind), ...parts],
  };
}

function candidates(shop: Shop, seat: string) {
  candidatesFor({ ...shop }, jobOf(shop, '14'), seat);
  const count = pool(shop, jobOf(shop, '14'), seat).length;
  return { count, ms: timed(5, () => candidatesFor({ ...shop }, jobOf(shop, '14'), seat)) };
}
const mixed = candidates(shelfOf(), 'supply');
const alike = candidates(shelfOf('supply'), 'supply');

const large = largeShop(10_000, 300);
const words = ['fan 92', 'ddr4 8', 'sfx 450', 'x9', 'no such thing'];
findParts(large, 'fan');
const search = timed(25, (run) => findParts(large, words[run % words.length] ?? ''));

const folder = 'tests/reference/data/lspci';
const dump = readdirSync(folder)
  .filter((name) => name.endsWith('.txt'))
  .map((name) =>
    execFileSync('lspci', ['-F', `${folder}/${name}`, '-vv', '-n'], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore'],
    }),
  )
  .join('');
const big = dump.repeat(Math.ceil(2_000_000 / dump.length));
const reading = timed(7, () => trainedLinks(big));

const lists = ['/usr/share/misc/pci.ids', '/var/lib/usbutils/usb.ids'].filter(existsSync);
const compact = lists.map((path) => compactIds(readFileSync(path, 'utf8')));
const packed = compact.reduce(
  (sum, text) =>
    sum + brotliCompressSync(text, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }).length,
  0,
);
const indices = compact.map(idIndex);
const lookup = timed(2000, (run) => {
  indices[0]?.device('8086', (run * 31).toString(16).padStart(4, '0').slice(-4));
});

const rows = [
  {
    what: `candidates for a seat, ${mixed.count} of its kind among 400 parts, all checks, Node`,
    figure: `${mixed.ms.toFixed(0)} ms`,
    wanted: 'under 300 ms',
    met: mixed.ms < 300,
  },
  {
    what: `candidates for a seat, ${alike.count} of its kind, all checks, Node`,
    figure: `${alike.ms.toFixed(0)} ms`,
    wanted: 'under 300 ms',
    met: alike.ms < 300,
  },
  {
    what: 'search over 10 000 parts, Node',
    figure: `${search.toFixed(1)} ms`,
    wanted: 'under 50 ms',
    met: search < 50,
  },
  {
    what: `${(big.length / 1e6).toFixed(1)} MB of lspci -vv read, Node`,
    figure: `${reading.toFixed(0)} ms`,
    wanted: 'under 200 ms',
    met: reading < 200,
  },
  {
    what: `names of ${indices.reduce((sum, { devices }) => sum + devices, 0)} PCI and USB numbers, packed`,
    figure: `${(packed / 1000).toFixed(0)} kB`,
    wanted: 'under 400 kB',
    met: packed < 400_000 && lists.length === 2,
  },
  {
    what: 'a name from its number, Node',
    figure: `${(lookup * 1000).toFixed(1)} µs`,
    wanted: 'under 1 ms',
    met: lookup < 1,
  },
];
console.log(JSON.stringify(rows));
