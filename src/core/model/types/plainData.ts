/** A copy of plain data without names that hold nothing, as a file would give it back. */
export function withoutUndefined<T>(value: T): T {
  if (Array.isArray(value)) return value.map(withoutUndefined) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, inner]) => inner !== undefined)
      .map(([key, inner]) => [key, withoutUndefined(inner as unknown)]),
  ) as T;
}
