import { table } from './table.ts';

/** Currencies by what people write: code, sign or name, in any spelling. Codes are those of ISO 4217 as the engine knows them. */

/** Signs that mean one currency. */
const signs: Record<string, string> = table({
  '€': 'EUR',
  $: 'USD',
  '£': 'GBP',
  '¥': 'JPY',
  '₹': 'INR',
  '₽': 'RUB',
  '₺': 'TRY',
  '₴': 'UAH',
  '₩': 'KRW',
  '₪': 'ILS',
  zł: 'PLN',
  kč: 'CZK',
  us$: 'USD',
  a$: 'AUD',
  c$: 'CAD',
});

/** Names, with every currency they may mean; the first is meant where the shop's own is none of them. */
const names: Record<string, readonly string[]> = table({
  euro: ['EUR'],
  dollar: ['USD', 'AUD', 'CAD', 'NZD', 'SGD', 'HKD'],
  pound: ['GBP', 'EGP'],
  quid: ['GBP'],
  franc: ['CHF', 'XOF', 'XAF'],
  fr: ['CHF', 'XOF', 'XAF'],
  sfr: ['CHF'],
  yen: ['JPY'],
  yuan: ['CNY'],
  rupee: ['INR', 'PKR', 'LKR', 'NPR'],
  zloty: ['PLN'],
  złoty: ['PLN'],
  koruna: ['CZK'],
  forint: ['HUF'],
  leu: ['RON', 'MDL'],
  lei: ['RON', 'MDL'],
  lira: ['TRY'],
  hryvnia: ['UAH'],
  real: ['BRL'],
  reais: ['BRL'],
  rand: ['ZAR'],
  shekel: ['ILS'],
});

/** One word for several currencies of which none is usually meant: only the shop's own settles it. */
const shared: Record<string, readonly string[]> = table({
  kr: ['NOK', 'SEK', 'DKK', 'ISK'],
  krone: ['NOK', 'DKK'],
  kroner: ['NOK', 'DKK'],
  krona: ['SEK', 'ISK'],
  kronor: ['SEK'],
  crown: ['NOK', 'SEK', 'DKK', 'CZK', 'ISK'],
  peso: ['MXN', 'ARS', 'CLP', 'COP', 'PHP', 'UYU'],
});

/** Codes that are words of the bench when they are written small: `all`, `top`, `try`. */
const plainWords = new Set(['all', 'top', 'try', 'cup', 'pen', 'mop', 'bob', 'bam', 'sos', 'mad']);

/** Short names of the trade that look like a code and are none. */
const tradeWords = new Set(
  'SSD HDD RAM CPU GPU PSU APU ATX SFX TFX EPS USB LED LCD DVD VGA DVI SAS PCI AGP IDE NIC TPM ECC AIO RGB PWM UPS VRM BNC'.split(
    ' ',
  ),
);

let known: ReadonlySet<string> | undefined;
/** Every code of ISO 4217 the engine knows. */
export function currencyCodes(): ReadonlySet<string> {
  known ??= new Set(Intl.supportedValuesOf('currency'));
  return known;
}

export const isCurrency = (code: string): boolean => currencyCodes().has(code);

/**
 * The currency a word means beside an amount, `own` being the shop's. `undefined`: the word is none;
 * `fault`: it was meant as one, but which is not clear or not known.
 */
export function currencyOf(
  word: string,
  own: string,
): { code: string } | { fault: string } | undefined {
  const bare = word.replace(/[.,;:]+$/, '');
  const small = bare.toLowerCase();
  const sign = signs[small];
  if (sign) return { code: sign };
  const singular = small.endsWith('s') ? small.slice(0, -1) : small;
  const named = names[small] ?? names[singular];
  if (named) return { code: named.includes(own) ? own : (named[0] as string) };
  const many = shared[small] ?? shared[singular];
  if (many)
    return many.includes(own)
      ? { code: own }
      : many.length === 1
        ? { code: many[0] as string }
        : { fault: `Which ${bare}: ${many.join(', ')}?` };
  const upper = bare.toUpperCase();
  const isWord = plainWords.has(small) && bare !== upper;
  if (/^[a-z]{3}$/i.test(bare) && !isWord && isCurrency(upper)) return { code: upper };
  if (/^\p{Sc}$/u.test(bare)) return { fault: `${bare} is no currency known here.` };
  if (/^[A-Z]{3}$/.test(bare) && !tradeWords.has(bare))
    return { fault: `${bare} is no currency known here.` };
  return undefined;
}
