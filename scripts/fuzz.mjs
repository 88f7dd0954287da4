import { fork } from 'node:child_process';
import { availableParallelism } from 'node:os';

/**
 * `npm run fuzz`: attacks on everything that reads a file, by number, so that any can be run again.
 * `npm run fuzz -- document 25264` runs one and shows what it was.
 */
const goals = {
  document: 100_000,
  inventory: 20_000,
  priceList: 10_000,
  heatLog: 10_000,
  links: 5_000,
  ownPlugs: 5_000,
};
const [only, number] = process.argv.slice(2);
const BATCH = 500;

const jobs = [];
for (const [name, count] of Object.entries(goals)) {
  if (only && only !== name) continue;
  if (number) jobs.push([name, Number(number), 1]);
  else
    for (let from = 1; from <= count; from += BATCH)
      jobs.push([name, from, Math.min(BATCH, count - from + 1)]);
}
const counts = {};
const began = Date.now();

await Promise.all(
  Array.from({ length: Math.min(availableParallelism(), jobs.length) }, () => {
    const worker = fork('tests/fuzz/worker.ts', { execArgv: ['--import', 'tsx/esm'] });
    return new Promise((resolve, reject) => {
      let now;
      const next = () => {
        now = jobs.shift();
        if (now) worker.send(now);
        else resolve(worker.disconnect());
      };
      worker.on('error', reject);
      worker.on('message', (found) => {
        if (found !== 'ready') {
          const sum = (counts[now[0]] ??= { runs: 0, refused: 0, accepted: 0, broken: [] });
          sum.runs += found.runs;
          sum.refused += found.refused;
          sum.accepted += found.accepted;
          sum.broken.push(...found.broken);
        }
        next();
      });
    });
  }),
);

let broken = 0;
for (const [name, sum] of Object.entries(counts)) {
  broken += sum.broken.length;
  console.log(
    `${name}: ${sum.runs} attacks, ${sum.refused} refused with a word, ${sum.accepted} accepted and computed, ${sum.broken.length} broken`,
  );
  for (const each of sum.broken.slice(0, 10))
    console.log(`  ${name} ${each.seed}: ${each.why}${number ? `\n${each.input}` : ''}`);
}
console.log(`${Math.round((Date.now() - began) / 1000)} s`);
process.exit(broken === 0 ? 0 : 1);
