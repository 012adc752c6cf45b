import { memo, useRef } from 'react';
import { Link } from 'react-router';
import type { Card, Elevation } from '@inch-tower/core';
import type { BuildCard } from '../../state/api';
import { figureNumber } from '../../words/format';
import { STATUS_WORDS } from '../../words/status';
import { DeleteQuestion, type Leaving } from './DeleteQuestion';
import { ElevationPicture } from './ElevationPicture';

type Acts = {
  readonly onDuplicate: (card: BuildCard) => void;
  readonly onTakeDown: (card: BuildCard) => void;
  readonly onDelete: (leaving: Leaving) => void;
  readonly onKeep: () => void;
};
type Props = Acts & { readonly cards: readonly BuildCard[]; readonly leaving: Leaving | null };

const TALLEST_PX = 430;
const WIDEST_PX = 400;
/** What stands there until the server has worked a machine out. */
const OUTLINE: Elevation = { widthMm: 220, heightMm: 260, boxes: [] };

const known = ({ card }: BuildCard): Card | null => (card && !('failed' in card) ? card : null);
const elevationOf = (card: BuildCard): Elevation => known(card)?.elevation ?? OUTLINE;

/** Machines side by side, feet on one line, one scale for all. */
export function FloorLine({ cards, leaving, ...acts }: Props) {
  const tallest = Math.max(260, ...cards.map((card) => elevationOf(card).heightMm));
  const scale = Math.min(
    TALLEST_PX / tallest,
    WIDEST_PX / Math.max(300, ...cards.map((card) => elevationOf(card).widthMm)),
  );
  return (
    <section aria-label="Builds" className="px-6 pt-8 pb-10">
      <ul className="flex flex-wrap items-baseline gap-y-10">
        {cards.map((card) => (
          <Machine
            key={card.id}
            card={card}
            scale={scale}
            leaving={leaving?.card.id === card.id ? leaving : null}
            {...acts}
          />
        ))}
      </ul>
    </section>
  );
}

const Machine = memo(function Machine({
  card,
  scale,
  leaving,
  onDuplicate,
  onTakeDown,
  onDelete,
  onKeep,
}: Acts & { readonly card: BuildCard; readonly scale: number; readonly leaving: Leaving | null }) {
  const asked = useRef<HTMLButtonElement>(null);
  const { id, name } = card;
  const facts = known(card);
  const elevation = elevationOf(card);
  const called = name || 'Unnamed';
  return (
    <li className="flex max-w-[460px] min-w-[230px] flex-col">
      <Link to={`/b/${id}`} className="group block" aria-label={`Open ${called}`}>
        <div className="flex items-end border-b-2 border-ink pr-14" style={{ height: elevation.heightMm * scale + 4 }}>
          <ElevationPicture elevation={elevation} scale={scale} />
        </div>
        <span className="mt-2 block pr-10 break-words text-[17px] leading-tight font-semibold group-hover:underline">
          {called}
        </span>
      </Link>
      <Verdict card={card} />
      <span className="mono mt-1 block text-[13px] text-mid">
        {facts?.idleWallW ? `${figureNumber('power.idleWallW', facts.idleWallW)} W idle` : '– W idle'} ·{' '}
        {facts?.rawTb ? `${figureNumber('capacity.rawTb', facts.rawTb)} TB raw` : '– TB raw'}
      </span>
      <span className="no-print mt-1 flex gap-3 text-[13px] text-mid">
        <button type="button" className="plain min-h-6 hover:underline" onClick={() => onDuplicate(card)}>
          Duplicate<span className="sr-only"> {name}</span>
        </button>
        <a
          className="inline-flex min-h-6 items-center hover:underline"
          download={`${id}.json`}
          href={`/api/builds/${id}`}
        >
          File<span className="sr-only"> of {name}</span>
        </a>
        <button
          ref={asked}
          type="button"
          className="plain min-h-6 hover:underline"
          aria-expanded={leaving !== null}
          onClick={() => onTakeDown(card)}
        >
          Delete<span className="sr-only"> {name}</span>
        </button>
      </span>
      {leaving && (
        <DeleteQuestion
          leaving={leaving}
          onDelete={() => onDelete(leaving)}
          onKeep={() => {
            onKeep();
            asked.current?.focus();
          }}
        />
      )}
    </li>
  );
});

/** The verdict in words; one machine that cannot be worked out says so alone, and its file is still to be had. */
function Verdict({ card: { card } }: { readonly card: BuildCard }) {
  if (!card) return <span className="mt-0.5 block text-[13px] font-medium text-mid">Looking …</span>;
  if ('failed' in card)
    return (
      <span className="bad mt-0.5 block pr-6 text-[13px]">
        Not worked out. {card.failed} The machine is kept; its file is below.
      </span>
    );
  const { word, tone } = STATUS_WORDS[card.status];
  return (
    <span className={`mt-0.5 block text-[13px] font-medium ${tone}`}>
      {word}
      {card.snags > 0 ? `, ${card.snags} ${card.snags === 1 ? 'snag' : 'snags'}` : ''}
    </span>
  );
}
