import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { problemOf, useCatalogueQuery } from '../../state/api';
import { closeBuild, openBuild } from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { benchWorker } from '../../worker/client';
import { Masthead } from '../Masthead';
import { Bench } from './Bench';

/** Opens the build of the address and its catalogue, then hands over to the bench. */
export default function BenchPage() {
  const { id = '' } = useParams();
  const dispatch = useAppDispatch();
  const { data: catalogue, error } = useCatalogueQuery();
  const opening = useAppSelector((state) => state.bench.opening);
  useEffect(() => {
    void dispatch(openBuild(id));
    return () => dispatch(closeBuild());
  }, [dispatch, id]);
  useEffect(() => { if (catalogue) void benchWorker().setCatalogue(catalogue); }, [catalogue]);

  if (opening === 'ready' && catalogue) return <Bench catalogue={catalogue} />;
  const words = opening === 'missing' ? 'There is no machine at this address. It may have been taken down.'
    : opening === 'failed' ? 'The server does not answer, and this browser keeps no copy of the machine.'
      : error ? problemOf(error).detail : null;
  return (
    <div>
      <Masthead />
      <main className="p-6">{words ? <p role="alert">{words} <Link className="underline" to="/">Back to the floor</Link></p> : <p className="text-mid">Opening the bench …</p>}</main>
    </div>
  );
}
