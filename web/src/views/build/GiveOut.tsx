import { memo, useEffect, useState, type ComponentType } from 'react';
import { useAppStore } from '../../state/store';
import { saveBuildFile } from '../saveFile';
import { fetchedSoon } from './fetchedSoon';

type Menu = ComponentType<{ readonly className: string }>;
const menu = fetchedSoon(async (): Promise<Menu> => (await import('./GiveOutMenu')).default);
const LOOK = 'plain min-h-6 text-[13px] whitespace-nowrap text-mid hover:underline';

/** The machine as files: as it is on the screen, saved or not. Where its menu cannot be had, the build file alone. */
export const GiveOut = memo(function GiveOut() {
  const store = useAppStore();
  const [Opened, setOpened] = useState<Menu | null>(null);
  useEffect(() => menu.soon(), []);
  const open = () =>
    menu.get().then(
      (loaded) => setOpened(() => loaded),
      () => {
        const { build } = store.getState().bench;
        if (build) saveBuildFile(build);
      },
    );
  if (Opened) return <Opened className={LOOK} />;
  return (
    <button type="button" aria-haspopup="menu" aria-expanded={false} className={LOOK} onClick={() => void open()}>
      Export
    </button>
  );
});
