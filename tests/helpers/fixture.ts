import { readFileSync } from 'node:fs';

/** The text of a file in tests/fixtures; origins and licences are in its README. */
export function fixture(path: string): string {
  return readFileSync(new URL(`../fixtures/${path}`, import.meta.url), 'utf8');
}
