import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { built, capture, installed } from './run.mjs';

installed();
built();
const { launch } = await import('./browser.mjs');
const { serve } = await import('./serve.mjs');

/** Figures of speed, measured here and now, written to docs/bench.md. */
const core = JSON.parse(capture('node', ['--import', 'tsx/esm', 'scripts/bench-core.ts']).stdout);
const browserFigures = await inBrowser();
const rows = [...core, ...browserFigures];

const table = [
  '# Bench',
  '',
  `Measured by \`npm run bench\` on Node ${process.version}. Medians; absolute figures belong to the machine they were taken on.`,
  '',
  '| what | figure | wanted | |',
  '| --- | ---: | ---: | --- |',
  ...rows.map(
    (row) =>
      `| ${row.what} | ${row.figure} | ${row.wanted ?? ''} | ${row.met === undefined ? '' : row.met ? 'met' : 'not met'} |`,
  ),
  '',
].join('\n');
writeFileSync('docs/bench.md', table);
console.log(table);

async function inBrowser() {
  const { server, address } = await serve({ port: 4182, demo: true });
  const browser = await launch();
  const first = await firstScreen(browser, address);
  const edit = await editToTape(browser, address);
  const drag = await dragFrame(browser, address);
  await browser.close();
  server.close();
  return [...first, edit, drag];
}

/** Script bytes of the first screen as the server sends them (brotli), and time until the stage stands. */
async function firstScreen(browser, address) {
  const times = [];
  let bytes = 0;
  for (let i = 0; i < 7; i += 1) {
    const context = await browser.newContext({ serviceWorkers: 'block' });
    const page = await context.newPage();
    const scripts = new Set();
    page.on('response', (response) => {
      const path = new URL(response.url()).pathname;
      if (path.endsWith('.js')) scripts.add(path);
    });
    await page.addInitScript(() => {
      const look = () => {
        if (document.querySelector('#stage h1')?.textContent === 'Bench')
          window.standsAt = performance.now();
        else requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    });
    await page.goto(address);
    await page.waitForFunction(() => window.standsAt !== undefined);
    times.push(await page.evaluate(() => window.standsAt));
    bytes = [...scripts].reduce(
      (sum, path) => sum + brotliCompressSync(readFileSync(join('build/client', path))).length,
      0,
    );
    await context.close();
  }
  const interactive = median(times);
  return [
    {
      what: 'first screen, compressed script',
      figure: `${(bytes / 1000).toFixed(0)} kB`,
      wanted: 'under 200 kB',
      met: bytes < 200_000,
    },
    {
      what: 'first screen with the demo loaded, first visit, localhost',
      figure: `${interactive.toFixed(0)} ms`,
      wanted: 'under 1000 ms',
      met: interactive < 1000,
    },
  ];
}

/** From the keystroke that makes a figure to the frame that shows the changed tape. */
async function editToTape(browser, address) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(address);
  await page.waitForFunction(() => document.querySelector('#stage h1')?.textContent === 'Bench');
  await page.goto(`${address}/job/14/fit`);
  await page.locator('#sum-cooler-height button').first().click();
  await page.getByLabel(/room over the processor/).waitFor();
  const times = await page.evaluate(async () => {
    const input = [...document.querySelectorAll('.inputs input')][0];
    const figures = [];
    for (let i = 0; i < 40; i += 1) {
      const value = String(120 + i);
      await new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0)));
      const start = performance.now();
      input.value = value;
      input.dispatchEvent(new Event('input', { bubbles: true }));
      await Promise.resolve();
      const sum = document.querySelector('#sum-cooler-height');
      let waited = 0;
      while (!sum.textContent.includes(value) && waited < 50) {
        await new Promise((done) => setTimeout(done, 0));
        waited += 1;
      }
      figures.push(performance.now() - start);
    }
    return figures;
  });
  const figure = median(times);
  await context.close();
  return {
    what: 'edit to changed tape, script',
    figure: `${figure.toFixed(1)} ms`,
    wanted: 'one frame, 16.7 ms',
    met: figure < 16.7,
  };
}

/** A part dragged over the case: script of one move, what it draws included. */
async function dragFrame(browser, address) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(address);
  await page.waitForFunction(() => document.querySelector('#stage h1')?.textContent === 'Bench');
  await page.goto(`${address}/job/16/fit`);
  const part = page.locator('svg.cut').first().locator('g.part.memory').first();
  const box = await part.boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 10, y);
  await page.locator('.held').waitFor();
  const times = await page.evaluate(
    async ([x, y]) => {
      const figures = [];
      for (let i = 0; i < 120; i += 1) {
        await new Promise((done) => requestAnimationFrame(done));
        const start = performance.now();
        const move = { clientX: x + 10 + (i % 40), clientY: y + (i % 7), bubbles: true };
        window.dispatchEvent(new PointerEvent('pointermove', move));
        await Promise.resolve();
        figures.push(performance.now() - start);
      }
      return figures;
    },
    [x, y],
  );
  const figure = median(times);
  await context.close();
  return {
    what: 'a part dragged, script a frame',
    figure: `${figure.toFixed(1)} ms`,
    wanted: 'under 8 ms',
    met: figure < 8,
  };
}

function median(values) {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)];
}
