/** Ready tasks, the one that stands first in the order on top: a binary heap. */
export class Queue {
  #heap: number[] = [];
  #rank: readonly number[];
  constructor(rank: readonly number[]) {
    this.#rank = rank;
  }
  push(task: number): void {
    const heap = this.#heap;
    let at = heap.push(task) - 1;
    while (at > 0) {
      const up = (at - 1) >> 1;
      if (!this.#first(at, up)) break;
      this.#swap(at, up);
      at = up;
    }
  }
  pop(): number | undefined {
    const heap = this.#heap;
    const top = heap[0];
    const last = heap.pop();
    if (heap.length === 0 || last === undefined) return top;
    heap[0] = last;
    for (let at = 0; ;) {
      const [l, r] = [2 * at + 1, 2 * at + 2];
      let best = at;
      if (l < heap.length && this.#first(l, best)) best = l;
      if (r < heap.length && this.#first(r, best)) best = r;
      if (best === at) return top;
      this.#swap(at, best);
      at = best;
    }
  }
  #first(a: number, b: number): boolean {
    const heap = this.#heap;
    return (this.#rank[heap[a] as number] as number) < (this.#rank[heap[b] as number] as number);
  }
  #swap(a: number, b: number): void {
    const heap = this.#heap;
    [heap[a], heap[b]] = [heap[b] as number, heap[a] as number];
  }
}
