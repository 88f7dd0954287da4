import type { Solver } from './search.ts';

/**
 * HiGHS, a solver of mixed-integer programs, compiled to WebAssembly. It weighs some megabytes: loaded when somebody
 * asks for a plan, and in a worker. `wasm`: where its binary is; by itself it looks beside its own module.
 */
export async function loadSolver(wasm?: string): Promise<Solver> {
  const { default: load } = await import('highs');
  const highs = await load(wasm === undefined ? {} : { locateFile: () => wasm });
  const { modelStatus } = highs.constants;
  return (lp, seconds) =>
    highs.withModel({ format: 'lp', data: lp }, (model) => {
      model.options.set({
        output_flag: false,
        time_limit: seconds,
        mip_rel_gap: 0,
        /* Lines are whole numbers: nearer than one is the same. */
        mip_abs_gap: 0.9,
        random_seed: 1,
      });
      model.run();
      const status = model.getModelStatus();
      if (status === modelStatus.infeasible)
        return {
          status: 'infeasible' as const,
          objective: NaN,
          bound: Infinity,
          values: undefined,
        };
      const objective = model.getObjectiveValue();
      const found = Math.abs(objective) < 1e29;
      const { colValue } = model.getSolution();
      const values = new Map<string, number>();
      if (found)
        for (const [i, value] of colValue.entries())
          if (Math.abs(value) > 1e-6) values.set(model.getColName(i), value);
      const optimal = status === modelStatus.optimal;
      return {
        status: optimal ? ('optimal' as const) : ('stopped' as const),
        objective,
        bound: optimal ? objective : Number(model.info.get('mip_dual_bound')),
        values: found ? values : undefined,
      };
    });
}
