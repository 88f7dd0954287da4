import type { Finding, Mark, Remedy } from '../findings/finding.ts';
import { match } from '../findings/match.ts';
import { wordOf } from '../findings/terms.ts';
import { listAt, partOfKind, textAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import { coolerMountOf, coolerMountSource } from '../standards/sockets.ts';
import { coolerKit } from '../remedies/coolerKit.ts';
import { fileSlots } from '../remedies/fileSlots.ts';
import { offer } from '../remedies/offer.ts';

/** The cooler's mounting parts against the board's socket: holes decide, not names. */
export function coolerMount(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const cooler = partOfKind(plan, 'cooler');
  if (!board || !cooler) return [];
  const socket = textAt(plan, board, 'socket');
  const sockets = listAt(plan, cooler, 'sockets');
  const plate = textAt(plan, board, 'coolerPlate');
  return [
    match({
      id: 'cooler-mount',
      station: 'fit',
      title: 'cooler on its holes',
      seats: ['cooler', 'board'],
      have: {
        ...wordOf(cooler, 'sockets', 'mounting kit', undefined),
        value: sockets?.items.join(', ') || undefined,
        how: sockets?.how,
      },
      want: wordOf(board, 'socket', 'socket', socket),
      verdict: (_, want) =>
        comes(cooler) || comes(board)
          ? (fixedPlate(plate?.text) ?? mountVerdict(sockets?.items ?? [], want))
          : mountVerdict(sockets?.items ?? [], want),
      unknownSay: 'Which sockets the cooler has a kit for is not known.',
      source: coolerMountSource,
      undoMinutes: 25,
      remedies: (mark) =>
        mark === 'mend'
          ? [
              offer(plan, coolerKit({ socket: socket?.text ?? 'the socket' }), 'watch'),
              ...(fixedPlate(plate?.text) ? [] : filing(plan, socket?.text, sockets?.items ?? [])),
            ]
          : [],
    }),
  ];
}

const comes = ({ state }: Placed): boolean => state === 'comes';

/** A plate of the maker's riveted or glued under the board, with threads of its own: no standard kit goes through. */
function fixedPlate(plate: string | undefined): Verdict | undefined {
  return plate === "a maker's plate, fixed"
    ? {
        mark: 'mend',
        rest: "maker's plate",
        say: "The maker's plate is fixed under the board and has threads of its own: no standard kit goes through. Spring screws into it, the plate of a donor, or the cooler it came with.",
      }
    : undefined;
}

type Verdict = { mark: Mark; rest: string; say: string };

/** A kit for the socket, or for one with the same holes and the same fixing; the same holes otherwise held are no match. */
function mountVerdict(kits: readonly string[], want: string): Verdict {
  const mount = coolerMountOf(want);
  const own = kits.flatMap((kit) => coolerMountOf(kit) ?? []);
  if (kits.includes(want) || own.some((each) => each.name === mount?.name))
    return {
      mark: 'clear',
      rest: mount?.name ?? 'same',
      say: `The kit meets the holes (${mount?.name ?? want}).`,
    };
  const holes = own.find(
    (each) => mount && each.xMm > 0 && each.xMm === mount.xMm && each.yMm === mount.yMm,
  );
  if (holes && mount?.fixing === "board's plate")
    return {
      mark: 'watch',
      rest: "board's own plate",
      say: `The holes of ${want} lie alike, but its plate stays on the board: only a cooler that screws into that plate (6-32) goes on.`,
    };
  return {
    mark: 'mend',
    rest: holes ? 'otherwise held' : 'differs',
    say: holes
      ? `The holes lie alike, but ${want} holds its cooler by ${mount?.fixing}: this kit cannot. Find the kit or another cooler.`
      : `No kit for ${want} with this cooler: find the kit or another cooler.`,
  };
}

/** Slots can be filed when the holes lie less than this apart, mm (common practice, no source). */
const FILE_MM = 5;

/** File the plate's holes to slots, where one of its squares is near the socket's. */
function filing(plan: Plan, socket: string | undefined, kits: readonly string[]): Remedy[] {
  const wanted = squareOf(socket);
  const near = kits
    .flatMap((kit) => squareOf(kit) ?? [])
    .map((square) => Math.abs(square - (wanted ?? Infinity)) / 2)
    .filter((mm) => mm > 0 && mm <= FILE_MM)
    .sort((a, b) => a - b)[0];
  if (near === undefined) return [];
  return [offer(plan, fileSlots({ mm: near }), 'watch')];
}

/** The side of a square hole pattern, mm; undefined for patterns that are no square. */
function squareOf(socket: string | undefined): number | undefined {
  const match = /^(\d+(?:\.\d+)?) square$/.exec(coolerMountOf(socket ?? '')?.name ?? '');
  return match ? Number(match[1]) : undefined;
}
