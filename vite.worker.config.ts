import { defineConfig } from 'vite';

/** The thread that computes for `/api/v1`, one file beside the built server. */
export default defineConfig({
  build: {
    ssr: 'src/api/worker.ts',
    outDir: 'build/compute',
    target: 'node20',
    rollupOptions: { output: { format: 'es', entryFileNames: 'worker.js' } },
  },
  ssr: { noExternal: true, external: ['piscina', 'highs'] },
});
