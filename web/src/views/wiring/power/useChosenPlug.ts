import { useSearchParams } from 'react-router';
import { printSpot, type PlugUse, type PowerBox, type PowerCable } from '@inch-tower/core';
import { useAppSelector } from '../../../state/store';

export type ChosenPlug = {
  readonly isChosen: (use: PlugUse) => boolean;
  readonly choose: (use: PlugUse | null) => void;
  /** What is chosen among boxes, with its cable. */
  readonly find: (
    boxes: readonly PowerBox[],
  ) => { readonly box: PowerBox; readonly cable: PowerCable; readonly use: PlugUse } | null;
};

/** The plug that is chosen lives in the address (`plug`), as what is selected does. */
export function useChosenPlug(): ChosenPlug {
  const [params, setParams] = useSearchParams();
  const at = useAppSelector((state) => state.bench.build?.layout.at);
  const now = params.get('plug');
  const isChosen = (use: PlugUse) => printSpot(use.spot) === now;
  return {
    isChosen,
    choose: (use) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          next.delete('cable');
          if (!use) {
            next.delete('plug');
            return next;
          }
          next.set('plug', printSpot(use.spot));
          // The same thing is chosen in the other views: the place of what is plugged in.
          const seat = at?.[use.unit];
          if (seat) next.set('sel', printSpot(seat.spot));
          return next;
        },
        { replace: true },
      ),
    find: (boxes) => {
      for (const box of boxes)
        for (const cable of box.cables)
          for (const { uses } of cable.plugs) {
            const use = uses.find(isChosen);
            if (use) return { box, cable, use };
          }
      return null;
    },
  };
}
