import { cablePeak, type PowerBox } from '@inch-tower/core';

/** Whether every input has a plug on a cable that carries it, in one sentence. */
export function plugAnswer(boxes: readonly PowerBox[]): { readonly words: string; readonly tone: string } {
  const without = boxes.reduce((sum, box) => sum + box.without.length, 0);
  if (without > 0)
    return { words: `No: ${without === 1 ? 'one input has' : `${without} inputs have`} no plug.`, tone: 'bad' };
  const cables = boxes.flatMap((box) => box.cables).filter(({ isCounted }) => isCounted);
  if (cables.length === 0)
    return { words: 'Every input has one; what goes through them is not computed.', tone: 'text-mid' };
  const over = cables.filter((cable) => cablePeak(cable).share > 1 + 1e-9);
  const most = Math.max(0, ...cables.map((cable) => cablePeak(cable).share));
  const share = `${Math.round(100 * most)} %`;
  const when = over.every(({ run, carriesA }) => Math.max(run.a12, run.a5) <= carriesA) ? ' while drives start' : '';
  if (over.length > 0)
    return {
      words:
        `Every input has one, but ${over.length === 1 ? 'one cable is' : `${over.length} cables are`} past what ` +
        `${over.length === 1 ? 'it carries' : 'they carry'}${when}: up to ${share}.`,
      tone: 'warn',
    };
  return { words: `Yes: the fullest cable is at ${share} of what it carries.`, tone: 'good' };
}
