import { expose } from 'comlink';
import { join, JoinError, type JoinSpec, type Recipe } from '$core/plugs/adapter/index.ts';

/** The adapter's wiring, off the page's thread. */
const api = {
  join(spec: JoinSpec): Recipe | { fault: string } {
    try {
      return join(spec);
    } catch (error) {
      if (!(error instanceof JoinError)) throw error;
      return { fault: error.message };
    }
  },
};

export type JoinWorker = typeof api;
expose(api);
