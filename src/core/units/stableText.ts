/** JSON with names in alphabetical order and nothing left undefined: equal content gives equal text. */
export function stableText(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(stableText).join(',')}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null';
  const inner = Object.entries(value)
    .filter(([, each]) => each !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([name, each]) => `${JSON.stringify(name)}:${stableText(each)}`);
  return `{${inner.join(',')}}`;
}
