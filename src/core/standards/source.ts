/** Where a figure comes from. `memory`: written down from memory, not yet checked on a machine. */
export interface Source {
  title: string;
  clause?: string;
  memory?: boolean;
}

/** Common practice of the trade with no published source. */
export const commonPractice: Source = { title: 'common practice, no source' };

export function sourceText(source: Source): string {
  const clause = source.clause ? `, ${source.clause}` : '';
  return `${source.title}${clause}${source.memory ? ' (unverified figure)' : ''}`;
}
