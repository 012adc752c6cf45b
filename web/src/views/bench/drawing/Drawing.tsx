import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { printSpot, type Scene } from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { useAppDispatch } from '../../../state/store';
import { placeName } from '../../../words/placeName';
import { StruckNote } from '../../build/StruckNote';
import { useStruck } from '../../build/useStruck';
import { useBench } from '../hooks/benchContext';
import { useMoveTargets } from '../hooks/useMoveTargets';
import { SheetPicture } from './SheetPicture';
import { useDrawingKeys } from './useDrawingKeys';
import { useSheetModel } from './useSheetModel';
import { ViewBar } from './ViewBar';

/** The draughtsman's sheet: where work happens. Click a place, or walk there with the arrows. */
export function Drawing({ onHelp }: { readonly onHelp: () => void }) {
  const frame = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(frame);
  const model = useSheetModel(width, height);
  const { scene, build } = model;
  const ui = useBench();
  const targets = useMoveTargets();
  const struck = useStruck();
  /** A place that was asked for and takes nothing of what is moved, and what was moved then. */
  const [missed, setMissed] = useState<{ readonly moving: string; readonly place: string } | null>(null);
  const choose = useChoose(scene, targets, (id) => {
    if (ui.moving) setMissed({ moving: ui.moving, place: placeWords(scene, id) });
  });
  const moveWords = ui.moving ? moveAnswer(targets.size, missed?.moving === ui.moving ? missed.place : null) : null;
  const { current, setWalked, hasKeyboardRef, onKeyDown } = useDrawingKeys(model, frame, choose, onHelp);
  // Shapes keep one handler for life, so that they are not drawn again when what it does has changed.
  const chooseRef = useRef(choose);
  useEffect(() => {
    chooseRef.current = choose;
  });
  const onChoose = useCallback(
    (id: string) => {
      setWalked(id);
      chooseRef.current(id);
    },
    [setWalked],
  );

  return (
    <section
      aria-label="Drawing"
      className="print-page relative flex min-h-[420px] min-w-0 flex-col bg-sheet md:min-h-0"
    >
      <h2 className="sr-only">Drawing</h2>
      {struck && <StruckNote struck={struck} />}
      <div ref={frame} className="print-page relative min-h-0 flex-1 overflow-hidden">
        {width > 0 && scene && (
          <svg
            className="drawing absolute inset-0"
            width={width}
            height={height}
            viewBox={`0 0 ${width} ${height}`}
            role="group"
            aria-label={`Drawing of ${build?.name || 'the machine'}; arrows walk its places, Enter opens what fits`}
            onKeyDown={onKeyDown}
            onFocus={() => {
              hasKeyboardRef.current = true;
            }}
            onBlur={(event) => {
              if (event.relatedTarget) hasKeyboardRef.current = false;
            }}
            onPointerDown={() => {
              hasKeyboardRef.current = false;
            }}
          >
            <SheetPicture
              model={model}
              width={width}
              height={height}
              current={current}
              onChoose={onChoose}
              struck={struck}
            />
          </svg>
        )}
      </div>
      <ViewBar scene={scene} box={model.box} drawn={model.drawn} trying={model.trying} moving={moveWords} />
    </section>
  );
}

/** Chooses a place: moves what is being moved there, else shows what is in it or what fits. */
function useChoose(
  scene: Scene | null,
  targets: ReturnType<typeof useMoveTargets>,
  onMiss: (id: string) => void,
): (id: string, byKey?: boolean) => void {
  const ui = useBench();
  const dispatch = useAppDispatch();
  return (id, byKey = false) => {
    if (!ui.moving) return ui.select(id, { pane: isOccupied(scene, id) ? 'sheet' : 'try', focusPane: byKey });
    const spot = targets.get(id);
    if (!spot) return onMiss(id);
    void dispatch(edit([{ type: 'place.put', unit: ui.moving as never, spot }])).then((taken) => {
      if (!taken) return;
      ui.setMoving(null);
      ui.select(id, { pane: 'sheet' });
    });
  };
}

/** What can be done with what is moved; after a place that does not take it, that too. */
function moveAnswer(places: number, missed: string | null): string {
  const can =
    places === 0
      ? 'No other place takes it'
      : `${places === 1 ? 'The one lit place takes it' : `${places} lit places take it`}`;
  return `${missed ? `${missed} does not take it. ` : ''}${can}; Escape leaves it where it is`;
}

function placeWords(scene: Scene | null, id: string): string {
  const solid = scene?.boxes.flatMap((box) => box.solids).find((one) => one.spot && printSpot(one.spot) === id);
  return solid ? placeName(solid) : 'That place';
}

function isOccupied(scene: Scene | null, id: string): boolean {
  if (!scene) return false;
  if (scene.table.some((solid) => solid.id === id)) return true;
  return scene.boxes.some((box) =>
    box.solids.some((solid) => solid.spot && printSpot(solid.spot) === id && solid.unit),
  );
}

function useSize(ref: RefObject<HTMLElement | null>): { width: number; height: number } {
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: Math.floor(entry.contentRect.width), height: Math.floor(entry.contentRect.height) });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return size;
}
