import type { Build } from '../build/build';
import { kitPrint } from '../build/kitPrint';
import { heldDuty } from './air/held';
import { unsteeredFans } from '../needs/fanHeaders';
import type { FigureContext } from './context';
import { learnedFrom } from './readings/readings';

/**
 * What readings say of the machine, and with it the duty of a policy that holds a temperature: known before anything
 * asks how warm something is or how fast a fan turns. `kit` is the `kitPrint` of what it is made of.
 */
export function withOperatingPoint(plain: FigureContext, kit: string, readings: Build['readings']): FigureContext {
  const unsteered = unsteeredFans(plain.units, plain.layout);
  const steered = unsteered.size > 0 ? { ...plain, unsteered } : plain;
  const learned = learnedFrom(steered, kit, readings);
  const context = learned ? { ...steered, learned } : steered;
  const held = heldDuty(context);
  return held ? { ...context, heldDuty: held } : context;
}

/** Where nothing was read, what a machine is made of is asked by nobody. */
export const printFor = (build: Pick<Build, 'items' | 'changes' | 'readings'>): string =>
  build.readings.length > 0 ? kitPrint(build) : '';
