import { VIEW_NAMES } from '@inch-tower/core';
import type { Focus } from '../../../drawing/sheetLayout';

export const FOCUS_WORDS: Record<Focus, string> = {
  sheet: 'Three views',
  plan: 'Plan',
  front: 'Front',
  side: 'Side, cut',
  rear: 'Rear',
};
export const FOCI: readonly Focus[] = ['sheet', ...VIEW_NAMES];
