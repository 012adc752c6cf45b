import type { Build } from '@inch-tower/core';
import { benchWorker } from '../../worker/client';
import { fileNameOf, saveFile } from '../saveFile';

/** Saves the bill of the machine on the screen as a table. */
export async function saveBill(build: Build): Promise<void> {
  const text = await benchWorker().bill();
  if (text !== null) saveFile(`${fileNameOf(build)}.csv`, text, 'text/csv');
}
