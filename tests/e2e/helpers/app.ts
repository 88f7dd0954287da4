import { createServer } from 'node:net';
import type { Browser, BrowserContext, Locator, Page } from 'playwright-core';
import { launch } from '../../../scripts/browser.mjs';
import { serve } from '../../../scripts/serve.mjs';

/** The built product and one browser for all tests; a fresh profile for each. */

let address: Promise<string> | undefined;
let browser: Promise<Browser> | undefined;

async function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const port = (probe.address() as { port: number }).port;
      probe.close(() => resolve(port));
    });
  });
}

export function origin(): Promise<string> {
  address ??= freePort()
    /* No test hangs on the speed of the machine: what is proven in 1 s has a minute. */
    .then((port) => serve({ port, demo: true, seconds: 60 }))
    .then((served) => served.address);
  return address;
}

function launched(): Promise<Browser> {
  browser ??= launch();
  return browser;
}

export interface Shop {
  context: BrowserContext;
  page: Page;
  /** What the pages complained of: script errors, refused resources. */
  complaints: string[];
  /** Every request that left the origin. */
  foreign: string[];
}

/** Opens the demo shop in a fresh profile; `path` is where it goes first. `offline`: with the worker that keeps pages. */
export async function openShop(
  path = '/',
  options: { width?: number; height?: number; offline?: boolean } = {},
): Promise<Shop> {
  const home = await origin();
  const context = await (
    await launched()
  ).newContext({
    viewport: { width: options.width ?? 1280, height: options.height ?? 800 },
    acceptDownloads: true,
    reducedMotion: 'reduce',
    /* Each profile would fetch and keep the whole product once more. */
    serviceWorkers: options.offline ? 'allow' : 'block',
  });
  const shop: Shop = { context, page: await context.newPage(), complaints: [], foreign: [] };
  context.on('request', (request) => {
    const url = request.url();
    if (!url.startsWith(home) && !/^(data|blob):/.test(url)) shop.foreign.push(url);
  });
  watch(shop.page, shop.complaints);
  await visit(shop.page, path);
  return shop;
}

export function watch(page: Page, complaints: string[]): void {
  page.on('pageerror', (error) => complaints.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error') complaints.push(message.text());
  });
}

export async function visit(page: Page, path: string): Promise<void> {
  await page.goto(`${await origin()}${path}`);
  await ready(page);
}

/** The shop is read and the stage stands. */
export async function ready(page: Page): Promise<void> {
  await page.waitForFunction(() => (document.querySelector('#stage h1')?.textContent ?? '') !== '');
}

/** What is clear lies folded on the tape: this lays it open. */
export async function unfoldClear(page: Page): Promise<void> {
  const fold = page.locator('details.clear');
  await fold.evaluate((node: HTMLDetailsElement) => (node.open = true));
}

/** Waits until the shop in the browser's store fulfils a condition. */
export async function stored<T>(
  page: Page,
  store: string,
  key: string,
  test: (value: T | undefined) => boolean,
): Promise<T> {
  for (let tries = 0; tries < 100; tries += 1) {
    const value = await page.evaluate(
      ([name, id]) =>
        new Promise<unknown>((resolve, reject) => {
          const open = indexedDB.open('nutshell-swap');
          open.onerror = () => reject(open.error);
          open.onsuccess = () => {
            const get = open.result
              .transaction(name as string)
              .objectStore(name as string)
              .get(id as string);
            get.onsuccess = () => {
              open.result.close();
              resolve(get.result);
            };
          };
        }),
      [store, key],
    );
    if (test(value as T | undefined)) return value as T;
    await page.waitForTimeout(50);
  }
  throw new Error(`${store} ${key} never came to be as expected`);
}

/** The entry line, key by key. */
export async function enter(page: Page, text: string): Promise<void> {
  await retype(page.getByRole('textbox', { name: /Entry line/ }), text);
  await page.keyboard.press('Enter');
}

/** Types key by key over what stands in a field: `fill` would hide what single keys do. Long texts are pasted. */
export async function retype(field: Locator, text: string): Promise<void> {
  await field.fill('');
  /* A date's own keys are those of the machine's language. */
  const whole = text.length > 80 || (await field.getAttribute('type')) === 'date';
  if (whole) await field.fill(text);
  else await field.pressSequentially(text);
}
