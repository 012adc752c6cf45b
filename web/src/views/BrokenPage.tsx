import { Component, type ReactNode } from 'react';
import { desk } from '../saving/here';
import { saveBuildFile } from './saveFile';
import { Masthead } from './Masthead';

/** A view that could not be drawn or loaded: an error of ours, or a part of the page that did not arrive. */
function BrokenPage({ error }: { readonly error: unknown }) {
  const said = error instanceof Error ? error.message : String(error);
  const risk = desk.mustAsk() ? desk.waiting().map(({ draft }) => draft.build) : [];
  return (
    <div className="flex min-h-full flex-col">
      <Masthead />
      <main className="max-w-[560px] p-6" role="alert">
        <h1 className="text-[20px] font-semibold">This view stopped</h1>
        {risk.length === 0 ? (
          <p className="mt-2">
            The page failed, not your machine. Every edit is saved as it is made; what had not reached the server is
            saved in this browser and goes on from there.
          </p>
        ) : (
          <p className="mt-2">
            The page failed, not your machine. But this page alone has edits of{' '}
            {risk.map((build) => `“${build.name || 'Unnamed'}”`).join(', ')}: the server did not take them yet and this
            browser cannot keep them. Save {risk.length === 1 ? 'it as a file' : 'them as files'} before you open the
            page again.
          </p>
        )}
        <p className="mt-3 flex flex-wrap gap-2">
          {risk.map((build) => (
            <button key={build.id} type="button" className="press strong" onClick={() => saveBuildFile(build)}>
              Save “{build.name || 'Unnamed'}” as a file
            </button>
          ))}
          <button type="button" className="press" onClick={() => location.reload()}>
            Open it again
          </button>
          <a className="press" href="/">
            To your machines
          </a>
        </p>
        <p className="mono mt-4 text-[12px] break-words text-mid">{said}</p>
      </main>
    </div>
  );
}

type Props = { readonly where: string; readonly children: ReactNode };

/** Shows its views until one fails, then what failed; going elsewhere (`where`) tries again. */
export class Unbroken extends Component<Props, { readonly failed: { readonly error: unknown } | null }> {
  override state = { failed: null as { readonly error: unknown } | null };

  static getDerivedStateFromError(error: unknown) {
    return { failed: { error } };
  }

  override componentDidUpdate(before: Props) {
    if (this.state.failed && before.where !== this.props.where) this.setState({ failed: null });
  }

  override render() {
    return this.state.failed ? <BrokenPage error={this.state.failed.error} /> : this.props.children;
  }
}
