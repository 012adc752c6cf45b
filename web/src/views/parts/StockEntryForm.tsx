import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { minorPerMajor, type Sheet } from '@inch-tower/core';
import { freshId } from '../../freshId';
import {
  problemOf,
  useDeleteEntryMutation,
  useSaveEntryMutation,
  type OwnedCatalogue,
  type Stocked,
} from '../../state/api';
import { KIND_WORDS, search, searchable } from './families';
import { entryOf } from './stockEntryOf';

const CONDITIONS = [
  ['', 'not said'],
  ['new', 'new'],
  ['good', 'good'],
  ['worn', 'worn'],
  ['doubtful', 'doubtful'],
] as const;

type FormProps = {
  readonly catalogue: OwnedCatalogue;
  readonly sheet: string | null;
  readonly edited: Stocked | undefined;
  readonly onClose: () => void;
};

/** One entry: which part, how many, how old; nothing but the count must be said. */
export function StockEntryForm({ catalogue, sheet: given, edited, onClose }: FormProps) {
  const [saveEntry] = useSaveEntryMutation();
  const [deleteEntry] = useDeleteEntryMutation();
  const [sheet, setSheet] = useState(given);
  const [typed, setTyped] = useState({
    count: String(edited?.entry.count ?? 1),
    year: String(edited?.entry.year ?? ''),
    hours: String(edited?.entry.hours ?? ''),
    condition: edited?.entry.condition ?? '',
    paid: edited?.entry.paid ? String(edited.entry.paid.minor / minorPerMajor(edited.entry.paid.currency)) : '',
    note: edited?.entry.note ?? '',
  });
  const currency = edited?.entry.paid?.currency ?? 'EUR';
  const [problem, setProblem] = useState<string | null>(null);
  const set = (patch: Partial<typeof typed>) => {
    setProblem(null);
    setTyped({ ...typed, ...patch });
  };
  const save = async () => {
    if (!sheet) return setProblem('Choose the part first.');
    const entry = entryOf(edited?.entry.id ?? freshId('s'), sheet, typed, currency);
    if (typeof entry === 'string') return setProblem(entry);
    const saved = await saveEntry({ entry, etag: edited?.etag ?? null });
    if (saved.data) onClose();
    else setProblem(`${problemOf(saved.error).detail} What you typed is still here.`);
  };
  const takeOut = async ({ entry, etag }: Stocked) => {
    const gone = await deleteEntry({ id: entry.id, etag });
    if (gone.error) setProblem(`It was not taken out. ${problemOf(gone.error).detail}`);
    else onClose();
  };
  return (
    <form
      aria-label="Stock entry"
      className="mt-4 max-w-[760px] border border-ink bg-sheet p-4"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      {sheet ? (
        <p className="font-semibold">
          {catalogue.sheets[sheet]?.name ?? sheet}
          {!edited && (
            <button
              type="button"
              className="plain ml-3 min-h-6 font-normal text-mid underline"
              onClick={() => setSheet(null)}
            >
              another part
            </button>
          )}
        </p>
      ) : (
        <ChoosePart catalogue={catalogue} onChoose={setSheet} />
      )}
      <div className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2 text-[13px]">
        <Box label="How many" value={typed.count} width="w-20" onText={(count) => set({ count })} />
        <Box label="Year" value={typed.year} width="w-20" onText={(year) => set({ year })} />
        <Box label="Hours run" value={typed.hours} width="w-28" onText={(hours) => set({ hours })} />
        <label className="block">
          Condition
          <select
            className="field mt-0.5 block"
            value={typed.condition}
            onChange={(event) => set({ condition: event.target.value })}
          >
            {CONDITIONS.map(([one, words]) => (
              <option key={one} value={one}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <Box label={`Paid in all, ${currency}`} value={typed.paid} width="w-28" onText={(paid) => set({ paid })} />
        <label className="block min-w-40 flex-1">
          Note
          <input
            className="field mt-0.5 block w-full"
            maxLength={2000}
            value={typed.note}
            onChange={(event) => set({ note: event.target.value })}
          />
        </label>
      </div>
      {problem && (
        <p role="alert" className="bad mt-2 text-[13px]">
          {problem}
        </p>
      )}
      <div className="mt-3 flex gap-2">
        <button type="submit" className="press strong">
          Save
        </button>
        <button type="button" className="press" onClick={onClose}>
          Cancel
        </button>
        {edited && (
          <button type="button" className="press ml-auto" onClick={() => void takeOut(edited)}>
            Take out of stock
          </button>
        )}
      </div>
    </form>
  );
}

function Box({
  label,
  value,
  width,
  onText,
}: {
  readonly label: string;
  readonly value: string;
  readonly width: string;
  readonly onText: (text: string) => void;
}) {
  return (
    <label className="block">
      {label}
      <input
        className={`field mono mt-0.5 block text-right ${width}`}
        inputMode="decimal"
        autoComplete="off"
        value={value}
        onChange={(event) => onText(event.target.value)}
      />
    </label>
  );
}

function ChoosePart({
  catalogue,
  onChoose,
}: {
  readonly catalogue: OwnedCatalogue;
  readonly onChoose: (id: string) => void;
}) {
  const [words, setWords] = useState('');
  const list = useMemo(() => searchable(Object.values(catalogue.sheets), catalogue), [catalogue]);
  const found: readonly Sheet[] = words.trim() ? search(list, words, null).slice(0, 8) : [];
  return (
    <div>
      <label className="block text-[13px]">
        Which part
        <input
          className="field mt-0.5 block w-full max-w-96"
          autoFocus
          placeholder="Name, maker or kind"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              event.preventDefault();
              if (found[0]) onChoose(found[0].id);
            }
          }}
        />
      </label>
      <ul className="max-w-96">
        {found.map((sheet) => (
          <li key={sheet.id}>
            <button
              type="button"
              className={
                'plain flex min-h-7 w-full justify-between border-b border-dotted ' +
                'border-line ' +
                'px-1 py-1 text-left hover:bg-wash'
              }
              onClick={() => onChoose(sheet.id)}
            >
              <span>{sheet.name}</span>
              <span className="text-[12.5px] text-mid">{sheet.maker ?? KIND_WORDS[sheet.kind]}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[12.5px] text-mid">
        Not in any list?{' '}
        <Link className="underline" to="/parts/own">
          Make a sheet of your own
        </Link>{' '}
        first.
      </p>
    </div>
  );
}
