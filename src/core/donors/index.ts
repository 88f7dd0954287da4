export { staying, type Staying } from './stays.ts';
export { worth, WorthError, type Amount, type Worth, type WorthInput } from './worth.ts';
