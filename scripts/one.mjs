import { run } from './run.mjs';

/** Runs the test files that are named, and nothing else: `npm run one -- tests/unit/units/money.test.ts`. */
const files = process.argv.slice(2);
if (files.length === 0) {
  console.log('npm run one -- tests/unit/units/money.test.ts [-g "part of a title"]');
  process.exit(1);
}
process.exit(
  run('node', [
    '--import',
    'tsx/esm',
    'node_modules/mocha/bin/mocha.js',
    '--no-config',
    '--extension',
    'ts',
    '--timeout',
    '60000',
    '--exit',
    ...files,
  ]),
);
