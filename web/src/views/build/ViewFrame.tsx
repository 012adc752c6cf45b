import type { ReactNode } from 'react';
import { Masthead } from '../Masthead';
import { BuildTitle } from './BuildTitle';
import { ChangeLine } from './ChangeLine';
import { PrintHead } from './PrintHead';
import { Tapes } from './Tapes';

/** What every view of a machine stands under: its name and verdict, the tapes, the last change; on paper a head. */
export function ViewFrame({
  view,
  hint,
  className,
  children,
}: {
  readonly view: string;
  readonly hint: string;
  /** Columns of the page below. */ readonly className: string;
  readonly children: ReactNode;
}) {
  return (
    <div className="print-page relative flex h-full min-h-[560px] flex-col">
      <Masthead>
        <BuildTitle />
      </Masthead>
      <div className="no-print contents">
        <Tapes />
        <ChangeLine hint={hint} />
      </div>
      <PrintHead view={view} />
      <main
        className={
          'print-page grid min-h-0 flex-1 auto-rows-max grid-cols-1 overflow-auto md:auto-rows-auto ' +
          `md:overflow-hidden ${className}`
        }
      >
        {children}
      </main>
    </div>
  );
}
