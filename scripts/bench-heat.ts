import { runFit, settle, thinned } from '../src/core/heat/index.ts';
import { madeRun } from '../src/core/heat/simulate.ts';
import type { HeatRun } from '../src/core/model/types/types.ts';
import {
  bestFirst,
  byChecklist,
  faultyMachine,
  diagnoseBy,
  simulatedSpares,
} from '../src/core/startup/simulated.ts';
import { nextTests, symptomIds } from '../src/core/startup/index.ts';
import { readLog, sourceOf } from '../src/workers/readLog.ts';

/** Heat and power-up: a large log read and fitted, spans that hold the truth, the next test and hunts against a checklist. */

const medianOf = (values: number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

const ROWS = 500_000;
const { s, v } = madeRun({ seed: 3, taus: 6, everyS: 0.5 });
const lines = Array.from({ length: ROWS }, (_, i) => {
  const at = Math.min(s.length - 1, Math.floor((i / ROWS) * s.length));
  return `${(i * 0.2).toFixed(1)},${(v[at] ?? 0).toFixed(2)},${900 + (i % 50)},${3600 - (i % 40)},${(60 + (i % 7)).toFixed(1)}`;
});
const bytes = new TextEncoder().encode(
  `Time [s],CPU Package [°C],Fan 1 [RPM],Core 0 Clock [MHz],CPU Package Power [W]\n${lines.join('\n')}\n`,
);
lines.length = 0;
const times: number[] = [];
const grown: number[] = [];
for (let i = 0; i < 3; i += 1) {
  globalThis.gc?.();
  const before = process.memoryUsage().rss;
  const start = performance.now();
  const log = await readLog(sourceOf(bytes));
  settle(thinned(log.seconds, log.columns[0]!.values, 800));
  times.push(performance.now() - start);
  grown.push(process.memoryUsage().rss - before);
}
const reading = medianOf(times);
const memory = Math.max(0, medianOf(grown));

let held = 0;
for (let seed = 1; seed <= 500; seed += 1) {
  const run = madeRun({ seed });
  const course = (what: 'temperature' | 'room', values: number[]) => ({
    what,
    name: what,
    s: run.s,
    v: values,
  });
  const made: HeatRun = {
    id: 'r',
    name: 'r',
    at: '2026-11-25',
    load: 'full load',
    panel: 'on',
    changed: [],
    courses: [course('temperature', run.v), course('room', run.room)],
  };
  const { settling } = runFit(made);
  if (run.endC >= settling.lo && run.endC <= settling.hi) held += 1;
}

const start = { after: [], maker: false, spares: simulatedSpares };
const asked = symptomIds.map((sign) => {
  const began = performance.now();
  nextTests({ ...start, symptom: sign, tried: [{ test: 'look', yes: false }] });
  return performance.now() - began;
});
let [own, list, right, rightByList] = [0, 0, 0, 0];
const shares: number[] = [];
for (let i = 1; i <= 500; i += 1) {
  const machine = faultyMachine(symptomIds[i % symptomIds.length]!, i * 7919);
  const [a, b] = [diagnoseBy(machine, start, bestFirst), diagnoseBy(machine, start, byChecklist)];
  own += a.minutes;
  list += b.minutes;
  shares.push(a.minutes / Math.max(1, b.minutes));
  if (a.named === machine.cause.id) right += 1;
  if (b.named === machine.cause.id) rightByList += 1;
}
const sorted = [...shares].sort((a, b) => a - b);
const at = (share: number) => (100 * (sorted[Math.floor(share * sorted.length)] ?? 0)).toFixed(0);

console.log(
  JSON.stringify([
    {
      what: 'log of 500 000 rows read and fitted, Node',
      figure: `${(reading / 1000).toFixed(2)} s`,
      wanted: 'under 2 s',
      met: reading < 2000,
    },
    {
      what: 'memory it grows by, the file held beside, Node',
      figure: `${(memory / 1e6).toFixed(0)} MB`,
      wanted: 'under 300 MB',
      met: memory < 3e8,
    },
    {
      what: '500 made-up settlings: truth within the span of 95 in 100',
      figure: `${((100 * held) / 500).toFixed(1)} %`,
      wanted: '93 to 97 %',
      met: held >= 465 && held <= 485,
    },
    {
      what: 'next test of a search for a fault, Node',
      figure: `${medianOf(asked).toFixed(1)} ms`,
      wanted: 'under 20 ms',
      met: medianOf(asked) < 20,
    },
    {
      what: `500 hidden faults: minutes of a checklist's (a quarter under ${at(0.25)}, half under ${at(0.5)}, three quarters under ${at(0.75)} %)`,
      figure: `${((100 * own) / list).toFixed(0)} %`,
      wanted: 'at most 60 %',
      met: own / list <= 0.6,
    },
    {
      what: `hidden faults named right, of 500 (by the checklist ${rightByList})`,
      figure: String(right),
      wanted: 'as many',
      met: right >= rightByList - 5,
    },
  ]),
);
