import { cablesAndStates } from './cablesAndStates';

/** A document as it was read, before any schema. */
export type Raw = Readonly<Record<string, unknown>>;
/**
 * One step from a format to the next. It takes whatever is there, also what no schema would let in, and changes only
 * what it is for: the schema of the newest format judges what comes out.
 */
export type Upgrade = {
  readonly from: number;
  /** A whole build. */
  readonly build: (raw: Raw) => Raw;
  /** One edit made under that format, such as one that waits in a browser. */
  readonly edit: (raw: Raw) => Raw;
};

/** Named, in order, and never changed once files were written in what they lead to. */
export const UPGRADES: readonly Upgrade[] = [cablesAndStates];

/** The format builds are written in; every earlier one is read. */
export const FORMAT = 2;

/** The format a document says it is of; null for one that says none there ever was. */
export function formatOf(raw: Raw): number | null {
  const { format } = raw;
  return typeof format === 'number' && Number.isInteger(format) && format >= 1 ? format : null;
}

/** A build of an earlier format as one of the newest. */
export const upgradeBuild = (raw: Raw, from: number): Raw =>
  UPGRADES.slice(from - 1).reduce((now, step) => ({ ...step.build(now), format: step.from + 1 }), raw);

/** Edits made on a build of an earlier format, as edits of the newest. */
export const upgradeEdits = (edits: readonly unknown[], from: number): readonly unknown[] =>
  UPGRADES.slice(from - 1).reduce<readonly unknown[]>(
    (now, step) => now.map((edit) => (isRecord(edit) ? step.edit(withoutWas(edit)) : edit)),
    edits,
  );

/** What a section was is of the format it was in, and of no use in another. */
const withoutWas = ({ was: _was, ...edit }: Raw): Raw => edit;
const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
