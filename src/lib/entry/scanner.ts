import { GAP_MS, isScan, withKey, type Burst } from '$core/quick/burst.ts';

/**
 * Scans from anywhere. A key pressed outside a text field waits for a pause before it is a shortcut:
 * what follows at machine speed and ends in Enter is a scan and reaches no button, list or shortcut.
 * In a text field the keys go on as ever; only a scan that means something takes them back out.
 */
export interface ScanSigns {
  /** A scan that was closed by Enter. */
  onscan: (text: string) => void;
  /** A figure begun by hand, or letters at machine speed without Enter: they belong in the entry line. */
  onloose: (text: string) => void;
  /** Would this text, scanned into a field, be a code rather than what the field wants? Later, while what reads it still loads. */
  isCode: (text: string) => boolean | Promise<boolean>;
}

/** A station's digit may come this long after its `g`, ms. */
const STATION_MS = 1000;
const FIELDS =
  'textarea, [contenteditable], input:not([type=checkbox], [type=radio], [type=button], [type=file], [type=range])';

/** Starts listening; the answer stops it. */
export function listenForScans(signs: ScanSigns): () => void {
  let burst: Burst | undefined;
  /** Keys outside a field, kept back until a pause says they are shortcuts. */
  let held: { event: KeyboardEvent; target: EventTarget }[] = [];
  let pause: ReturnType<typeof setTimeout> | undefined;
  /** The field as it was before the burst began. */
  let field: { node: HTMLInputElement | HTMLTextAreaElement; value: string } | undefined;
  const released = new WeakSet<Event>();
  /** When `g` was let go last: the digit after it is a station. */
  let gAt = -Infinity;

  function onkeydown(event: KeyboardEvent): void {
    if (released.has(event) || event.isComposing || event.repeat) return;
    const target = event.target as HTMLElement;
    const inField = target.matches(FIELDS);
    if (event.key === 'Enter') return closed(event, target, inField);
    if (event.key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey) {
      if (held.length > 0 && event.key !== 'Shift') release();
      return;
    }
    const before = burst;
    burst = withKey(before, event.key, event.timeStamp);
    const begins = burst.text.length === 1;
    if (inField) {
      if (begins)
        field = { node: target as HTMLInputElement, value: (target as HTMLInputElement).value };
      return;
    }
    /* A lone space presses the button it is on; a slash opens the entry line before the next key comes. */
    if (begins && (event.key === ' ' || event.key === '/')) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    held.push({ event, target });
    clearTimeout(pause);
    pause = setTimeout(release, GAP_MS);
  }

  function closed(event: KeyboardEvent, target: HTMLElement, inField: boolean): void {
    const scan = isScan(burst, event.timeStamp) ? burst?.text.trim() : undefined;
    burst = undefined;
    clearTimeout(pause);
    const keys = held;
    held = [];
    if (scan === undefined) {
      for (const key of keys) again(key);
      return;
    }
    const keep = () => {
      event.preventDefault();
      event.stopImmediatePropagation();
    };
    if (!inField) {
      if (keys.length === 0) return;
      keep();
      signs.onscan(scan);
      return;
    }
    if (field?.node !== target) return;
    const { node, value } = field;
    /* In the entry line a tag scanned behind typed words belongs to them: `sold A14`. */
    if (target.dataset['entry'] !== undefined && value.trim() !== '') return;
    const taken = () => {
      node.value = value;
      node.dispatchEvent(new Event('input', { bubbles: true }));
      signs.onscan(scan);
    };
    const code = signs.isCode(scan);
    if (code === false) return;
    keep();
    if (code === true) taken();
    else void code.then((is) => (is ? taken() : entered(event, node)));
  }

  /** Enter in a field, late: what it would have done. */
  function entered(event: KeyboardEvent, node: HTMLInputElement | HTMLTextAreaElement): void {
    if (!again({ event, target: node })) return;
    if (node instanceof HTMLTextAreaElement) {
      node.setRangeText('\n', node.selectionStart, node.selectionEnd, 'end');
      node.dispatchEvent(new Event('input', { bubbles: true }));
      return;
    }
    node.dispatchEvent(new Event('change', { bubbles: true }));
    node.form?.requestSubmit();
  }

  /** A pause: one key was a shortcut; two of them a way to a station; more are a scan without Enter. */
  function release(): void {
    clearTimeout(pause);
    const keys = held;
    held = [];
    burst = undefined;
    const text = keys.map(({ event }) => event.key).join('');
    const at = keys[0]?.target;
    if (at instanceof HTMLSelectElement) return choose(at, text);
    const figure = /^\d$/.test(text) && performance.now() - gAt > STATION_MS;
    if (text.endsWith('g')) gAt = performance.now();
    if (!figure && (keys.length === 1 || /^g[0-9b]$/.test(text)))
      for (const key of keys) again(key);
    else signs.onloose(text);
  }

  /** The key once more, for whoever listens to shortcuts; false where one of them took it for itself. */
  function again({ event, target }: { event: KeyboardEvent; target: EventTarget }): boolean {
    const { key, code, shiftKey } = event;
    const repeat = new KeyboardEvent('keydown', {
      key,
      code,
      shiftKey,
      bubbles: true,
      cancelable: true,
    });
    released.add(repeat);
    /* What had the focus may have gone meanwhile, a dialog that closed. */
    const there = target instanceof Node && target.isConnected;
    return (there ? target : (document.activeElement ?? document.body)).dispatchEvent(repeat);
  }

  window.addEventListener('keydown', onkeydown, { capture: true });
  return () => {
    clearTimeout(pause);
    window.removeEventListener('keydown', onkeydown, { capture: true });
  };
}

/** Letters typed at a list of choices within this time belong together, ms. */
const CHOOSE_MS = 1000;
let chosen = { text: '', at: -Infinity };

/** The option that begins with the letters, as a browser's own list would choose it; one letter again goes on to the next. */
function choose(select: HTMLSelectElement, letters: string): void {
  const now = performance.now();
  const text = (now - chosen.at < CHOOSE_MS ? chosen.text : '') + letters.toLowerCase();
  chosen = { text, at: now };
  const again = [...text].every((letter) => letter === text[0]);
  const begins = again ? (text[0] ?? '') : text;
  const count = select.options.length;
  for (let step = again ? 1 : 0; step <= count; step += 1) {
    const option = select.options[(select.selectedIndex + step) % count];
    if (!option?.text.trim().toLowerCase().startsWith(begins)) continue;
    if (select.value === option.value) return;
    select.value = option.value;
    select.dispatchEvent(new Event('input', { bubbles: true }));
    select.dispatchEvent(new Event('change', { bubbles: true }));
    return;
  }
}
