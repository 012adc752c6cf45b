import { useRouteError } from 'react-router';
import { Masthead } from './Masthead';

/** A view that could not be drawn or loaded: an error of ours, or a part of the page that did not arrive. */
export function BrokenPage() {
  const error = useRouteError();
  const said = error instanceof Error ? error.message : String(error);
  return (
    <div className="flex min-h-full flex-col">
      <Masthead />
      <main className="max-w-[560px] p-6" role="alert">
        <h1 className="text-[20px] font-semibold">This view stopped</h1>
        <p className="mt-2">The page failed, not your machine. Every edit is saved as it is made; what had not reached the server is kept in this browser and goes on from there.</p>
        <p className="mt-3 flex gap-2">
          <button type="button" className="press" onClick={() => location.reload()}>Open it again</button>
          <a className="press" href="/">To the floor</a>
        </p>
        <p className="mono mt-4 text-[12px] break-words text-mid">{said}</p>
      </main>
    </div>
  );
}
