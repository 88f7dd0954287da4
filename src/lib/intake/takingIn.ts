import { IntakeError, type Inventory } from '$core/intake/inventory.ts';
import { readInventories } from '$core/intake/read.ts';
import { kindName } from '$core/model/types/seats.ts';
import { kinds, type Kind } from '$core/model/types/types.ts';
import { uiState } from '$lib/shop/uiState.svelte.ts';

/** A text of an inventory, and where it comes from: a file's name, `paste`. */
export interface Piece {
  from: string;
  text: string;
}

/** Everything that could be read of the pieces, and a sentence for each that could not. */
export function readPieces(pieces: readonly Piece[]): {
  inventories: Inventory[];
  faults: string[];
} {
  const inventories: Inventory[] = [];
  const faults: string[] = [];
  for (const piece of pieces) {
    try {
      inventories.push(...readInventories(piece.text));
    } catch (error) {
      if (!(error instanceof IntakeError)) throw error;
      faults.push(`${piece.from}: ${error.message}`);
    }
  }
  return { inventories, faults };
}

const MOST_BYTES = 5_000_000;

/** Files as pieces; one too large is refused by the reader, in its own words. */
export const piecesOf = (files: readonly File[]): Promise<Piece[]> =>
  Promise.all(
    files.map(async (file) => ({
      from: file.name,
      text: file.size > MOST_BYTES ? 'x'.repeat(MOST_BYTES + 1) : decode(await file.arrayBuffer()),
    })),
  );

/** Redirected output of the common desktop system's shell is UTF-16. */
function decode(buffer: ArrayBuffer): string {
  const bytes = new Uint8Array(buffer);
  const utf16 = bytes[0] === 0xff && bytes[1] === 0xfe;
  return new TextDecoder(utf16 ? 'utf-16le' : 'utf-8').decode(buffer);
}

/** `board, CPU, 2 RAM`. */
export const countOf = (parts: readonly { kind: Kind }[]): string =>
  kinds
    .flatMap((kind) => {
      const count = parts.filter((part) => part.kind === kind).length;
      return count === 0 ? [] : [count === 1 ? kindName(kind) : `${count} ${kindName(kind)}`];
    })
    .join(', ');

/** What was read and what was not believed, to be said at the job's Intake. */
export function sayRead(
  inventories: readonly Inventory[],
  machines: readonly Inventory[],
  jobId: string,
): void {
  uiState.justRead = inventories.map(({ tool, name, parts, ignored }) => ({
    tool,
    what: countOf(parts),
    ignored,
    where: machines.length > 1 ? (name ?? '') : '',
    jobId,
  }));
}
