import { shopStore } from './shopStore.svelte.ts';
import { toast } from './toasts.svelte.ts';

/** Says what was done, with a button that takes it back. */
export const undoable = (text: string): void => toast(text, 'plain', () => void shopStore.undo());
