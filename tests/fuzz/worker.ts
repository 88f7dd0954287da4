import { attack } from './attack.ts';

/** A process that attacks as it is told, one batch after the other. */
process.on('message', ([name, from, count]: [string, number, number]) =>
  process.send?.(attack(name, from, count)),
);
process.send?.('ready');
