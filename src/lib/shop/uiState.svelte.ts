import type { CardFile } from '$core/model/types/cardFile.ts';
import type { Finding } from '$core/findings/finding.ts';
import type { Shop } from '$core/model/types/types.ts';

/** A sum printed from the entry line, with the unit its bare lengths were in. */
export interface QuickPrinted {
  text: string;
  finding: Finding;
  unit: 'mm' | 'in';
}

/** What one tool's output gave, in words. */
export interface JustRead {
  tool: string;
  what: string;
  ignored: readonly string[];
  /** The machine it went to, where a paste held several. */
  where: string;
  /** The job at whose Intake it was pasted. */
  jobId: string;
}

/** What the hands are on: the chosen sum, the lit measure, open drawers. Not stored. */
class Look {
  /** Id of the finding lit on tape and stage. */
  chosen = $state<string | undefined>(undefined);
  /** The input being measured, as `partId key`. */
  measuring = $state<string | undefined>(undefined);
  /** The order questions are asked in where a view has its own. */
  order = $state.raw<readonly string[] | undefined>(undefined);
  /** How good the caliper, ruler or eye in hand is, ± mm; undefined where nobody said. */
  accuracyMm = $state<number | undefined>(undefined);
  /** Ohms up to which the meter in hand beeps; undefined where nobody said. */
  beepsTo = $state<number | undefined>(undefined);
  /** The seat a scanned part goes to. */
  seat = $state<string | undefined>(undefined);
  /** The part scanned last, waiting for a place. */
  held = $state<string | undefined>(undefined);
  /** Where every part scanned now is laid, until the box is full. */
  laying = $state<string | undefined>(undefined);
  /** Quick sums printed on the tape, newest first; gone with the page unless kept with a job. */
  quick = $state.raw<QuickPrinted[]>([]);
  /** What the last paste or files at Intake gave, until it is closed. */
  justRead = $state.raw<readonly JustRead[]>([]);
  /** Who is at the bench, as they name themselves. */
  who = $state('');
  /** Parts whose labels were asked for together. */
  labelsOf = $state.raw<readonly string[]>([]);
  /** The part whose label was asked for. */
  labelOf = $state<string | undefined>(undefined);
  /** The part whose sheet is open. */
  sheet = $state<string | undefined>(undefined);
  /** The photograph that is shown large. */
  photo = $state<string | undefined>(undefined);
  /** The tape goes on paper too. */
  printTape = $state(false);
  /** The camera looks for labels. */
  scanning = $state(false);
  /** The stop of the tour that is shown; undefined: no tour. */
  tour = $state<number | undefined>(undefined);
  tapeOpen = $state(false);
  /** A file that was read and waits for the word whether it is added or replaces the shop. */
  opening = $state.raw<{ file: string; shop: Shop } | undefined>(undefined);
  /** Model cards of another shop, read and not taken in yet. */
  cards = $state.raw<{ file: string; cards: CardFile } | undefined>(undefined);
  /** Dialogs opened from anywhere. */
  dialog = $state<'keys' | 'new job' | 'new shop' | 'paste' | 'dead' | 'print' | undefined>(
    undefined,
  );
  /** The job last opened, for stations reached from the bench. */
  lastJob = $state<string | undefined>(undefined);
}

export const uiState = new Look();
