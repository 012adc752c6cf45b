import { useState } from 'react';
import type { Build, Direction, FlowTold, MemoryTold, PoolFlow } from '@inch-tower/core';
import { useExplained } from '../build/useExplained';
import { WorkingTree } from '../build/WorkingTree';
import { useWidth } from '../useWidth';
import { FlowPicture } from './FlowPicture';
import {
  burstWords,
  cardWords,
  fastAnswer,
  networkTold,
  nextWords,
  rateWords,
  severalWords,
  smallWords,
  wasteWords,
} from './flowWords';
import { memoryWords } from './fullWords';
import { NetworkLinks } from './NetworkLinks';

const WAYS = [
  ['reading', 'Reading'],
  ['writing', 'Writing'],
] as const;

/** From the drives to a client and back, link by link, and which of them holds it back. */
export function FlowPane({
  flow,
  memory,
  build,
}: {
  readonly flow: FlowTold;
  readonly memory: MemoryTold;
  readonly build: Build;
}) {
  const [way, setWay] = useState<Direction>('reading');
  const lines = [
    ...flow.bursts.map(burstWords),
    ...flow.cards.map(cardWords).filter((words) => words !== null),
    memoryWords(memory),
  ];
  return (
    <div className="text-[13px]">
      <div role="group" aria-label="Direction" className="no-print flex gap-1">
        {WAYS.map(([one, words]) => (
          <button
            key={one}
            type="button"
            aria-pressed={way === one}
            className={`plain min-h-6 px-2 ${way === one ? 'border-b-2 border-ink font-semibold' : 'text-mid'}`}
            onClick={() => setWay(one)}
          >
            {words}
          </button>
        ))}
      </div>
      {flow.pools.map((pool, i) => (
        <OnePool key={pool.medium} pool={pool} way={way} heads={i > 0 ? pool.sets.join(', ') : null} />
      ))}
      {lines.map((words) => (
        <p key={words}>{words}</p>
      ))}
      <FlowWorking way={way} />
      <NetworkLinks build={build} ports={flow.ports} told={networkTold(flow)} />
      <p className="text-[12.5px] text-mid">
        Files in a row over a file protocol, disks empty. How fast flash writes for long is not on its sheet: it is
        reckoned as it reads.
      </p>
    </div>
  );
}

const FIGURE = { reading: 'flow.readMBps', writing: 'flow.writeMBps' } as const;

/** How the rate of one client is reckoned, link by link down to the sheets; worked out when it is opened. */
function FlowWorking({ way }: { readonly way: Direction }) {
  const [isOpen, setIsOpen] = useState(false);
  const explained = useExplained(FIGURE[way], isOpen);
  return (
    <details className="no-print my-1" open={isOpen} onToggle={(event) => setIsOpen(event.currentTarget.open)}>
      <summary className="min-h-6 cursor-pointer underline decoration-dotted">How this is reckoned</summary>
      {explained && <WorkingTree working={explained.working} id={FIGURE[way]} />}
    </details>
  );
}

function OnePool({
  pool,
  way,
  heads,
}: {
  readonly pool: PoolFlow;
  readonly way: Direction;
  /** Names of its sets, where its answer is not said above. */ readonly heads: string | null;
}) {
  const { width, ref } = useWidth();
  const { inside, one } = pool.flow;
  const rate = one[way].neck ? one[way] : inside[way];
  const half = pool.halfFull.inside[way].mbPerS;
  const more = [
    nextWords(rate, way),
    wasteWords(pool),
    severalWords(pool),
    `In the machine it is ${rateWords(inside[way].mbPerS)}` +
      (half < inside[way].mbPerS * 0.99 ? `, with disks half full ${rateWords(half)}.` : '.'),
    smallWords(pool),
  ].filter((words) => words !== null);
  return (
    <div className="mb-2">
      {heads && (
        <p className="text-[13.5px] font-semibold">
          {heads}: {fastAnswer(pool)}
        </p>
      )}
      <div ref={ref} className="my-1">
        <FlowPicture rate={rate} width={width || 500} />
      </div>
      {pool.flow.without.length > 0 && (
        <p className="warn">{pool.flow.without.length} of its drives are not connected: this is of the others.</p>
      )}
      {more.map((words) => (
        <p key={words}>{words}</p>
      ))}
    </div>
  );
}
