import { chromium } from 'playwright-core';
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
for (let i = 0; i < 4; i++) {
  const c = await b.newContext({ serviceWorkers: 'block' });
  const p = await c.newPage();
  await p.goto('http://127.0.0.1:4173/');
  await p.waitForFunction(() => document.querySelector('#stage h1')?.textContent === 'Bench');
  const r = await p.evaluate(() => ({
    now: performance.now(),
    fcp: performance.getEntriesByType('paint').map((e) => [e.name, Math.round(e.startTime)]),
    nav: performance
      .getEntriesByType('navigation')
      .map((e) => [
        Math.round(e.responseEnd),
        Math.round(e.domContentLoadedEventEnd),
        Math.round(e.loadEventEnd),
      ]),
    res: performance
      .getEntriesByType('resource')
      .map((e) => [e.name.split('/').pop(), Math.round(e.startTime), Math.round(e.responseEnd)])
      .filter((e) => /js$|demo/.test(e[0])),
  }));
  console.log(JSON.stringify(r));
  await c.close();
}
await b.close();
