import { chromium } from 'playwright-core';
const [, , out, path = '/', w = '1280', h = '800', ...acts] = process.argv;
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
const p = await b.newPage({ viewport: { width: +w, height: +h } });
p.on('console', (m) => {
  if (m.type() === 'error' || m.type() === 'warning')
    console.log('console', m.type(), m.text().slice(0, 300));
});
p.on('pageerror', (e) => console.log('pageerror', e.message.slice(0, 600)));
await p.goto('http://127.0.0.1:4173/');
await p.waitForSelector('#stage h1');
await p.waitForTimeout(500);
if (path !== '/') {
  await p.goto('http://127.0.0.1:4173' + path);
  await p.waitForSelector('#stage h1');
  await p.waitForTimeout(700);
}
for (const a of acts) await eval('(async()=>{' + a + '})()');
await p.waitForTimeout(200);
await p.screenshot({ path: out });
await b.close();
