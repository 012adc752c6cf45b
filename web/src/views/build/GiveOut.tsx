import { lazy, memo, Suspense, useState } from 'react';

const load = () => import('./GiveOutMenu');
const GiveOutMenu = lazy(load);
const LOOK = 'plain min-h-6 text-[13px] whitespace-nowrap text-mid hover:underline';

/** The machine as files: as it is on the screen, saved or not. */
export const GiveOut = memo(function GiveOut() {
  const [isAsked, setIsAsked] = useState(false);
  const shut = (
    <button
      type="button"
      aria-haspopup="menu"
      aria-expanded={false}
      className={LOOK}
      onPointerEnter={() => void load().catch(() => undefined)}
      onFocus={() => void load().catch(() => undefined)}
      onClick={() => setIsAsked(true)}
    >
      Export
    </button>
  );
  return isAsked ? (
    <Suspense fallback={shut}>
      <GiveOutMenu className={LOOK} />
    </Suspense>
  ) : (
    shut
  );
});
