/** Names as several tools write them. */

const plain = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Share of its words the shorter name must have in the longer to be one of the same piece. */
const SAME_WORDS = 0.6;

/** Do two names mean one thing? Tools write them in different words, but mostly the same ones. */
export function sameName(a: string, b: string, but = ''): boolean {
  const [short, long] = [a, b]
    .map((name) =>
      plain(name)
        .split(' ')
        .filter((word) => word !== but && word !== ''),
    )
    .sort((x, y) => x.length - y.length) as [string[], string[]];
  const shared = short.filter((word) => long.includes(word)).length;
  return short.length === 0 || shared / short.length >= SAME_WORDS;
}

/** A word without its case, spaces and signs. */
export const packed = (text: string): string => plain(text).replaceAll(' ', '');
