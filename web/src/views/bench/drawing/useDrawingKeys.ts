import { useEffect, useRef, useState, type KeyboardEvent, type RefObject } from 'react';
import { printSpot } from '@inch-tower/core';
import { FOCI } from '../../../drawing/foci';
import { nextFeature, nextStop, type Direction, type Stop } from '../../../drawing/walk';
import { edit, redo, undo } from '../../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { singleKeysOn } from '../singleKeys';
import { TABLE_ANY, useBench } from '../hooks/benchContext';
import type { SheetModel } from './useSheetModel';

const ARROWS: Readonly<Record<string, Direction>> = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
};

/** The keyboard in the drawing: arrows walk its places, Enter chooses one, single keys act on it. */
export function useDrawingKeys(
  { scene, build, layout, stops }: SheetModel,
  frame: RefObject<HTMLElement | null>,
  choose: (id: string, byKey?: boolean) => void,
  onHelp: () => void,
) {
  const ui = useBench();
  const dispatch = useAppDispatch();
  const next = useAppSelector((state) => state.bench.view?.open[0]);
  const [walked, setWalked] = useState<string | null>(null);
  const hasKeyboardRef = useRef(false);
  const current =
    [walked, ui.selected].find((id) => id && stops.some((stop) => stop.id === id)) ?? stops[0]?.id ?? null;
  useFocusInDrawing(stops, frame, hasKeyboardRef);

  const go = (stop: Stop | null) => {
    if (!stop) return;
    setWalked(stop.id);
    const all = [...(frame.current?.querySelectorAll<SVGElement>(`[data-stop="${CSS.escape(stop.id)}"]`) ?? [])];
    (all.find((node) => closeTo(node, stop)) ?? all[0])?.focus();
  };
  const onView = (stop: Stop, name: string, box: string | null) => {
    const one = layout?.views.find((view) => view.name === name && view.box === box);
    return (
      !!one &&
      stop.rect.x >= one.x - 1 &&
      stop.rect.x <= one.x + one.width &&
      stop.rect.y >= one.y - 1 &&
      stop.rect.y <= one.y + one.height
    );
  };
  const unitAt = (id: string) =>
    scene?.boxes.flatMap((one) => one.solids).find((solid) => solid.spot && printSpot(solid.spot) === id)?.unit ??
    scene?.table.find((solid) => solid.id === id)?.unit;

  const hold = (id: string) => {
    const unit = unitAt(id);
    const seat = unit && build?.layout.at[unit.id];
    if (!unit || !seat) return;
    void dispatch(
      edit([
        seat.how === 'held'
          ? { type: 'place.release', unit: unit.id }
          : { type: 'place.hold', unit: unit.id, spot: seat.spot },
      ]),
    );
  };
  const takeOut = (id: string) => {
    const unit = unitAt(id);
    if (unit?.item) void dispatch(edit([{ type: 'units.remove', units: [unit.id] }]));
  };
  const singleKeys: Readonly<Record<string, (id: string) => void>> = {
    '?': onHelp,
    '/': () => ui.select(printSpot(TABLE_ANY), { pane: 'try', focusPane: true }),
    s: () => ui.select(ui.selected, { pane: 'snags', focusPane: true }),
    t: () => document.querySelector<HTMLElement>('#tapes button')?.focus(),
    v: () => ui.setFocus(FOCI[(FOCI.indexOf(ui.focus) + 1) % FOCI.length] ?? 'sheet'),
    z: () => dispatch(undo()),
    y: () => dispatch(redo()),
    h: hold,
    n: () => next && ui.select(printSpot(next.spot), { pane: 'try', focusPane: true }),
    delete: takeOut,
  };
  /** What a key does at a place; null where it does nothing here. */
  const actOf = (key: string, from: Stop, here: Stop): (() => void) | null => {
    const direction = ARROWS[key];
    if (direction) return () => go(nextStop(stops, here, direction));
    switch (key) {
      case 'PageDown':
        return () => go(nextFeature(stops, from, 1));
      case 'PageUp':
        return () => go(nextFeature(stops, from, -1));
      case 'Enter':
      case ' ':
        return () => {
          setWalked(from.id);
          choose(from.id, true);
        };
      case 'Escape':
        return () => (ui.moving ? ui.setMoving(null) : ui.select(null, { pane: 'snags' }));
    }
    const single = singleKeysOn() ? singleKeys[key.toLowerCase()] : undefined;
    return single ? () => single(from.id) : null;
  };
  const onKeyDown = (event: KeyboardEvent<SVGSVGElement>) => {
    const target = event.target as Element;
    const id = target.closest('[data-stop]')?.getAttribute('data-stop') ?? current;
    const from = stops.find((stop) => stop.id === id);
    if (!from || event.ctrlKey || event.metaKey || event.altKey) return;
    const view = target.closest('[data-view]');
    const name = view?.getAttribute('data-view');
    const isHere = (stop: Stop) => !name || onView(stop, name, view?.getAttribute('data-box') ?? null);
    const here = stops.find((stop) => stop.id === from.id && isHere(stop)) ?? from;
    const act = actOf(event.key, from, here);
    if (!act) return;
    act();
    event.preventDefault();
    event.stopPropagation();
  };
  return { current, setWalked, hasKeyboardRef, onKeyDown };
}

/** Takes the keyboard to the place that was asked for, and keeps it in the drawing when its place goes. */
function useFocusInDrawing(
  stops: readonly Stop[],
  frame: RefObject<HTMLElement | null>,
  hasKeyboardRef: RefObject<boolean>,
): void {
  const { focusNextRef, asked, selected } = useBench();
  useEffect(() => {
    const wish = focusNextRef.current;
    if (wish?.kind !== 'drawing' || (wish.stop && wish.stop !== selected)) return;
    const stop =
      (wish.stop && frame.current?.querySelector<SVGElement>(`[data-stop="${CSS.escape(wish.stop)}"]`)) ||
      frame.current?.querySelector<SVGElement>('.stop[tabindex="0"]');
    if (!stop) return;
    focusNextRef.current = null;
    stop.focus();
  }, [focusNextRef, asked, selected, stops, frame]);
  useEffect(() => {
    if (hasKeyboardRef.current && document.activeElement === document.body)
      frame.current?.querySelector<SVGElement>('.stop[tabindex="0"]')?.focus();
  }, [stops, frame, hasKeyboardRef]);
}

const closeTo = (node: Element, stop: Stop) => {
  const rect = node.querySelector('rect');
  return (
    !!rect &&
    Math.abs(Number(rect.getAttribute('x')) - stop.rect.x) < 2 &&
    Math.abs(Number(rect.getAttribute('y')) - stop.rect.y) < 2
  );
};
