import type { Money } from '../../units/money.ts';
import type { Resource } from './finishTypes.ts';
import type { Facts } from './fact.ts';
import type { Job } from './jobTypes.ts';
import type { Photo } from './photoTypes.ts';
import type { HeardCard } from './cardTypes.ts';
import type { Versions } from './versionTypes.ts';

import { FORMAT, VERSION, type Condition, type Kind, type SeatId } from './names.ts';

export * from './jobTypes.ts';
export * from './names.ts';
export * from './photoTypes.ts';

/** The document: a shop with its models, machines, parts and jobs. Plain data, JSON as it stands. */

/** What is true of every piece of its kind: measured once, inherited by each. */
export interface Model {
  id: string;
  kind: Kind | 'machine';
  name: string;
  facts: Facts;
  /** What other shops say of it. */
  cards?: HeardCard[] | undefined;
}

export type PlaceOfPart = 'shelf' | 'machine' | 'buy' | 'gone';

export interface Part {
  id: string;
  /** Tags it bore in other shops before it was renumbered here: their labels still find it. */
  was?: string[] | undefined;
  kind: Kind;
  name: string;
  modelId?: string | undefined;
  /** What differs on this piece, or is known of it alone. */
  facts: Facts;
  place: PlaceOfPart;
  /** Shelf, box or drawer. */
  where?: string | undefined;
  /** ISO date a bought part is expected. */
  due?: string | undefined;
  /** Own condition, origin and price; while a part sits in a machine these fall back to the machine's. */
  condition?: Condition | undefined;
  origin?: string | undefined;
  price?: Money | undefined;
  /** The most it may cost, minor units of its price's currency, where the price is a range. */
  priceTo?: number | undefined;
  /** Sold only together with every other part to buy of this lot; each bears its share of the price. */
  lot?: string | undefined;
  /** What it would fetch by itself; undefined where nobody guessed. */
  worth?: Money | undefined;
  /** The machine it was taken out of. */
  from?: string | undefined;
  /** The job it is kept for. */
  reserved?: string | undefined;
  loan?: Loan | undefined;
  /** What was done to it, oldest first. */
  service?: Service[] | undefined;
  /** Loans that are over. */
  pastLoans?: PastLoan[] | undefined;
  /** How many alike lie under this tag: small parts alone. One where nothing is said. */
  count?: number | undefined;
  note?: string | undefined;
}

/** How many pieces a tag stands for. */
export const countOf = ({ kind, count }: Pick<Part, 'kind' | 'count'>): number =>
  kind === 'small' ? (count ?? 1) : 1;

export const serviceSorts = [
  'paste',
  'pads',
  'cleaned',
  'checked',
  'mended',
  'soldered',
  'cut',
  'other',
] as const;

/** A line of a part's service record. */
export interface Service {
  /** ISO day or time. */
  at: string;
  what: (typeof serviceSorts)[number];
  /** Kind and thickness of paste or pads, what was resoldered, moved, cut. */
  note?: string | undefined;
  /** Hours it had run, and share of a drive's life used up, percent, at this visit. */
  hours?: number | undefined;
  wear?: number | undefined;
  /** Cannot be undone. */
  forGood?: boolean | undefined;
  jobId?: string | undefined;
  who?: string | undefined;
}

/** Out of the house, or in it and owed back. */
export interface Loan {
  way: 'lent' | 'borrowed';
  who?: string | undefined;
  /** ISO date it is owed back. */
  until?: string | undefined;
  /** How it went out, to compare at its return. */
  as?: string | undefined;
  /** ISO day or time it went out or came in. */
  since?: string | undefined;
  /** What sat in it then: compared at its return. */
  held?: LoanLine[] | undefined;
}

/** A part of a lent machine as it went. */
export interface LoanLine {
  seat: SeatId;
  partId: string;
  name: string;
  condition: Condition;
}

/** A loan that is over: as it went, and what was found at its return. */
export interface PastLoan {
  way: Loan['way'];
  who?: string | undefined;
  since?: string | undefined;
  until?: string | undefined;
  /** ISO time it was back. */
  back: string;
  as?: string | undefined;
  /** Missing, changed, damaged, new: a line each; none: as it went. */
  found: string[];
}

/** A machine somebody offers: amounts in whole minor units of one currency. */
export interface Offer {
  currency: string;
  asked?: number | undefined;
  /** What it is worth when done. */
  value?: { lo: number; hi: number } | undefined;
  fixes: { what: string; price?: { lo: number; hi: number } | undefined }[];
  /** Hours of hands it would take. */
  hours?: { lo: number; hi: number } | undefined;
}

export interface Seat {
  seat: SeatId;
  partId: string;
}

/** What a tool printed of a machine, against what was known of it. */
export interface UnsettledReading {
  at: string;
  tool: string;
  name?: string | undefined;
  facts: Facts;
  parts: { kind: Kind; name: string; facts: Facts }[];
  /** What was printed but not believed, in words. */
  ignored: string[];
}

export const machineStates = ['here', 'donor', 'in use', 'offered', 'gone'] as const;
export type MachineState = (typeof machineStates)[number];

export interface Machine {
  id: string;
  /** Tags it bore in other shops before it was renumbered here: their labels still find it. */
  was?: string[] | undefined;
  name: string;
  modelId?: string | undefined;
  state: MachineState;
  /** Does it still start? Undefined: nobody tried. */
  starts?: boolean | undefined;
  condition?: Condition | undefined;
  origin?: string | undefined;
  price?: Money | undefined;
  facts: Facts;
  seats: Seat[];
  /** Never stripped: its parts serve no other job. */
  keepWhole?: boolean | undefined;
  loan?: Loan | undefined;
  /** Loans that are over. */
  pastLoans?: PastLoan[] | undefined;
  /** Readings that contradict what is known, each waiting until somebody chooses. */
  unsettled?: UnsettledReading[] | undefined;
  /** What is asked for it and what it would need, while it is offered. */
  offer?: Offer | undefined;
  note?: string | undefined;
}

export interface Settings {
  unit: 'mm' | 'in';
  currency: string;
  /** Share of a supply's watts kept free at full load; a default, the user's own choice. */
  headroom: number;
  /** Temperatures are read in these; °C where nobody said. */
  degrees?: 'C' | 'F' | undefined;
  /** Volts of the mains here: supplies lose a little more on 115 V. 230 where nobody said. */
  mains?: 115 | 230 | undefined;
  theme: 'light' | 'dark' | 'auto';
  /** What one unit of a foreign currency is worth in the shop's own, as an exact decimal. */
  rates: Rate[];
  /** What an hour of hands is worth; undefined where nobody counts them. */
  anHour?: Money | undefined;
  /** Where the shop is reached, as it stands on what it prints. */
  contact?: string | undefined;
  /** Labels are printed for this stock. */
  labelStock?: string | undefined;
  /** Percent of the usual size everything is shown at. */
  textSize?: 100 | 115 | 130 | 150 | undefined;
  /** Who works when, and with what; undefined: one person, weekdays 9 to 18. */
  workshop?: Workshop | undefined;
  /** The demo: said on screen, so that nobody takes it for their own. */
  demo?: boolean | undefined;
}

/** Hands, hours and places of a shop, as the plan of the week needs them. */
export interface Workshop {
  /** Minutes after midnight. */
  opens: number;
  closes: number;
  /** Days of the week nobody works; 0 is Sunday. */
  off: number[];
  /** ISO days off besides. */
  closed: string[];
  people: string[];
  /** Places it has; named twice where there are two. */
  places: Resource[];
  /** Pieces the drying rack holds; undefined: nobody counted. */
  rack?: number | undefined;
  /** What the coming days are like where paint is sprayed. */
  weather?: Weather[] | undefined;
  /** Oven and printer may run with nobody there. */
  overnight: boolean;
}

/** °C and percent humidity of a day, as far as somebody said. */
export interface Weather {
  /** ISO time within it. */
  day: string;
  roomC?: number | undefined;
  humidity?: number | undefined;
}

export interface Rate {
  currency: string;
  /** `0.9231`: own units for one foreign one. */
  rate: string;
  at?: string | undefined;
}

export const entryKinds = ['cost', 'sale', 'gift', 'hours'] as const;

/** A line of the book: money spent or got, a gift with what it is worth, or minutes of hands. */
export interface Entry {
  id: string;
  /** ISO day or time. */
  at: string;
  kind: (typeof entryKinds)[number];
  what: string;
  /** Spent, got, or what a gift is worth; never below nothing. */
  money?: Money | undefined;
  minutes?: number | undefined;
  jobId?: string | undefined;
  machineId?: string | undefined;
  partId?: string | undefined;
  /** From whom, or to whom. */
  who?: string | undefined;
}

/** A plug somebody measured, so that the next one of its kind is known. Pins as in standards/plugs, '?' where open. */
export interface OwnPlug {
  id: string;
  name: string;
  rows: number;
  ways: number;
  pitchMm: number;
  /** Signal by pin, counted row by row on the header's face. */
  pins: string[];
  /** Wire colour by pin; empty where nobody looked. */
  colours?: string[] | undefined;
  note?: string | undefined;
  at?: string | undefined;
}

export interface Shop {
  format: typeof FORMAT;
  version: typeof VERSION;
  name: string;
  settings: Settings;
  models: Model[];
  machines: Machine[];
  parts: Part[];
  jobs: Job[];
  plugs: OwnPlug[];
  ledger: Entry[];
  photos: Photo[];
  /** In files alone: which bench wrote what, so that copies edited apart can be merged. */
  versions?: Versions | undefined;
}
