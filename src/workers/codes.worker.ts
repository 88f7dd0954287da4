import * as Comlink from 'comlink';
import { readCode, type Picture } from './readCode.ts';

/** Codes in pictures of a camera, found beside the page so that it stays quick. */
const worker = { read: (picture: Picture): string | undefined => readCode(picture) };
export type CodesWorker = typeof worker;

Comlink.expose(worker);
