/** `Screws M3` and `screw M3` are one thing: words in any order, without their plural. */
export const plainName = (text: string): string =>
  text
    .toLowerCase()
    .split(/[^a-z0-9.]+/)
    .map((word) => (word.length > 3 ? word.replace(/s$/, '') : word))
    .filter(Boolean)
    .sort()
    .join(' ');
