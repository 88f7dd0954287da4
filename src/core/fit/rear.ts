import type { Finding, Remedy } from '../findings/finding.ts';
import { plain, wordOf } from '../findings/terms.ts';
import {
  isApplied,
  isSort,
  listAt,
  partOfKind,
  partsOfKind,
  textAt,
  type Plan,
} from '../model/lookup/plan.ts';
import { portViews, type PortView } from '../model/lookup/portViews.ts';
import { area, type Area } from '../model/types/shapes.ts';
import { ioSource } from '../standards/ports.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { offer } from '../remedies/offer.ts';
import { rearCut } from '../remedies/rearCut.ts';
import { rearOpen } from '../remedies/rearOpen.ts';
import { rearPlate } from '../remedies/rearPlate.ts';

/** `HDMI 20-38 2-12`; throws RangeError saying what is wrong with it. */
export function readArea(text: string): Area {
  const read = area.read(text);
  if (!read)
    throw new RangeError(
      `“${text}”: write a name, from-to across, from-to up; to is more than from, at most 400 mm across and 100 up`,
    );
  return read;
}

/** Ports of the plan's board that are behind metal. */
export function cutsOf(plan: Plan): PortView[] {
  const [shell, board] = [partOfKind(plan, 'case'), partOfKind(plan, 'board')];
  const ports = (board && listAt(plan, board, 'ports')?.items) ?? [];
  const openings = (shell && listAt(plan, shell, 'openings')?.items) ?? [];
  return portViews(ports, openings).filter((each) => each.blockedMm > 0);
}

/** The plate round a board's ports said to be missing: the hole stays open, or one is made. */
export function portPlate(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const plate = board && textAt(plan, board, 'ioPlate');
  const there = partsOfKind(plan, 'small').some((each) => isSort(plan, each, ['rear plate']));
  if (!board || plate?.text !== 'missing' || there || !partOfKind(plan, 'case')) return [];
  const open = isApplied(plan, rearOpen());
  const settled = open || isApplied(plan, rearPlate());
  return [
    {
      id: 'port-plate',
      station: 'fit',
      mark: settled ? 'watch' : 'mend',
      title: 'plate round the ports',
      seats: ['board', 'case'],
      unit: '',
      terms: [
        { ...wordOf(board, 'ioPlate', 'plate', plate), value: plate.text, sign: 0 },
        ...(settled ? [plain(open ? 'left open' : 'a plate made', 'taken', 0)] : []),
      ],
      marginLabel: settled ? 'seen to' : 'missing',
      say: settled
        ? 'Left open, dust and radio noise come in; a plate made wants smooth edges and contact to the case.'
        : 'The plate of this board is missing: get one of its model, make one of sheet, or leave the hole open.',
      source: ioSource,
      remedies: settled
        ? []
        : [rearPlate(), rearOpen()].map((value) => offer(plan, value, 'watch')),
      undoMinutes: 45,
    },
  ];
}

/** The board's ports against the cut-outs of the rear wall. */
export function rearPorts(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const board = partOfKind(plan, 'board');
  const ports = (board && listAt(plan, board, 'ports')?.items) ?? [];
  const openings = (shell && listAt(plan, shell, 'openings')?.items) ?? [];
  if (!shell || !board || ports.length === 0 || openings.length === 0) return [];
  const blocked = cutsOf(plan);
  const cut = isApplied(plan, rearCut());
  const out = isApplied(plan, rearOpen());
  const settled = cut || out;
  const first = blocked.map((each) => each.port.name).join(', ');
  return [
    {
      id: 'rear-ports',
      station: 'fit',
      mark: blocked.length === 0 ? 'clear' : settled ? 'watch' : 'mend',
      title: 'ports through the rear wall',
      seats: ['board', 'case'],
      unit: '',
      terms: [
        plain('ports', range(ports.length), 1),
        plain('free', range(settled ? ports.length : ports.length - blocked.length), -1),
      ],
      margin: range(settled ? 0 : blocked.length),
      marginLabel: blocked.length === 0 ? 'blocked' : `blocked: ${first}`,
      say:
        blocked.length === 0
          ? 'Every port shows through its cut-out.'
          : cut
            ? 'Cut as listed: file the edges, then try every plug.'
            : out
              ? 'The plate stays out: dust and radio noise come in, and ports must stay in reach.'
              : blocked
                  .map((each) => `${each.port.name} ${each.blockedMm.toFixed(1)} mm behind metal`)
                  .join(', ') + '.',
      source: commonPractice,
      remedies: blocked.length === 0 || settled ? [] : waysOut(plan, blocked.length),
      undoMinutes: 45,
    },
  ];
}

const waysOut = (plan: Plan, count: number): Remedy[] =>
  [rearPlate(), rearCut({ count }), rearOpen()].map((value) => offer(plan, value, 'watch'));
