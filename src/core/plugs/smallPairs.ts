import type { Finding } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import {
  partsOfKind,
  listAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { plugsOf } from '../model/lookup/reads.ts';
import { mate } from './mate/index.ts';
import { plugIn } from '../model/lookup/ownPlugs.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { pairFinding } from './pairs.ts';

/** Lights on the board's light headers: the header of their own kind if there is one, else the nearest that would take them. */
export function lights(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const headers = board && listAt(plan, board, 'lightHeaders');
  if (!board || !headers) return [];
  return partsOfKind(plan, 'small').flatMap((placed) => {
    const told = textAt(plan, placed, 'plug');
    if (!told || plugIn(plugsOf(plan), told.text)?.group !== 'light') return [];
    const socket = headers.items.find((id) => id === told.text) ?? headers.items[0];
    if (socket === undefined)
      return {
        ...noHeader(placed, board, 0),
        id: `light:${placed.seat}`,
        title: 'light on its header',
        say: 'The board has no header for lights: a controller on a drive plug, or leave it dark.',
      };
    return pairFinding(plan, {
      id: `light:${placed.seat}`,
      title: 'light on its header',
      plug: { id: told.text, placed, key: 'plug', told },
      socket: { id: socket, placed: board, key: 'lightHeaders' },
      undoMinutes: 60,
    });
  });
}

/** Each fan on a header: one of its own kind first, then one that takes it; every header once. */
export function fans(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const headers = board && listAt(plan, board, 'fanHeaders');
  if (!board || !headers) return [];
  const free = [...headers.items];
  return partsOfKind(plan, 'fan').flatMap((placed) => {
    const told = textAt(plan, placed, 'plug');
    if (!told) return [];
    const own = plugIn(plugsOf(plan), told.text);
    const takes = (id: string) => {
      const socket = plugIn(plugsOf(plan), id);
      return own && socket && ['right', 'partly'].includes(mate(own, socket).verdict);
    };
    const socket = free.find((id) => id === told.text) ?? free.find(takes) ?? free[0];
    if (socket === undefined) return [noHeader(placed, board, headers.items.length)];
    free.splice(free.indexOf(socket), 1);
    return pairFinding(plan, {
      id: `fan-plug:${placed.seat}`,
      title: 'fan on its header',
      plug: { id: told.text, placed, key: 'plug', told },
      socket: { id: socket, placed: board, key: 'fanHeaders' },
      undoMinutes: 15,
    });
  });
}

/** More fans than headers: one hangs on a splitter, while the header bears both. */
const noHeader = (fan: Placed, board: Placed, headers: number): Finding => ({
  id: `fan-plug:${fan.seat}`,
  station: 'plugs',
  mark: 'watch',
  title: 'fan on its header',
  seats: [fan.seat, board.seat],
  unit: '',
  terms: [plain('headers of the board', range(headers), 0)],
  marginLabel: 'no header left',
  say: 'More fans than headers: two on one by a splitter while the header bears their amps, or this one on a drive plug.',
  source: commonPractice,
  remedies: [],
  undoMinutes: 15,
});

/** Drives with a plug of their own kind against what the supply brings; a drive plug without its key goes in backwards. */
export function driveKeys(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const gives = supply && listAt(plan, supply, 'plugs');
  if (!supply || !gives) return [];
  const snapped = textAt(plan, supply, 'driveKey')?.text === 'snapped';
  return partsOfKind(plan, 'drive').flatMap((placed) => {
    const told = textAt(plan, placed, 'plug');
    if (!told || told.text === 'sata') return [];
    const brings =
      gives.items.find((id) => id === told.text) ?? gives.items.find((id) => id === 'drive4');
    if (!brings) return [];
    return pairFinding(plan, {
      id: `drive-plug:${placed.seat}`,
      title: 'drive plug',
      plug: { id: brings, placed: supply, key: 'plugs' },
      socket: { id: told.text, placed, key: 'plug', told },
      keys: { snapped: snapped && brings === 'drive4' },
      undoMinutes: 15,
    });
  });
}
