import type {
  SupplyChoice,
  SupplyOffer,
  SupplyPoint,
  UnitId,
  Build,
  Catalogue,
  Edit,
  Owned,
  Explanation,
  FigureId,
  FlowTold,
  Figures,
  Need,
  OpenThing,
  Place,
  Refusal,
  PowerBox,
  PowerLine,
  ScheduleLine,
  Severity,
  Air,
  AirTry,
  OverAir,
  Bill,
  BillReading,
  Comparison,
  Breaks,
  Dealt,
  PoolSeen,
  Quieter,
  Reading,
  ReadingsTold,
  SameTemperature,
  Gone,
  MemoryTold,
  MovedOut,
  Mover,
  NextDrives,
  Worn,
  HeaderLine,
  HeardTicks,
  Power,
  Reused,
  Running,
  Share,
  SizeRow,
  Sizes,
  SmallNeed,
  Snag,
  SnagCode,
  SpotRef,
  StockRead,
  ReadFile,
  StockEntry,
  StageWork,
  Status,
  Step,
  TryAsk,
  Wiring,
} from '@inch-tower/core';

/** A snag with its words, as the page shows it. */
export type TaggedSnag = {
  readonly key: string;
  readonly code: SnagCode;
  readonly severity: Severity;
  readonly at: readonly Place[];
  readonly title: string;
  readonly what: string;
  readonly why: string;
  readonly gap?: Snag['gap'];
  /** Why the builder lets it stand. */ readonly accepted?: string;
};

/** What the page knows of an assessment: figures and snags, no sheets. */
export type BenchView = {
  readonly rev: number;
  readonly status: Status;
  readonly figures: Figures;
  /** What is heard at work and on the hottest day. */ readonly heard: HeardTicks | null;
  readonly snags: readonly TaggedSnag[];
  readonly open: readonly OpenThing[];
  readonly needs: readonly Need[];
  readonly small: readonly SmallNeed[];
  readonly unplaced: readonly string[];
  readonly unconnected: readonly string[];
};

/** A supply in the place of another, and what it would do to the machine besides. */
export type SupplyPointRow = RemedyRow &
  Pick<SupplyPoint, 'name' | 'givesW' | 'lossKwh' | 'lossMinor' | 'earDb'> & { readonly costs: readonly Effect[] };
/** One that surely loses less, with what it saves a year. */
export type SupplyRow = SupplyPointRow & Pick<SupplyOffer, 'savesKwh' | 'savesMinor'>;
export type SupplyChoiceRows = Pick<SupplyChoice, 'now'> & {
  readonly all: readonly (SupplyPointRow & Pick<SupplyPoint, 'isTooSmall'>)[];
  readonly offers: readonly SupplyRow[];
};
export type Effect = { readonly title: string; readonly what: string; readonly severity: Severity };
type Deltas = Readonly<Partial<Record<FigureId, number>>>;
/** `same` where there is another and both have drives; null where nothing has a temperature to be held at. */
export type WinterToSummer = {
  readonly mine: OverAir;
  readonly other: OverAir | null;
  readonly same: SameTemperature | null;
};
/** An owned line with what was found about it, in words. */
export type OwnedLine = Omit<Reused, 'snags'> & { readonly found: readonly string[] };
type PoolAnswer = PoolSeen & {
  readonly breaks: Breaks;
  readonly dealt: Dealt | null;
  /** The same by moving drives, where sets are kept. */ readonly movedOut: MovedOut | null;
  readonly flow: FlowTold;
  readonly memory: MemoryTold;
  readonly worn: readonly Worn[];
  /** Null without a growth in the brief. */ readonly monthsUntilFull: number | null;
};
/** The next drives to buy, as an edit, and how far the machine can grow after them. */
export type NextTold = RemedyRow &
  Pick<NextDrives, 'name' | 'count' | 'usableTb' | 'months'> & { readonly costs: readonly Effect[] };
export type GrowthTold = {
  readonly next: NextTold;
  /** What it is at the most with nothing blocked; null where already the next drives block. */
  readonly most: { readonly usableTb: number; readonly drives: number; readonly fullAt: number | null } | null;
  /** What blocks the purchase after that; empty where none was met. */ readonly limit: readonly Effect[];
  /** What is passed before that, with the months from now and how many drives there are then. */
  readonly met: readonly (Effect & { readonly boughtAt: number | null; readonly drives: number })[];
};
/** Drives of every capacity for the room that is wished, each as an edit, and which costs least over five years. */
export type SizeRowTold = RemedyRow &
  Pick<SizeRow, 'name' | 'tb' | 'count' | 'layout' | 'widths' | 'rebuildH' | 'fiveYears' | 'isNow'> & {
    readonly costs: readonly Effect[];
  };
type SizesTold = Omit<Sizes, 'rows'> & { readonly rows: readonly SizeRowTold[] };
/** Changes that make the machine quieter, the most first, and how far the search for them is. */
export type QuietRow = RemedyRow & Pick<Quieter, 'savesDb' | 'duty' | 'hottestC'>;
export type QuietRows = { readonly done: number; readonly of: number; readonly best: readonly QuietRow[] };
export type GoingRow = {
  readonly sheet: string;
  readonly delta: Deltas;
  readonly figures: Figures;
  readonly cures: readonly Effect[];
  readonly eases: readonly Effect[];
  readonly causes: readonly Effect[];
  readonly worsens: readonly Effect[];
  readonly blockersAfter: number;
};
export type RefusedRow = { readonly sheet: string; readonly name: string; readonly why: string };
export type TryBatch = {
  readonly going: readonly GoingRow[];
  readonly refused: readonly RefusedRow[];
  readonly done: boolean;
};
export type RemedyRow = {
  readonly title: string;
  readonly edits: readonly Edit[];
  readonly delta: Deltas;
  readonly figures: Figures;
  readonly cure: boolean;
  readonly blockersAfter: number;
};
/** Remedies of a snag, and what of the build cannot be together, in lines of words. */
export type WaysOut = { readonly rows: readonly RemedyRow[]; readonly conflict: readonly string[] };
/** What becomes of another machine's drives here; every row brings them in. */
export type Hosted = {
  readonly drives: number;
  readonly placed: number;
  readonly connected: number;
  readonly all: boolean;
  readonly roomAfter: number;
  readonly troubles: readonly Effect[];
  readonly rows: readonly RemedyRow[];
};

/**
 * What the worker does. It keeps the build and receives edits with a revision; late answers are dropped by the caller.
 */
/** From where parts are tried: everything listed, a builder's own sheets, stock, or classes with typical numbers. */
export type TrySource = 'all' | 'own' | 'stock' | 'classes';
export type AskFrom = TryAsk & { readonly source: TrySource };

export type BenchWorker = {
  /** Answered once its script runs. */
  ready(): true;
  /** All sheets, classes among them, and the ids of a builder's own. */
  setCatalogue(catalogue: Catalogue, own: readonly string[]): void;
  /** A file of parts held against the catalogue, and its stock against what is here: megabytes of it, off the page. */
  readParts(
    text: string,
    here: readonly StockEntry[] | null,
  ): Promise<{ readonly read: ReadFile; readonly stock: StockRead }>;
  open(build: Build, rev: number): BenchView;
  /** Edits that are settled already; null where the machine before them is not open here. */
  apply(edits: readonly Edit[], from: number, rev: number): BenchView | null;
  /** Makes and settles edits of the machine as it was at `from`, and keeps the result as `rev`; null as above. */
  commit(edits: readonly Edit[], from: number, rev: number): Step | Refusal | null;
  /** The same from a whole machine. */
  commitOn(build: Build, edits: readonly Edit[], rev: number): Step | Refusal;
  /** What was committed last, worked out; null as above. */
  view(rev: number): BenchView | null;
  /** Settles edits of any machine, for whoever keeps it; what is open here stays open. */
  settle(build: Build, edits: readonly Edit[]): Step | Refusal;
  explain(id: FigureId): Explanation | null;
  shares(id: FigureId): readonly Share[];
  /** The power of the build that is open, its cables, and what stays up with one thing gone; null while none is. */
  power(): Promise<(Power & { readonly cables: readonly PowerBox[]; readonly gone: readonly Gone[] }) | null>;
  /** The pool of the open build, what takes which of its sets with it, and how fast it is; null while none is open. */
  pool(): Promise<PoolAnswer | null>;
  /** The next drives to buy and how far that goes; null without a pool to add to, or when something newer was asked. */
  growth(): Promise<GrowthTold | null>;
  /** Temperatures and noise of the build that is open, with what is tried; null while none is. */
  air(tried: AirTry): Promise<Air | null>;
  /** What was read of the open machine about some quantities against what is reckoned; null while none is. */
  readings(about: readonly Reading['what'][]): Promise<ReadingsTold | null>;
  /** The noise of the open machine by the air in the room, and of another, and both at the same temperature. */
  winterToSummer(other: Build | null): Promise<WinterToSummer | null>;
  /** Tells what makes the machine quieter as it finds it; null when something newer was asked. */
  quieten(onProgress: (rows: QuietRows) => void): Promise<QuietRows | null>;
  /** Number against size of drives; null when something newer was asked. */
  sizes(): Promise<SizesTold | null>;
  /** The typical numbers of a part in the order of what they move; null while none is open. */
  movers(unit: UnitId): Promise<readonly Mover[] | null>;
  /** What is reckoned for a reading about to be kept; null where nothing is. */
  reckoned(reading: Reading): Promise<number | null>;
  /** Streams rows in batches; a newer ask or `stop` ends it. */
  tryAt(ask: AskFrom, onBatch: (batch: TryBatch) => void): Promise<void>;
  /** With parts in stock by sheet, which are proposed first. */
  remedies(snagKey: string, owned?: Readonly<Record<string, Owned>>): Promise<WaysOut | null>;
  /** Whether the open build could take the pool's drives of another; null while none is open. */
  hosts(other: Build): Promise<Hosted | null>;
  /** Edits with the layout they lead to on that revision; null where it is not open here or they cannot be made. */
  settled(edits: readonly Edit[], rev: number): readonly Edit[] | null;
  /** Figures as they would be with some edits; null where those cannot be made. */
  weighed(edits: readonly Edit[]): Figures | null;
  /** Supplies where this one is, with those that surely lose less a year; null when something newer was asked. */
  supplies(supply: UnitId): Promise<SupplyChoiceRows | null>;
  /** What would let a part in that does not go there; null when something newer was asked. */
  whyNot(spot: SpotRef, sheet: string): Promise<WaysOut | null>;
  stop(): void;
  /** The wiring of the build that is open, and its cable list; null while none is. */
  wiring(): Promise<{
    readonly wiring: Wiring;
    readonly schedule: readonly ScheduleLine[];
    readonly power: readonly PowerBox[];
    readonly plugs: readonly PowerLine[];
    readonly headers: readonly HeaderLine[];
    readonly flow: FlowTold;
  } | null>;
  /** Prices and deals of a bill that was filled in as a table; null while nothing is open. */
  readBill(text: string): Promise<BillReading | null>;
  /** The bill of the build that is open, and what a year of it costs; null while none is. */
  billView(): Promise<{
    readonly bill: Bill;
    readonly running: Running;
    readonly owned: readonly OwnedLine[];
  } | null>;
  /** Whether each stage works by itself, and what would be bought earlier for it; null while no build is open. */
  stagesWork(): Promise<readonly StageWork[] | null>;
  /** Machines side by side, open or not. */
  compare(columns: readonly (readonly Build[])[]): Promise<Comparison>;
  /** The bill as CSV and the drawing as SVG of the build that is open; null while none is. */
  bill(): Promise<string | null>;
  drawing(): Promise<string | null>;
};
