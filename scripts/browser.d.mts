import type { Browser } from 'playwright-core';

/** Debian's Chromium without a window; `more`: flags of its own beside the common ones. */
export function launch(more?: readonly string[]): Promise<Browser>;
