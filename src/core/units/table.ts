/**
 * A table looked up by text from files or fields: without a prototype, so that `constructor` and
 * `__proto__` are words like any other.
 */
export const table = <V>(entries: Readonly<Record<string, V>> = {}): Record<string, V> =>
  Object.assign(Object.create(null) as Record<string, V>, entries);
