import { mkdirSync, writeFileSync } from 'node:fs';
import { said } from '../tests/golden/said.ts';

/** Writes down anew what the product says: read the difference before it is committed. */
mkdirSync('tests/fixtures/said', { recursive: true });
for (const [name, lines] of Object.entries(said))
  writeFileSync(`tests/fixtures/said/${name}.txt`, `${lines().join('\n')}\n`);
