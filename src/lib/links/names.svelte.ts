import { idIndex, type IdIndex } from '$core/links/ids.ts';

/** The lists of names by numbers, fetched when first asked for; kept while the page lives. */
class Names {
  pci = $state.raw<IdIndex | undefined>(undefined);
  usb = $state.raw<IdIndex | undefined>(undefined);
  fault = $state<string | undefined>(undefined);
  #asked = new Set<string>();

  load(kind: 'pci' | 'usb'): void {
    if (this.#asked.has(kind)) return;
    this.#asked.add(kind);
    void this.#fetch(kind);
  }

  async #fetch(kind: 'pci' | 'usb'): Promise<void> {
    try {
      const answer = await fetch(`/api/v1/ids/${kind}`);
      if (answer.ok) this[kind] = idIndex(await answer.text());
      else this.fault = ((await answer.json()) as { fault?: string }).fault;
    } catch {
      this.fault = 'The list of names cannot be had just now: numbers are shown.';
      this.#asked.delete(kind);
    }
  }
}

export const names = new Names();
