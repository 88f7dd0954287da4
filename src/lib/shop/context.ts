import { createContext } from 'svelte';
import type { JobView } from './jobView.svelte.ts';

/** The job the page is about, shared from the frame to the stations. */
export const [getView, setView] = createContext<JobView>();
