/** What the worker does seldom, so that it loads on call. */
export {
  airOf,
  billCsv,
  billOf,
  drawingSvg,
  goneOf,
  hostDrives,
  poolDrives,
  powerOf,
  sceneOf,
  supplyOffers,
} from '@inch-tower/core';
