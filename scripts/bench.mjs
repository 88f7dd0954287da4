import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { build } from 'vite';
import { heavyRequests, largeLog, largeShop, measuredPicture, photos } from './bench-large.mjs';
import { clickToPaint, dragFrame, editToTape, firstScreen } from './bench-screen.mjs';
import { built, capture, installed } from './run.mjs';

installed();
built();
const { launch } = await import('./browser.mjs');
const { serve } = await import('./serve.mjs');

/** `npm run bench -- photo page`: these alone, printed and not written down. */
const only = process.argv.slice(2);
const wanted = (name) => only.length === 0 || only.includes(name);

/** The core is measured bundled, as it ships: a loader of the tests names every function as it runs. */
const BUNDLE = 'node_modules/.cache/bench';
const scripts = [
  'bench-core',
  'bench-heat',
  'bench-donors',
  'bench-plan',
  'bench-week',
  'bench-photo',
].filter((script) => wanted(script.replace('bench-', '')));
if (scripts.length > 0)
  await build({
    configFile: false,
    resolve: { alias: { $core: resolve('src/core') } },
    logLevel: 'error',
    build: {
      ssr: true,
      outDir: BUNDLE,
      rollupOptions: { input: scripts.map((script) => `scripts/${script}.ts`) },
    },
  });

/** Figures of speed, measured here and now, written to docs/bench.md. */
const core = scripts.flatMap((script) => {
  const { status, stdout, stderr } = capture('node', ['--expose-gc', `${BUNDLE}/${script}.js`]);
  if (status !== 0) throw new Error(`${script}: ${stderr}`);
  return JSON.parse(stdout);
});
const browserFigures = wanted('page') ? await inBrowser() : [];
const rows = [...core, ...browserFigures];

const table = [
  '# Bench',
  '',
  `Measured by \`npm run bench\` on Node ${process.version}. The core is measured bundled, as it ships. Medians; absolute figures belong to the machine they were taken on.`,
  '',
  '| what | figure | wanted | |',
  '| --- | ---: | ---: | --- |',
  ...rows.map(
    (row) =>
      `| ${row.what} | ${row.figure} | ${row.wanted ?? ''} | ${row.met === undefined ? '' : row.met ? 'met' : 'not met'} |`,
  ),
  '',
].join('\n');
/* What was measured by hand, under headings of its own, stays. */
const before = existsSync('docs/bench.md') ? readFileSync('docs/bench.md', 'utf8') : '';
const byHand = before.includes('\n## ') ? before.slice(before.indexOf('\n## ')) : '';
if (only.length === 0) writeFileSync('docs/bench.md', `${table}${byHand}`);
console.log(table);

async function inBrowser() {
  const { server, address } = await serve({ port: 4182, demo: true });
  const browser = await launch();
  const first = await firstScreen(browser, address);
  const edit = await editToTape(browser, address);
  const pictures = await photos(browser, address);
  const clicks = await clickToPaint(browser, address);
  const drag = await dragFrame(browser, address);
  const log = await largeLog(browser, address);
  const large = await largeShop(browser, address);
  const measured = await measuredPicture(browser, address);
  const held = await heavyRequests();
  await browser.close();
  server.close();
  return [...first, edit, clicks, drag, ...log, ...large, ...pictures, ...measured, held];
}
