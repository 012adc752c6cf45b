import { lazy, memo, Suspense, useCallback, useState } from 'react';
import { useOutletContext } from 'react-router';
import type { OwnedCatalogue } from '../../state/api';
import { BuildTitle } from '../build/BuildTitle';
import { ChangeLine } from '../build/ChangeLine';
import { PrintHead } from '../build/PrintHead';
import { Tapes } from '../build/Tapes';
import { useUndoKeys } from '../build/useUndoKeys';
import { remember, remembered } from '../../remembered';
import { Masthead } from '../Masthead';
import { BenchContext } from './hooks/benchContext';
import { Drawing } from './drawing/Drawing';
import { Kit } from './panes/Kit';
import { SidePane } from './panes/SidePane';
import { useBenchUi } from './hooks/useBenchUi';

const BenchPrint = lazy(() => import('./BenchPrint'));
const Shortcuts = lazy(() => import('./Shortcuts'));
const KIT = 'kit';

export default function Bench() {
  const ui = useBenchUi(useOutletContext<OwnedCatalogue>());
  const [help, setHelp] = useState(false);
  // Once fetched it stays, so that closing it leads the keyboard back.
  const [wasHelp, setWasHelp] = useState(false);
  const askHelp = useCallback(() => {
    setWasHelp(true);
    setHelp(true);
  }, []);
  const [isKitFolded, setKitFolded] = useState(() => remembered(KIT) === 'folded');
  const foldKit = useCallback(() => {
    setKitFolded((was) => {
      remember(KIT, was ? 'open' : 'folded');
      return !was;
    });
  }, []);
  useUndoKeys();

  return (
    <BenchContext.Provider value={ui}>
      <div className="print-page relative flex h-full min-h-[560px] flex-col">
        <Head onHelp={askHelp} onNamed={ui.toDrawing} />
        <main
          className={
            'print-page relative grid min-h-0 flex-1 auto-rows-max grid-cols-1 overflow-auto ' +
            'md:auto-rows-auto ' +
            'md:grid-rows-1 md:overflow-hidden ' +
            (isKitFolded
              ? 'md:grid-cols-[40px_minmax(0,1fr)_316px] lg:grid-cols-[40px_minmax(0,1fr)_330px]'
              : 'md:grid-cols-[200px_minmax(0,1fr)_316px] lg:grid-cols-[214px_minmax(0,1fr)_330px]')
          }
        >
          <h1 className="sr-only">Bench</h1>
          <Kit isFolded={isKitFolded} onFold={foldKit} />
          <Drawing onHelp={askHelp} />
          <SidePane />
        </main>
        <Suspense fallback={null}>
          <BenchPrint />
        </Suspense>
        {wasHelp && (
          <Suspense fallback={null}>
            <Shortcuts open={help} onOpenChange={setHelp} />
          </Suspense>
        )}
      </div>
    </BenchContext.Provider>
  );
}

/** Above the machine: drawn again by what each of it shows, not by every edit. */
const Head = memo(function Head({ onHelp, onNamed }: { readonly onHelp: () => void; readonly onNamed: () => void }) {
  return (
    <>
      <Masthead>
        <BuildTitle onHelp={onHelp} onNamed={onNamed} />
      </Masthead>
      <div className="no-print contents">
        <Tapes />
        <ChangeLine />
      </div>
      <PrintHead view="bench" />
    </>
  );
});
