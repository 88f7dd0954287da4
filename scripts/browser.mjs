import { chromium } from 'playwright-core';

/** What keeps it from calling home. */
export const flags = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** Debian's Chromium; `CHROMIUM` names another path. */
export const executablePath = process.env.CHROMIUM ?? '/usr/bin/chromium';

export const launch = (more = []) => chromium.launch({ executablePath, args: [...flags, ...more] });

/** What the lines of the book say, straight out of the browser's store. */
export const linesOfBook = (page) =>
  page.evaluate(
    () =>
      new Promise((resolve) => {
        const opening = indexedDB.open('nutshell-swap');
        opening.onsuccess = () => {
          const all = opening.result.transaction('ledger').objectStore('ledger').getAll();
          all.onsuccess = () => {
            opening.result.close();
            resolve(all.result.map((entry) => entry.what));
          };
        };
      }),
  );
