import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { desk, onDraftChanged } from '../../saving/here';
import { keptOfAll } from '../../saving/keptStore';

type Waiting = { readonly id: string; readonly name: string; readonly steps: number };

/** Machines with edits that have not reached the server: of this page, and left by tabs that are closed. */
export function KeptLine() {
  const [left, setLeft] = useState<readonly Waiting[]>([]);
  const [here, setHere] = useState<readonly Waiting[]>([]);
  useEffect(() => {
    let shown = true;
    const look = () => {
      setHere(desk.waiting().map(({ id, draft }) => ({ id, name: draft.build.name, steps: draft.unsaved.length })));
      void keptOfAll().then((all) => {
        if (shown) setLeft(all.map(({ id, kept }) => ({ id, name: kept.build.name, steps: kept.edits.length })));
      });
    };
    look();
    const end = onDraftChanged(look);
    return () => {
      shown = false;
      end();
    };
  }, []);
  const waiting = [...here, ...left.filter((one) => !here.some(({ id }) => id === one.id))];
  if (waiting.length === 0) return null;
  return (
    <div role="status" className="mx-6 mt-3 border-l-4 border-warn bg-sheet px-3 py-2">
      Not on the server yet:{' '}
      {waiting.map(({ id, name, steps }, i) => (
        <span key={`${id} ${i}`}>
          {i > 0 && ', '}
          <Link className="underline" to={`/b/${id}`}>
            {name || 'Unnamed'}
          </Link>{' '}
          ({steps === 1 ? '1 change' : `${steps} changes`})
        </span>
      ))}
      . Open a machine to go on from there.
    </div>
  );
}
