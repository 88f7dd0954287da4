import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { built, capture, installed, run } from './run.mjs';

/**
 * Everything CI asks: install, format, lint, types, unit and reference tests, build, end-to-end
 * tests; then the share of tests in the code and one line with the count.
 */
let passed = 0;
let failed = 0;

function step(name, work) {
  console.log(`\n── ${name}`);
  const ok = work();
  if (ok) passed += 1;
  else {
    failed += 1;
    console.log(`── ${name}: failed`);
  }
}

/** Programs from Debian the tests call: the browser, GNU units, poppler, the circuit simulator, the sensor program and made-up devices for it, lspci, a reader of codes, a constraint solver, a linear one, two readers of solids. */
function debian() {
  const needed = [
    ['/usr/bin/chromium', 'chromium'],
    ['/usr/bin/units', 'units'],
    ['/usr/bin/pdftoppm', 'poppler-utils'],
    ['/usr/bin/ngspice', 'ngspice'],
    ['/usr/bin/umockdev-run', 'umockdev'],
    ['/usr/bin/sensors', 'lm-sensors'],
    ['/usr/bin/lspci', 'pciutils'],
    ['/usr/bin/zbarimg', 'zbar-tools'],
    ['/usr/bin/ledger', 'ledger'],
    ['/usr/bin/minizinc', 'minizinc'],
    ['/usr/bin/glpsol', 'glpk-utils'],
    ['/usr/bin/admesh', 'admesh'],
    ['/usr/bin/assimp', 'assimp-utils'],
    ['/usr/share/misc/pci.ids', 'pci.ids'],
    ['/var/lib/usbutils/usb.ids', 'usb.ids'],
  ].filter(([path]) => !existsSync(path));
  if (needed.length === 0) return true;
  const names = needed.map(([, name]) => name);
  const command = `apt-get update && apt-get install -y --no-install-recommends ${names.join(' ')}`;
  if (process.getuid?.() !== 0) {
    console.log(`Missing: ${names.join(', ')}. As root: ${command}`);
    return false;
  }
  return (
    run('sh', ['-c', `${command} >/dev/null`], {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }) === 0
  );
}

/** A script of the project beside others; resolves to what it printed and whether all was well. */
function atOnce(name, script) {
  return new Promise((done) => {
    const child = spawn('npm', ['run', '--silent', script]);
    let printed = '';
    child.stdout.on('data', (data) => (printed += data));
    child.stderr.on('data', (data) => (printed += data));
    child.on('close', (code) => done({ name, ok: code === 0, printed }));
  });
}

/** Runs mocha, shows its output and adds its counts up. */
function mocha(args) {
  const { status, stdout, stderr } = capture('npx', ['mocha', ...args]);
  console.log(stdout.trimEnd());
  if (status !== 0 && stderr) console.log(stderr.trimEnd());
  const count = (word) => Number(new RegExp(`^\\s*(\\d+) ${word}`, 'm').exec(stdout)?.[1] ?? 0);
  passed += count('passing');
  failed += count('failing');
  if (status !== 0 && count('failing') === 0) failed += 1;
}

function lines(pattern) {
  const { stdout } = capture('git', ['ls-files', '--', ...pattern]);
  const files = stdout.split('\n').filter((file) => /\.(ts|js|mjs|svelte|css)$/.test(file));
  if (files.length === 0) return 0;
  const { stdout: counted } = capture('sh', ['-c', 'cat "$@" | wc -l', 'sh', ...files]);
  return Number(counted);
}

installed();
step('programs from Debian', debian);
for (const { name, ok, printed } of await Promise.all(
  [
    ['format', 'format:check'],
    ['lint', 'lint'],
    ['types', 'check'],
  ].map(([name, script]) => atOnce(name, script)),
))
  step(name, () => {
    console.log(printed.trimEnd());
    return ok;
  });
console.log('\n── unit and reference tests');
mocha([]);
console.log('\n── end-to-end tests');
built();
mocha(['--config', 'tests/e2e/.mocharc.json']);

const tests = lines(['tests/**']);
const code = lines(['src/**', 'scripts/**']);
if (code > 0)
  console.log(
    `\nTests are ${((100 * tests) / (tests + code)).toFixed(1)} % of ${tests + code} lines of code.`,
  );
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
