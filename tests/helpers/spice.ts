import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Runs lines of a netlist through ngspice and gives back the printed expressions as numbers, in order. */
export function spice(lines: readonly string[], asks: readonly string[]): number[] {
  const deck = [
    '* net',
    '.options reltol=1e-10 abstol=1e-13 vntol=1e-12 itl1=500',
    ...lines,
    '.control',
    'op',
    'set numdgt=15',
    ...asks.map((ask) => `let x = ${ask}\nprint x >> out.txt`),
    'quit',
    '.endc',
    '.end',
  ];
  const folder = mkdtempSync(join(tmpdir(), 'spice-'));
  try {
    writeFileSync(join(folder, 'net.cir'), `${deck.join('\n')}\n`);
    execFileSync('ngspice', ['-b', 'net.cir'], { cwd: folder, stdio: 'ignore' });
    const shown = readFileSync(join(folder, 'out.txt'), 'utf8');
    return [...shown.matchAll(/x = (\S+)/g)].map((match) => Number(match[1]));
  } finally {
    rmSync(folder, { recursive: true });
  }
}
