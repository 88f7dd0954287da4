import { editJob, editPart } from '../edits/edits.ts';
import type { Collection } from '../model/types/collections.ts';
import { isText } from '../model/types/fact.ts';
import { seatName } from '../model/types/seats.ts';
import type { Machine, Part, Shop } from '../model/types/types.ts';
import type { RecordVersion } from '../model/types/versionTypes.ts';
import { addItems } from '../shop/items.ts';
import { benchOf, knows } from './dots.ts';
import { joinMachines } from './joinMachines.ts';
import type { Copy } from './merge.ts';
import { keyOf, nameOf } from './names.ts';
import { nothing, type Question } from './question.ts';
import { dotOf, plainVersion, propertyOf, slotsOf } from './slots.ts';
import { deletedElsewhere, writtenTwice } from './writtenTwice.ts';

/** All that somebody has to say of a merged copy. */
export function questionsOf(copy: Copy): Question[] {
  return [
    ...writtenTwice(copy),
    ...deletedElsewhere(copy),
    ...handedOverUnseen(copy),
    ...inTwoSeats(copy.shop),
    ...goneButPlanned(copy),
    ...samePiece(copy),
  ];
}

/** A job was handed over at one bench while its plan or notes were changed at another. */
function handedOverUnseen({ shop, versions }: Copy): Question[] {
  return shop.jobs.flatMap((job): Question[] => {
    const key = keyOf('jobs', job.id);
    const version = versions.records[key];
    const { handed } = version ?? {};
    if (!version || !handed || job.handedOver === undefined) return [];
    const { values } = slotsOf(job, version);
    const unseen = [...values.keys()].filter(
      (slot) => propertyOf(slot) !== 'additions' && !knows(handed, dotOf(version, slot)),
    );
    if (unseen.length === 0) return [];
    const what = [...new Set(unseen.map(propertyOf))].join(', ');
    return [
      {
        id: `${key} handed over`,
        ask: `Handed over at one bench while ${what} ${what.includes(',') ? 'were' : 'was'} changed at the other`,
        in: 'jobs',
        of: job.id,
        choices: [
          {
            value: 'It stays handed over; the change is added to the record',
            shown: true,
            answer: {
              say: 'added to the record',
              edit: addItems(job.id, 'additions', [
                {
                  at: job.handedOver,
                  text: `Changed at another bench before it knew of the hand-over: ${what}.`,
                },
              ]),
            },
          },
          {
            value: 'It is not handed over yet',
            shown: false,
            answer: {
              say: 'open again',
              edit: editJob(job.id, { handedOver: undefined, record: undefined }),
            },
          },
        ],
      },
    ];
  });
}

/** One piece sits in two seats: of two machines, or of one. */
function inTwoSeats(shop: Shop): Question[] {
  const seats = new Map<string, { machine: Machine; seat: string }[]>();
  for (const machine of shop.machines) {
    if (machine.state === 'gone') continue;
    for (const { seat, partId } of machine.seats)
      seats.set(partId, [...(seats.get(partId) ?? []), { machine, seat }]);
  }
  return [...seats].flatMap(([partId, places]): Question[] =>
    places.length < 2
      ? []
      : [
          {
            id: `parts/${partId} two seats`,
            ask: 'One piece in two seats: where is it?',
            in: 'parts',
            of: partId,
            choices: places.map((place, at) => ({
              value: `${place.machine.id} ${place.machine.name}, ${seatName(place.seat as never)}`,
              shown: at === 0,
              answer: {
                say: `in ${place.machine.id}`,
                edit: (now) => ({
                  ...now,
                  machines: now.machines.map((machine) => ({
                    ...machine,
                    seats: machine.seats.filter(
                      (seat) =>
                        seat.partId !== partId ||
                        (machine.id === place.machine.id && seat.seat === place.seat),
                    ),
                  })),
                }),
              },
            })),
          },
        ],
  );
}

const versionOf = ({ versions }: Copy, list: Collection, id: string): RecordVersion =>
  versions.records[keyOf(list, id)] ?? plainVersion();

/** Left the house at one bench, planned at the other. */
function goneButPlanned(copy: Copy): Question[] {
  const gone = new Map<string, Part>();
  for (const part of copy.shop.parts) if (part.place === 'gone') gone.set(part.id, part);
  return copy.shop.jobs.flatMap((job) =>
    job.handedOver !== undefined
      ? []
      : job.changes.flatMap((change): Question[] => {
          const part = change.partId === null ? undefined : gone.get(change.partId);
          if (!part) return [];
          const left = dotOf(versionOf(copy, 'parts', part.id), 'place');
          const planned = dotOf(
            versionOf(copy, 'jobs', job.id),
            `changes[${change.seat}:${change.stage ?? 1}]`,
          );
          if (benchOf(left) === '' || benchOf(left) === benchOf(planned)) return [];
          return [
            {
              id: `jobs/${job.id} ${change.seat} gone`,
              ask: `${part.id} ${part.name} left the house at one bench; job ${job.id} has it planned`,
              in: 'jobs',
              of: job.id,
              choices: [
                {
                  value: 'Out of the plan',
                  shown: true,
                  answer: {
                    say: 'out of the plan',
                    edit: (now) => ({
                      ...now,
                      jobs: now.jobs.map((each) =>
                        each.id === job.id
                          ? {
                              ...each,
                              changes: each.changes.filter(({ partId }) => partId !== part.id),
                            }
                          : each,
                      ),
                    }),
                  },
                },
                {
                  value: 'It is still here',
                  shown: false,
                  answer: {
                    say: 'still here',
                    edit: editPart(part.id, { place: 'shelf' }),
                  },
                },
              ],
            },
          ];
        }),
  );
}

const serialOf = ({ facts }: Machine): string | undefined => {
  const serial = facts['serial'];
  return serial && isText(serial) && serial.text.trim() !== '' ? serial.text.trim() : undefined;
};

/** A machine taken in at two benches: of one serial number, made apart. */
function samePiece(copy: Copy): Question[] {
  const bySerial = new Map<string, Machine[]>();
  for (const machine of copy.shop.machines) {
    const serial = serialOf(machine);
    if (serial) bySerial.set(serial, [...(bySerial.get(serial) ?? []), machine]);
  }
  return [...bySerial].flatMap(([serial, [first, ...others]]) =>
    others.flatMap((other): Question[] => {
      if (!first) return [];
      const [one, two] = [
        versionOf(copy, 'machines', first.id),
        versionOf(copy, 'machines', other.id),
      ];
      if (benchOf(one.made) === benchOf(two.made)) return [];
      const oneName = nameOf('machines', first.id, one);
      const twoName = nameOf('machines', other.id, two);
      if (one.isNot?.includes(twoName) || two.isNot?.includes(oneName)) return [];
      return [
        {
          id: `machines/${first.id} ${other.id} same`,
          ask: `${first.id} and ${other.id} bear one serial number, ${serial}`,
          in: 'machines',
          of: first.id,
          choices: [
            {
              value: `One machine: ${first.id}`,
              shown: false,
              answer: { say: 'joined', edit: joinMachines(first.id, other.id) },
            },
            {
              value: 'Two machines',
              shown: true,
              answer: {
                say: 'two machines',
                edit: nothing,
                isNot: [{ key: keyOf('machines', first.id), name: twoName }],
              },
            },
          ],
        },
      ];
    }),
  );
}
