import type { SceneBox } from '@inch-tower/core';
import { FOCI, FOCUS_WORDS } from '../../../drawing/foci';
import { useBench } from '../hooks/benchContext';
import type { SheetModel } from './useSheetModel';

const BUTTON = 'plain min-h-6 whitespace-nowrap ';
const shownAs = (isShown: boolean): string =>
  isShown ? 'font-semibold shadow-[inset_0_-3px_0_var(--tape)]' : 'text-mid hover:underline';

/** Under the drawing: which view is large, which boxes are drawn, and what is tried in words. */
export function ViewBar({
  scene,
  box,
  drawn,
  trying,
  moving,
}: Pick<SheetModel, 'scene' | 'drawn' | 'box' | 'trying'> & {
  /** What can be done with what is being moved. */ readonly moving: string | null;
}) {
  const ui = useBench();
  const boxes = scene?.boxes ?? [];
  const isShown = (one: SceneBox) => (ui.focus === 'sheet' ? drawn.includes(one) : one === box);
  return (
    <div
      role="group"
      aria-label="Views"
      className="no-print flex items-center gap-0.5 overflow-x-auto border-t border-line px-2 py-1 text-[13px]"
    >
      {boxes.length > 0 &&
        FOCI.map((focus) => (
          <button
            key={focus}
            type="button"
            aria-pressed={ui.focus === focus}
            onClick={() => ui.setFocus(focus)}
            className={`${BUTTON}px-2 ${shownAs(ui.focus === focus)}`}
          >
            {FOCUS_WORDS[focus]}
          </button>
        ))}
      {boxes.length > 1 &&
        boxes.map((one, i) => (
          <button
            key={one.unit.id}
            type="button"
            aria-pressed={isShown(one)}
            aria-label={`${one.unit.part.name} ${one.unit.mark}`}
            onClick={() => ui.select(one.unit.id, { pane: 'sheet' })}
            className={`${BUTTON}min-w-6 px-1.5 ${shownAs(isShown(one))}`}
          >
            {one.unit.part.id === boxes[i - 1]?.unit.part.id ? '' : `${one.unit.part.name} `}
            <span className="mono text-[12px]">{one.unit.mark}</span>
          </button>
        ))}
      {boxes.length > 0 && (
        <button
          type="button"
          aria-pressed={ui.isWarm}
          title="How warm parts get on the hottest day with all busy"
          onClick={() => ui.setWarm(!ui.isWarm)}
          className={`${BUTTON}ml-2 border-l border-line px-2 ${shownAs(ui.isWarm)}`}
        >
          Warmth{ui.isWarm ? ', hottest day' : ''}
        </button>
      )}
      <span
        data-testid="trying"
        className={`ml-auto hidden truncate pl-3 text-[12.5px] lg:block ${trying ? 'font-medium' : 'text-mid'}`}
        title={moving ?? trying}
        role={moving ? 'status' : undefined}
      >
        {moving ?? (trying || 'Drawn to scale from the part sheets')}
      </span>
    </div>
  );
}
