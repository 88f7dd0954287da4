import { launch, linesOfBook as stored } from './browser.mjs';
import { serve } from './serve.mjs';

/**
 * `npm run tabs -- 10`: two tabs of one shop, 1,000 lines typed into the book between them, each after a
 * pause of 0 to 300 ms; every line must stand there afterwards, in both tabs and after a reload.
 */
const runs = Number(process.argv[2] ?? 1);
const EDITS = Number(process.argv[3] ?? 1000);
const MOST_PAUSE_MS = 300;

const { server, address } = await serve({
  port: 0,
  demo: true,
  build: process.env.BUILD ?? 'build',
});
process.env.ORIGIN = address;
const browser = await launch();
let lost = 0;

for (let run = 1; run <= runs; run += 1) {
  const context = await browser.newContext({ serviceWorkers: 'block' });
  const first = await context.newPage();
  await first.goto(address);
  await first.getByRole('heading', { name: 'Bench' }).waitFor();
  const second = await context.newPage();
  await second.goto(address);
  await second.getByRole('heading', { name: 'Bench' }).waitFor();
  let seed = run * 7919;
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const wanted = [];
  await Promise.all(
    [first, second].map(async (page, tab) => {
      const line = page.getByRole('textbox', { name: /Entry line/ });
      for (let n = 0; n < EDITS / 2; n += 1) {
        const what = `tab${tab}n${n}`;
        wanted.push(what);
        await line.fill(`paid 0.01 ${what}`);
        await line.press('Enter');
        await page.waitForTimeout(random() * MOST_PAUSE_MS);
      }
    }),
  );
  await first.waitForTimeout(1500);
  await first.reload();
  await first.getByRole('heading', { name: 'Bench' }).waitFor();
  const there = new Set(await stored(first));
  const missing = wanted.filter((what) => !there.has(what));
  lost += missing.length;
  console.log(`run ${run}: ${wanted.length} lines, ${missing.length} lost`);
  await context.close();
}
await browser.close();
server.close();
process.exit(lost === 0 ? 0 : 1);
