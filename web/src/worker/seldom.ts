/** What the worker does seldom, so that it loads on call. */
export { billCsv, billOf, drawingSvg, powerOf, sceneOf } from '@inch-tower/core';
