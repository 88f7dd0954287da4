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

export const launch = () => chromium.launch({ executablePath, args: flags });
