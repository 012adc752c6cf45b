import { createSelector } from '@reduxjs/toolkit';
import { plannedUnits, sceneOf, type PlannedUnit } from '@inch-tower/core';
import type { RootState } from './store';

const NO_UNITS: readonly PlannedUnit[] = [];
const section =
  <K extends keyof NonNullable<RootState['bench']['build']>>(key: K) =>
  (state: RootState) =>
    state.bench.build?.[key];

/** Units and scene are derived from the sections they stand on, so that a new name draws nothing anew. */
export const selectUnits = createSelector(
  [section('items'), section('sheets'), section('archetypes'), section('changes'), section('stage')],
  (items, sheets, archetypes, changes, stage) =>
    items && sheets && archetypes && changes && stage !== undefined
      ? plannedUnits({ items, sheets, archetypes, changes, stage })
      : NO_UNITS,
);
export const selectScene = createSelector([selectUnits, section('layout')], (units, layout) =>
  layout ? sceneOf(units, layout) : null,
);
