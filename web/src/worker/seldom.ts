/** What the worker does seldom, so that it loads on call. */
export { billCsv, billOf, drawingSvg, goneOf, powerOf, sceneOf } from '@inch-tower/core';
