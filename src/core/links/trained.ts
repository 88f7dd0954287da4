import { generationOf, laneGBs } from '../standards/links.ts';

/** What two ends of a link can, and how it runs. */
export interface Trained {
  slot: string;
  name: string;
  /** What the device itself can. */
  can: { gts: number; lanes: number };
  /** What the port it hangs on can; undefined where the dump does not say. */
  port: { slot: string; gts: number; lanes: number } | undefined;
  runs: { gts: number; lanes: number };
  /** Below what both ends can: in speed, in lanes, or not at all. */
  below: ('slower' | 'narrower')[];
  gbs: number;
  couldGbs: number;
  /** The stretch behind a switch that narrows the way, where it is not the device's own. */
  by: { slot: string; name: string } | undefined;
}

export class DumpError extends Error {}

interface Ends {
  gts: number;
  lanes: number;
}

interface Device {
  slot: string;
  name: string;
  bridge: boolean;
  secondary: string | undefined;
  cap: { gts: number; lanes: number } | undefined;
  sta: { gts: number; lanes: number } | undefined;
}

/**
 * Links out of `lspci -vv` (pciutils): capability against state, device against the port its bus
 * hangs on. A device behind a switch (of its own card, or of the board) runs at the narrowest stretch of its
 * whole way: that one is told, with whose it is. Devices without a link are left out. Throws DumpError where no device is in the text,
 * or none tells of its link (a dump without rights says so).
 */
export function trainedLinks(text: string): Trained[] {
  const devices = devicesIn(text);
  if (devices.length === 0)
    throw new DumpError('No device in this text: paste the whole answer of lspci -vv.');
  const linked = devices.filter((each) => each.cap && each.sta);
  if (!/LnkCap:/.test(text))
    throw new DumpError(
      /access denied/i.test(text)
        ? 'The links are hidden: run lspci -vv with the rights of the administrator.'
        : 'No link in this text: lspci with -vv, not without.',
    );
  const bridges = new Map(
    devices.flatMap((each) =>
      each.bridge && each.secondary ? [[each.secondary, each] as const] : [],
    ),
  );
  const portOf = (each: Device): Device | undefined => bridges.get(busOf(each.slot));
  return linked
    .filter((each) => !each.bridge)
    .map((each): Trained => {
      const way = stretchesOf(each, portOf);
      const own = way[0] as Stretch;
      const slowest = way.reduce((least, one) => (one.gbs < least.gbs - 1e-9 ? one : least), own);
      return {
        slot: each.slot,
        name: each.name,
        can: slowest.can,
        port: slowest.port,
        runs: slowest.runs,
        below: slowest.below,
        gbs: slowest.gbs,
        couldGbs: Math.min(...way.map((one) => one.couldGbs)),
        by: slowest === own ? undefined : { slot: slowest.device.slot, name: slowest.device.name },
      };
    });
}

/** One link of the way: a device (or the upper port of a switch) and the port it hangs on. */
interface Stretch extends Pick<Trained, 'can' | 'port' | 'runs' | 'below' | 'gbs' | 'couldGbs'> {
  device: Device;
}

/** The links of a device's way, its own first, up to the processor or as far as the dump tells. */
function stretchesOf(device: Device, portOf: (each: Device) => Device | undefined): Stretch[] {
  const way: Stretch[] = [];
  for (let each: Device | undefined = device; each && way.length < MOST_SWITCHES;) {
    const port = portOf(each);
    if (each.cap && each.sta) way.push(stretch(each, each.cap, each.sta, port));
    each = port && portOf(port);
  }
  return way;
}

/** No machine has more switches one behind the other; a dump that says so goes round in circles. */
const MOST_SWITCHES = 8;

function stretch(device: Device, can: Ends, runs: Ends, above: Device | undefined): Stretch {
  const port = above?.cap && { slot: above.slot, ...above.cap };
  const both = {
    gts: Math.min(can.gts, port?.gts ?? Infinity),
    lanes: Math.min(can.lanes, port?.lanes ?? Infinity),
  };
  return {
    device,
    can,
    port,
    runs,
    below: [
      ...(runs.gts < both.gts - 0.01 ? (['slower'] as const) : []),
      ...(runs.lanes < both.lanes ? (['narrower'] as const) : []),
    ],
    gbs: gbsOf(runs),
    couldGbs: gbsOf(both),
  };
}

const gbsOf = ({ gts, lanes }: Ends): number => {
  const generation = generationOf(gts);
  return generation ? laneGBs(generation) * lanes : 0;
};

/** The bus of `0000:01:00.0` or `01:00.0`. */
const busOf = (slot: string): string => slot.split(':').at(-2) ?? '';

/** No line of lspci is that long; what is behind it is not read. */
const LONGEST_LINE = 500;

function devicesIn(text: string): Device[] {
  const devices: Device[] = [];
  let now: Device | undefined;
  for (const whole of text.split(/\r?\n/)) {
    const line = whole.slice(0, LONGEST_LINE);
    const head = /^((?:[0-9a-f]{4,}:)?[0-9a-f]{2}:[0-9a-f]{2}\.[0-7])\s+(\S.*)$/i.exec(line);
    if (head) {
      const [, slot = '', rest = ''] = head;
      now = {
        slot: slot.toLowerCase(),
        name: nameOf(rest),
        /* In words, or as class 06xx where only numbers were asked for. */
        bridge: /bridge|^06[0-9a-f]{2}$/i.test(rest.split(':')[0]?.trim() ?? ''),
        secondary: undefined,
        cap: undefined,
        sta: undefined,
      };
      devices.push(now);
      continue;
    }
    if (!now) continue;
    const bus = /secondary=([0-9a-f]{2})/i.exec(line);
    if (bus) now.secondary = bus[1]?.toLowerCase();
    const cap = /LnkCap:.*Speed ([\d.]+)\s*GT\/s.*Width x(\d+)/.exec(line);
    if (cap) now.cap = { gts: Number(cap[1]), lanes: Number(cap[2]) };
    const sta = /LnkSta:.*Speed ([\d.]+)\s*GT\/s.*Width x(\d+)/.exec(line);
    /* Width x0 is a port with nothing in it. */
    if (sta && Number(sta[2]) > 0) now.sta = { gts: Number(sta[1]), lanes: Number(sta[2]) };
  }
  return devices;
}

/** `VGA compatible controller [0300]: Somebody Something [1234:5678] (rev 03)` without class, numbers and revision. */
function nameOf(rest: string): string {
  return (
    rest
      .replace(/^[^:]*:\s*/, '')
      .replace(/\s*\(rev [0-9a-f]+\)/i, '')
      .replace(/\s*\(prog-if.*\)/i, '')
      .trim() || rest
  );
}

/** What to try, in order, when a link runs below what both ends can (common practice, no source). */
export function triesFor({ below }: Trained, underLoad: boolean): string[] {
  if (below.length === 0) return [];
  const list: string[] = [];
  if (!underLoad && below.includes('slower'))
    list.push('read it again under load: links slow down at idle');
  list.push('reseat it');
  if (below.includes('narrower'))
    list.push('look at the contacts, count the lanes of riser or adapter');
  list.push(
    'link power saving off in the firmware',
    'fix the slot generation, then set it free again',
  );
  if (below.includes('slower')) list.push('without the riser, or one of the right generation');
  list.push('another slot');
  return list;
}
