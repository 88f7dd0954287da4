import { writeFileSync } from 'node:fs';
import { writeShop } from '../src/core/export/json.ts';
import { largeShop } from '../tests/helpers/largeShop.ts';

/** Writes a made-up shop to the path given: of 10 000 parts and 300 jobs, unless other counts follow. */
const [path = '', parts = '10000', jobs = '300'] = process.argv.slice(2);
writeFileSync(path, writeShop(largeShop(Number(parts), Number(jobs))));
