import type { CDPSession, Page } from 'playwright-core';

/** Keys as a scanner sends them: to the page, with the machine's own times, whatever the load here. */

const sessions = new WeakMap<Page, Promise<CDPSession>>();

function session(page: Page): Promise<CDPSession> {
  const found = sessions.get(page) ?? page.context().newCDPSession(page);
  sessions.set(page, found);
  return found;
}

/** Types a text and Enter, a key every `everyMs`. */
export async function scan(page: Page, text: string, everyMs = 4): Promise<void> {
  const cdp = await session(page);
  const start = Date.now() / 1000;
  const keys = [...text, '\r'];
  /* Sent in one go: the pace is that of the times they carry. */
  await Promise.all(
    keys.flatMap((key, i) => {
      const timestamp = start + (i * everyMs) / 1000;
      const name = key === '\r' ? 'Enter' : key;
      const code = key === '\r' ? 'Enter' : '';
      return [
        cdp.send('Input.dispatchKeyEvent', {
          type: 'keyDown',
          key: name,
          code,
          text: key,
          windowsVirtualKeyCode: key === '\r' ? 13 : 0,
          timestamp,
        }),
        cdp.send('Input.dispatchKeyEvent', { type: 'keyUp', key: name, code, timestamp }),
      ];
    }),
  );
}

/** The same inside the page, where nothing is focused that would take the keys: a hundred codes in a moment, whatever the load. */
export const scanInside = (page: Page, text: string): Promise<void> =>
  page.evaluate((code) => {
    for (const key of [...code, 'Enter']) {
      const press = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true });
      (document.activeElement ?? document.body).dispatchEvent(press);
    }
  }, text);

/** Types as a hand does: key by key, with a pause between them. */
export async function byHand(page: Page, text: string, pauseMs = 110): Promise<void> {
  for (const key of text) {
    await page.keyboard.press(key === ' ' ? 'Space' : key);
    await page.waitForTimeout(pauseMs);
  }
}
