import { readFileSync } from 'node:fs';
import { launch } from './browser.mjs';
import { serve } from './serve.mjs';
const steps = JSON.parse(readFileSync('/tmp/steps.json', 'utf8'));
const { server, address } = await serve({ port: 0, demo: true });
const browser = await launch();
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const page = await context.newPage();
page.on('console', (m) => {
  if (['error', 'warning'].includes(m.type())) console.log('console', m.text());
});
page.on('pageerror', (e) => console.log('pageerror', e.message));
for (const s of steps) {
  if (s.go) {
    await page.goto(address + s.go);
    await page.waitForTimeout(900);
  }
  if (s.size) await page.setViewportSize(s.size);
  if (s.click) await page.locator(s.click).first().click();
  if (s.press) await page.keyboard.press(s.press);
  if (s.type) await page.keyboard.type(s.type);
  if (s.fill) await page.locator(s.fill).first().fill(s.text);
  if (s.select) await page.locator(s.select).first().selectOption(s.text);
  if (s.into) await page.locator(s.into).first().scrollIntoViewIfNeeded();
  if (s.file) await page.locator(s.file).first().setInputFiles(s.path);
  if (s.text_of) console.log(await page.locator(s.text_of).allInnerTexts());
  if (s.wait) await page.waitForTimeout(s.wait);
  if (s.shot) await page.screenshot({ path: s.shot });
}
await browser.close();
server.close();
process.exit(0);
