import { monitorEventLoopDelay } from 'node:perf_hooks';
import { serve } from './serve.mjs';

/** The server in a process of its own, for the bench: says where it is, then how long its thread stood still at most, ms. */
const { address } = await serve({ port: 0 });
/* A page was asked for before: what is loaded with the first request is. */
await fetch(`${address}/api/v1/check`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: '{}',
});
const delay = monitorEventLoopDelay({ resolution: 5 });
delay.enable();
process.send({ address });
process.once('message', () => {
  delay.disable();
  process.send({ longest: delay.max / 1e6 });
  process.exit();
});
