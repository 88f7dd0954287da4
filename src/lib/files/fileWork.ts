import { wrap, type Remote } from 'comlink';
import type { FilesWorker } from '../../workers/files.worker.ts';

let worker: Remote<FilesWorker> | undefined;
export const filesWorker = (): Remote<FilesWorker> =>
  (worker ??= wrap<FilesWorker>(
    new Worker(new URL('../../workers/files.worker.ts', import.meta.url), { type: 'module' }),
  ));
