import { indexOf } from '../../model/lookup/lookup.ts';
import type { Shop } from '../../model/types/types.ts';
import { table } from '../../units/table.ts';
import type { Phrase, Place } from '../line/phrase.ts';
import type { Destination, Understood } from '../line/understood.ts';

/** Where a word or two lead. */
const destinations: Record<string, Destination> = table({
  intake: 'take-in',
  'take in': 'take-in',
  'take-in': 'take-in',
  paste: 'take-in',
  inventory: 'take-in',
  fit: 'fit',
  plugs: 'plugs',
  pinout: 'plugs',
  watts: 'watts',
  power: 'watts',
  links: 'links',
  donors: 'donors',
  parts: 'donors',
  order: 'order',
  'work order': 'order',
  steps: 'order',
  'next step': 'order',
  'power-up': 'power-up',
  'power up': 'power-up',
  'first start': 'power-up',
  fault: 'power-up',
  heat: 'heat',
  temperatures: 'heat',
  'hand-over': 'hand-over',
  'hand over': 'hand-over',
  'swap sheet': 'hand-over',
  record: 'hand-over',
  bench: 'bench',
  home: 'bench',
  jobs: 'bench',
  shelf: 'shelf',
  'the shelf': 'shelf',
  stock: 'shelf',
  week: 'week',
  'the week': 'week',
  schedule: 'week',
  plan: 'week',
  book: 'book',
  'the book': 'book',
  money: 'book',
  costs: 'book',
  profit: 'book',
  accounts: 'book',
  status: 'bench',
  today: 'bench',
  'what next': 'order',
  'what is next': 'order',
  'next steps': 'order',
  'print sheet': 'print',
  label: 'labels',
  labels: 'labels',
  'print labels': 'labels',
  scan: 'scan sheet',
  'scan sheet': 'scan sheet',
  scanner: 'scan sheet',
  'new job': 'new job',
  job: 'new job',
  'add job': 'new job',
  'start job': 'new job',
  'start a job': 'new job',
  'start a new job': 'new job',
  'will it fit': 'fit',
  'does it fit': 'fit',
  'does everything fit': 'fit',
  'shopping list': 'bench',
  shopping: 'bench',
  'what do i need to buy': 'bench',
  'scan a label': 'scan sheet',
  'how do i scan': 'scan sheet',
  import: 'open file',
  file: 'open file',
  'a file': 'open file',
  load: 'open file',
  'new machine': 'new job',
  print: 'print',
  'print this': 'print',
  'print page': 'print',
  export: 'export',
  save: 'export',
  backup: 'export',
  'back up': 'export',
  download: 'export',
  'save file': 'export',
  'export file': 'export',
  'export shop': 'export',
  help: 'help',
  '?': 'help',
  keys: 'help',
  shortcuts: 'help',
  'help me': 'help',
  'keyboard shortcuts': 'help',
  settings: 'settings',
  units: 'settings',
  currency: 'settings',
  options: 'settings',
  preferences: 'settings',
});

const named: Partial<Record<Destination, string>> = {
  'take-in': 'Intake',
  order: 'Work order',
  'power-up': 'Power-up',
  'hand-over': 'Hand-over',
  'new job': 'New job',
  export: 'Export the shop as a file',
  'open file': 'Open a file',
  help: 'Keys',
  print: 'Print what is shown',
};

const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

/** `fit`, `new job`, `print`, `open watts`, `help`: a word that leads somewhere. */
export function asLead(text: string, shop: Shop): Understood | undefined {
  const [, number, station] = /^(?:open )?job (\d{1,6}) (?:at )?(\S.*)$/i.exec(text) ?? [];
  const job = number ? indexOf(shop).jobs.get(number) : undefined;
  const there = station ? asLead(station, shop) : undefined;
  if (job && there?.kind === 'go')
    return { ...there, text, say: `${job.id}, ${there.say}`, jobId: job.id };
  const plain = text
    .toLowerCase()
    .replace(/^(?:please )?(?:open|go to|goto|show(?: me)?|see|back to)(?: the)? /, '')
    .replace(/[.!?]+$/, '')
    .replace(/ please$/, '')
    .trim();
  const to =
    destinations[plain || '?'] ?? destinations[plain.replace(/ (?:station|page|view)$/, '')];
  return to && { kind: 'go', text, say: named[to] ?? capital(to), to };
}

/** `note damp smell`, `note F04 fan rattles`: kept with the part or machine named, else with the open job. */
export function asNote(shop: Shop, text: string, { plan }: Place): Understood | undefined {
  const match = /^(?:note|remark|remember|nb)(?:: ?| )(?:that )?(\S.*)$/i.exec(text);
  if (!match?.[1]) return undefined;
  const index = indexOf(shop);
  const [, tag = '', rest = ''] = /^(?:(?:on|of|for) )?(\S+?):? (.+)$/i.exec(match[1]) ?? [];
  const part = index.parts.get(tag.toUpperCase());
  if (part)
    return { kind: 'note', text, say: `note on ${part.id}: ${rest}`, note: rest, partId: part.id };
  const machine = index.machines.get(tag.toUpperCase());
  if (machine)
    return {
      kind: 'note',
      text,
      say: `note on ${machine.id}: ${rest}`,
      note: rest,
      machineId: machine.id,
    };
  if (plan?.job)
    return {
      kind: 'note',
      text,
      say: `note on job ${plan.job.id}: ${match[1]}`,
      note: match[1],
      jobId: plan.job.id,
    };
  return {
    kind: 'nothing',
    text,
    say: 'A note needs something to stand with: open a job, or name a tag.',
    guesses: [`note F04 ${match[1]}`],
  };
}

/** `drawer 3`, `what is in drawer 3`: the parts that lie there. */
export function asPlaceAsked(shop: Shop, { text }: Phrase): Understood | undefined {
  const plain = text
    .toLowerCase()
    .replace(/[?.!]+$/, '')
    .replace(
      /^(?:what(?:'s| is| are| lies)?|which parts(?: are)?|show(?: me)?|list|parts|everything)(?: parts)? (?:in|on|at) /,
      '',
    )
    .replace(/^(?:in|on|at) /, '')
    .replace(/^(?:the|shelf|place) /, '')
    .replace(/^(?:the|shelf|place) /, '')
    .trim();
  const parts = shop.parts.filter(
    (part) => part.where?.toLowerCase() === plain && part.place !== 'gone',
  );
  const [first] = parts;
  if (!first) return undefined;
  return {
    kind: 'find',
    text,
    say: `${first.where}: ${parts.length === 1 ? '1 part' : `${parts.length} parts`}`,
    parts,
  };
}
