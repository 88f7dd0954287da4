import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Licences of everything that goes out with the build, fonts too, as one text: what the lockfile lists as
 * needed to run, with the licence file each package ships.
 */
export function notices() {
  const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
  const own = readFileSync('LICENSE', 'utf8');
  const parts = Object.entries(lock.packages)
    .filter(([path, entry]) => path.startsWith('node_modules/') && !entry.dev && !entry.optional)
    .map(([path]) => {
      const { name, version, license } = JSON.parse(
        readFileSync(join(path, 'package.json'), 'utf8'),
      );
      const file = readdirSync(path).find((each) => /^(licen[cs]e|copying|notice)/i.test(each));
      const text =
        file && existsSync(join(path, file)) ? readFileSync(join(path, file), 'utf8') : '';
      return `${name} ${version}\nLicence: ${license ?? 'see below'}\n\n${text.trim() || 'The package ships no text of its licence.'}\n`;
    });
  return `Nutshell Swap\n\n${own.trim()}\n\n${'='.repeat(72)}\nIt contains these packages:\n\n${parts.join(`\n${'-'.repeat(72)}\n`)}`;
}

const to = process.argv[2];
if (import.meta.url === `file://${process.argv[1]}` && to) writeFileSync(to, notices());
