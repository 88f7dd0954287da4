import { readdirSync, readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { demoShop } from '../../src/core/demo/demoShop.ts';
import { bookTable, journal } from '../../src/core/export/journal.ts';
import { jobShop } from '../../src/core/export/jobShop.ts';
import { writeShop } from '../../src/core/export/json.ts';
import { labelsFor } from '../../src/core/export/labels.ts';
import { partsTable } from '../../src/core/export/partsTable.ts';
import { PlugFileError, readPlugs } from '../../src/core/export/ownPlugs.ts';
import { recordOf, sheetOf } from '../../src/core/record/sheet.ts';
import { LogError, logOf } from '../../src/core/heat/log.ts';
import { sensorsJson, typedPairs } from '../../src/core/heat/typed.ts';
import { IntakeError } from '../../src/core/intake/inventory.ts';
import { mergeInventories } from '../../src/core/intake/merge.ts';
import { readPriceList } from '../../src/core/intake/priceList.ts';
import { readInventories } from '../../src/core/intake/read.ts';
import { DumpError, trainedLinks } from '../../src/core/links/trained.ts';
import { emptyShop } from '../../src/core/model/types/empty.ts';
import { readShop, ShopFileError } from '../../src/core/document/read.ts';
import type { Shop } from '../../src/core/model/types/types.ts';
import { standing } from '../../src/core/shop/standing.ts';
import { planOf } from '../../src/core/plan/planOf.ts';
import { questions } from '../../src/core/plan/questions.ts';
import { checksOf, NOT_COMPUTED } from '../../src/core/plan/run.ts';
import { diagnosisOf, learnedOf } from '../../src/core/plan/startupOf.ts';
import { allocationsOf } from '../../src/core/shop/allocations.ts';
import { tripList } from '../../src/core/shop/shopping.ts';
import { workOrderOf } from '../../src/core/plan/workOrderOf.ts';
import { takeIn } from '../../src/core/edits/intakeEdits.ts';
import { harmed, mutated, pick, type Random } from './mutate.ts';

/** What is attacked, and what must hold of every answer. */

export interface Verdict {
  /** Refused with a sentence, accepted and computed, or broken. */
  how: 'refused' | 'accepted' | 'broken';
  /** What broke, with where. */
  why?: string;
}
/** One attack: builds its input from chance, and says how it went. */
export type Subject = (rnd: Random) => { input: string; verdict: () => Verdict };

const now = '2026-11-25T09:00:00.000Z';
const fixture = (path: string) =>
  readFileSync(new URL(`../fixtures/${path}`, import.meta.url), 'utf8');

/** Small shops: a job each of the demo, and of every older version. */
const documents: unknown[] = [
  ...demoShop(now).jobs.map((job) => JSON.parse(writeShop(jobShop(demoShop(now), job))) as unknown),
  ...[1, 2, 3, 4, 5].map((version) => smaller(JSON.parse(fixture(`shops/v${version}.json`)))),
];

/** An older shop with its first job only, cut down without the help of what is tested. */
function smaller(value: unknown): unknown {
  const shop = value as Record<
    string,
    {
      id: string;
      machineId?: string;
      seats?: { partId: string }[];
      changes?: { partId: string | null }[];
      modelId?: string;
    }[]
  >;
  const job = shop['jobs']![0]!;
  const machines = shop['machines']!.filter((each) => each.id === job.machineId);
  const ids = new Set([
    ...machines.flatMap((each) => (each.seats ?? []).map((seat) => seat.partId)),
    ...(job.changes ?? []).map((change) => change.partId),
  ]);
  const parts = shop['parts']!.filter((each) => ids.has(each.id));
  const models = shop['models']!.filter((each) => parts.some((part) => part.modelId === each.id));
  return { ...shop, jobs: [job], machines, parts, models };
}

/** Everything a shop is asked once it was accepted. Throws where something breaks. */
export function useAll(shop: Shop): void {
  for (const job of shop.jobs) {
    const plan = planOf(shop, job);
    const found = checksOf(shop, job);
    for (const finding of found) {
      if (finding.id.startsWith(NOT_COMPUTED)) throw new Error(`job ${job.id}: ${finding.say}`);
      const said = `${finding.title} ${finding.say} ${finding.marginLabel} ${finding.margin?.lo} ${finding.margin?.hi}`;
      if (/\bNaN\b|\[object/.test(said))
        throw new Error(`job ${job.id}: ${finding.id} says ${said}`);
    }
    workOrderOf(plan, job.schools);
    questions(shop, found);
    standing(shop, job, now);
    for (const hunt of job.diagnoses) {
      diagnosisOf(plan, hunt);
      learnedOf(shop, hunt.id);
    }
    sheetOf(shop, job);
    JSON.stringify(recordOf(shop, job, now));
    Papa.unparse(
      partsTable(
        shop,
        plan.seats.map((placed) => placed.part),
      ),
    );
  }
  allocationsOf(shop);
  tripList(shop);
  journal(shop);
  Papa.unparse(bookTable(shop));
  for (const which of ['shelf', 'places', 'donors', `job:${shop.jobs[0]?.id}`])
    labelsFor(shop, which);
  const again = readShop(writeShop(shop));
  if (writeShop(again) !== writeShop(shop)) throw new Error('read again it is another shop');
}

const broken = (error: unknown, where: string): Verdict => ({
  how: 'broken',
  why: `${where}: ${(error as Error).stack?.split('\n').slice(0, 4).join(' | ') ?? String(error)}`,
});

function clean(): string | undefined {
  const extra = Object.keys(Object.prototype)[0];
  return extra === undefined ? undefined : `Object.prototype has ${extra}`;
}

const document: Subject = (rnd) => {
  const text = JSON.stringify(mutated(pick(rnd, documents), rnd));
  const input = rnd() < 0.05 ? harmed(text, rnd) : text;
  return {
    input,
    verdict: () => {
      let shop: Shop;
      try {
        shop = readShop(input);
      } catch (error) {
        if (!(error instanceof ShopFileError)) return broken(error, 'reading');
        if (
          !error.message ||
          (error.path === undefined && !/is (?:empty|no JSON|cut off|damaged)/.test(error.message))
        )
          return { how: 'broken', why: `refused without a place: ${error.message}` };
        return { how: 'refused' };
      }
      try {
        useAll(shop);
      } catch (error) {
        return broken(error, 'accepted, then');
      }
      const dirty = clean();
      return dirty ? { how: 'broken', why: dirty } : { how: 'accepted' };
    },
  };
};

const inventories = readdirSync(new URL('../fixtures/inventories', import.meta.url)).map((name) =>
  fixture(`inventories/${name}`),
);

const inventory: Subject = (rnd) => {
  const text = pick(rnd, inventories);
  const json = /^\s*[[{]/.test(text);
  const input =
    json && rnd() < 0.7 ? JSON.stringify(mutated(JSON.parse(text), rnd)) : harmed(text, rnd);
  return {
    input,
    verdict: () => {
      try {
        const merged = mergeInventories(readInventories(input));
        const shop = takeIn(
          'M1',
          merged,
          now,
        )({
          ...emptyShop(),
          jobs: [],
        });
        useAll(readShop(writeShop(shop)));
      } catch (error) {
        return error instanceof IntakeError && error.message
          ? { how: 'refused' }
          : broken(error, 'inventory');
      }
      const dirty = clean();
      return dirty ? { how: 'broken', why: dirty } : { how: 'accepted' };
    },
  };
};

const prices = [
  'kind,name,price,currency,length\ncard,Some card,38,EUR,267\nfan,Fan 92,4.50,EUR,\nsupply,Supply 450,25,USD,\n',
  'kind;name;price\nmemory;8 GB DDR4;12,50\ncooler;Low cooler;9\n',
];
const priceList: Subject = (rnd) => {
  const input = harmed(pick(rnd, prices), rnd);
  return {
    input,
    verdict: () => {
      const { data } = Papa.parse<string[]>(input, { skipEmptyLines: true });
      try {
        const read = readPriceList(data, { source: 'a list', currency: 'EUR', at: now });
        const shop = {
          ...emptyShop(),
          parts: read.parts.map((part, i) => ({ ...part, id: `P${i + 1}` })),
        };
        useAll(readShop(writeShop(shop)));
        return { how: 'accepted' };
      } catch (error) {
        return error instanceof IntakeError ? { how: 'refused' } : broken(error, 'price list');
      }
    },
  };
};

const csv = `Time,CPU [°C],GPU [°C],Clock [MHz],Power [W]\n${Array.from({ length: 30 }, (_, i) => `${i * 10},${40 + i},${35 + i / 2},3600,${60 + (i % 3)}`).join('\n')}\n`;
const sensors = JSON.stringify([
  { 'coretemp-isa-0000': { 'Core 0': { temp2_input: 45, temp2_max: 100 } } },
  { 'coretemp-isa-0000': { 'Core 0': { temp2_input: 47, temp2_max: 100 } } },
]);
const heatLog: Subject = (rnd) => {
  const which = rnd();
  const input =
    which < 0.5
      ? harmed(csv, rnd)
      : which < 0.75
        ? JSON.stringify(mutated(JSON.parse(sensors), rnd))
        : harmed('0 31\n1 45\n2 54\n3 59\n4 62.5', rnd);
  return {
    input,
    verdict: () => {
      try {
        const log =
          which < 0.5
            ? logOf(Papa.parse<string[]>(input).data, rnd() < 0.3)
            : which < 0.75
              ? sensorsJson(JSON.parse(input) as unknown[], 2)
              : typedPairs(input);
        if ([...log.seconds].some((s) => !Number.isFinite(s)))
          return { how: 'broken', why: 'a time that is no number' };
        for (const column of log.columns)
          for (const value of column.values)
            if (value === Infinity || value === -Infinity)
              return { how: 'broken', why: `${column.name} holds ${value}` };
        return { how: 'accepted' };
      } catch (error) {
        return error instanceof LogError ? { how: 'refused' } : broken(error, 'log');
      }
    },
  };
};

const lspci = `00:01.0 PCI bridge [0604]: Somebody Root Port [8086:1901] (rev 05)\n\tBus: primary=00, secondary=01, subordinate=01, sec-latency=0\n\t\tLnkCap:\tPort #2, Speed 8GT/s, Width x16, ASPM L0s L1\n\t\tLnkSta:\tSpeed 8GT/s, Width x8\n01:00.0 VGA compatible controller [0300]: Somebody Card [1234:5678] (rev a1) (prog-if 00 [VGA controller])\n\t\tLnkCap:\tPort #0, Speed 8GT/s, Width x16, ASPM L0s L1\n\t\tLnkSta:\tSpeed 2.5GT/s (downgraded), Width x8 (downgraded)\n`;
const links: Subject = (rnd) => {
  const input = harmed(lspci, rnd);
  return {
    input,
    verdict: () => {
      try {
        for (const each of trainedLinks(input))
          if (![each.gbs, each.couldGbs, each.runs.gts].every(Number.isFinite))
            return { how: 'broken', why: 'a link that is no number' };
        return { how: 'accepted' };
      } catch (error) {
        return error instanceof DumpError ? { how: 'refused' } : broken(error, 'links');
      }
    },
  };
};

const ownPlugs: Subject = (rnd) => {
  const file = {
    format: 'nutshell-swap-plugs',
    version: 1,
    plugs: [
      { id: 'a', name: 'a', rows: 1, ways: 4, pitchMm: 4.2, pins: ['COM', '+12V', '?', '+5V'] },
    ],
  };
  const input =
    rnd() < 0.5 ? JSON.stringify(mutated(file, rnd)) : harmed(JSON.stringify(file), rnd);
  return {
    input,
    verdict: () => {
      try {
        readPlugs(input);
        return { how: 'accepted' };
      } catch (error) {
        return error instanceof PlugFileError && error.message
          ? { how: 'refused' }
          : broken(error, 'plugs');
      }
    },
  };
};

export const subjects: Record<string, Subject> = {
  document,
  inventory,
  priceList,
  heatLog,
  links,
  ownPlugs,
};
