import type { Build } from '../build/build';
import type { Severity } from './finding';

type Told = { readonly key: string; readonly severity: Severity };

/** Why the builder lets a caution stand; undefined where it is not accepted. What blocks cannot be. */
export const acceptedReason = (build: Pick<Build, 'accepted'>, { key, severity }: Told): string | undefined =>
  severity === 'caution' ? build.accepted.find(({ snag }) => snag === key)?.reason : undefined;

/** The accepted snags of a build with one more, or with another reason for it. */
export const withAccepted = (build: Pick<Build, 'accepted'>, snag: string, reason: string): Build['accepted'] => [
  ...withoutAccepted(build, snag),
  { snag, reason },
];
/** The accepted snags of a build less one. */
export const withoutAccepted = (build: Pick<Build, 'accepted'>, snag: string): Build['accepted'] =>
  build.accepted.filter((one) => one.snag !== snag);
