import { mkdirSync } from 'node:fs';
import { built, installed } from './run.mjs';

installed();
built();
const { launch } = await import('./browser.mjs');
const { serve } = await import('./serve.mjs');

/** One picture of each main view, from the demo shop, for the README; `npm run shots -- plugs fit` takes those alone. */
const only = process.argv.slice(2);
const views = [
  [
    'first',
    '/',
    async (page) => {
      await page.getByRole('button', { name: 'Start my own shop' }).click();
      await page.getByLabel('Name').fill('Cellar bench');
      await page.getByLabel('Lengths').selectOption('mm');
      await page.getByLabel('Currency').fill('EUR');
      await page.getByRole('button', { name: 'Open my shop' }).click();
      await page.getByText('Will these parts go together').waitFor();
    },
  ],
  ['bench', '/'],
  ['shelf', '/shelf'],
  ['take-in', '/job/14/take-in'],
  [
    'fit',
    '/job/14/fit',
    async (page) => {
      await page
        .getByRole('button', { name: /card length/ })
        .first()
        .click();
      await page.getByText(/proven over/).waitFor();
    },
  ],
  ['make', '/job/17/make'],
  [
    'photograph',
    '/job/17/make#photo',
    async (page) => {
      await page.getByRole('button', { name: /try it on a picture/ }).click();
      await page.getByText(/24 marks/).waitFor();
      for (const [label, text] of [
        ['Mat’s rule across', '120'],
        ['rule down', '200'],
        ['Lies above the mat', '14'],
        ['give or take', '0.2'],
      ]) {
        await page.getByLabel(label).fill(text);
        await page.keyboard.press('Tab');
        await page.waitForTimeout(600);
      }
      const box = await page.getByRole('button', { name: /laid flat/ }).boundingBox();
      const list = page.getByRole('list', { name: 'Measured in the picture' });
      const taps = [
        [-54, 30],
        [-4, 30],
        [-4, 80],
        [-54, 80],
        [14, -38],
        [22, 47],
      ];
      for (const [i, [x, y]] of taps.entries()) {
        if (i === 4) await page.getByRole('button', { name: 'Opening', exact: true }).click();
        const u = (159 + x * Math.cos(0.02) - y * Math.sin(0.02)) / 317;
        const v = (218 + x * Math.sin(0.02) + y * Math.cos(0.02)) / 440;
        await page.mouse.click(box.x + u * box.width, box.y + v * box.height);
        await list.getByRole('listitem').nth(i).waitFor();
      }
      await page.waitForTimeout(5000);
    },
  ],
  ['plugs', '/job/18/plugs'],
  ['watts', '/job/9/watts'],
  ['links', '/job/19/links'],
  ['donors', '/job/15/donors'],
  [
    'best-plan',
    '/job/14/donors#plan',
    async (page) => {
      const chips = page.getByRole('group', { name: 'Jobs' }).getByRole('button');
      await chips.first().waitFor();
      for (const chip of await chips.all())
        if (!/^(?:5|14|15)\b/.test(await chip.innerText())) await chip.click();
      await page.getByRole('button', { name: 'Work out the best plan' }).click();
      await page.getByText('Proven:').waitFor();
      await page.getByText('Looking for reasons').waitFor({ state: 'detached', timeout: 90_000 });
    },
  ],
  ['work-order', '/job/14/order'],
  ['week', '/week', async (page) => page.locator('g.hands').first().waitFor()],
  ['power-up', '/job/14/power-up'],
  ['heat', '/job/9/heat', async (page) => page.getByText(/Open the panel/).waitFor()],
  ['hand-over', '/job/3/hand-over'],
  ['book', '/book'],
  [
    'bench-390',
    '/',
    async (page) => {
      await page.goto(`${new URL(page.url()).origin}/settings`);
      await page.getByLabel('Light').selectOption('dark');
      await page.getByRole('link', { name: 'Bench', exact: false }).first().click();
      await page.locator('.shelves').waitFor();
      await page.locator('#stage').evaluate((stage) => stage.scrollTo(0, 0));
    },
    [390, 844],
  ],
];

/** Where it is noon now: a shop is open whenever the pictures are taken. */
const ahead = 12 - new Date().getUTCHours();
const noon = `Etc/GMT${ahead > 0 ? '-' : '+'}${Math.abs(ahead)}`;

const { server, address } = await serve({ port: 4181, demo: true });
const browser = await launch();
mkdirSync('docs/screenshots', { recursive: true });
for (const [name, path, act, [width, height] = [1280, 800]] of views) {
  if (only.length > 0 && !only.includes(name)) continue;
  const context = await browser.newContext({
    viewport: { width, height },
    reducedMotion: 'reduce',
    timezoneId: noon,
  });
  const page = await context.newPage();
  const settled = () =>
    page.waitForFunction(() => (document.querySelector('#stage h1')?.textContent ?? '') !== '');
  await page.goto(address);
  await settled();
  if (path !== '/') {
    await page.goto(address + path);
    await settled();
  }
  await act?.(page);
  await page.waitForTimeout(400);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  console.log(`docs/screenshots/${name}.png`);
  await context.close();
}
await browser.close();
server.close();
