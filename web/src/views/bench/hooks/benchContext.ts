import { createContext, useContext, type RefObject } from 'react';
import type { Build, Edit, FigureId, Figures, SpotRef } from '@inch-tower/core';
import type { Focus } from '../../../drawing/foci';
import type { OwnedCatalogue } from '../../../state/api';
import type { TrySource } from '../../../worker/messages';

export type Pane = 'snags' | 'try' | 'sheet';
/**
 * What is being looked at without being done: edits for the drawing, figures for the tapes, words where hands have
 * nothing to do.
 */
export type Ghost = { readonly edits: readonly Edit[]; readonly figures: Figures | null; readonly words?: string };

export type BenchUi = {
  readonly catalogue: OwnedCatalogue;
  /** A spot (`u2/front.7`) or the id of a unit on the table. */
  readonly selected: string | null;
  readonly pane: Pane;
  readonly focus: Focus;
  readonly replacing: boolean;
  /** From where parts are tried. */
  readonly source: TrySource;
  readonly setSource: (source: TrySource) => void;
  readonly moving: string | null;
  readonly ghost: Ghost | null;
  /** The machine as it would be with the ghost's edits; null without a ghost, and until the worker has settled them. */
  readonly after: Build | null;
  /** Where the keyboard goes once the page has drawn what was asked for; `asked` counts such wishes. */
  readonly focusNextRef: RefObject<
    | { readonly kind: 'pane'; readonly sel: string | null }
    | { readonly kind: 'drawing'; readonly stop: string | null }
    | null
  >;
  readonly asked: number;
  readonly select: (
    id: string | null,
    more?: { readonly pane?: Pane; readonly replace?: boolean; readonly focusPane?: boolean },
  ) => void;
  readonly show: (pane: Pane) => void;
  readonly setFocus: (focus: Focus) => void;
  /** Whether the drawing shows how warm parts get. */
  readonly isWarm: boolean;
  readonly setWarm: (isWarm: boolean) => void;
  /** The figure whose parts the free corner of the sheet names; null where nobody asked for one. */
  readonly figure: FigureId | null;
  readonly setFigure: (id: FigureId) => void;
  readonly setGhost: (ghost: Ghost | null) => void;
  /** Edits as they were settled when they were last looked at, so that they need not be again; else as they are. */
  readonly settledAs: (edits: readonly Edit[]) => readonly Edit[];
  readonly setMoving: (unit: string | null) => void;
  /** Brings the keyboard back to the drawing, to a spot when named. */
  readonly toDrawing: (spot?: string) => void;
};

export const BenchContext = createContext<BenchUi | null>(null);
export function useBench(): BenchUi {
  const ui = useContext(BenchContext);
  if (!ui) throw new Error('useBench outside of the bench');
  return ui;
}

export const TABLE_ANY: SpotRef = { host: 'table', key: 'any' };
