import { IntakeError, type Inventory } from './inventory.ts';
import { flatRows, numberIn, rowsIn, textIn } from './json.ts';
import { believable } from './junk.ts';

/** What the lines are called, in the languages the tool speaks (its translations, from memory). */
const called = {
  name: [
    'model name',
    'modellname',
    'nom de modèle',
    'nombre del modelo',
    'nome modello',
    'nome do modelo',
    'modelnaam',
    'modellnamn',
    'modelnavn',
    'modellnavn',
    'mallin nimi',
    'nazwa modelu',
    'název modelu',
    'имя модели',
    'назва моделі',
    '型号名称',
    'モデル名',
    '모델명',
  ],
  sockets: [
    'socket(s)',
    'sockel',
    'socket(s)',
    'zócalo(s)',
    'socket',
    'soquete(s)',
    'gniazdo/a',
    'patic(e)',
    'сокетов',
    '座',
    'ソケット数',
  ],
} as const;

type Line = readonly [name: string, value: unknown];

/** Reads `lscpu -J`: a flat list (older) or a tree of fields (newer). */
export function readLscpu(json: unknown): Inventory {
  const list = (json as { lscpu?: unknown }).lscpu;
  if (!Array.isArray(list)) throw new IntakeError('No lscpu list in this JSON.');
  return inventoryOf(
    flatRows(rowsIn(list), 'children').map((row): Line => [
      textIn(row['field']) ?? '',
      row['data'],
    ]),
  );
}

/** Is this what `lscpu` prints without `-J`? */
export const isLscpuText = (text: string): boolean =>
  linesIn(text).some(([name]) => named(name, 'name'));

/** Reads `lscpu` as it prints by itself: a name, a colon, a value. */
export const readLscpuText = (text: string): Inventory => inventoryOf(linesIn(text));

const linesIn = (text: string): Line[] =>
  text.split(/\r?\n/).flatMap((line): Line[] => {
    const at = line.search(/[:：]/);
    return at > 0 ? [[line.slice(0, at), line.slice(at + 1)]] : [];
  });

const named = (name: string, what: keyof typeof called): boolean =>
  (called[what] as readonly string[]).includes(
    name
      .trim()
      .replace(/[:：]$/, '')
      .trim()
      .toLowerCase(),
  );

/** A processor for every socket. */
function inventoryOf(lines: readonly Line[]): Inventory {
  const get = (what: keyof typeof called) =>
    believable(lines.find(([name]) => named(name, what))?.[1]);
  const name =
    get('name') ?? believable(lines.find(([each]) => /^model:?$/i.test(each.trim()))?.[1]);
  const sockets = Math.min(MOST_SOCKETS, Math.max(1, Math.round(numberIn(get('sockets')) ?? 1)));
  return {
    tool: 'lscpu',
    facts: {},
    parts: name
      ? Array.from({ length: sockets }, () => ({ kind: 'processor' as const, name, facts: {} }))
      : [],
    ignored: name ? [] : ['no line of it names the CPU'],
  };
}

const MOST_SOCKETS = 8;
