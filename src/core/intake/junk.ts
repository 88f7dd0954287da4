/** What firmware prints where nobody filled in the field. Common practice, no source. */
const junk = [
  /^$/,
  /^[\s.\-_x0]+$/i,
  /^f{8,}$/i,
  /^(to be )?fill(ed)? by o\.?e\.?m\.?/i,
  /^default string$/i,
  /^o\.?e\.?m\.?$/i,
  /^(not (specified|provided|available|applicable|present)|unknown|undefined|none|n\/a|empty|other|invalid|unspecified|null|no (data|value)|chassis (name|version))$/i,
  /^[(<[]\s*(null|none|empty|unknown|n\/a|not specified)\s*[)>\]]$/i,
  /^<?(out of spec|bad index)>?$/i,
  /^(system|chassis|base ?board|board) (manufacturer?|product name|name|version|serial number|asset tag)$/i,
  /^(asset|serial)[ -]?(tag|number|num)?[-_ ]?\d*$/i,
  /^0?1234567(89?0?)?$/,
  /^x{4,}$/i,
  /^no module installed$/i,
  /^uninstalled$/i,
];

/** The text, trimmed and with single spaces, or undefined when it says nothing. */
export function believable(text: unknown): string | undefined {
  if (typeof text !== 'string' && typeof text !== 'number') return undefined;
  const clean = String(text).replace(/\s+/g, ' ').trim();
  return junk.some((pattern) => pattern.test(clean)) ? undefined : clean;
}
