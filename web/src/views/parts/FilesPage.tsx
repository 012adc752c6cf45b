import { useOutletContext } from 'react-router';
import type { OwnedCatalogue } from '../../state/api';
import { GiveOut } from './GiveOut';
import { Parcels } from './Parcels';
import { TakeIn } from './TakeIn';

/** Parts as files, in and out: JSON keeps everything, CSV is one table a kind. Good rows are kept beside bad ones. */
export default function FilesPage() {
  const catalogue = useOutletContext<OwnedCatalogue>();
  return (
    <main className="grid min-h-0 flex-1 grid-cols-1 gap-8 overflow-auto px-6 py-4 md:grid-cols-[minmax(0,1fr)_300px]">
      <TakeIn catalogue={catalogue} />
      <div>
        <GiveOut catalogue={catalogue} />
        <Parcels catalogue={catalogue} />
      </div>
    </main>
  );
}
