import { useMemo } from 'react';
import { differenceOf, plannedUnits, printSpot, sceneOf, type SceneBox } from '@inch-tower/core';
import { placeBalloons } from '../../../drawing/balloons';
import { cornerOf } from '../../../drawing/corner';
import { placeLabels } from '../../../drawing/labels';
import { drawnTogether, layoutSheet, onSheet, RULER } from '../../../drawing/sheetLayout';
import type { Stop } from '../../../drawing/walk';
import { selectScene } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { differenceWords } from '../../../words/differenceWords';
import { useBench } from '../hooks/benchContext';
import { tableStops } from './TablePicture';

const NONE: readonly never[] = [];

/** What the sheet shows at a size in px: views with their labels and balloons, the table, and the places to walk to. */
export function useSheetModel(width: number, height: number) {
  const ui = useBench();
  const scene = useAppSelector(selectScene);
  const build = useAppSelector((state) => state.bench.build);
  const view = useAppSelector((state) => state.bench.view);
  const { after } = ui;
  const ghost = useMemo(() => (after ? sceneOf(plannedUnits(after), after.layout) : null), [after]);
  const trying = useMemo(
    () => (build && after ? differenceWords(differenceOf(build, after)) : '') || (ui.ghost?.words ?? ''),
    [build, after, ui.ghost],
  );
  const shown = ghost && scene?.boxes.length === 0 ? ghost : scene;
  const box = shown?.boxes.find((one) => holds(one, ui.selected)) ?? shown?.boxes[0];
  const boxes = shown?.boxes ?? NONE;
  const drawn = useMemo(
    () => (box && width > 0 ? drawnTogether(boxes, box, width, height) : NONE),
    [boxes, box, width, height],
  );
  const layout = useMemo(
    () => (box && width > 0 ? layoutSheet(ui.focus === 'sheet' ? drawn : [box], ui.focus, width, height) : null),
    [drawn, box, ui.focus, width, height],
  );
  const labels = useMemo(() => layout?.views.map(placeLabels) ?? [], [layout]);
  const snags = view?.snags;
  const balloons = useMemo(
    () =>
      layout && snags
        ? placeBalloons(snags, layout.views, labels.flat(), {
            x: RULER + 2,
            y: RULER + 2,
            width: width - RULER - 4,
            height: height - RULER - 4,
          })
        : NONE,
    [layout, snags, labels, width, height],
  );
  const free = layout?.free ?? { x: RULER + 34, y: RULER + 40, width: width - RULER - 60, height: height - RULER - 60 };
  const corner = cornerOf(free);
  const { title } = corner;
  const tableArea = layout ? corner.rest : free;
  const tableScale = layout?.scale ?? 1;
  const open = view?.open;
  const table = useMemo(
    () =>
      scene && width > 0 ? tableStops(scene.table, open ?? [], tableArea, tableScale, scene.boxes.length === 0) : [],
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the area is made of the numbers listed
    [scene, open, tableArea.x, tableArea.y, tableArea.width, tableArea.height, tableScale, width],
  );
  const tableEnd = table.length ? Math.max(...table.map(({ rect }) => rect.y + rect.height)) + 22 : tableArea.y;
  const stops = useMemo(
    (): Stop[] => [
      ...(layout?.views.flatMap((one) =>
        one.shapes.flatMap((shape) =>
          shape.solid.spot && one.large
            ? [
                {
                  id: printSpot(shape.solid.spot),
                  feature: `${shape.solid.spot.host}/${shape.solid.spot.key}`,
                  rect: onSheet(one, shape),
                },
              ]
            : [],
        ),
      ) ?? []),
      ...table.map((one) => ({ id: one.id, feature: 'table', rect: one.rect })),
    ],
    [layout, table],
  );
  const looseNames = view?.unconnected.join(' ') ?? '';
  const loose = useMemo(() => (looseNames ? looseNames.split(' ') : NONE), [looseNames]);
  const notes = {
    x: tableArea.x,
    y: tableEnd,
    width: tableArea.width,
    height: tableArea.y + tableArea.height - tableEnd,
  };
  return {
    scene,
    build,
    snags,
    ghost,
    trying,
    /** The machine is drawn as it would be, for there is none yet. */ isGhostAlone: shown === ghost,
    box,
    /** The boxes that three views show at once. */ drawn,
    layout,
    labels,
    balloons,
    title,
    notes,
    table,
    tableArea,
    stops,
    loose,
  };
}
export type SheetModel = ReturnType<typeof useSheetModel>;

/** Whether a box shows what is selected, by spot or by unit. */
const holds = (box: SceneBox, selected: string | null): boolean =>
  selected !== null &&
  box.solids.some(
    (solid) => solid.unit?.id === selected || (solid.spot !== null && printSpot(solid.spot) === selected),
  );
