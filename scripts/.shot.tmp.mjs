import { launch } from './browser.mjs';
import { serve } from './serve.mjs';
import { readFileSync } from 'node:fs';
const steps = JSON.parse(readFileSync('/tmp/steps.json','utf8'));
const { server, address } = await serve({ port: 0, demo: true });
const browser = await launch();
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
page.on('console', m => m.type()==='error' && console.log('console', m.text()));
page.on('pageerror', e => console.log('error', e.message));
for (const [what, ...a] of steps) {
  try {
    if (what==='go') { await page.goto(address + a[0]); await page.waitForLoadState('networkidle'); await page.waitForTimeout(600); }
    if (what==='click') await page.getByRole(a[0], { name: a[1].startsWith('^')? new RegExp(a[1]) : a[1], exact: !a[1].startsWith('^') }).first().click();
    if (what==='css') await page.locator(a[0]).first().click();
    if (what==='press') await page.keyboard.press(a[0]);
    if (what==='fill') await page.getByLabel(a[0], { exact: true }).first().fill(a[1]);
    if (what==='select') await page.getByLabel(a[0], { exact: true }).first().selectOption(a[1]);
    if (what==='scroll') await page.locator(a[0]).first().evaluate((el, y) => el.scrollTo(0, y), a[1]);
    if (what==='wait') await page.waitForTimeout(a[0]);
    if (what==='into') await page.getByText(a[0]).first().scrollIntoViewIfNeeded();
    if (what==='shot') await page.screenshot({ path: `/tmp/${a[0]}.png` });
  } catch (e) { console.log('failed', what, a, e.message.slice(0,300)); }
}
await browser.close();
server.close();
process.exit(0);
