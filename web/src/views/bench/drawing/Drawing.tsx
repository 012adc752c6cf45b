import { useCallback, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import {
  differenceOf,
  plannedUnits,
  printSpot,
  sceneOf,
  VIEW_NAMES,
  type Place,
  type Scene,
  type SceneBox,
} from '@inch-tower/core';
import { BALLOON_R, placeBalloons } from '../../../drawing/balloons';
import { placeLabels } from '../../../drawing/labels';
import { layoutSheet, onSheet, RULER, type Focus } from '../../../drawing/sheetLayout';
import { selectScene } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { edit, redo, undo } from '../../../state/benchThunks';
import { nextFeature, nextStop, type Direction, type Stop } from '../../../drawing/walk';
import { TABLE_ANY, useBench } from '../hooks/benchContext';
import { Balloons, Dimensions, Hatches, Rulers, SnagNotes, TitleBlock, ViewPicture } from './drawingParts';
import { differenceWords } from '../../../words/differenceWords';
import { singleKeysOn } from '../Shortcuts';
import { TablePicture, tableStops } from './TablePicture';
import { Clearances } from './Clearances';
import { useReaches } from '../hooks/useReaches';
import { useMoveTargets } from '../hooks/useMoveTargets';
import { usePath } from '../hooks/usePath';

const FOCUS_WORDS: Record<Focus, string> = {
  sheet: 'Three views',
  plan: 'Plan',
  front: 'Front',
  side: 'Side, cut',
  rear: 'Rear',
};
const FOCI: readonly Focus[] = ['sheet', ...VIEW_NAMES];
const ARROWS: Readonly<Record<string, Direction>> = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
};

/** The draughtsman's sheet: where work happens. Click a place, or walk there with the arrows. */
export function Drawing({ onHelp }: { readonly onHelp: () => void }) {
  const frame = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(frame);
  const ui = useBench();
  const dispatch = useAppDispatch();
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
  const layout = useMemo(
    () => (box && width > 0 ? layoutSheet(box, ui.focus, width, height) : null),
    [box, ui.focus, width, height],
  );
  const labels = useMemo(() => layout?.views.map(placeLabels) ?? [], [layout]);
  const { room, covered, chosen } = useReaches();
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
        : [],
    [layout, snags, labels, width, height],
  );
  const free = layout?.free ?? { x: RULER + 34, y: RULER + 40, width: width - RULER - 60, height: height - RULER - 60 };
  const titleHeight = free.height >= 84 && free.width >= 150 ? 84 : 0;
  const tableArea = { ...free, height: free.height - titleHeight - (titleHeight ? 12 : 0) };
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
  const [walked, setWalked] = useState<string | null>(null);
  const current =
    [walked, ui.selected].find((id) => id && stops.some((stop) => stop.id === id)) ?? stops[0]?.id ?? null;
  const targets = useMoveTargets();
  const path = usePath();
  const { focusNextRef, asked, selected } = ui;
  useEffect(() => {
    const wish = focusNextRef.current;
    if (wish?.kind !== 'drawing' || (wish.stop && wish.stop !== selected)) return;
    const stop =
      (wish.stop && frame.current?.querySelector<SVGElement>(`[data-stop="${CSS.escape(wish.stop)}"]`)) ||
      frame.current?.querySelector<SVGElement>('.stop[tabindex="0"]');
    if (!stop) return;
    focusNextRef.current = null;
    stop.focus();
  }, [focusNextRef, asked, selected, stops]);
  // The place that had the keyboard may be gone from the drawing: the keyboard stays in it all the same.
  const hasKeyboardRef = useRef(false);
  useEffect(() => {
    if (hasKeyboardRef.current && document.activeElement === document.body)
      frame.current?.querySelector<SVGElement>('.stop[tabindex="0"]')?.focus();
  }, [stops]);

  const choose = (id: string, byKey = false) => {
    setWalked(id);
    if (ui.moving) {
      const spot = targets.get(id);
      if (!spot) return;
      void dispatch(edit([{ type: 'place.put', unit: ui.moving as never, spot }])).then((taken) => {
        if (!taken) return;
        ui.setMoving(null);
        ui.select(id, { pane: 'sheet' });
      });
      return;
    }
    const occupied = isOccupied(scene, id);
    ui.select(id, { pane: occupied ? 'sheet' : 'try', focusPane: byKey });
  };
  // Shapes keep one handler for life, so that they are not drawn again when what it does has changed.
  const chooseRef = useRef(choose);
  useEffect(() => {
    chooseRef.current = choose;
  });
  const onChoose = useCallback((id: string) => chooseRef.current(id), []);
  const looseNames = view?.unconnected.join(' ') ?? '';
  const loose = useMemo(() => (looseNames ? looseNames.split(' ') : []), [looseNames]);
  const onKeyDown = (event: KeyboardEvent<SVGSVGElement>) => {
    const from = stops.find(
      (stop) => stop.id === ((event.target as Element).closest('[data-stop]')?.getAttribute('data-stop') ?? current),
    );
    if (!from || event.ctrlKey || event.metaKey || event.altKey) return;
    const viewOf = (event.target as Element).closest('[data-view]')?.getAttribute('data-view');
    const here = stops.find((stop) => stop.id === from.id && (!viewOf || onView(stop, viewOf))) ?? from;
    const go = (stop: Stop | null) => {
      if (!stop) return;
      setWalked(stop.id);
      const all = [...(frame.current?.querySelectorAll<SVGElement>(`[data-stop="${CSS.escape(stop.id)}"]`) ?? [])];
      (all.find((node) => closeTo(node, stop)) ?? all[0])?.focus();
    };
    const handled = ((): boolean => {
      const direction = ARROWS[event.key];
      if (direction) {
        go(nextStop(stops, here, direction));
        return true;
      }
      switch (event.key) {
        case 'PageDown':
          go(nextFeature(stops, from, 1));
          return true;
        case 'PageUp':
          go(nextFeature(stops, from, -1));
          return true;
        case 'Enter':
        case ' ':
          choose(from.id, true);
          return true;
        case 'Escape':
          if (ui.moving) ui.setMoving(null);
          else ui.select(null, { pane: 'snags' });
          return true;
      }
      return singleKeysOn() && singleKey(event.key.toLowerCase(), from.id);
    })();
    if (handled) {
      event.preventDefault();
      event.stopPropagation();
    }
  };
  const onView = (stop: Stop, name: string) => {
    const one = layout?.views.find((v) => v.name === name);
    return (
      !!one &&
      stop.rect.x >= one.x - 1 &&
      stop.rect.x <= one.x + one.width &&
      stop.rect.y >= one.y - 1 &&
      stop.rect.y <= one.y + one.height
    );
  };
  const singleKey = (key: string, id: string): boolean => {
    const unit =
      scene?.boxes.flatMap((one) => one.solids).find((solid) => solid.spot && printSpot(solid.spot) === id)?.unit ??
      scene?.table.find((solid) => solid.id === id)?.unit;
    const seat = unit && build?.layout.at[unit.id];
    switch (key) {
      case '?':
        onHelp();
        return true;
      case '/':
        ui.select(printSpot(TABLE_ANY), { pane: 'try', focusPane: true });
        return true;
      case 's':
        ui.select(ui.selected, { pane: 'snags', focusPane: true });
        return true;
      case 't':
        document.querySelector<HTMLElement>('#tapes button')?.focus();
        return true;
      case 'v':
        ui.setFocus(FOCI[(FOCI.indexOf(ui.focus) + 1) % FOCI.length]!);
        return true;
      case 'z':
        dispatch(undo());
        return true;
      case 'y':
        dispatch(redo());
        return true;
      case 'h':
        if (unit && seat)
          dispatch(
            edit([
              seat.how === 'held'
                ? { type: 'place.release', unit: unit.id }
                : { type: 'place.hold', unit: unit.id, spot: seat.spot },
            ]),
          );
        return true;
      case 'delete':
        if (unit?.item) dispatch(edit([{ type: 'units.remove', units: [unit.id] }]));
        return true;
      default:
        return false;
    }
  };

  return (
    <section aria-label="Drawing" className="relative flex min-h-[420px] min-w-0 flex-col bg-sheet md:min-h-0">
      <div ref={frame} className="relative min-h-0 flex-1 overflow-hidden">
        {width > 0 && scene && (
          <svg
            className="drawing absolute inset-0"
            width={width}
            height={height}
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
            <Hatches />
            <Rulers
              width={width}
              height={height}
              originX={layout?.views[0]?.x ?? RULER + 34}
              originY={layout?.views[0]?.y ?? RULER + 30}
              scale={layout?.scale ?? 1}
            />
            {layout &&
              labels.length === layout.views.length &&
              layout.views.map((one, i) => (
                <ViewPicture
                  key={one.name}
                  view={one}
                  labels={labels[i]!}
                  title={FOCUS_WORDS[one.name]}
                  current={current}
                  selected={ui.selected}
                  lit={ui.moving ? targets : path}
                  unconnected={loose}
                  covered={covered}
                  ghosts={
                    ghost && shown !== ghost ? ghost.boxes.find((one) => one.unit.id === box?.unit.id) : undefined
                  }
                  faded={shown === ghost}
                  onChoose={onChoose}
                  onEnlarge={ui.setFocus}
                />
              ))}
            {layout && shown !== ghost && <Dimensions views={layout.views} brief={build?.brief} />}
            {layout && shown !== ghost && (
              <Clearances
                views={layout.views}
                reaches={room}
                selected={chosen}
                labels={[
                  ...labels.flat(),
                  ...balloons.map(({ x, y }) => ({
                    x: x - BALLOON_R,
                    y: y - BALLOON_R,
                    width: 2 * BALLOON_R,
                    height: 2 * BALLOON_R,
                  })),
                  ...table.map(({ rect }) => rect),
                  ...(titleHeight > 0
                    ? [
                        {
                          x: free.x,
                          y: free.y + free.height - titleHeight,
                          width: Math.min(330, free.width),
                          height: titleHeight,
                        },
                      ]
                    : []),
                ]}
                width={width}
              />
            )}
            {shown !== ghost && (
              <TablePicture
                area={tableArea}
                stops={table}
                current={current}
                selected={ui.selected}
                empty={scene.boxes.length === 0}
                onChoose={choose}
              />
            )}
            {layout && ui.focus === 'sheet' && shown !== ghost && snags && (
              <SnagNotes
                x={free.x + 18}
                y={tableEnd}
                width={free.width - 18}
                height={tableArea.y + tableArea.height - tableEnd}
                snags={snags}
              />
            )}
            {layout && box && build && titleHeight > 0 && (
              <TitleBlock
                x={free.x}
                y={free.y + free.height - titleHeight}
                width={Math.min(330, free.width)}
                build={build}
                box={box}
                scale={layout.scale}
                snags={snags ?? []}
              />
            )}
            <Balloons balloons={balloons} onChoose={(key) => ui.select(snagPlace(snags, key), { pane: 'snags' })} />
          </svg>
        )}
      </div>
      <div
        role="group"
        aria-label="Views"
        className="no-print flex items-center gap-0.5 overflow-x-auto border-t border-line px-2 py-1 text-[13px]"
      >
        {scene &&
          scene.boxes.length > 0 &&
          FOCI.map((focus) => (
            <button
              key={focus}
              type="button"
              aria-pressed={ui.focus === focus}
              onClick={() => ui.setFocus(focus)}
              className={
                'plain min-h-6 px-2 whitespace-nowrap ' +
                (ui.focus === focus ? 'font-semibold shadow-[inset_0_-3px_0_var(--tape)]' : 'text-mid hover:underline')
              }
            >
              {FOCUS_WORDS[focus]}
            </button>
          ))}
        {scene &&
          scene.boxes.length > 1 &&
          scene.boxes.map((one, i) => (
            <button
              key={one.unit.id}
              type="button"
              aria-pressed={one === box}
              aria-label={`${one.unit.part.name} ${one.unit.mark}`}
              onClick={() => ui.select(one.unit.id, { pane: 'sheet' })}
              className={
                'plain min-h-6 min-w-6 px-1.5 whitespace-nowrap ' +
                `${one === box ? 'font-semibold shadow-[inset_0_-3px_0_var(--tape)]' : 'text-mid hover:underline'}`
              }
            >
              {one.unit.part.id === scene.boxes[i - 1]?.unit.part.id ? '' : `${one.unit.part.name} `}
              <span className="mono text-[12px]">{one.unit.mark}</span>
            </button>
          ))}
        <span
          data-testid="trying"
          className={`ml-auto hidden truncate pl-3 text-[12.5px] lg:block ${trying ? 'font-medium' : 'text-mid'}`}
          title={trying}
        >
          {ui.moving ? 'Choose a lit place, Escape to leave it' : trying || 'Drawn to scale from the part sheets'}
        </span>
      </div>
    </section>
  );
}

const closeTo = (node: Element, stop: Stop) => {
  const rect = node.querySelector('rect');
  return (
    !!rect &&
    Math.abs(Number(rect.getAttribute('x')) - stop.rect.x) < 2 &&
    Math.abs(Number(rect.getAttribute('y')) - stop.rect.y) < 2
  );
};

/** Whether a box shows what is selected, by spot or by unit. */
const holds = (box: SceneBox, selected: string | null): boolean =>
  selected !== null &&
  box.solids.some(
    (solid) => solid.unit?.id === selected || (solid.spot !== null && printSpot(solid.spot) === selected),
  );

function isOccupied(scene: Scene | null, id: string): boolean {
  if (!scene) return false;
  if (scene.table.some((solid) => solid.id === id)) return true;
  return scene.boxes.some((box) =>
    box.solids.some((solid) => solid.spot && printSpot(solid.spot) === id && solid.unit),
  );
}

function snagPlace(
  snags:
    | readonly {
        key: string;
        at: readonly Place[];
      }[]
    | undefined,
  key: string,
): string | null {
  const place = snags?.find((snag) => snag.key === key)?.at.find((one) => 'spot' in one);
  return place && 'spot' in place ? printSpot(place.spot) : null;
}

function useSize(ref: React.RefObject<HTMLElement | null>): { width: number; height: number } {
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
