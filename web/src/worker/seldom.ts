/** What the worker does seldom, so that it loads on call. */
export {
  airOf,
  billCsv,
  billOf,
  drawingSvg,
  goneOf,
  hostDrives,
  kitPrint,
  poolDrives,
  powerOf,
  quieten,
  readingsTold,
  reckonedNow,
  sameTemperature,
  sceneOf,
  supplyOffers,
} from '@inch-tower/core';
