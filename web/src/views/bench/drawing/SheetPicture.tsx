import { lazy, Suspense, useCallback } from 'react';
import { printSpot } from '@inch-tower/core';
import { BALLOON_R } from '../../../drawing/balloons';
import { RULER } from '../../../drawing/sheetLayout';
import { useBench } from '../hooks/benchContext';
import { useMoveTargets } from '../hooks/useMoveTargets';
import { usePath } from '../hooks/usePath';
import { useReaches } from '../hooks/useReaches';
import { Clearances } from './Clearances';
import { Balloons, Dimensions, Hatches, Rulers, TitleBlock } from './sheetFurniture';
import { MadeOf } from './MadeOf';
import type { StruckView } from '../../build/useStruck';
import { StruckMarks } from './StruckMarks';
import { TablePicture } from './TablePicture';
import type { SheetModel } from './useSheetModel';
import { ViewPicture } from './ViewPicture';

const WarmMarks = lazy(() => import('./WarmMarks'));

type Props = {
  readonly model: SheetModel;
  readonly width: number;
  readonly height: number;
  readonly current: string | null;
  readonly onChoose: (id: string) => void;
  readonly struck: StruckView | null;
};

/** Everything on the sheet: rulers, views, dimensions, clearances, the table, notes, title block and balloons. */
export function SheetPicture({ model, width, height, current, onChoose, struck }: Props) {
  const ui = useBench();
  const { scene, build, snags, layout, labels, balloons, table, title, box, drawn, isGhostAlone, notes } = model;
  const targets = useMoveTargets();
  const path = usePath();
  const { room, covered, chosen } = useReaches();
  const { select } = ui;
  const onSnag = useCallback((key: string) => select(snagPlace(snags, key), { pane: 'snags' }), [select, snags]);
  if (!scene) return null;
  const ghosts = model.ghost && !isGhostAlone ? model.ghost.boxes : [];
  const taken = [
    ...labels.flat(),
    ...balloons.map(({ x, y }) => ({
      x: x - BALLOON_R,
      y: y - BALLOON_R,
      width: 2 * BALLOON_R,
      height: 2 * BALLOON_R,
    })),
    ...table.map(({ rect }) => rect),
    ...(title.height > 0 ? [title] : []),
  ];
  return (
    <>
      <Hatches />
      <Rulers
        width={width}
        height={height}
        originX={layout?.views[0]?.x ?? RULER + 34}
        originY={layout?.views[0]?.y ?? RULER + 30}
        scale={layout?.scale ?? 1}
      />
      {layout?.views.map((one, i) => {
        const own = labels[i];
        return own ? (
          <ViewPicture
            key={`${one.box} ${one.name}`}
            view={one}
            labels={own}
            current={current}
            selected={ui.selected}
            lit={ui.moving ? targets : path}
            unconnected={model.loose}
            covered={covered}
            ghosts={ghosts.find(({ unit }) => unit.id === one.box)}
            faded={isGhostAlone}
            onChoose={onChoose}
            onEnlarge={ui.setFocus}
          />
        ) : null;
      })}
      {layout && !isGhostAlone && struck && <StruckMarks views={layout.views} struck={struck} />}
      {layout && !isGhostAlone && (
        <>
          <Dimensions views={layout.views} brief={build?.brief} />
          <Clearances
            views={layout.views}
            reaches={room}
            selected={chosen}
            labels={taken}
            width={width}
            height={height}
          />
        </>
      )}
      {!isGhostAlone && (
        <TablePicture
          area={model.tableArea}
          stops={table}
          current={current}
          selected={ui.selected}
          empty={scene.boxes.length === 0}
          onChoose={onChoose}
        />
      )}
      {layout && ui.focus === 'sheet' && !isGhostAlone && <MadeOf {...notes} />}
      {layout && box && build && title.height > 0 && (
        <TitleBlock
          x={title.x}
          y={title.y}
          width={title.width}
          build={build}
          boxes={ui.focus === 'sheet' ? drawn : [box]}
          scale={layout.scale}
          snags={snags ?? []}
        />
      )}
      <Balloons balloons={balloons} onChoose={onSnag} />
      {layout && !ui.ghost && ui.isWarm && (
        <Suspense fallback={null}>
          <WarmMarks views={layout.views} taken={taken} />
        </Suspense>
      )}
    </>
  );
}

/** The place in the drawing that a snag is about. */
function snagPlace(snags: SheetModel['snags'], key: string): string | null {
  const place = snags?.find((snag) => snag.key === key)?.at.find((one) => 'spot' in one);
  return place && 'spot' in place ? printSpot(place.spot) : null;
}
