import { spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';

/** Runs a command with its output shown; returns its exit code. */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, { stdio: 'inherit', ...options });
  return status ?? 1;
}

/** Runs a command and returns what it printed and its exit code. */
export function capture(command, args, options = {}) {
  const { status, stdout, stderr } = spawnSync(command, args, {
    encoding: 'utf8',
    maxBuffer: 64 << 20,
    ...options,
  });
  return { status: status ?? 1, stdout: stdout ?? '', stderr: stderr ?? '' };
}

/** Installs the packages of the lockfile when they are missing or older than it. */
export function installed() {
  const mark = 'node_modules/.package-lock.json';
  if (existsSync(mark) && statSync(mark).mtimeMs >= statSync('package-lock.json').mtimeMs) return;
  console.log('Installing the packages of the lockfile …');
  if (run('npm', ['ci', '--no-audit', '--no-fund']) !== 0) process.exit(1);
}

/** Builds the product. */
export function built() {
  console.log('Building …');
  /* The pages, the thread that computes, and the licences of what is in them. */
  for (const more of [[], ['--config', 'vite.worker.config.ts']]) {
    const { status, stdout, stderr } = capture('npx', ['vite', 'build', ...more]);
    if (status !== 0) {
      console.error(stdout, stderr);
      process.exit(1);
    }
  }
  if (run('node', ['scripts/notices.mjs', 'build/client/licences.txt']) !== 0) process.exit(1);
}
