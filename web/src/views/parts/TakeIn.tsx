import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { AboutFile, FileRow, Sheet, StockRead } from '@inch-tower/core';
import { useStockQuery, type OwnedCatalogue } from '../../state/api';
import { useFileRead } from './useFileRead';
import { useTakeIn } from './useTakeIn';
import { StockIn } from './StockIn';
import { TakeInRows } from './TakeInRows';
import { countWords } from '../../words/format';

const LARGEST_BYTES = 20 * 1024 * 1024;
type Good = Extract<FileRow, { ok: true }>;
const NO_STOCK: StockRead = { entries: [], same: 0, faults: [] };

/** A file of parts: every row is looked at and held against what is here before any is taken in. */
export function TakeIn({ catalogue }: { readonly catalogue: OwnedCatalogue }) {
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [fileName, setFileName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const { take: takeIn, taking, stop } = useTakeIn();
  const { data: stocked } = useStockQuery();
  const [withStock, setWithStock] = useState(true);
  const here = useMemo(() => stocked?.stock.map(({ entry }) => entry), [stocked]);
  const { found, isLooking, problem: unread } = useFileRead(text, catalogue, here);
  const read = found?.read ?? null;
  const stock = found?.stock ?? NO_STOCK;
  const good = read?.ok ? read.rows.filter((row): row is Good => row.ok && row.what !== 'same') : [];
  const chosen = good.filter(({ sheet }) => !left.has(sheet.id));
  const known = new Set([...Object.keys(catalogue.sheets), ...chosen.map(({ sheet }) => sheet.id as string)]);
  const entries = withStock ? stock.entries.filter(({ sheet }) => known.has(sheet)) : [];
  const look = (next: string, name: string) => {
    setText(next);
    setFileName(name);
    setLeft(new Set());
    setProblem(null);
  };
  const open = async (file: File) => {
    if (file.size > LARGEST_BYTES)
      return setProblem(`${file.name} is larger than ${LARGEST_BYTES / 1024 / 1024} MB. Nothing was imported.`);
    look(await file.text(), file.name);
  };
  const take = async () => {
    if (!read?.ok) return;
    const parcel = read.about.name ?? (fileName || undefined);
    const sheets = chosen.map(({ sheet }): Sheet => (parcel ? { ...sheet, parcel } : sheet));
    const ended = await takeIn(sheets, read.archetypes, entries);
    if (!ended.ok) return setProblem(ended.words);
    void navigate(entries.length > 0 ? '/parts/stock' : '/parts?shelf=own');
  };
  const toggle = (id: string) =>
    setLeft((now) => new Set(now.has(id) ? [...now].filter((one) => one !== id) : [...now, id]));
  return (
    <section aria-label="In">
      <h1 className="text-[19px] font-semibold">Import parts</h1>
      <p className="mt-1 max-w-[620px] text-mid">
        A file of sheets, JSON or CSV. Every row is looked at first: good ones can be imported, all or some of them;
        what is wrong with the others is said line by line.
      </p>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <label className="press inline-flex cursor-pointer items-center">
          Choose a file
          <input
            type="file"
            aria-label="File of parts"
            accept=".json,.csv,application/json,text/csv"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = '';
              if (file) void open(file);
            }}
          />
        </label>
        <span className="text-[13px] text-mid">
          {fileName ? (
            <>
              {fileName}{' '}
              <button type="button" className="plain min-h-6 underline" onClick={() => look('', '')}>
                put it aside
              </button>
            </>
          ) : (
            'or paste it below'
          )}
        </span>
      </div>
      {fileName === '' && (
        <textarea
          aria-label="Rows of parts"
          className="field mono mt-2 h-32 w-full max-w-[820px] text-[12px]"
          spellCheck={false}
          value={text}
          onChange={(event) => look(event.target.value, '')}
        />
      )}
      {isLooking && (
        <p role="status" className="mt-2 text-mid">
          Looking at it …
        </p>
      )}
      {unread && (
        <p role="alert" className="bad mt-2">
          {unread}
        </p>
      )}
      {read && !read.ok && (
        <p role="alert" className="bad mt-2">
          {read.words} Nothing was imported.
        </p>
      )}
      {read?.ok && (
        <>
          <About about={read.about} />
          <p role="status" className="mt-2 font-semibold">
            {countWords(good.length, 'good row')}, {countWords(read.rows.filter((row) => !row.ok).length, 'bad one')}
            {read.rows.some((row) => row.ok && row.what === 'same')
              ? `, ${read.rows.filter((row) => row.ok && row.what === 'same').length} here already`
              : ''}
          </p>
          <TakeInRows catalogue={catalogue} rows={read.rows} left={left} onToggle={toggle} />
          <StockIn
            read={stock}
            left={stock.entries.length - entries.length}
            isWanted={withStock}
            onWant={setWithStock}
          />
          <button
            type="button"
            className="press strong mt-3"
            disabled={chosen.length + entries.length === 0 || taking !== null}
            onClick={() => void take()}
          >
            {importWords(chosen.length, good.length, entries.length)}
          </button>
        </>
      )}
      {taking && taking.of > 0 && (
        <p role="status" className="mt-2 flex items-center gap-3">
          <progress
            max={taking.of}
            value={taking.done}
            aria-label="Parts imported"
            className="h-2 w-48 accent-[var(--ink)]"
          />
          {taking.done} of {countWords(taking.of, 'part')} imported
          <button type="button" className="press" onClick={stop}>
            Stop
          </button>
        </p>
      )}
      {problem && (
        <p role="alert" className="bad mt-2">
          {problem}
        </p>
      )}
    </section>
  );
}

/** What pressing the button takes in. */
function importWords(chosen: number, good: number, lines: number): string {
  const rows = chosen < good ? `${chosen} of ${countWords(good, 'good row')}` : countWords(good, 'good row');
  const stock = `${countWords(lines, 'line')} of stock`;
  return lines === 0 ? `Import ${rows}` : chosen === 0 ? `Import ${stock}` : `Import ${rows} and ${stock}`;
}

/** What a file says of itself. */
function About({ about }: { readonly about: AboutFile }) {
  const { name, date, author, licence } = about;
  const words = [name, author && `by ${author}`, date, licence && `licence: ${licence}`].filter(Boolean).join(', ');
  return words ? <p className="mt-2 text-[13px]">{words}</p> : null;
}
