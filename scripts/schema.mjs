import { writeFileSync } from 'node:fs';
import { cardsJsonSchema } from '../src/core/document/cardsSchema.ts';
import { jsonSchema } from '../src/core/document/jsonSchema.ts';

/** Writes docs/schema.json and docs/cards.schema.json: run with `npm run schema` when a file's shape changes. */
const write = (name, schema) =>
  writeFileSync(`docs/${name}`, `${JSON.stringify(schema, null, 1)}\n`);
write('schema.json', jsonSchema());
write('cards.schema.json', cardsJsonSchema());
