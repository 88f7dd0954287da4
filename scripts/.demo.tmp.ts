import { readFileSync, writeFileSync } from 'node:fs';
import { readShop } from '../src/core/model/read.ts';
import { writeShop } from '../src/core/export/json.ts';
const f='src/core/demo/shop.json';
writeFileSync(f, writeShop(readShop(readFileSync(f,'utf8'))));
