import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from 'playwright-core';
import { executablePath, flags, linesOfBook as stored } from './browser.mjs';
import { serve } from './serve.mjs';

/**
 * `npm run kills -- 40`: lines are typed into the book as fast as they go, and the whole browser is
 * killed at any moment. Opened again, every line that was entered must stand there but for the last.
 */
const runs = Number(process.argv[2] ?? 40);
/** The browser lives this long under typing, ms. */
const LIFE_MS = { least: 300, most: 3000 };

const { server, address } = await serve({
  port: 0,
  demo: true,
  build: process.env.BUILD ?? 'build',
});
process.env.ORIGIN = address;
const profile = mkdtempSync(join(tmpdir(), 'nutshell-kills-'));

/** A browser of its own process group, so that nothing of it outlives the kill. */
async function open() {
  const child = spawn(
    executablePath,
    [
      ...flags,
      '--headless',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
      'about:blank',
    ],
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const endpoint = await new Promise((found, failed) => {
    let said = '';
    child.stderr.on('data', (data) => {
      said += data;
      const match = /DevTools listening on (ws:\S+)/.exec(said);
      if (match) found(match[1]);
    });
    child.once('exit', () => failed(new Error(`the browser did not start: ${said}`)));
  });
  const browser = await chromium.connectOverCDP(endpoint);
  const page = await browser.contexts()[0].newPage();
  await page.goto(address);
  await page.getByRole('heading', { name: 'Bench' }).waitFor();
  const kill = () =>
    new Promise((gone) => {
      child.once('exit', gone);
      process.kill(-child.pid, 'SIGKILL');
    });
  return { page, kill };
}

let seed = 4711;
const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
const wanted = [];
let worst = 0;
try {
  for (let run = 1; run <= runs; run += 1) {
    const { page, kill } = await open();
    const typed = [];
    let alive = true;
    const typing = (async () => {
      const line = page.getByRole('textbox', { name: /Entry line/ });
      for (let n = 0; alive; n += 1) {
        const what = `run${run}n${n}`;
        await line.fill(`paid 0.01 ${what}`);
        await line.press('Enter');
        typed.push(what);
      }
    })().catch(() => undefined);
    await new Promise((over) =>
      setTimeout(over, LIFE_MS.least + random() * (LIFE_MS.most - LIFE_MS.least)),
    );
    await kill();
    alive = false;
    await typing;
    const again = await open();
    const there = new Set(await stored(again.page));
    await again.kill();
    const lost = typed.filter((what) => !there.has(what));
    const older = wanted.filter((what) => !there.has(what));
    wanted.push(...typed.filter((what) => there.has(what)));
    worst = Math.max(worst, lost.length);
    if (older.length > 0 || lost.some((what) => what !== typed.at(-1))) process.exitCode = 1;
    console.log(
      `run ${run}: ${typed.length} lines, ${lost.length} lost, ${older.length} older lost`,
    );
  }
  console.log(`${runs} kills, at most ${worst} lost each, ${wanted.length} lines kept`);
} finally {
  server.close();
  server.closeAllConnections();
  rmSync(profile, { recursive: true, force: true });
}
