import { spawn } from 'node:child_process';
import {
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import ts from 'typescript';

/**
 * Wrong code let loose on the tests: one sign, bound, figure or word of the core is changed, and some test
 * has to fail. `npm run mutate -- [how many] [seed] [room …]`; prints what stayed alive and the share.
 */
const [count = '40', seed = '1', ...named] = process.argv.slice(2);
const rooms = named.length > 0 ? named : ['watts', 'fit', 'plugs', 'plan', 'heat', 'links'];
/** Longer than the slowest file of tests takes, ms: a mutant that hangs is dead too. */
const MOST_MS = 240_000;

const filesIn = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesIn(path) : entry.name.endsWith('.ts') ? [path] : [];
  });

const swaps = new Map([
  [ts.SyntaxKind.LessThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '<'],
  [ts.SyntaxKind.GreaterThanToken, '>='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '>'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AsteriskToken, '/'],
  [ts.SyntaxKind.SlashToken, '*'],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
]);
const words = { lo: 'hi', hi: 'lo', min: 'max', max: 'min', some: 'every', every: 'some' };

/** Every place of a file where one thing can be changed: from, to, the new text. */
function placesIn(path) {
  const text = readFileSync(path, 'utf8');
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
  const places = [];
  const add = (node, next) => {
    const at = node.getStart(source);
    const { line } = source.getLineAndCharacterOfPosition(at);
    places.push({ path, line: line + 1, from: at, to: node.getEnd(), next });
  };
  const walk = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node))
      return;
    if (ts.isBinaryExpression(node) && swaps.has(node.operatorToken.kind)) {
      const strings = [node.left, node.right].some(ts.isStringLiteralLike);
      if (!strings || node.operatorToken.kind !== ts.SyntaxKind.PlusToken)
        add(node.operatorToken, swaps.get(node.operatorToken.kind));
    }
    if (ts.isNumericLiteral(node) && !ts.isElementAccessExpression(node.parent)) {
      const value = Number(node.text);
      add(node, value === 0 ? '1' : String(Number((value * 1.1).toPrecision(6))));
    }
    if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false');
    if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true');
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      add(node, node.operand.getText(source));
    if (ts.isPropertyAccessExpression(node) && words[node.name.text])
      add(node.name, words[node.name.text]);
    ts.forEachChild(node, walk);
  };
  walk(source);
  return places.map((place) => ({ ...place, was: text.slice(place.from, place.to) }));
}

/** Random numbers from 0 to 1, the same for the same seed (mulberry32, public domain). */
function random(start) {
  let at = Number(start) | 0 || 1;
  return () => {
    at = (at + 0x6d2b79f5) | 0;
    let t = Math.imul(at ^ (at >>> 15), 1 | at);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

function copyOfHouse() {
  const folder = mkdtempSync(join(tmpdir(), 'mutant-'));
  for (const each of ['src', 'tests', 'scripts', 'docs', 'static', 'package.json', 'tsconfig.json'])
    cpSync(each, join(folder, each), { recursive: true });
  cpSync('.svelte-kit', join(folder, '.svelte-kit'), { recursive: true });
  symlinkSync(join(process.cwd(), 'node_modules'), join(folder, 'node_modules'));
  return folder;
}

/** Runs files of tests until the first that fails; true when one did. */
const failing = (folder, files) =>
  new Promise((resolve) => {
    const command = [
      '--import',
      'tsx/esm',
      'node_modules/mocha/bin/mocha.js',
      '--no-config',
      '--bail',
    ];
    const child = spawn('node', [...command, '--timeout', '120000', '--exit', ...files], {
      cwd: folder,
      stdio: 'ignore',
    });
    const late = setTimeout(() => child.kill('SIGKILL'), MOST_MS);
    child.on('close', (code) => {
      clearTimeout(late);
      resolve(code !== 0);
    });
  });

const tests = ['tests/unit', 'tests/reference']
  .flatMap(filesIn)
  .filter((path) => path.endsWith('.test.ts'));
/** Nearest first: those of the same room, then what stands on all rooms, then the others. */
const testsFor = (room) => {
  const own = tests.filter((path) => path.startsWith(`tests/unit/${room}/`));
  const shared = tests.filter(
    (path) => /unit\/(remedies|plan|resolve)\//.test(path) && !own.includes(path),
  );
  /* Nothing of these reaches the rooms that are mutated. */
  const far = /unit\/(units|shop|draw|house|said|intake|document|fuzz)/;
  const others = tests.filter(
    (path) => !own.includes(path) && !shared.includes(path) && !far.test(path),
  );
  return [['tests/unit/said.test.ts'], own, shared, others];
};

const places = rooms.flatMap((room) => filesIn(`src/core/${room}`).flatMap(placesIn));
const next = random(seed);
const picked = Array.from(
  { length: Number(count) },
  () => places.splice(Math.floor(next() * places.length), 1)[0],
);

let dead = 0;
const alive = [];
async function work(folder, queue) {
  for (let place = queue.pop(); place; place = queue.pop()) {
    const text = readFileSync(place.path, 'utf8');
    const wrong = join(folder, place.path);
    writeFileSync(wrong, text.slice(0, place.from) + place.next + text.slice(place.to));
    const room = place.path.split('/')[2];
    let died = false;
    for (const files of testsFor(room)) {
      if (files.length > 0 && (await failing(folder, files))) died = true;
      if (died) break;
    }
    writeFileSync(wrong, text);
    if (died) dead += 1;
    else alive.push(place);
    console.log(
      `${died ? 'dead ' : 'ALIVE'} ${place.path}:${place.line} ${place.was} -> ${place.next}`,
    );
  }
}

const folders = [copyOfHouse(), copyOfHouse()];
const queue = [...picked];
await Promise.all(folders.map((folder) => work(folder, queue)));
for (const folder of folders) rmSync(folder, { recursive: true, force: true });
console.log(
  `${dead} of ${picked.length} dead, ${((100 * alive.length) / picked.length).toFixed(0)} % alive (seed ${seed}).`,
);
