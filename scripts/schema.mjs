import { writeFileSync } from 'node:fs';
import { jsonSchema } from '../src/core/document/jsonSchema.ts';

/** Writes docs/schema.json: run with `npm run schema` when the document's shape changes. */
writeFileSync('docs/schema.json', `${JSON.stringify(jsonSchema(), null, 1)}\n`);
