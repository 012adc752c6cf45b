import { VIEW_NAMES, type ViewName } from '@inch-tower/core';

/** What the sheet shows: three views, or one of them large. */
export type Focus = 'sheet' | ViewName;

export const FOCUS_WORDS: Record<Focus, string> = {
  sheet: 'Three views',
  plan: 'Plan',
  front: 'Front',
  side: 'Side, cut',
  rear: 'Rear',
};
export const FOCI: readonly Focus[] = ['sheet', ...VIEW_NAMES];
