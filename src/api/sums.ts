import { ValidationError } from 'yup';
import { worth as worthOf, WorthError } from '../core/donors/index.ts';
import { readWorth } from '../core/donors/schema.ts';
import { adapterJson } from '../core/export/adapter.ts';
import { HolesError, identifyBoard, type RegisterInput } from '../core/fit/holes/index.ts';
import { holesSchema } from '../core/fit/holes/schema.ts';
import { attribute, dropBetween, runFit, SettleError, type RunFit } from '../core/heat/index.ts';
import { readRuns } from '../core/heat/schema.ts';
import { DumpError, populations, trainedLinks, triesFor } from '../core/links/index.ts';
import { readLinks } from '../core/links/schema.ts';
import {
  classes,
  handMeter,
  identify,
  ReadingError,
  type Reading,
} from '../core/plugs/identify/index.ts';
import { identifySchema } from '../core/plugs/identify/schema.ts';
import { adapterRecipe, AdapterError } from '../core/plugs/adapter/index.ts';
import { readAdapterSpec } from '../core/plugs/adapter/schema.ts';
import { nextTests, oddsOf, standOf } from '../core/startup/index.ts';
import { readDiagnosis } from '../core/startup/schema.ts';
import { NetError, solveSystem } from '../core/watts/network/index.ts';
import { readNet } from '../core/watts/schema.ts';
import { ok, refused, type Answer, type Task } from './answer.ts';

/** Tasks over a few figures. What yup refuses is a 400 with the path of the fault. */
const validated =
  (work: Task, fault: (error: unknown) => Answer | undefined = () => undefined): Task =>
  (value, query) => {
    try {
      return work(value, query);
    } catch (error) {
      if (error instanceof ValidationError) return refused(400, error.message, error.path ?? null);
      const answer = fault(error);
      if (answer) return answer;
      throw error;
    }
  };

/** Whose board is it: hole places in mm in any frame, either side up. */
export const holes: Task = validated(
  (value) => {
    const input = holesSchema.validateSync(value) as RegisterInput;
    const { candidates, ...answer } = identifyBoard(input);
    return ok({
      ...answer,
      candidates: candidates.map(({ pattern, ...rest }) => ({ pattern: pattern.name, ...rest })),
    });
  },
  (error) =>
    error instanceof HolesError
      ? {
          status: 400,
          body: JSON.stringify({ message: error.message, path: 'points', holes: error.holes }),
        }
      : undefined,
);

/** The adapter of least cost with its sheets: wires, ties, converters, what cannot be done. */
export const plugsJoin: Task = validated(
  (value) => ({ status: 200, body: adapterJson(adapterRecipe(readAdapterSpec(value))) }),
  (error) => (error instanceof AdapterError ? refused(400, error.message) : undefined),
);

/** Which pin is which: chances of every class for every pin, ideas of the plug, the next reading. */
export const plugsIdentify: Task = validated(
  (value) => {
    const { rows, ways, loadSet, beepsTo, readings } = identifySchema.validateSync(value);
    const meter = { ...handMeter, ...(beepsTo !== undefined && { beepsTo }) };
    const answer = identify({ rows, ways }, readings as Reading[], { loadSet, meter });
    return ok({ classes, ...answer });
  },
  (error) =>
    error instanceof ReadingError || error instanceof RangeError
      ? refused(400, error.message, 'readings')
      : undefined,
);

/** The steady state of a direct-current net; `ok` false and the share of its loads it could carry. */
export const wattsSolve: Task = validated(
  (value) => ok(solveSystem(readNet(value))),
  (error) =>
    error instanceof NetError ? refused(400, error.message, error.at ?? null) : undefined,
);

/** Where runs settle, drops between neighbours, what each change did or the runs that would part them. */
export const heatFit: Task = validated((value) => {
  const said = readRuns(value).map((run, i): RunFit => {
    try {
      return runFit(run);
    } catch (error) {
      if (!(error instanceof SettleError)) throw error;
      throw new ValidationError(error.message, undefined, `runs[${i}].temperature`);
    }
  });
  return ok({
    runs: said.map(({ run, settling, roomC, riseK, driftKh, pinned }) => ({
      name: run.name,
      ...settling,
      roomC: roomC ?? null,
      riseK: riseK ?? null,
      driftKh: driftKh ?? null,
      pinned: pinned ?? null,
    })),
    drops: said.slice(1).map((each, i) => dropBetween(said[i] as RunFit, each)),
    attribution: attribute(said),
  });
});

/** How links were trained against what both ends can, with what to try; memory channel by channel. */
export const linksCheck: Task = validated(
  (value) => {
    const { lspci, memory } = readLinks(value);
    return ok({
      links:
        lspci === undefined
          ? []
          : trainedLinks(lspci).map((each) => ({ ...each, tries: triesFor(each, false) })),
      memory: memory
        ? populations(
            memory.modules.map((each, i) => ({ ...each, name: each.name ?? `module ${i + 1}` })),
            memory.channels,
            memory.platformMts,
          )
        : [],
    });
  },
  (error) => (error instanceof DumpError ? refused(400, error.message, 'lspci') : undefined),
);

/** Is it worth it: the price to offer at most, what it depends on, what has no price. Minor units. */
export const donorsWorth: Task = validated(
  (value) => ok(worthOf(readWorth(value))),
  (error) =>
    error instanceof WorthError ? refused(400, error.message, error.path ?? null) : undefined,
);

/** A search for a fault: odds of every cause, the tests still to make, the cause once it is sure. */
export const startupNext: Task = validated((value) => {
  const state = readDiagnosis(value);
  const { named, contradicts } = standOf(state);
  return ok({
    odds: oddsOf(state).odds.map(({ cause, share }) => ({
      cause: cause.id,
      name: cause.name,
      mend: cause.mend,
      share,
    })),
    next: nextTests(state).map(({ test, bits, minutes, chance, with: part }) => ({
      test: test.id,
      ask: test.ask,
      yes: test.yes,
      no: test.no,
      caution: test.caution ?? null,
      minutes,
      bits,
      chance,
      with: part?.name ?? null,
    })),
    named: named?.cause.id ?? null,
    contradicts: contradicts ?? null,
  });
});
