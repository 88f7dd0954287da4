import { FORMAT, VERSION, type Job, type Shop } from './types.ts';

export function emptyShop(name = 'My bench'): Shop {
  return {
    format: FORMAT,
    version: VERSION,
    name,
    settings: { unit: 'mm', currency: 'EUR', headroom: 0.3, theme: 'auto', rates: [] },
    models: [],
    machines: [],
    parts: [],
    jobs: [],
    plugs: [],
    ledger: [],
    photos: [],
  };
}

export function emptyJob(id: string, name: string, becomes: string): Job {
  return {
    id,
    name,
    becomes,
    requirements: requirementsIn(becomes),
    changes: [],
    applied: [],
    schools: { start: 'bench', supply: 'last' },
    finishes: [],
    own: [],
    ticks: [],
    started: [],
    planned: [],
    waits: [],
    readings: [],
    clearings: [],
    wants: [],
    sums: [],
    runs: [],
    diagnoses: [],
    damages: [],
    trials: [],
    links: [],
    dropped: [],
    additions: [],
  };
}

const words = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];

/** What a goal's own words ask for: "map desk, four screens" asks for 4 screens. */
export function requirementsIn(text: string): Job['requirements'] {
  const found: Job['requirements'] = [];
  const number = `(\\d+|${words.join('|')})`;
  const count = (match: RegExpExecArray) => {
    const word = (match[1] ?? '').toLowerCase();
    const index = words.indexOf(word);
    return index < 0 ? Number(word) : index + 1;
  };
  const screens = new RegExp(`${number}\\s+(?:screens?|monitors?|displays?)`, 'i').exec(text);
  if (screens) found.push({ what: 'screens', count: count(screens) });
  const drives = new RegExp(`${number}\\s+(?:drives?|disks?)`, 'i').exec(text);
  if (drives) found.push({ what: 'drives', count: count(drives) });
  const memory = /(\d+)\s*GB(?:\s+(?:of\s+)?memory)?/i.exec(text);
  if (memory) found.push({ what: 'memoryGb', count: Number(memory[1]) });
  return found;
}
