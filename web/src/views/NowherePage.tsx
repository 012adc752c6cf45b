import { Link } from 'react-router';

export function NowherePage() {
  return (
    <main className="p-8">
      <h1 className="text-xl font-semibold">Nothing stands here</h1>
      <p className="mt-2 text-mid">
        There is no page at this address.{' '}
        <Link className="underline" to="/">
          Back to your machines
        </Link>
      </p>
    </main>
  );
}
