import { useEffect, useState } from 'react';
import type { Catalogue } from '@inch-tower/core';
import { redo, undo } from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { Masthead } from '../Masthead';
import { BenchContext } from './benchContext';
import { BenchTitle } from './BenchTitle';
import { ChangeLine } from './ChangeLine';
import { Drawing } from './Drawing';
import { Kit } from './Kit';
import { Shortcuts } from './Shortcuts';
import { SidePane } from './SidePane';
import { StaleNotice } from './StaleNotice';
import { Tapes } from './Tapes';
import { useBenchUi } from './useBenchUi';

const isTyping = (target: EventTarget | null) => target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

export function Bench({ catalogue }: { readonly catalogue: Catalogue }) {
  const ui = useBenchUi(catalogue);
  const dispatch = useAppDispatch();
  const name = useAppSelector((state) => state.bench.build?.name ?? '');
  const stale = useAppSelector((state) => state.bench.save === 'stale');
  const [help, setHelp] = useState(false);
  useEffect(() => { document.title = `${name || 'Unnamed'} · Inch Tower`; }, [name]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || (isTyping(event.target) && (event.target as HTMLInputElement).value)) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      dispatch(key === 'y' || event.shiftKey ? redo() : undo());
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [dispatch]);

  return (
    <BenchContext.Provider value={ui}>
      <div className="flex h-full min-h-[560px] flex-col">
        <Masthead><BenchTitle onHelp={() => setHelp(true)} /></Masthead>
        <Tapes />
        {stale ? <StaleNotice /> : <ChangeLine />}
        <main className="grid min-h-0 flex-1 auto-rows-max grid-cols-1 overflow-auto md:auto-rows-auto md:grid-rows-1 md:grid-cols-[200px_minmax(0,1fr)_316px] md:overflow-hidden lg:grid-cols-[214px_minmax(0,1fr)_330px]">
          <Kit />
          <Drawing onHelp={() => setHelp(true)} />
          <SidePane />
        </main>
        <Shortcuts open={help} onOpenChange={setHelp} />
      </div>
    </BenchContext.Provider>
  );
}
