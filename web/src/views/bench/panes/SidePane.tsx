import { lazy, memo, Suspense, useRef } from 'react';
import { Tabs } from 'radix-ui';
import { printSpot } from '@inch-tower/core';
import { selectScene } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { useBench, type Pane } from '../hooks/benchContext';
import { useFocusHome } from '../hooks/useFocusHome';
import { SnagsPane } from './SnagsPane';
import { TryPane } from './TryPane';

const SheetPane = lazy(() => import('./SheetPane'));

export const SidePane = memo(function SidePane() {
  const ui = useBench();
  const pane = useRef<HTMLElement>(null);
  useFocusHome(pane);
  const snags = useAppSelector((state) => state.bench.view?.snags);
  const worst = snags?.some((snag) => snag.severity === 'blocker')
    ? 'bad'
    : snags?.some((snag) => snag.severity === 'caution')
      ? 'warn'
      : 'text-mid';
  const scene = useAppSelector(selectScene);
  const isSpot = ui.selected?.includes('/') ?? false;
  const occupied =
    !!scene &&
    (scene.table.some((solid) => solid.id === ui.selected) ||
      scene.boxes.some((box) =>
        box.solids.some(
          (solid) =>
            solid.unit && ((solid.spot && printSpot(solid.spot) === ui.selected) || solid.unit.id === ui.selected),
        ),
      ));
  const tab =
    'flex-1 min-h-9 text-center text-mid data-[state=active]:font-semibold ' +
    'data-[state=active]:text-ink data-[state=active]:shadow-[inset_0_-3px_0_var(--tape)]';
  return (
    <section
      ref={pane}
      aria-label="Side pane"
      className="no-print flex min-h-0 flex-col border-line md:border-l"
      onKeyDown={(event) => {
        if (event.key === 'Escape' && !event.defaultPrevented) {
          event.preventDefault();
          ui.setGhost(null);
          ui.toDrawing(ui.selected ?? undefined);
        }
      }}
    >
      <Tabs.Root
        value={ui.pane}
        onValueChange={(pane) => ui.show(pane as Pane)}
        className="flex min-h-0 flex-1 flex-col"
      >
        <Tabs.List aria-label="Side pane" className="flex shrink-0 border-b border-line">
          <Tabs.Trigger value="snags" className={tab}>
            Snags <span className={`mono ${worst}`}>{snags?.length ?? 0}</span>
          </Tabs.Trigger>
          <Tabs.Trigger value="try" className={tab}>
            Try
          </Tabs.Trigger>
          <Tabs.Trigger value="sheet" className={tab}>
            Sheet
          </Tabs.Trigger>
        </Tabs.List>
        <Tabs.Content value="snags" data-pane="snags" className="relative min-h-0 flex-1 overflow-auto" tabIndex={-1}>
          <h2 className="sr-only">Snags</h2>
          <SnagsPane />
        </Tabs.Content>
        <Tabs.Content value="try" data-pane="try" className="relative flex min-h-0 flex-1 flex-col" tabIndex={-1}>
          <h2 className="sr-only">Try</h2>
          {isSpot && (!occupied || ui.replacing) ? (
            <TryPane key={`${ui.selected}${ui.replacing}`} />
          ) : (
            <p className="p-4 text-mid">
              {occupied
                ? 'This place is taken. Its sheet has “Replace”.'
                : 'Choose an empty place in the drawing: what fits there is tried here, one part after another.'}
            </p>
          )}
        </Tabs.Content>
        <Tabs.Content value="sheet" data-pane="sheet" className="min-h-0 flex-1 overflow-auto" tabIndex={-1}>
          <Suspense fallback={null}>
            <SheetPane />
          </Suspense>
        </Tabs.Content>
      </Tabs.Root>
    </section>
  );
});
