import { expose } from 'comlink';
import {
  adapterRecipe,
  AdapterError,
  type AdapterSpec,
  type Recipe,
} from '$core/plugs/adapter/index.ts';

/** The adapter's wiring, off the page's thread. */
const api = {
  join(spec: AdapterSpec): Recipe | { fault: string } {
    try {
      return adapterRecipe(spec);
    } catch (error) {
      if (!(error instanceof AdapterError)) throw error;
      return { fault: error.message };
    }
  },
};

export type AdapterWorker = typeof api;
expose(api);
