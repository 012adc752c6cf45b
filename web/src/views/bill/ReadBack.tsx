import { useState } from 'react';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { benchWorker } from '../../worker/client';
import { readBackWords } from './billWords';

const LARGEST_BYTES = 2_000_000;

/** A table filled in elsewhere is read back: prices and deals are one edit, and what was not read is told. */
export function ReadBack() {
  const dispatch = useAppDispatch();
  const [told, setTold] = useState<readonly string[]>([]);
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > LARGEST_BYTES) return setTold([`${file.name} is larger than 2 MB; nothing was changed.`]);
    const read = await benchWorker().readBill(await file.text());
    if (!read) return;
    if (!read.ok) return setTold([read.words]);
    const taken =
      read.edits.length === 0 || (await dispatch(edit([...read.edits], `Prices from ${file.name.slice(0, 60)}`)));
    setTold(taken ? readBackWords(read) : ['The machine does not take these prices; nothing was changed.']);
  };
  return (
    <>
      <label
        className={'plain relative inline-flex min-h-6 cursor-pointer items-center underline focus-within:outline-2'}
      >
        Read a table back
        <input
          type="file"
          accept=".csv,text/csv"
          className="absolute inset-0 w-full cursor-pointer opacity-0"
          onChange={(event) => {
            const { target } = event;
            void take(target.files?.[0]).finally(() => {
              // The same file may be read again once it was mended.
              target.value = '';
            });
          }}
        />
      </label>
      {told.length > 0 && (
        <span role="status" className="basis-full text-[13px]" data-testid="read-back">
          {told.map((words) => (
            <span key={words} className="block">
              {words}
            </span>
          ))}
          <button type="button" className="plain min-h-6 text-mid underline" onClick={() => setTold([])}>
            Close
          </button>
        </span>
      )}
    </>
  );
}
