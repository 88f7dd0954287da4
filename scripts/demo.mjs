import { built, installed, run } from './run.mjs';

installed();
if (process.argv.includes('--dev')) {
  process.exit(
    run('npx', ['vite', 'dev', '--host', '127.0.0.1'], {
      env: { ...process.env, NUTSHELL_DEMO: '1' },
    }),
  );
}
built();
const { serve } = await import('./serve.mjs');
const port = Number(process.env.PORT ?? 4173);
try {
  const { address } = await serve({ port, demo: true });
  console.log(`\nThe demo shop is open at ${address}\nCtrl+C closes it.`);
} catch (error) {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken: PORT=4174 npm run demo`
      : `Could not serve: ${error.message}`,
  );
  process.exit(1);
}
