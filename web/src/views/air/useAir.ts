import type { Air, AirTry } from '@inch-tower/core';
import { benchWorker } from '../../worker/client';
import { useAsked } from '../../worker/useAsked';

/** Temperatures and noise of the machine as it is assessed, with what is tried. */
export const useAir = (tried: AirTry): Air | null => useAsked(() => benchWorker().air(tried), JSON.stringify(tried));
