import { useState } from 'react';
import { poolDrives, type Build, type Hosting } from '@inch-tower/core';
import { useBuildsQuery } from '../../state/api';
import { useAppSelector } from '../../state/store';
import { benchWorker } from '../../worker/client';

/** Whether this machine could take the drives of another, when that one dies: how many find a bay and a port, and what would help. */
export function HostDrives() {
  const id = useAppSelector((state) => state.bench.build?.id);
  const rev = useAppSelector((state) => state.bench.rev);
  const [open, setOpen] = useState(false);
  const { data } = useBuildsQuery(undefined, { skip: !open });
  const [answer, setAnswer] = useState<{ readonly from: string; readonly rev: number; readonly hosting: Hosting | null } | null>(null);
  const others = data?.filter((card) => card.id !== id && poolDrives(card.build).length > 0) ?? [];
  const ask = (build: Build) => { setAnswer({ from: build.name, rev, hosting: null }); void benchWorker().hosts(build).then((hosting) => setAnswer({ from: build.name, rev, hosting })); };
  const known = answer?.rev === rev ? answer : null;
  return (
    <details className="mt-2 border-t border-line pt-1 text-[13px]" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-6 cursor-pointer text-mid">Could it take another machine’s drives?</summary>
      {others.length === 0 && <p className="text-mid">{data ? 'No other machine on the floor has a pool.' : 'Looking …'}</p>}
      <ul>{others.map(({ id: other, build }) => <li key={other}><button type="button" data-host={other} className="plain min-h-6 underline decoration-dotted" onClick={() => ask(build)}>{build.name || 'Unnamed'}</button></li>)}</ul>
      {known && !known.hosting && <p className="text-mid">Laying them out …</p>}
      {known?.hosting && <Answer from={known.from} hosting={known.hosting} />}
    </details>
  );
}

function Answer({ from, hosting }: { readonly from: string; readonly hosting: Hosting }) {
  const { drives, placed, connected, all, newBlockers, ways } = hosting;
  return (
    <div data-hosting className="mt-1">
      <p className={all && newBlockers === 0 ? 'good' : 'bad'}>{all ? `All ${drives} drives of ${from} find a bay and a port.` : `Of ${drives} drives of ${from} ${placed} find a bay, ${connected} a port.`}{all && newBlockers > 0 ? ' But something else then blocks.' : ''}</p>
      {ways.length > 0 && <><p className="text-mid">What helps, with them in it:</p><ul>{ways.map((way) => <li key={way.title}>{way.title}</li>)}</ul></>}
    </div>
  );
}
