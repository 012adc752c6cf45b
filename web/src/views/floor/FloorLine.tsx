import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Build } from '@inch-tower/core';
import type { BuildCard } from '../../state/api';
import { benchWorker } from '../../worker/client';
import type { CardFacts } from '../../worker/messages';
import { figureNumber } from '../../words/format';
import { STATUS_WORDS } from '../../words/status';
import { Elevation, elevationOf } from './Elevation';

type Props = { readonly cards: readonly BuildCard[]; readonly onDuplicate: (build: Build) => void; readonly onTakeDown: (build: Build) => void };

const TALLEST_PX = 430;
const WIDEST_PX = 400;

/** Machines side by side, feet on one line, one scale for all. */
export function FloorLine({ cards, onDuplicate, onTakeDown }: Props) {
  const facts = useCardFacts(cards);
  const elevations = useMemo(() => cards.map((card) => ({ card, elevation: elevationOf(card.build) })), [cards]);
  const tallest = Math.max(260, ...elevations.map(({ elevation }) => elevation.heightMm));
  const scale = Math.min(TALLEST_PX / tallest, WIDEST_PX / Math.max(300, ...elevations.map(({ elevation }) => elevation.widthMm)));
  return (
    <section aria-label="Builds" className="px-6 pt-8 pb-10">
      <ul className="flex flex-wrap items-baseline gap-y-10">
        {elevations.map(({ card, elevation }) => {
          const known = facts[card.id];
          const idle = known?.figures['power.idleWallW'];
          const raw = known?.figures['capacity.rawTb'];
          return (
            <li key={card.id} className="flex max-w-[460px] min-w-[230px] flex-col">
              <Link to={`/b/${card.id}`} className="group block" aria-label={`Open ${card.name || 'Unnamed'}`}>
                <div className="flex items-end border-b-2 border-ink pr-14" style={{ height: elevation.heightMm * scale + 4 }}><Elevation elevation={elevation} scale={scale} /></div>
                <span className="mt-2 block pr-10 break-words text-[17px] leading-tight font-semibold group-hover:underline">{card.name || 'Unnamed'}</span>
              </Link>
              <span className={`mt-0.5 block text-[13px] font-medium ${known ? STATUS_WORDS[known.status].tone : 'text-mid'}`}>{known ? STATUS_WORDS[known.status].word : 'Looking …'}{known && known.snags > 0 ? `, ${known.snags} ${known.snags === 1 ? 'snag' : 'snags'}` : ''}</span>
              <span className="mono mt-1 block text-[13px] text-mid">{idle ? `${figureNumber('power.idleWallW', idle.value)} W idle` : '– W idle'} · {raw ? `${figureNumber('capacity.rawTb', raw.value)} TB raw` : '– TB raw'}</span>
              <span className="mt-1 flex gap-3 text-[13px] text-mid">
                <button type="button" className="plain min-h-6 hover:underline" onClick={() => onDuplicate(card.build)}>Duplicate<span className="sr-only"> {card.name}</span></button>
                <a className="inline-flex min-h-6 items-center hover:underline" download={`${card.id}.json`} href={`/api/builds/${card.id}`}>File<span className="sr-only"> of {card.name}</span></a>
                <button type="button" className="plain min-h-6 hover:underline" onClick={() => onTakeDown(card.build)}>Take down<span className="sr-only"> {card.name}</span></button>
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function useCardFacts(cards: readonly BuildCard[]): Readonly<Record<string, CardFacts>> {
  const [facts, setFacts] = useState<Record<string, CardFacts>>({});
  useEffect(() => {
    let here = true;
    void (async () => {
      for (const card of cards) {
        const known = await benchWorker().card(card.build);
        if (!here) return;
        setFacts((before) => ({ ...before, [card.id]: known }));
      }
    })();
    return () => { here = false; };
  }, [cards]);
  return facts;
}
