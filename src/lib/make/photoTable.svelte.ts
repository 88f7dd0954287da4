import { MM_PER_INCH } from '$core/units/length.ts';
import { ruleTools, type MatRules } from '$core/photo/mat.ts';
import type { Pixel } from '$core/photo/camera.ts';
import type { At } from '$core/photo/plane.ts';
import type { Measured } from '$core/photo/measured.ts';
import type { Height } from '$core/photo/survey.ts';
import { Background } from '$lib/shop/background.svelte.ts';
import { toast } from '$lib/shop/toasts.svelte.ts';
import { drawnId, keepTable, keptTable, type KeptPicture } from './keptPictures.ts';
import type { Joined, Laid, PhotoWorker, Taken } from '../../workers/photo.worker.ts';

export type Tool = Measured['is'];

/** A mat is printed once and measured once: its rules stay with this browser. */
const RULES_KEY = 'nutshell-swap mat rules';

function storedRules(): MatRules {
  try {
    const {
      across,
      down,
      with: tool,
    } = JSON.parse(localStorage.getItem(RULES_KEY) ?? '{}') as MatRules;
    const figure = (value: unknown) => (typeof value === 'number' ? value : undefined);
    const known = tool !== undefined && Object.hasOwn(ruleTools, tool) ? tool : undefined;
    return { across: figure(across), down: figure(down), with: known };
  } catch {
    return {};
  }
}

/** What a job's pictures show, measured: the pictures themselves lie with the worker. */
export class PhotoTable {
  shots = $state.raw<(Taken & { name: string; kept: KeptPicture })[]>([]);
  rules = $state<MatRules>(storedRules());
  height = $state<Height>({ mm: 0, off: 0.25 });
  tool = $state<Tool>('hole');
  /** Measured so far, in the order it was tapped. */
  list = $state.raw<Measured[]>([]);
  /** Which picture is shown, and whether it lies flat or as it was taken. */
  shown = $state<number | undefined>(undefined);
  joined = $state.raw<Joined | undefined>(undefined);
  laid = $state.raw<(Laid & { plain: boolean }) | undefined>(undefined);
  /** Quarters the picture is turned to be looked at, clockwise. */
  turn = $state(0);
  working = $state(0);
  /** What is wrong, at the picture. */
  fault = $state('');
  /** Corners of a card tapped so far, px of the picture; undefined: no card is being shown. */
  taps = $state.raw<Pixel[] | undefined>(undefined);
  #worker = new Background<PhotoWorker>(
    () => new Worker(new URL('../../workers/photo.worker.ts', import.meta.url), { type: 'module' }),
  );

  /** `name`: the job's, under which its pictures are kept. */
  constructor(readonly name: string) {
    void this.#recall();
  }

  /** What lay on the table when the page was left. */
  async #recall(): Promise<void> {
    const kept = await keptTable(this.name);
    if (!kept || this.shots.length > 0) return;
    this.height = kept.height;
    this.turn = kept.turn;
    for (const each of kept.pictures) await this.#takeIn(each);
    this.list = kept.list;
    await this.again();
  }

  #keep(): void {
    void keepTable(this.name, {
      pictures: this.shots.map(({ kept }) => kept),
      height: $state.snapshot(this.height),
      list: this.list,
      turn: this.turn,
      at: Date.now(),
    });
  }

  get busy(): boolean {
    return this.working > 0;
  }
  get shot() {
    return this.shots.find(({ id }) => id === this.shown);
  }

  /** One question after the other; what goes wrong is said and leaves all as it was. */
  async #ask<T>(work: (api: Awaited<ReturnType<Background<PhotoWorker>['api']>>) => Promise<T>) {
    this.working += 1;
    try {
      return await work(await this.#worker.api());
    } catch (error) {
      this.fault = `${(error as Error).message} Nothing else was lost.`;
      return undefined;
    } finally {
      this.working -= 1;
    }
  }

  async take(files: readonly File[]): Promise<void> {
    this.fault = '';
    for (const file of files) {
      if (await this.#takeIn({ id: drawnId(), file })) continue;
      toast(
        `${file.name}: no picture this browser reads (JPEG, PNG, WebP). Nothing else was lost.`,
        'stop',
      );
    }
    await this.again();
  }

  async #takeIn(kept: KeptPicture): Promise<boolean> {
    const { file, card } = kept;
    const taken = await this.#ask((api) => api.take(file));
    if (!taken) return false;
    const fault = card
      ? await this.#ask((api) => api.card(taken.id, card.taps, card.size))
      : taken.fault;
    this.shots = [...this.shots, { ...taken, fault, name: file.name, kept }].slice(-5);
    this.shown = taken.id;
    return true;
  }

  /** A quarter on, clockwise. */
  turnOn(): void {
    this.turn = (this.turn + 1) % 4;
    this.#keep();
  }

  async drop(id: number): Promise<void> {
    await this.#ask((api) => api.drop(id));
    this.shots = this.shots.filter((shot) => shot.id !== id);
    if (this.shown === id) this.shown = this.shots.at(-1)?.id;
    await this.again();
  }

  async show(id: number): Promise<void> {
    this.shown = id;
    await this.#lay();
  }

  setRules(rules: MatRules): Promise<void> {
    this.rules = rules;
    try {
      localStorage.setItem(RULES_KEY, JSON.stringify(rules));
    } catch {
      /* Private windows keep nothing: it is typed again. */
    }
    return this.again();
  }
  setHeight(height: Height): Promise<void> {
    this.height = height;
    return this.again();
  }

  /** All pictures solved anew, and what was tapped measured again. */
  async again(): Promise<void> {
    const { rules, height } = this;
    const joined = await this.#ask((api) =>
      api.join($state.snapshot(rules), $state.snapshot(height)),
    );
    this.joined = joined?.fault === undefined ? joined : undefined;
    this.fault = this.shots.some(({ fault }) => fault === undefined) ? (joined?.fault ?? '') : '';
    await this.#lay();
    if (!this.joined) {
      this.#keep();
      return;
    }
    const list: Measured[] = [];
    for (const each of this.list) list.push((await this.#find(each.is, middleOf(each))) ?? each);
    this.list = list;
    this.#keep();
  }

  async #lay(): Promise<void> {
    const id = this.shown;
    if (id === undefined) {
      this.laid = undefined;
      return;
    }
    const flat = this.joined?.ids.includes(id) ?? false;
    const laid = await this.#ask((api) =>
      flat ? api.flat(id, $state.snapshot(this.height)) : api.plain(id),
    );
    if (laid && this.shown === id) this.laid = { ...laid, plain: !flat };
  }

  async #find(what: Tool, tap: At): Promise<Measured | undefined> {
    const id = this.joined?.ids.includes(this.shown ?? -1) ? this.shown : this.joined?.ids[0];
    if (id === undefined) return undefined;
    const height = $state.snapshot(this.height);
    return (await this.#ask((api) => api.find(what, id, tap, height)))?.found;
  }

  /** What lies where it was tapped; says so where there is nothing of the kind. */
  async tap(at: At): Promise<void> {
    this.fault = '';
    const { taps, shown } = this;
    if (taps && shown !== undefined) {
      this.taps = [...taps, { u: at.x, v: at.y }];
      return;
    }
    const found = await this.#find(this.tool, at);
    if (!found) {
      this.fault = {
        hole: 'No round rim is found there: tap its middle, or show it sharper and against another ground.',
        edge: 'No straight edge is found there: tap closer to it.',
        rectangle: 'No four edges close round that place: tap inside, or measure them one by one.',
      }[this.tool];
      return;
    }
    /* Tapped again it is the same one, measured anew. */
    const same = (each: Measured) =>
      each.is === found.is && apart(middleOf(each), middleOf(found)) < 0.8;
    this.list = [...this.list.filter((each) => !same(each)), found];
    this.#keep();
  }

  /** The card whose corners were tapped. */
  async card(size: { width: number; height: number }): Promise<void> {
    const { taps, shown } = this;
    if (!taps || shown === undefined) return;
    const fault = await this.#ask((api) => api.card(shown, taps, size));
    this.taps = undefined;
    this.fault = fault ?? '';
    if (fault !== undefined) return;
    this.shots = this.shots.map((shot) =>
      shot.id === shown
        ? { ...shot, fault: undefined, kept: { ...shot.kept, card: { taps: [...taps], size } } }
        : shot,
    );
    await this.again();
  }

  forget(i: number): void {
    this.list = this.list.toSpliced(i, 1);
    this.#keep();
  }
}

export function middleOf(each: Measured): At {
  if (each.is !== 'rectangle') return { x: each.x, y: each.y };
  const mean = (of: (at: At) => number) =>
    each.corners.reduce((sum, at) => sum + of(at), 0) / each.corners.length;
  return { x: mean(({ x }) => x), y: mean(({ y }) => y) };
}
const apart = (a: At, b: At) => Math.hypot(a.x - b.x, a.y - b.y);

/** Accuracies are shown to the tenth, or to the hundredth of an inch. */
export const within = (mm: number, unit: 'mm' | 'in'): string =>
  unit === 'mm'
    ? `±${Math.max(0.1, mm).toFixed(1)}`
    : `±${Math.max(0.01, mm / MM_PER_INCH).toFixed(2)}`;

const tables: Record<string, PhotoTable> = {};

/** The table of a job by its name: it stays while the page does, whatever is looked at in between. */
export const photoTable = (name: string): PhotoTable => (tables[name] ??= new PhotoTable(name));
