import { useMemo, useState } from 'react';
import { ownSheet, ownSheetId, readListings, resolve, type Found, type Sheet, type StockEntry } from '@inch-tower/core';
import { freshId } from '../../freshId';
import { problemOf, useAddStockMutation, type OwnedCatalogue } from '../../state/api';
import { factLine } from '../../words/factLine';

/** What a running machine can print of itself, and with which open command. */
const LISTINGS = [
  ['Block devices', 'lsblk -J -b -o NAME,SIZE,ROTA,TYPE,TRAN,MODEL,SERIAL,LOG-SEC,PHY-SEC'],
  ['SMART data, a drive at a time', 'smartctl -j -a /dev/sda'],
  ['PCI devices', 'lspci -nn'],
  ['DMI tables', 'dmidecode'],
] as const;

/** An old machine in one paste: its own listings become stock, after a look at what was understood. */
export function OldMachine({
  catalogue,
  onDone,
}: {
  readonly catalogue: OwnedCatalogue;
  readonly onDone: (taken: readonly string[]) => void;
}) {
  const [text, setText] = useState('');
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const [addStock, { isLoading }] = useAddStockMutation();
  const [problem, setProblem] = useState<string | null>(null);
  const read = useMemo(() => readListings(text), [text]);
  const found = read.found.filter((one) => catalogue.archetypes[one.archetype]);
  const taken = found.filter((_one, i) => !left.has(i));
  const take = async () => {
    const { sheets, entries } = stockOf(taken, catalogue);
    const done = await addStock({ sheets, entries });
    if (done.data) onDone(entries.map(({ id }) => id));
    else setProblem(`${problemOf(done.error).detail} The text is still here.`);
  };
  return (
    <section
      aria-label="Old machine"
      className={
        'mt-4 grid max-w-[1080px] gap-5 border border-ink bg-sheet p-4 ' + 'md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]'
      }
    >
      <div>
        <label className="block font-semibold" htmlFor="listings">
          Paste what it prints of itself
        </label>
        <ul className="mt-1 mb-2 text-[12.5px] text-mid">
          {LISTINGS.map(([what, command]) => (
            <li key={what}>
              {what}: <code className="mono text-ink">{command}</code>
            </li>
          ))}
        </ul>
        <textarea
          id="listings"
          className="field mono h-56 w-full text-[12px]"
          spellCheck={false}
          placeholder="All in one paste, in any order"
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setLeft(new Set());
            setProblem(null);
          }}
        />
        {read.skipped.length > 0 && (
          <ul role="alert" className="warn mt-1 text-[12.5px]">
            {read.skipped.slice(0, 6).map((one, i) => (
              <li key={i}>
                {one.line ? `Line ${one.line}: ` : ''}
                {one.words}.
              </li>
            ))}
          </ul>
        )}
      </div>
      <div>
        <p className="font-semibold" role="status">
          {text.trim() === ''
            ? 'What is found appears here'
            : found.length === 0
              ? 'Nothing in it was understood'
              : `${taken.length} of ${found.length} to import, from ${read.recognised.join(', ')}`}
        </p>
        <ul className="mt-1">
          {found.map((one, i) => (
            <li key={`${one.kind}${one.name}${i}`} className="border-b border-dotted border-line py-1">
              <label className="flex items-start gap-2.5">
                <input
                  type="checkbox"
                  className="mt-0.5 size-[18px] accent-[var(--ink)]"
                  checked={!left.has(i)}
                  onChange={() =>
                    setLeft((now) => {
                      const next = new Set(now);
                      if (!next.delete(i)) next.add(i);
                      return next;
                    })
                  }
                />
                <span className="min-w-0">
                  <span className="font-medium break-words">
                    {one.count > 1 ? `${one.count} × ` : ''}
                    {one.name}
                  </span>
                  <span className="block text-[12.5px] text-mid">
                    {factLine(resolve(sheetFor(one, 'own-preview', catalogue), catalogue.archetypes[one.archetype]!))}
                    {one.hours === undefined ? '' : `, ${one.hours} h`}
                    {one.year === undefined ? '' : `, ${one.year}`}
                  </span>
                  {one.guessed.length > 0 && (
                    <span className="block text-[12.5px] text-mid">Guessed: {one.guessed.join(', ')}</span>
                  )}
                  {one.note && <span className="block text-[12.5px] break-words text-mid">{one.note}</span>}
                </span>
              </label>
            </li>
          ))}
        </ul>
        {problem && (
          <p role="alert" className="bad mt-2 text-[13px]">
            {problem}
          </p>
        )}
        <div className="mt-3 flex gap-2">
          <button
            type="button"
            className="press strong"
            disabled={taken.length === 0 || isLoading}
            onClick={() => void take()}
          >
            Import {taken.length}
          </button>
          <button type="button" className="press" onClick={() => onDone([])}>
            Cancel
          </button>
        </div>
      </div>
    </section>
  );
}

/** What the listing says is stated; what we guessed of it stays typical, and is put right in its sheet. */
function sheetFor(one: Found, id: string, catalogue: OwnedCatalogue): Sheet {
  const archetype = catalogue.archetypes[one.archetype]!;
  const sheet = ownSheet(id as never, archetype, { name: one.name, values: one.values, basis: 'stated' });
  const guesses = (one.typical ?? []).map((field) => [field, { basis: 'typical' as const }] as const);
  return guesses.length > 0 ? { ...sheet, from: { ...sheet.from, ...Object.fromEntries(guesses) } } : sheet;
}

function stockOf(
  found: readonly Found[],
  catalogue: OwnedCatalogue,
): { readonly sheets: readonly Sheet[]; readonly entries: readonly StockEntry[] } {
  const ids = new Set<string>();
  const pairs = found.map((one) => {
    const id = ownSheetId(one.name, (taken) => ids.has(taken) || taken in catalogue.sheets);
    ids.add(id);
    const entry: StockEntry = {
      id: freshId('s'),
      sheet: id,
      count: one.count,
      ...(one.hours === undefined ? {} : { hours: one.hours }),
      ...(one.year === undefined ? {} : { year: one.year }),
      ...(one.note ? { note: one.note } : {}),
    };
    return { sheet: sheetFor(one, id, catalogue), entry };
  });
  return { sheets: pairs.map((one) => one.sheet), entries: pairs.map((one) => one.entry) };
}
