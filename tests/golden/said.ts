import { demoShop } from '../../src/core/demo/demoShop.ts';
import type { Finding } from '../../src/core/findings/finding.ts';
import { fastenersFor } from '../../src/core/fit/fasteners.ts';
import { blocks } from '../../src/core/fit/insertionPaths.ts';
import { leadPaths } from '../../src/core/fit/leads.ts';
import { limits } from '../../src/core/fit/limits.ts';
import { spaceOf } from '../../src/core/fit/space/space.ts';
import { attribute, fanPlan, heatRemedies, nextTrial, runFit } from '../../src/core/heat/index.ts';
import { chainsOf } from '../../src/core/links/index.ts';
import type { Plan } from '../../src/core/model/lookup/plan.ts';
import { planOf } from '../../src/core/plan/planOf.ts';
import { questions } from '../../src/core/plan/questions.ts';
import { runChecks } from '../../src/core/plan/run.ts';
import { workOrderOf } from '../../src/core/plan/workOrderOf.ts';
import { adapterRecipe, continuity, live, wireLine } from '../../src/core/plugs/adapter/index.ts';
import { fanLayout } from '../../src/core/plugs/fanLayout.ts';
import { identify, simulatedPlug, type Reading } from '../../src/core/plugs/identify/index.ts';
import { remedyId } from '../../src/core/remedies/index.ts';
import { plug, type Plug } from '../../src/core/standards/plugs/index.ts';
import { seededRandom } from '../../src/core/units/seededRandom.ts';
import { nextTests, symptomIds } from '../../src/core/startup/index.ts';
import type { Range } from '../../src/core/units/range.ts';
import { openLead } from '../../src/core/watts/openLead.ts';
import { peaksOf } from '../../src/core/watts/peaks.ts';
import { states, treeOf } from '../../src/core/watts/tree/index.ts';
import { planWith, type Seats } from '../helpers/build.ts';
import { cleanBuilds } from '../reference/builds/clean.ts';
import { mistakes } from '../reference/builds/mistakes.ts';

/**
 * What the product says, line by line, of machines everybody can look up: the demo's jobs, the clean builds and
 * the mistakes. Nobody claims that all of it is right; a change to any of it has to be meant, and is read in the
 * difference of the file.
 */
const n = (value: number): string => String(Number(value.toPrecision(6)));
const r = (value: Range | undefined): string => (value ? `${n(value.lo)}..${n(value.hi)}` : '-');

const sum = ({ id, mark, margin, undoMinutes, say, title, terms, remedies, source }: Finding) =>
  [
    id,
    mark,
    r(margin),
    `${undoMinutes} min`,
    title,
    say,
    terms
      .map((t) => `${t.sign} ${t.label} ${typeof t.value === 'string' ? t.value : r(t.value)}`)
      .join('; '),
    remedies
      .map((each) =>
        each.value.do === 'put'
          ? `put ${each.value.partId}`
          : `${remedyId(each.value)} ${each.mark} ${each.minutes} ${r(each.margin)}`,
      )
      .join('; '),
    source.title,
  ].join(' | ');

const sums = (plan: Plan): string[] => runChecks(plan).map(sum).sort();

function spaces(plan: Plan): string[] {
  const boxes = spaceOf(plan)?.boxes ?? [];
  return [
    ...boxes.map((b) =>
      [b.id, b.what, b.name, ...[b.x, b.y, b.w].map(([from, to]) => `${r(from)} to ${r(to)}`)].join(
        ' | ',
      ),
    ),
    ...blocks(plan).map(({ first, later, sure }) => `${first} before ${later} ${sure}`),
    ...leadPaths(plan).map(({ id, mm, path }) => `lead ${id} ${r(mm)} ${path.length} corners`),
    ...limits(plan).map((each) => `limit ${each.label} ${each.mm} ${each.with ?? ''} ${each.how}`),
    ...fastenersFor(plan).map((each) => `screws ${JSON.stringify(each)}`),
  ];
}

function watts(plan: Plan): string[] {
  const full = treeOf(plan, 'full');
  return [
    ...states.flatMap((state) =>
      (treeOf(plan, state)?.branches ?? []).map(
        (b) =>
          `${state} ${b.parent ?? ''} > ${b.id} ${b.label} ${r(b.watts)} W, lost ${r(b.lossW)}, ${r(b.amps)} A, ${r(b.volts)} V`,
      ),
    ),
    ...(full?.leads ?? []).flatMap((lead) => {
      const open = openLead(full!, lead, '12 V');
      return open ? [`open ${lead.id} ${JSON.stringify(open, rounded)}`] : [];
    }),
    ...(peaksOf(plan) ?? []).map((each) => `peak ${JSON.stringify(each, rounded)}`),
  ];
}

const rounded = (_key: string, value: unknown): unknown =>
  typeof value === 'number' ? Number(value.toPrecision(6)) : value;

const demo = demoShop('2026-11-25T09:00:00.000Z');

function jobs(): string[] {
  return demo.jobs.flatMap((job) => {
    const plan = planOf(demo, job);
    const order = workOrderOf(plan, job.schools);
    return [
      `## job ${job.id}`,
      ...sums(plan),
      ...spaces(plan),
      ...watts(plan),
      ...chainsOf(plan).map((chain) => `chain ${JSON.stringify(chain, rounded)}`.slice(0, 400)),
      ...questions(demo, runChecks(plan)).map(
        (q) => `asks ${q.input.seat} ${q.input.key} ${q.seconds} s, decides ${q.decides.join(' ')}`,
      ),
      ...order.map((step) => `step ${step.id} ${step.minutes} min: ${step.title}`),
    ];
  });
}

/** Each build against the one it comes from: only the lines that differ. */
function builds(): string[] {
  const plain = new Map(cleanBuilds.map(({ name, seats }) => [name, sums(planWith(seats))]));
  const first = plain.get(cleanBuilds[0]?.name ?? '') ?? [];
  const differing = (lines: readonly string[], from: readonly string[]) =>
    lines.filter((line) => !from.includes(line));
  return [
    ...cleanBuilds.flatMap(({ name }, i) => [
      `## ${name}`,
      ...(i === 0 ? first : differing(plain.get(name) ?? [], first)),
    ]),
    ...mistakes.flatMap((mistake) => {
      const base = cleanBuilds.find(({ name }) => name === mistake.of)?.seats ?? {};
      const seats = Object.fromEntries(
        Object.entries({ ...base, ...mistake.with }).filter(([, part]) => part !== null),
      ) as Seats;
      return [
        `## ${mistake.name}`,
        ...differing(sums(planWith(seats)), plain.get(mistake.of) ?? []),
      ];
    }),
    ...['workstation', 'one litre, 35 W', 'games, middle'].flatMap((name) => {
      const plan = planWith(cleanBuilds.find((each) => each.name === name)?.seats ?? {});
      return [`## ${name}, its space and watts`, ...spaces(plan), ...watts(plan)];
    }),
  ];
}

function heat(): string[] {
  return demo.jobs.flatMap((job) => {
    if (job.runs.length === 0) return [];
    const fits = job.runs.flatMap((run) => {
      try {
        return [runFit(run)];
      } catch {
        return [];
      }
    });
    return [
      `## runs of job ${job.id}`,
      ...fits.map((fit) => JSON.stringify({ ...fit, run: fit.run.name }, rounded).slice(0, 1500)),
      JSON.stringify(attribute(fits), rounded).slice(0, 4000),
      JSON.stringify(heatRemedies, rounded),
      ...(['undervolt', 'base clock'] as const).map((what) =>
        JSON.stringify(nextTrial(job.trials, what), rounded),
      ),
    ];
  });
}

function plugs(): string[] {
  const known = (id: string) => plug(id) as Plug;
  const pairs = [
    ['main24', 'main24'],
    ['main10', 'main24'],
    ['drive4', 'sata'],
    ['cpu8', 'cpu4'],
    ['card8', 'card6'],
    ['main20', 'main24'],
    ['fan4', 'fan5'],
  ] as const;
  const recipes = pairs.flatMap(([from, to]) => {
    try {
      const recipe = adapterRecipe({ gives: [known(from)], takes: [known(to)] });
      return [
        `## ${from} to ${to}`,
        ...recipe.wires.map(wireLine),
        JSON.stringify({ ...recipe, wires: recipe.wires.length }, rounded),
        ...continuity(recipe).map((row) => JSON.stringify(row)),
        ...live(recipe).map((row) => JSON.stringify(row, rounded)),
      ];
    } catch (error) {
      return [`## ${from} to ${to}`, (error as Error).message];
    }
  });
  const walk: string[] = [];
  for (const [seed, id] of [
    [1, 'main24'],
    [2, 'main10'],
    [3, 'cpu8'],
  ] as const) {
    const hidden = known(id);
    const grid = { rows: hidden.rows, ways: hidden.ways };
    const colours = hidden.pins.map((name) => (name === 'COM' ? 'black' : 'yellow'));
    const meter = simulatedPlug({ ...hidden, colours }, seededRandom(seed));
    const readings: Reading[] = [];
    for (let i = 0; i < 30; i += 1) {
      const { next } = identify(grid, readings, { loadSet: true });
      if (!next || next.again) break;
      const reading =
        next.with === undefined
          ? meter.read(next.pin, next.kind)
          : meter.common(next.pin, next.with);
      walk.push(`${id} ${i} ${JSON.stringify(next, rounded)} ${JSON.stringify(reading, rounded)}`);
      if (reading === 'fuse blown') break;
      readings.push(reading);
    }
    walk.push(JSON.stringify(identify(grid, readings, { loadSet: true }).pins, rounded));
  }
  const fans = [1, 2, 3].flatMap((headers) =>
    [1, 3, 5].map((count) =>
      JSON.stringify(
        fanLayout(
          headers,
          Array.from({ length: count }, (_, i) => ({
            seat: `fan${i + 1}`,
            amps: 0.1 + 0.2 * i,
          })) as never,
        ),
        rounded,
      ),
    ),
  );
  return [...recipes, '## identified, step by step', ...walk, '## fans on headers', ...fans];
}

function startup(): string[] {
  return symptomIds.flatMap((symptom) => [
    `## ${symptom}`,
    ...nextTests({ symptom, after: [], maker: false, spares: {}, tried: [] }).map((each) =>
      JSON.stringify({ id: each.test.id, ...each, test: undefined }, rounded).slice(0, 400),
    ),
  ]);
}

function fans(): string[] {
  const machine = {
    roomC: { lo: 18, hi: 28 },
    kwFull: 0.45,
    tauS: 120,
    noiseK: 0.5,
    watts: { idle: 8, usual: 30, full: 75 },
  };
  return [[40, 70, 100], [100], [20, 40, 60, 80, 100]].map((speeds) => {
    try {
      return JSON.stringify(
        fanPlan(
          machine,
          speeds.map((each) => each / 100),
          85,
          [34],
        ),
        rounded,
      );
    } catch (error) {
      return (error as Error).message;
    }
  });
}

/** The sections, each with its lines. */
export const said: Readonly<Record<string, () => string[]>> = {
  jobs,
  builds,
  heat: () => [...heat(), '## fan steps', ...fans()],
  plugs,
  startup,
};
