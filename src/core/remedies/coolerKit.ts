import { remedy } from './kind.ts';

declare module '../model/types/remedyValue.ts' {
  interface RemedyFields {
    coolerKit: { socket?: string };
  }
}

/** The mounting kit of a cooler for the board's socket. */
export const coolerKit = remedy({
  do: 'coolerKit',
  id: 'cooler-kit',
  fields: { socket: { holds: 'word', aside: true } },
  title: ({ socket }) => `Mounting kit for ${socket ?? 'the socket'}`,
  minutes: 15,
  get: ({ socket }) => ({ what: `cooler kit ${socket ?? ''}`.trim(), count: 1 }),
  undoable: true,
});
