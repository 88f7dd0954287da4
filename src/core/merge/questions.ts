import { isText } from '../model/types/fact.ts';
import type { Edit } from '../model/types/edit.ts';
import type { Machine, Part, Shop } from '../model/types/types.ts';
import type { Collection } from '../model/types/collections.ts';
import type { RecordVersion, Slot } from '../model/types/versionTypes.ts';
import { editJob, editPart } from '../edits/edits.ts';
import { addItems, sameContent } from '../shop/items.ts';
import { seatName } from '../model/types/seats.ts';
import { benchOf, knows } from './dots.ts';
import type { Copy } from './merge.ts';
import { renamedRecord, type Rename } from './references.ts';
import { dotOf, plainVersion, slotsOf, withSlot, type Bag } from './slots.ts';
import { keyOf, nameOf } from './names.ts';

/** What merging cannot know and somebody has to say. Answers are edits: they travel, and nobody is asked twice. */

/** What an answer does besides its edit: slots settled, records kept that were taken out, records told apart. */
export interface Answer {
  say: string;
  edit: Edit;
  settles?: { key: string; slot: Slot }[] | undefined;
  keeps?: string[] | undefined;
  isNot?: { key: string; name: string }[] | undefined;
}

export interface Choice {
  /** The value in words; undefined: taken away. */
  value: unknown;
  /** It stands now. */
  shown: boolean;
  answer: Answer;
}

export interface Question {
  id: string;
  /** What is asked, in a sentence. */
  ask: string;
  /** The record it is about. */
  in: Collection | 'head';
  of: string;
  /** Where the same thing was written twice: the slot, with its values beside each other. */
  slot?: Slot | undefined;
  choices: Choice[];
}

/** Looks of the page: whoever sets them last has them, and nobody is asked. */
const quiet = new Set(['settings.theme', 'settings.textSize', 'settings.labelStock']);
const sameBut = (a: unknown, b: unknown): boolean => {
  if (sameContent(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || !a || !b) return false;
  return sameContent({ ...a, at: undefined }, { ...b, at: undefined });
};

const nothing: Edit = (shop) => shop;

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

const recordAt = (
  { shop }: Copy,
  key: string,
): { in: Collection | 'head'; record: Bag } | undefined => {
  if (key === 'head')
    return { in: 'head', record: { id: 'head', name: shop.name, settings: shop.settings } };
  const at = key.indexOf('/');
  const list = key.slice(0, at) as Collection;
  const id = key.slice(at + 1);
  const record = (shop[list] as { id: string }[] | undefined)?.find((each) => each.id === id);
  return record && { in: list, record: record as unknown as Bag };
};

/** Puts a value into a slot of a record as an ordinary edit. */
const putSlot =
  (
    list: Collection | 'head',
    id: string,
    version: RecordVersion,
    slot: Slot,
    value: unknown,
  ): Edit =>
  (shop) => {
    if (list === 'head') {
      const { name, settings } = withSlot(
        { name: shop.name, settings: shop.settings },
        slot,
        value,
      ) as unknown as Pick<Shop, 'name' | 'settings'>;
      return { ...shop, name, settings };
    }
    const put = <T extends { id: string }>(record: T): T =>
      record.id === id
        ? (replaced(record as unknown as Bag, version, slot, value) as unknown as T)
        : record;
    return { ...shop, [list]: (shop[list] as { id: string }[]).map(put) };
  };

/** Items of lists of things are replaced in their place. */
function replaced(record: Bag, version: RecordVersion, slot: Slot, value: unknown): Bag {
  if (!slot.includes('#')) return withSlot(record, slot, value);
  const path = slot.slice(0, slot.indexOf('#'));
  const at = slotsOf(record, version).order.get(path)?.indexOf(slot) ?? -1;
  const items = record[path] as unknown[];
  return at < 0 ? record : { ...record, [path]: items.with(at, value) };
}

function writtenTwice(copy: Copy): Question[] {
  return Object.entries(copy.versions.records).flatMap(([key, version]) => {
    const found = version.apart && recordAt(copy, key);
    if (!found) return [];
    const id = String(found.record['id']);
    const { values } = slotsOf(found.record, version);
    return Object.entries(version.apart ?? {}).flatMap(([slot, siblings]): Question[] => {
      const shown = values.get(slot);
      const others = siblings.map(({ value }) => value).filter((value) => !sameBut(value, shown));
      if (quiet.has(slot) || others.length === 0) return [];
      const choice = (value: unknown, stands: boolean): Choice => ({
        value,
        shown: stands,
        answer: {
          say: 'chosen',
          edit: stands ? nothing : putSlot(found.in, id, version, slot, value),
          settles: [{ key, slot }],
        },
      });
      return [
        {
          id: `${key} ${slot}`,
          ask: 'Written at two benches',
          in: found.in,
          of: id,
          slot,
          choices: [choice(shown, true), ...others.map((value) => choice(value, false))],
        },
      ];
    });
  });
}

function deletedElsewhere(copy: Copy): Question[] {
  return Object.entries(copy.versions.records).flatMap(([key, version]): Question[] => {
    const found = version.deleted?.length ? recordAt(copy, key) : undefined;
    if (!found || found.in === 'head') return [];
    const list = found.in;
    const id = String(found.record['id']);
    return [
      {
        id: `${key} deleted`,
        ask: 'Deleted at one bench, edited or needed at the other',
        in: list,
        of: id,
        choices: [
          {
            value: 'Keep it',
            shown: true,
            answer: { say: 'kept', edit: nothing, keeps: [key] },
          },
          {
            value: 'Delete it',
            shown: false,
            answer: {
              say: 'deleted',
              edit: (shop) => ({
                ...shop,
                [list]: (shop[list] as { id: string }[]).filter((each) => each.id !== id),
              }),
            },
          },
        ],
      },
    ];
  });
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
      (slot) => !slot.startsWith('additions') && !knows(handed, dotOf(version, slot)),
    );
    if (unseen.length === 0) return [];
    const what = [...new Set(unseen.map((slot) => slot.split(/[#[.]/, 1)[0] ?? slot))].join(', ');
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

/** Two machines become the first; what sits in the same seat of both becomes one part, the rest moves over. */
export const joinMachines =
  (keepId: string, dropId: string): Edit =>
  (shop) => {
    const seatsOf = (id: string) => shop.machines.find((each) => each.id === id)?.seats ?? [];
    const own = new Map(seatsOf(keepId).map(({ seat, partId }) => [seat, partId]));
    const joined = seatsOf(dropId).reduce((now, { seat, partId }) => {
      const kept = own.get(seat);
      return kept === undefined || kept === partId ? now : joinRecords('parts', kept, partId)(now);
    }, shop);
    const more = seatsOf(dropId).filter(({ seat }) => !own.has(seat));
    const seated: Shop = {
      ...joined,
      machines: joined.machines.map((machine) =>
        machine.id === keepId ? { ...machine, seats: [...machine.seats, ...more] } : machine,
      ),
    };
    return joinRecords('machines', keepId, dropId)(seated);
  };

/** Two records become the first: what only the second knows is taken over, and whatever named the second names it. */
const joinRecords =
  (list: 'parts' | 'machines', keepId: string, dropId: string): Edit =>
  (shop) => {
    const same = (id: string) => id;
    const rename: Rename = {
      models: same,
      machines: same,
      parts: same,
      jobs: same,
      plugs: same,
      ledger: same,
      photos: same,
      [list]: (id: string) => (id === dropId ? keepId : id),
    };
    const dropped = (shop[list] as (Part | Machine)[]).find(({ id }) => id === dropId);
    const all = <T extends { id: string }>(of: Collection, records: readonly T[]): T[] =>
      records.flatMap((record) => {
        if (of === list && record.id === dropId) return [];
        const named = { ...renamedRecord(of, record, rename), id: record.id };
        const next = sameContent(named, record) ? record : named;
        if (of !== list || record.id !== keepId || !dropped) return [next];
        const both = { ...dropped, ...next };
        return [
          {
            ...both,
            facts: { ...dropped.facts, ...both.facts },
            was: [...new Set([...(both.was ?? []), dropId])].slice(-10),
          } as unknown as T,
        ];
      });
    return {
      ...shop,
      models: all('models', shop.models),
      machines: all('machines', shop.machines),
      parts: all('parts', shop.parts),
      jobs: all('jobs', shop.jobs),
      plugs: shop.plugs,
      ledger: all('ledger', shop.ledger),
      photos: all('photos', shop.photos),
    };
  };
