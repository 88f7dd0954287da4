import { convertSchema } from '@sodaru/yup-to-json-schema';
import { factDefinitions } from './factFields.ts';
import { finishDefinition, makeDefinition, printDefinition } from './finishSchema.ts';
import { remedyDefinition } from './remedyFields.ts';
import { shopSchema } from './schema.ts';
import { versionDefinition } from './versionsSchema.ts';

/** The published JSON Schema of the document, made from the Yup schema that import uses. */
export function jsonSchema(): Record<string, unknown> {
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: 'Nutshell Swap shop',
    ...convertSchema(shopSchema),
    $defs: {
      ...factDefinitions,
      finish: finishDefinition,
      make: makeDefinition,
      printed: printDefinition,
      remedy: remedyDefinition,
      version: versionDefinition,
    },
  };
}
