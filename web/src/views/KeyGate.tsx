import { Dialog } from 'radix-ui';
import { useEffect, useState, type FormEvent } from 'react';
import { api } from '../state/api';
import { KEY_WANTED } from '../state/keyWanted';
import { useAppDispatch } from '../state/store';

type Session = { readonly keyWanted: boolean; readonly overPlainHttp: boolean };

/** Asks for the key of a server reached from beyond its own machine; the page beneath stays as it is. */
export function KeyGate() {
  const [session, setSession] = useState<Session | null>(null);
  const dispatch = useAppDispatch();
  useEffect(() => {
    const look = () =>
      void fetch('/api/session', { headers: { 'x-inch-tower': '1' } })
        .then(async (answer) => {
          if (answer.ok) setSession((await answer.json()) as Session);
        })
        .catch(() => undefined);
    look();
    addEventListener(KEY_WANTED, look);
    return () => removeEventListener(KEY_WANTED, look);
  }, []);
  if (!session?.keyWanted) return null;
  return (
    <KeyForm
      overPlainHttp={session.overPlainHttp}
      onOpened={() => {
        setSession(null);
        dispatch(api.util.resetApiState());
      }}
    />
  );
}

function KeyForm({ overPlainHttp, onOpened }: { readonly overPlainHttp: boolean; readonly onOpened: () => void }) {
  const [key, setKey] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const open = async (event: FormEvent) => {
    event.preventDefault();
    setProblem(null);
    const answer = await fetch('/api/session', {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-inch-tower': '1' },
      body: JSON.stringify({ key: key.trim() }),
    }).catch(() => null);
    if (answer?.ok) return onOpened();
    const body = (await answer?.json().catch(() => null)) as { detail?: string } | null;
    setProblem(body?.detail ?? 'The server does not answer.');
  };
  return (
    <Dialog.Root open>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-paper opacity-80" />
        <Dialog.Content
          className={
            'fixed top-[18vh] left-1/2 z-20 w-[420px] max-w-[94vw] -translate-x-1/2 ' +
            'border-2 ' +
            'border-ink bg-sheet p-5'
          }
          onInteractOutside={(event) => event.preventDefault()}
          onEscapeKeyDown={(event) => event.preventDefault()}
        >
          <Dialog.Title className="text-[18px] font-semibold">Key of this server</Dialog.Title>
          <Dialog.Description className="mt-1 text-[13.5px] text-mid">
            It was shown once where the server was started. Whoever runs it makes more with{' '}
            <span className="mono">./inch keys add</span>.
          </Dialog.Description>
          <form className="mt-3" onSubmit={(event) => void open(event)}>
            <label className="block text-[13px]">
              Key
              <input
                className="field mono mt-0.5 block w-full"
                autoFocus
                autoComplete="current-password"
                type="password"
                maxLength={200}
                value={key}
                onChange={(event) => setKey(event.target.value)}
              />
            </label>
            {problem && (
              <p role="alert" className="bad mt-2 text-[13px]">
                {problem}
              </p>
            )}
            {overPlainHttp && (
              <p className="mt-2 text-[13px] text-mid">
                This page came over plain HTTP: whoever can read this network can read the key.
              </p>
            )}
            <button type="submit" className="press strong mt-3" disabled={key.trim() === ''}>
              Open
            </button>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
