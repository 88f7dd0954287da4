import type { Branch } from '$core/watts/tree/index.ts';

/** A branch where it is drawn: columns from the wall, heights by watts. */
export interface LaidBranch {
  branch: Branch;
  column: number;
  x: number;
  y: number;
  /** Height of the slot the branch fills, by its most watts. */
  h: number;
  /** Where its ribbon leaves the parent, and how thick. */
  from: { x: number; y: number; h: number } | undefined;
}

export interface LaidTree {
  branches: LaidBranch[];
  width: number;
  height: number;
  boxW: number;
  /** Pixels of so many watts. */
  thick: (watts: number) => number;
}

const LEAST = 30;
const GAP = 6;

/** Branches from left to right, children in a column beside their parent; `pxPerW` sets how thick a watt is. */
export function layTree(branches: readonly Branch[], width: number): LaidTree {
  const children = new Map<string | undefined, Branch[]>();
  for (const branch of branches) {
    const list = children.get(branch.parent) ?? [];
    list.push(branch);
    children.set(branch.parent, list);
  }
  const roots = children.get(undefined) ?? [];
  if (roots.length === 0) return { branches: [], width, height: 0, boxW: 0, thick: () => 0 };
  const depthOf = (branch: Branch): number =>
    1 + Math.max(0, ...(children.get(branch.id) ?? []).map(depthOf));
  const columns = Math.max(...roots.map(depthOf));
  const boxW = Math.min(132, (width / columns) * 0.76);
  const step = columns > 1 ? (width - boxW) / (columns - 1) : 0;
  const most = Math.max(1, ...roots.map((root) => root.watts.hi));
  const thick = (watts: number) => Math.max(2, (watts / most) * 110);
  const laid: LaidBranch[] = [];
  let floor = 0;
  const place = (branch: Branch, column: number): LaidBranch => {
    const own: LaidBranch = {
      branch,
      column,
      x: column * step,
      y: 0,
      h: Math.max(LEAST, thick(branch.watts.hi)),
      from: undefined,
    };
    laid.push(own);
    const kids = [...(children.get(branch.id) ?? [])].map((kid) => place(kid, column + 1));
    if (kids.length === 0) {
      own.y = floor;
      floor += own.h + GAP;
      return own;
    }
    const [first, last] = [kids[0] as LaidBranch, kids.at(-1) as LaidBranch];
    own.y = (first.y + last.y + last.h) / 2 - own.h / 2;
    const sum = kids.reduce((total, kid) => total + thick(kid.branch.watts.hi), 0);
    let at = own.y + own.h / 2 - sum / 2;
    for (const kid of kids) {
      const h = thick(kid.branch.watts.hi);
      kid.from = { x: own.x + boxW, y: at + h / 2, h };
      at += h;
    }
    return own;
  };
  for (const root of roots) place(root, 0);
  const top = Math.min(...laid.map((each) => each.y));
  for (const each of laid) {
    each.y -= top;
    if (each.from) each.from.y -= top;
  }
  const height = Math.max(...laid.map((each) => each.y + each.h));
  return { branches: laid, width, height, boxW, thick };
}
