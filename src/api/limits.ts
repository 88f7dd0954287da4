/**
 * The most seconds a request may compute: `NUTSHELL_REQUEST_SECONDS` for a slower machine, 5 where it is
 * not set or no positive number.
 */
export function requestSeconds(): number {
  const said = Number(process.env['NUTSHELL_REQUEST_SECONDS']);
  return Number.isFinite(said) && said > 0 ? said : 5;
}

/** Seconds after which a search stops by itself, before its thread would be stopped, and says what it had. */
export const searchSeconds = (): number => requestSeconds() * 0.8;
