import type { Finding } from '../findings/finding.ts';
import { commonPractice } from '../standards/source.ts';

/** What is to be made, and why it cannot be drawn yet. */
export const lacking = (id: string, title: string, say: string): Finding => ({
  id,
  station: 'make',
  mark: 'watch',
  title,
  seats: [],
  unit: '',
  terms: [],
  marginLabel: 'not drawn yet',
  say,
  source: commonPractice,
  remedies: [],
  undoMinutes: 10,
});
