/**
 * Names from numbers. The open lists of PCI and USB numbers (pci.ids, usb.ids: a line `vvvv  name` for a
 * maker, a tab and `dddd  name` for its devices) are compacted to what is looked up here, and read
 * where they lie: nothing is taken apart before it is asked for.
 */

/** The list without notes, subsystems and classes: `vvvvname` and `\tddddname`, a line each. */
export function compactIds(text: string): string {
  const out: string[] = [];
  let inMaker = false;
  for (const line of text.split(/\r?\n/)) {
    const maker = /^([0-9a-f]{4})\s{2}(.+)$/i.exec(line);
    if (maker) {
      inMaker = true;
      out.push(`${maker[1]?.toLowerCase()}${maker[2]?.trim()}`);
    } else if (/^[A-Z]/.test(line)) inMaker = false;
    else if (inMaker) {
      const device = /^\t([0-9a-f]{4})\s{2}(.+)$/i.exec(line);
      if (device) out.push(`\t${device[1]?.toLowerCase()}${device[2]?.trim()}`);
    }
  }
  return `${out.join('\n')}\n`;
}

export interface IdIndex {
  makers: number;
  devices: number;
  /** Undefined where the list does not know the number; four hexadecimal figures, any case. */
  maker: (vendor: string) => string | undefined;
  device: (vendor: string, device: string) => string | undefined;
}

/** An index over a compacted list: where each maker begins, and how many there are. */
export function idIndex(compact: string): IdIndex {
  const starts = new Map<string, number>();
  let devices = 0;
  for (let at = 0; at < compact.length;) {
    if (compact.charCodeAt(at) === 9) devices += 1;
    else starts.set(compact.slice(at, at + 4), at);
    const end = compact.indexOf('\n', at);
    at = end < 0 ? compact.length : end + 1;
  }
  const lineAt = (at: number) => compact.slice(at, compact.indexOf('\n', at));
  return {
    makers: starts.size,
    devices,
    maker: (vendor) => {
      const at = starts.get(vendor.toLowerCase());
      return at === undefined ? undefined : lineAt(at + 4);
    },
    device: (vendor, device) => {
      const start = starts.get(vendor.toLowerCase());
      if (start === undefined || !/^[0-9a-f]{4}$/i.test(device)) return undefined;
      const key = `\t${device.toLowerCase()}`;
      let at = compact.indexOf('\n', start) + 1;
      while (compact.charCodeAt(at) === 9) {
        if (compact.startsWith(key, at)) return lineAt(at + 5);
        at = compact.indexOf('\n', at) + 1;
      }
      return undefined;
    },
  };
}

/** `8086:1502`, as inventories and `lspci -n` print a device; undefined when it is none. */
export function idIn(text: string): { vendor: string; device: string } | undefined {
  const match = /(?:^|[\s[(])(?:0x)?([0-9a-f]{4}):(?:0x)?([0-9a-f]{4})(?=$|[\s\])])/i.exec(text);
  return match?.[1] && match[2]
    ? { vendor: match[1].toLowerCase(), device: match[2].toLowerCase() }
    : undefined;
}

/** What a number is called, as far as the list knows it. */
export function nameOfId(
  index: IdIndex,
  { vendor, device }: { vendor: string; device: string },
): {
  name: string | undefined;
  say: string;
} {
  const [maker, own] = [index.maker(vendor), index.device(vendor, device)];
  if (maker !== undefined && own !== undefined)
    return { name: `${maker}, ${own}`, say: `${maker}, ${own}` };
  if (maker !== undefined)
    return { name: undefined, say: `Of ${maker}; the list has no name for ${vendor}:${device}.` };
  return { name: undefined, say: `The list knows no maker ${vendor}.` };
}
