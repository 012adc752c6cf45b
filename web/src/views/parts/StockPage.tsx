import { useMemo, useState } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import {
  freeOf,
  minorPerMajor,
  overclaims,
  readNumber,
  type Sheet,
  type SheetId,
  type StockEntry,
} from '@inch-tower/core';
import { freshId } from '../../freshId';
import {
  problemOf,
  useDeleteEntryMutation,
  useSaveEntryMutation,
  useStockQuery,
  type OwnedCatalogue,
  type Stocked,
} from '../../state/api';
import { moneyWords } from '../../words/format';
import { KIND_WORDS, search, searchable } from './families';
import { OldMachine } from './OldMachine';

const CONDITIONS = [
  ['', 'not said'],
  ['new', 'new'],
  ['good', 'good'],
  ['worn', 'worn'],
  ['doubtful', 'doubtful'],
] as const;

/** Parts owned: how many, how old, what they cost, and which machines use them. */
export default function StockPage() {
  const catalogue = useOutletContext<OwnedCatalogue>();
  const { data, error, refetch } = useStockQuery();
  const [params, setParams] = useSearchParams();
  const adding = params.get('add');
  const close = () =>
    setParams((now) => {
      const next = new URLSearchParams(now);
      next.delete('add');
      next.delete('entry');
      return next;
    });
  const stock = data?.stock ?? [];
  const edited = stock.find((one) => one.entry.id === params.get('entry'));
  const over = data
    ? overclaims(
        stock.map((one) => one.entry),
        data.claims,
      )
    : [];
  const sorted = [...stock].sort((a, b) => (name(catalogue, a) < name(catalogue, b) ? -1 : 1));
  return (
    <main className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="text-[19px] font-semibold">Stock</h1>
        <button type="button" className="press strong" onClick={() => setParams({ add: '?' })}>
          Add a part you own
        </button>
        <button
          type="button"
          className="press"
          aria-expanded={params.get('old') === '1'}
          onClick={() => setParams(params.get('old') === '1' ? {} : { old: '1' })}
        >
          Import an old machine
        </button>
      </div>
      <p className="mt-1 max-w-[680px] text-mid">
        What lies in the drawer or runs in an old machine. On the bench, “what I own” tries these first; they cost
        nothing there, and two machines that want the same unit are told.
      </p>
      {error && (
        <p role="alert" className="mt-3">
          {problemOf(error).detail}{' '}
          <button type="button" className="plain min-h-6 underline" onClick={() => void refetch()}>
            Try again
          </button>
        </p>
      )}
      {over.map(({ entry, claimed, by }) => (
        <p key={entry.id} role="alert" className="mt-3 border-l-4 border-warn bg-sheet px-3 py-1.5 text-[13px]">
          <span className="warn font-medium">
            {catalogue.sheets[entry.sheet]?.name ?? entry.sheet}: {claimed} wanted, {entry.count} owned.
          </span>{' '}
          {by.map((claim) => `${claim.name || 'Unnamed'} uses ${claim.units}`).join(', ')}.
        </p>
      ))}
      {params.get('old') === '1' && <OldMachine catalogue={catalogue} onDone={() => setParams({})} />}
      {(adding ?? edited) && (
        <EntryForm
          key={adding ?? edited?.entry.id}
          catalogue={catalogue}
          sheet={edited?.entry.sheet ?? (adding && adding !== '?' ? adding : null)}
          edited={edited}
          onClose={close}
        />
      )}
      {data && stock.length === 0 && <p className="mt-5 text-mid">Nothing in stock yet.</p>}
      {stock.length > 0 && (
        <table className="mt-4 w-full max-w-[1080px] text-[13.5px]">
          <thead>
            <tr className="border-b border-ink text-left text-[12.5px] text-mid">
              <th className="py-1 font-medium">Part</th>
              <th className="font-medium">Kind</th>
              <th className="text-right font-medium">Owned</th>
              <th className="text-right font-medium">Free</th>
              <th className="pl-4 font-medium">Year</th>
              <th className="text-right font-medium">Hours</th>
              <th className="pl-4 font-medium">Condition</th>
              <th className="text-right font-medium">Paid</th>
              <th className="pl-4 font-medium">Used in</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {sorted.map((one) => {
              const { entry } = one;
              const sheet = catalogue.sheets[entry.sheet];
              const claims = data!.claims.filter((claim) => claim.stock === entry.id);
              return (
                <tr key={entry.id} data-stock={entry.sheet} className="border-b border-dotted border-line align-top">
                  <td className="py-1 pr-3">
                    <Link
                      className="font-medium hover:underline"
                      to={
                        `/parts?part=${encodeURIComponent(entry.sheet)}` +
                        `${catalogue.own.includes(entry.sheet) ? '&shelf=own' : ''}`
                      }
                    >
                      {sheet?.name ?? entry.sheet}
                    </Link>
                    {entry.note && (
                      <span className="block max-w-[340px] text-[12.5px] break-words text-mid">{entry.note}</span>
                    )}
                  </td>
                  <td className="py-1 text-mid">{sheet ? KIND_WORDS[sheet.kind] : ''}</td>
                  <td className="mono py-1 text-right">{entry.count}</td>
                  <td className="mono py-1 text-right">{freeOf(entry, data!.claims)}</td>
                  <td className="mono py-1 pl-4">{entry.year ?? '–'}</td>
                  <td className="mono py-1 text-right">
                    {entry.hours === undefined
                      ? '–'
                      : Math.round(entry.hours).toLocaleString('en').replaceAll(',', '\u202f')}
                  </td>
                  <td className="py-1 pl-4">{entry.condition ?? '–'}</td>
                  <td className="mono py-1 text-right">
                    {entry.paid ? moneyWords(entry.paid.minor, entry.paid.currency) : '–'}
                  </td>
                  <td className="py-1 pl-4">
                    {claims.length === 0 ? (
                      <span className="text-mid">nothing</span>
                    ) : (
                      claims.map((claim) => (
                        <Link key={claim.build} className="mr-2 hover:underline" to={`/b/${claim.build}`}>
                          {claim.name || 'Unnamed'} ({claim.units})
                        </Link>
                      ))
                    )}
                  </td>
                  <td className="py-0.5 text-right">
                    <button
                      type="button"
                      className="plain min-h-6 px-1 text-mid hover:underline"
                      onClick={() => setParams({ entry: entry.id })}
                    >
                      Change<span className="sr-only"> {sheet?.name}</span>
                    </button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </main>
  );
}

const name = (catalogue: OwnedCatalogue, one: Stocked) => catalogue.sheets[one.entry.sheet]?.name ?? one.entry.sheet;

type FormProps = {
  readonly catalogue: OwnedCatalogue;
  readonly sheet: string | null;
  readonly edited: Stocked | undefined;
  readonly onClose: () => void;
};

/** One entry: which part, how many, how old; nothing but the count must be said. */
function EntryForm({ catalogue, sheet: given, edited, onClose }: FormProps) {
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

type Typed = {
  readonly count: string;
  readonly year: string;
  readonly hours: string;
  readonly condition: string;
  readonly paid: string;
  readonly note: string;
};

/** The entry as typed, or a sentence saying what cannot be. */
function entryOf(id: string, sheet: string, typed: Typed, currency: string): StockEntry | string {
  const asked = [
    ['How many', typed.count, ''],
    ['Year', typed.year, ''],
    ['Hours run', typed.hours, ''],
    ['Paid', typed.paid, currency],
  ] as const;
  const read = asked.map(([, text, unit]) => (text.trim() === '' ? null : readNumber(text, { unit })));
  const wrong = read.findIndex((one) => one?.ok === false);
  if (wrong >= 0) return `${asked[wrong]![0]}: ${(read[wrong] as { words: string }).words}.`;
  const [count, year, hours, paid] = read.map((one) => (one?.ok ? one.value : undefined));
  if (count === undefined || !Number.isInteger(count) || count < 1 || count > 1000)
    return 'How many: a whole number from 1 to 1000.';
  if (year !== undefined && !(Number.isInteger(year) && year >= 1980 && year <= 2100))
    return 'Year: four digits, such as 2019.';
  if (hours !== undefined && !(hours >= 0 && hours <= 1e6)) return 'Hours run: a number from 0 to 1,000,000.';
  if (paid !== undefined && !(paid >= 0)) return 'Paid: an amount, such as 49.90.';
  return {
    id,
    sheet: sheet as SheetId,
    count,
    ...(year === undefined ? {} : { year }),
    ...(hours === undefined ? {} : { hours }),
    ...(typed.condition ? { condition: typed.condition as NonNullable<StockEntry['condition']> } : {}),
    ...(paid === undefined ? {} : { paid: { minor: Math.round(paid * minorPerMajor(currency)), currency } }),
    ...(typed.note.trim() ? { note: typed.note.trim() } : {}),
  };
}
