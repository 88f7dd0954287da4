import { fork } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { median } from './bench-screen.mjs';
import { capture } from './run.mjs';

/** What is large: shops, logs, photographs, many requests; how long the page or the server stands still meanwhile. */

/** A shop of 10 000 parts and 300 jobs: opened again from the browser's own store, searched, and what it holds. */
export async function largeShop(browser, address) {
  const folder = mkdtempSync(join(tmpdir(), 'shop-'));
  const file = join(folder, 'large.nutshell.json');
  capture('node', ['--import', 'tsx/esm', 'scripts/large-shop.ts', file]);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  const stands = () =>
    page.waitForFunction(
      () => document.querySelectorAll('#stage a[href*="/job/"]').length > 20,
      null,
      {
        timeout: 120_000,
      },
    );
  await page.addInitScript(() => {
    const look = () => {
      if (document.querySelectorAll('#stage a[href*="/job/"]').length > 20)
        window.standsAt = performance.now();
      else requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  await page.goto(address);
  await page.waitForFunction(() => document.querySelector('#stage h1')?.textContent === 'Bench');
  await page.locator('input[type=file]').first().setInputFiles(file);
  await page.getByRole('button', { name: 'Replace', exact: true }).click();
  await stands();
  await page.waitForTimeout(3000);
  const opens = [];
  for (let i = 0; i < 3; i += 1) {
    await page.goto(address);
    await stands();
    opens.push(await page.evaluate(() => window.standsAt));
  }
  await page.getByText('where hands are next needed').waitFor({ timeout: 60_000 });
  const search = await page.evaluate(async () => {
    const input = document.querySelector('input[aria-describedby="entry-say"]');
    const figures = [];
    for (const text of ['fan 92', 'ddr4 8', 'sfx', 'x99', 'fan 120', 'drawer 7', 'quad']) {
      await new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0)));
      const start = performance.now();
      input.value = text;
      input.dispatchEvent(new Event('input', { bubbles: true }));
      await new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0)));
      figures.push(performance.now() - start);
    }
    return figures;
  });
  await page.goto(`${address}/shelf`);
  await page.getByRole('row').nth(3).waitFor();
  await page.waitForTimeout(1500);
  await page.evaluate(() => {
    window.frames = [];
    new PerformanceObserver((list) => {
      for (const { name, duration } of list.getEntries())
        if (name === 'keydown') window.frames.push(duration);
    }).observe({ type: 'event', durationThreshold: 16 });
  });
  await page.getByLabel('Search', { exact: true }).focus();
  for (const key of 'fan 92 h') {
    await page.keyboard.type(key);
    await page.waitForTimeout(250);
  }
  const shelf = Math.max(16, ...(await page.evaluate(() => window.frames)));
  await page.goto(address);
  await stands();
  await page.waitForTimeout(2000);
  const session = await context.newCDPSession(page);
  await session.send('HeapProfiler.collectGarbage');
  await session.send('Performance.enable');
  const { metrics } = await session.send('Performance.getMetrics');
  const heap = metrics.find(({ name }) => name === 'JSHeapUsedSize')?.value ?? NaN;
  await page.goto(`${address}/job/14/take-in`);
  await page.getByRole('button', { name: /^PSU/ }).first().waitFor();
  const judged = [];
  let offered = 0;
  for (let i = 0; i < 5; i += 1) {
    /* From the press itself to the frame that shows the list: what drives the browser has times of its own. */
    await page.evaluate(() => {
      const look = (start) => {
        if (document.querySelector('dialog ul li button .gap'))
          window.listedAfter = performance.now() - start;
        else requestAnimationFrame(() => look(start));
      };
      window.listedAfter = undefined;
      addEventListener('click', ({ timeStamp }) => look(timeStamp), { capture: true, once: true });
    });
    await page.getByRole('button', { name: /^PSU/ }).first().click();
    await page.waitForFunction(() => window.listedAfter !== undefined);
    judged.push(await page.evaluate(() => window.listedAfter));
    const [shown, more] = [
      await page.locator('dialog ul li button').count(),
      await page.getByText(/^\s*And \d+ more that fit less well/).innerText(),
    ];
    offered = shown + Number(/\d+/.exec(more)?.[0]);
    await page.keyboard.press('Escape');
    await page.waitForTimeout(300);
  }
  await context.close();
  rmSync(folder, { recursive: true });
  const [opened, found] = [median(opens), median(search)];
  return [
    {
      what: 'shop of 10 000 parts and 300 jobs opened again, bench standing',
      figure: `${opened.toFixed(0)} ms`,
      wanted: 'under 1000 ms',
      met: opened < 1000,
    },
    {
      what: 'a search in it, keystroke to drawn list',
      figure: `${found.toFixed(0)} ms`,
      wanted: 'under 50 ms',
      met: found < 50,
    },
    {
      what: `candidates for a seat of it, ${offered} of its kind, click to list (the first time ${judged[0].toFixed(0)} ms)`,
      figure: `${median(judged).toFixed(0)} ms`,
      wanted: 'under 300 ms',
      met: median(judged) < 300,
    },
    {
      what: 'its shelf as a page, keystroke to painted list, the slowest of eight',
      figure: `${shelf.toFixed(0)} ms`,
      wanted: 'under 50 ms',
      met: shelf < 50,
    },
    {
      what: 'memory of its page',
      figure: `${(heap / 1e6).toFixed(0)} MB`,
      wanted: 'under 200 MB',
      met: heap < 200e6,
    },
  ];
}

/** A log of 500,000 rows through the page: until its columns stand, and the longest task meanwhile. */
export async function largeLog(browser, address) {
  const folder = mkdtempSync(join(tmpdir(), 'log-'));
  const file = join(folder, 'large.csv');
  const rows = Array.from(
    { length: 500_000 },
    (_, i) =>
      `${(i * 0.2).toFixed(1)},${(70 - 40 * Math.exp(-i / 9000)).toFixed(2)},${900 + (i % 50)}`,
  );
  writeFileSync(file, `Time [s],CPU Package [°C],Fan 1 [RPM]\n${rows.join('\n')}\n`);
  const page = await (await browser.newContext()).newPage();
  await page.goto(`${address}/job/12/heat`);
  await page.locator('input[type=file]').waitFor();
  await page.waitForTimeout(1500);
  await page.evaluate(() => {
    window.longest = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries())
        window.longest = Math.max(window.longest, entry.duration);
    }).observe({ type: 'longtask' });
  });
  const start = Date.now();
  await page.locator('input[type=file]').setInputFiles(file);
  await page.getByText('500,000').waitFor({ timeout: 60_000 });
  const took = Date.now() - start;
  await page.waitForTimeout(300);
  const longest = await page.evaluate(() => window.longest);
  await page.close();
  rmSync(folder, { recursive: true });
  return [
    {
      what: 'log of 500 000 rows read in a worker, page and all',
      figure: `${(took / 1000).toFixed(2)} s`,
      wanted: 'under 2 s',
      met: took < 2000,
    },
    {
      what: 'longest time the page was held meanwhile',
      figure: longest === 0 ? 'under 50 ms' : `${longest.toFixed(0)} ms`,
      wanted: 'under 50 ms',
      met: longest < 50,
    },
  ];
}

/** 300 photographs hung up, carried out as a zip and into another browser, and how long the page stood still meanwhile. */
export async function photos(browser, address) {
  const folder = mkdtempSync(join(tmpdir(), 'photos-'));
  const watched = async (path) => {
    const context = await browser.newContext({ acceptDownloads: true, serviceWorkers: 'block' });
    const page = await context.newPage();
    await page.goto(`${address}${path}`);
    await page.waitForFunction(
      () => (document.querySelector('#stage h1')?.textContent ?? '') !== '',
    );
    await page.waitForTimeout(1500);
    await page.evaluate(() => {
      window.held = 0;
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) window.held = Math.max(window.held, duration);
      }).observe({ type: 'longtask' });
    });
    return { context, page };
  };
  const heldSince = async (page) => {
    const ms = await page.evaluate(() => window.held);
    await page.evaluate(() => {
      window.held = 0;
    });
    return ms;
  };
  const giver = await watched('/job/14/take-in');
  await giver.page.evaluate(async () => {
    const files = new DataTransfer();
    for (let i = 0; i < 300; i += 1) {
      const canvas = new OffscreenCanvas(2400, 1800);
      const context = canvas.getContext('2d');
      const strip = context.createImageData(2400, 60);
      for (let k = 0; k < strip.data.length; k += 1)
        strip.data[k] = (k * 31 + i * 7 + Math.random() * 80) & 255;
      for (let y = 0; y < 1800; y += 60) context.putImageData(strip, 0, y);
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.6 });
      files.items.add(new File([blob], `p${i}.jpg`, { type: 'image/jpeg' }));
    }
    window.held = 0;
    const input = document.querySelector('[aria-label^="Photos of"] input[type=file]');
    input.files = files.files;
    input.dispatchEvent(new Event('change', { bubbles: true }));
  });
  await giver.page.waitForFunction(
    () => document.querySelectorAll('[aria-label^="Photos of"] img').length >= 300,
    undefined,
    { timeout: 280_000 },
  );
  await giver.page.waitForTimeout(3000);
  const hanging = await heldSince(giver.page);
  await giver.page.getByRole('link', { name: /Bench/ }).first().click();
  await giver.page.waitForTimeout(3000);
  await heldSince(giver.page);
  const out = Date.now();
  const [download] = await Promise.all([
    giver.page.waitForEvent('download', { timeout: 120_000 }),
    giver.page
      .getByRole('button', { name: /^Export the shop/ })
      .first()
      .click(),
  ]);
  const file = join(folder, 'shop.zip');
  await download.saveAs(file);
  const outMs = Date.now() - out;
  const goingOut = await heldSince(giver.page);
  const taker = await watched('/');
  const into = Date.now();
  await taker.page.locator('input[type=file]').first().setInputFiles(file);
  const replace = taker.page.getByRole('button', { name: 'Replace', exact: true });
  await replace.waitFor({ timeout: 200_000 });
  const comingIn = await heldSince(taker.page);
  await replace.click();
  await taker.page.getByText('Undo brings the shop before back').waitFor();
  const intoMs = Date.now() - into;
  const drawn = await heldSince(taker.page);
  await giver.context.close();
  await taker.context.close();
  rmSync(folder, { recursive: true });
  const [seconds, most] = [(outMs + intoMs) / 1000, Math.max(goingOut, comingIn)];
  return [
    {
      what: 'zip with 300 photos out and in again',
      figure: `${seconds.toFixed(1)} s`,
      wanted: 'under 20 s',
      met: seconds < 20,
    },
    {
      what: 'longest the page stood still while it went out and was read',
      figure: most === 0 ? 'under 50 ms' : `${most.toFixed(0)} ms`,
      wanted: 'under 50 ms',
      met: most < 50,
    },
    {
      what: 'the same once 300 were hung up at once; once the whole shop was replaced and drawn anew',
      figure: `${hanging.toFixed(0)} ms; ${drawn.toFixed(0)} ms`,
      wanted: 'for comparison',
      met: true,
    },
  ];
}

/** A picture of 12 megapixels through the page: until it lies flat, a hole measured in it, and the longest task meanwhile. */
export async function measuredPicture(browser, address) {
  const folder = mkdtempSync(join(tmpdir(), 'picture-'));
  const file = join(folder, 'rear wall.jpg');
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(`${address}/job/17/make#photo`);
  await page.getByRole('button', { name: /try it on a picture/ }).waitFor();
  /* The one that ships, drawn as large as phones take them. */
  const url = await page.evaluate(async () => {
    const small = await (await fetch('/samples/rear-wall.jpg')).blob();
    const large = await createImageBitmap(small, { resizeWidth: 4000, resizeQuality: 'high' });
    const canvas = new OffscreenCanvas(large.width, large.height);
    canvas.getContext('2d').drawImage(large, 0, 0);
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
    return new Promise((done) => {
      const reader = new FileReader();
      reader.onload = () => done(reader.result);
      reader.readAsDataURL(blob);
    });
  });
  writeFileSync(file, Buffer.from(url.split(',')[1], 'base64'));
  await page.waitForTimeout(1500);
  await page.evaluate(() => {
    window.held = 0;
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.held = Math.max(window.held, duration);
    }).observe({ type: 'longtask' });
  });
  const start = Date.now();
  await page.locator('input[type=file][multiple]').first().setInputFiles(file);
  const picture = page.getByRole('button', { name: /laid flat/ });
  await picture.waitFor();
  const flat = Date.now() - start;
  await picture.focus();
  await page.keyboard.press('Enter');
  await page
    .getByText(/No round rim is found|^hole/)
    .first()
    .waitFor();
  await page.waitForTimeout(500);
  const longest = await page.evaluate(() => window.held);
  await context.close();
  rmSync(folder, { recursive: true });
  return [
    {
      what: 'picture of 12 megapixels taken into the page until it lies flat, file read and worker started',
      figure: `${(flat / 1000).toFixed(2)} s`,
      wanted: 'under 3 s',
      met: flat < 3000,
    },
    {
      what: 'longest time the page was held meanwhile',
      figure: longest < 50 ? 'under 50 ms' : `${longest.toFixed(0)} ms`,
      wanted: 'under 50 ms',
      met: longest < 50,
    },
  ];
}

/** How long the thread that serves stands still while whole shops are checked, more than there are threads. */
export async function heavyRequests() {
  const folder = mkdtempSync(join(tmpdir(), 'heavy-'));
  const file = join(folder, 'large.nutshell.json');
  capture('node', ['--import', 'tsx/esm', 'scripts/large-shop.ts', file, '5000', '200']);
  const body = readFileSync(file);
  rmSync(folder, { recursive: true });
  const times = [];
  for (let run = 0; run < 3; run += 1) times.push(await heldWhile(body));
  const figure = median(times);
  return {
    what: `the server's own thread stood still at most, 8 shops of ${(body.length / 1e6).toFixed(1)} MB checked at once (worst of three ${Math.max(...times).toFixed(0)} ms)`,
    figure: `${figure.toFixed(0)} ms`,
    wanted: 'under 100 ms',
    met: figure < 100,
  };
}

/** The same once, in a server of its own; ms. */
async function heldWhile(body) {
  const child = fork('scripts/held.mjs');
  const said = () => new Promise((done) => child.once('message', done));
  const { address } = await said();
  const answers = await Promise.all(
    Array.from({ length: 8 }, () =>
      fetch(`${address}/api/v1/check`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body,
      }).then((answer) => answer.status),
    ),
  );
  if (!answers.every((status) => status === 200 || status === 503))
    throw new Error(`answered ${answers}`);
  const last = said();
  child.send('stop');
  return (await last).longest;
}
