import { appliedFor, pricesOf, settingsOf } from '../model/lookup/reads.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { RemedyName, RemedyValue } from '../model/types/remedyValue.ts';
import type { Money } from '../units/money.ts';
import { plainName } from '../units/plainName.ts';
import { table } from '../units/table.ts';
import type { ToGet } from '../findings/finding.ts';
import type { Field, RemedyKind } from './kind.ts';
import { remedies } from './list.ts';
import { thingsOf, type Thing } from './things.ts';

export type { Field, FieldSort, RemedyKind } from './kind.ts';

/** The same list where it does not matter which is which: what each is told is its own. */
export const remedyKinds = remedies as readonly unknown[] as readonly RemedyKind[];

const byName = table<RemedyKind>(Object.fromEntries(remedyKinds.map((kind) => [kind.do, kind])));

/** All that a remedy is and does. Throws where a value names none: a file that does is refused before. */
export function kindOf<K extends RemedyName>(value: RemedyValue<K>): RemedyKind<K> {
  const kind = byName[value.do];
  if (!kind) throw new Error(`no remedy is called ${value.do}`);
  return kind as unknown as RemedyKind<K>;
}

type Told = Record<string, string | number | readonly string[] | undefined>;

const fieldsOf = (kind: RemedyKind) => Object.entries(kind.fields as Record<string, Field>);

/** A remedy in one word, `drive-to:drive1:floor`: as steps and the API name it. */
export function remedyId(value: RemedyValue): string {
  const kind = kindOf(value);
  const told = value as unknown as Told;
  const words = fieldsOf(kind).flatMap(([name, { holds, aside }]) => {
    const own = told[name];
    if (aside || own === undefined) return [];
    return typeof own === 'object' ? [...own].join(holds === 'words' ? '' : ':') : String(own);
  });
  return [kind.id, ...words].join(':');
}

/** The step of the work order in which it is done. */
export const stepIdOf = (value: RemedyValue): string => `remedy:${remedyId(value)}`;

/** The remedy behind such a word, as files up to version 6 keep them; undefined where there is none. */
export function remedyOf(id: string): RemedyValue | undefined {
  const [stem = '', ...words] = id.replace(/^(feed-awg)-/, '$1:').split(':');
  const kind = remedyKinds.find((each) => each.id === stem);
  if (!kind) return undefined;
  const told = table<unknown>();
  const asked = fieldsOf(kind).filter(([, { aside }]) => !aside);
  for (const [i, [name, { holds }]] of asked.entries()) {
    const last = i === asked.length - 1;
    const word =
      holds === 'seats'
        ? words.splice(0)
        : holds === 'word' && last && words.length > 0
          ? words.splice(0).join(':')
          : words.shift();
    if (word === undefined || word.length === 0) return undefined;
    const figure = Number(word);
    if (holds === 'count' && !Number.isFinite(figure)) return undefined;
    told[name] = holds === 'count' ? figure : holds === 'words' ? [...(word as string)] : word;
  }
  return words.length > 0 ? undefined : ({ do: kind.do, ...told } as unknown as RemedyValue);
}

/** The same remedy with the tags of parts it names renumbered. */
export function withParts(value: RemedyValue, part: (tag: string) => string): RemedyValue {
  const told = value as unknown as Told;
  const renamed = fieldsOf(kindOf(value)).flatMap(([name, { holds }]) =>
    holds === 'part' && told[name] !== undefined ? [[name, part(String(told[name]))]] : [],
  );
  return { ...value, ...(Object.fromEntries(renamed) as object) };
}

export const sameRemedy = (a: RemedyValue, b: RemedyValue): boolean => remedyId(a) === remedyId(b);

/** Whether the plan applies this very remedy, whatever else it was told. */
export const hasApplied = (plan: Plan, value: RemedyValue): boolean =>
  appliedFor(plan, value.do).some((each) => each.do === value.do && sameRemedy(each, value));

export const titleOf = (value: RemedyValue, plan: Plan): string => kindOf(value).title(value, plan);

/** Whether one of these things does for it. */
export const isMadeBy = (things: readonly Thing[], value: RemedyValue): boolean =>
  things.some((thing) => kindOf(value).made?.(thing, value) ?? false);

/** Whether something made for the job does for it. */
export const isMade = (plan: Plan, value: RemedyValue): boolean =>
  kindOf(value).made !== undefined && isMadeBy(thingsOf(plan), value);

/** What has to be got for it, if anything: nothing for what is made for the job. */
export const toGet = (value: RemedyValue, plan: Plan): ToGet | undefined =>
  isMade(plan, value) ? undefined : kindOf(value).get?.(value, plan);

/** What it costs in hands, min: the one figure for finding, search and work order. */
export function minutesOf(value: RemedyValue): number {
  const { minutes } = kindOf(value);
  return typeof minutes === 'number' ? minutes : minutes(value);
}

/** What it costs: nothing, or what the shop last paid for what has to be got; undefined while nobody priced that. */
export function moneyOf(value: RemedyValue, plan: Plan): Money | undefined {
  const get = toGet(value, plan);
  if (!get) return { minor: 0, currency: settingsOf(plan).currency };
  const price = pricesOf(plan).get(plainName(get.what));
  return price && { ...price, minor: price.minor * get.count };
}

/** What the search may choose from with one kind of remedy: a list for each thing that gives. */
export const optionsOf = (kind: RemedyKind, plan: Plan): readonly (readonly RemedyValue[])[] =>
  kind.options?.(plan) ?? [];

/** The thing that gives: what a remedy is done to, whatever is chosen for it. */
export function variableId(value: RemedyValue): string {
  const { id, moves } = kindOf(value);
  return moves ? `${id}:${moves(value)}` : remedyId(value);
}
