/** iCalendar (RFC 5545): what is planned, one event a task, times in UTC. */

export interface CalendarEvent {
  /** The same for the same task each time it goes out. */
  uid: string;
  title: string;
  note?: string | undefined;
  /** Minutes since 1970, UTC. */
  from: number;
  to: number;
}

/** The text of a calendar; lines end with CRLF and are folded at 75 octets as clause 3.1 wants. */
export function writeCalendar(events: readonly CalendarEvent[], stamp: string): string {
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Nutshell Swap//Week//EN',
    'CALSCALE:GREGORIAN',
    ...events.flatMap(({ uid, title, note, from, to }) => [
      'BEGIN:VEVENT',
      `UID:${escaped(uid)}`,
      `DTSTAMP:${compact(Date.parse(stamp))}`,
      `DTSTART:${compact(from * 60_000)}`,
      `DTEND:${compact(to * 60_000)}`,
      `SUMMARY:${escaped(title)}`,
      ...(note ? [`DESCRIPTION:${escaped(note)}`] : []),
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ];
  return `${lines.map(folded).join('\r\n')}\r\n`;
}

const compact = (ms: number): string => new Date(ms).toISOString().replace(/[-:]|\.\d{3}/g, '');

/** TEXT values: backslash, semicolon, comma and line ends (3.3.11). */
const escaped = (text: string): string =>
  text.replace(/\\/g, '\\\\').replace(/;/g, '\\;').replace(/,/g, '\\,').replace(/\r?\n/g, '\\n');

/** No line is longer than 75 octets; the rest goes on after a space, and no letter is cut in two. */
function folded(line: string): string {
  const parts: string[] = [];
  let part = '';
  let octets = 0;
  for (const letter of line) {
    const size = octetsOf(letter);
    if (octets + size > 75) {
      parts.push(part);
      part = ' ';
      octets = 1;
    }
    part += letter;
    octets += size;
  }
  return [...parts, part].join('\r\n');
}

/** Octets of a letter in UTF-8. */
function octetsOf(letter: string): number {
  const code = letter.codePointAt(0) ?? 0;
  return code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
}
