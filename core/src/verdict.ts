import type { Figures } from './figures/figures';
import type { OpenThing, Status } from './open';
import type { Severity } from './snags/finding';

const NAMED = 2;

/** A machine's verdict in words, and what it says nothing about. */
export type Verdict = { readonly words: string; readonly notComputed: string };

/**
 * Blockers and cautions counted; what is missing named; *clear* where nothing is missing and nothing blocks, which is
 * said of what is computed alone. Cautions the builder accepted are counted apart.
 */
export function verdictOf({
  status,
  open,
  snags,
  figures,
}: {
  readonly status: Status;
  readonly open: readonly Pick<OpenThing, 'label'>[];
  readonly snags: readonly { readonly severity: Severity; readonly accepted?: string }[];
  readonly figures: Figures;
}): Verdict {
  const standing = snags.filter(({ accepted }) => accepted === undefined);
  const count = (severity: Severity, one: string): string[] => {
    const many = standing.filter((snag) => snag.severity === severity).length;
    return many > 0 ? [`${many} ${one}${many === 1 ? '' : 's'}`] : [];
  };
  const accepted = snags.length - standing.length;
  const found = [
    ...count('blocker', 'blocker'),
    ...count('caution', 'caution'),
    ...(accepted > 0 ? [`${accepted} accepted`] : []),
  ];
  const names = open.map(({ label }) => label.toLowerCase());
  const others = names.length > NAMED ? ` and ${names.length - NAMED} more` : '';
  const missing = `Parts missing: ${names.slice(0, NAMED).join(', ')}${others}`;
  const first = { empty: ['Empty'], partsMissing: [missing], blocked: [], clear: ['Clear'] }[status];
  return {
    words: [...first, ...found].join(', '),
    // A verdict never passes over what nobody has worked out: of an open frame, or before there are drives.
    notComputed: status === 'empty' || figures['air.hottestDriveC'] ? '' : 'temperatures not computed',
  };
}
