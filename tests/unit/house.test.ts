import { expect } from 'chai';
import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';

/** The walls of the house: which way imports point, and that none comes round again. */

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return filesIn(path);
    return /\.(ts|svelte)$/.test(entry.name) ? [path] : [];
  });

const SPECIFIER =
  /(?:\bfrom\s+|\bimport\(\s*|\bimport\s+)['"](\$core|\$lib|\.{1,2})(\/[^'"]*)['"]/g;

function importsOf(file: string): string[] {
  return [...readFileSync(file, 'utf8').matchAll(SPECIFIER)].map(([, root, path]) =>
    root === '$core'
      ? `src/core${path}`
      : root === '$lib'
        ? `src/lib${path}`
        : normalize(join(dirname(file), `${root}${path}`)),
  );
}

const imports = new Map(filesIn('src').map((file) => [file, importsOf(file)]));

/** A way that comes round to where it began, or none. */
function circleIn(graph: ReadonlyMap<string, readonly string[]>): string[] | undefined {
  const done = new Set<string>();
  const walk = (node: string, path: string[]): string[] | undefined => {
    const seen = path.indexOf(node);
    if (seen >= 0) return [...path.slice(seen), node];
    if (done.has(node)) return undefined;
    for (const next of graph.get(node) ?? []) {
      const circle = walk(next, [...path, node]);
      if (circle) return circle;
    }
    done.add(node);
    return undefined;
  };
  for (const node of graph.keys()) {
    const circle = walk(node, []);
    if (circle) return circle;
  }
  return undefined;
}

function roomsOf(graph: ReadonlyMap<string, readonly string[]>): Map<string, string[]> {
  const rooms = new Map<string, string[]>();
  for (const [file, targets] of graph) {
    const room = dirname(file);
    const others = targets
      .map(dirname)
      .filter((other) => other !== room && other.startsWith('src'));
    rooms.set(room, [...(rooms.get(room) ?? []), ...others]);
  }
  return rooms;
}

describe('the walls of the house', () => {
  it('reads imports of every kind it has', () => {
    const all = [...imports.values()].flat();
    expect(all.length).to.be.greaterThan(1500);
    const missing = all.filter((target) => /\.(ts|svelte)$/.test(target) && !imports.has(target));
    expect(missing).to.deep.equal([]);
    expect(
      circleIn(
        new Map([
          ['a', ['b']],
          ['b', ['c']],
          ['c', ['b']],
        ]),
      ),
    ).to.deep.equal(['b', 'c', 'b']);
  });

  it('has no circle of files and none of rooms', () => {
    expect(circleIn(imports)).to.equal(undefined);
    expect(circleIn(roomsOf(imports))).to.equal(undefined);
  });

  it('has parts of the interface that know neither shop nor plan', () => {
    const known = [...imports].flatMap(([file, targets]) =>
      file.startsWith('src/lib/ui/')
        ? targets
            .filter(
              (target) =>
                !/^src\/(lib\/ui|core\/(units|findings|standards|model\/types))\//.test(target),
            )
            .map((target) => `${file}: ${target}`)
        : [],
    );
    expect(known).to.deep.equal([]);
  });
});
