import { writeFileSync } from 'node:fs';
import { writeShop } from '../src/core/export/json.ts';
import { largeShop } from '../tests/helpers/largeShop.ts';

/** Writes a made-up shop of 10 000 parts and 300 jobs to the path given. */
writeFileSync(process.argv[2] ?? '', writeShop(largeShop(10_000, 300)));
