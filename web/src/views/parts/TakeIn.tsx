import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { readPartsFile, resolve, type AboutFile, type FileRow, type Sheet } from '@inch-tower/core';
import { problemOf, useImportSheetsMutation, type OwnedCatalogue } from '../../state/api';
import { countWords } from '../../words/format';
import { differencesOf } from '../sheets/differences';

const LARGEST_BYTES = 8 * 1024 * 1024;
const MOST_SHOWN = 400;
const MOST_DIFFERENCES = 6;
type Good = Extract<FileRow, { ok: true }>;
const WHAT = { new: 'new', newer: 'newer than yours', differs: 'differs from yours', same: 'is here already' } as const;

/** A file of parts: every row is looked at and held against what is here before any is taken in. */
export function TakeIn({ catalogue }: { readonly catalogue: OwnedCatalogue }) {
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [fileName, setFileName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [importSheets, { isLoading }] = useImportSheetsMutation();
  const own = useMemo(() => new Set(catalogue.own), [catalogue]);
  const read = useMemo(
    () => (text.trim() ? readPartsFile(text, catalogue, (id) => own.has(id)) : null),
    [text, catalogue, own],
  );
  const good = read?.ok ? read.rows.filter((row): row is Good => row.ok && row.what !== 'same') : [];
  const chosen = good.filter(({ sheet }) => !left.has(sheet.id));
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
    const done = await importSheets({
      sheets: chosen.map(({ sheet }): Sheet => (parcel ? { ...sheet, parcel } : sheet)),
      archetypes: read.archetypes,
    });
    if (done.data) void navigate('/parts?shelf=own');
    else setProblem(`${problemOf(done.error).detail} The rows are still here.`);
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
          <table className="mt-1 w-full max-w-[820px] text-[13px]">
            <thead className="sr-only">
              <tr>
                <th>Import</th>
                <th>Line</th>
                <th>Name</th>
                <th>What becomes of it</th>
              </tr>
            </thead>
            <tbody>
              {read.rows.slice(0, MOST_SHOWN).map((row) => (
                <tr key={row.line} data-line={row.line} className="border-b border-dotted border-line align-top">
                  <td className="w-7 py-0.5">
                    {row.ok && row.what !== 'same' && (
                      <input
                        type="checkbox"
                        className="size-4 accent-[var(--ink)]"
                        aria-label={`Import ${row.sheet.name}`}
                        checked={!left.has(row.sheet.id)}
                        onChange={() => toggle(row.sheet.id)}
                      />
                    )}
                  </td>
                  <td className="mono w-14 py-0.5 text-mid">{row.line}</td>
                  <td className="py-0.5 pr-3">{row.ok ? row.sheet.name : row.name || 'unnamed'}</td>
                  <td className={`py-0.5 ${row.ok ? 'text-mid' : 'bad'}`}>
                    {row.ok ? WHAT[row.what] : row.words}
                    {row.ok && row.what !== 'new' && row.what !== 'same' && (
                      <Differs catalogue={catalogue} sheet={row.sheet} />
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {read.rows.length > MOST_SHOWN && (
            <p className="text-[13px] text-mid">{`${read.rows.length - MOST_SHOWN} more rows are not shown.`}</p>
          )}
          <button
            type="button"
            className="press strong mt-3"
            disabled={chosen.length === 0 || isLoading}
            onClick={() => void take()}
          >
            {chosen.length < good.length
              ? `Import ${chosen.length} of ${countWords(good.length, 'good row')}`
              : `Import ${countWords(good.length, 'good row')}`}
          </button>
        </>
      )}
      {problem && (
        <p role="alert" className="bad mt-2">
          {problem}
        </p>
      )}
    </section>
  );
}

/** What a file says of itself. */
function About({ about }: { readonly about: AboutFile }) {
  const { name, date, author, licence } = about;
  const words = [name, author && `by ${author}`, date, licence && `licence: ${licence}`].filter(Boolean).join(', ');
  return words ? <p className="mt-2 text-[13px]">{words}</p> : null;
}

/** Fact by fact, what taking a row in would change of one’s own sheet. */
function Differs({ catalogue, sheet }: { readonly catalogue: OwnedCatalogue; readonly sheet: Sheet }) {
  const had = catalogue.sheets[sheet.id];
  const [before, after] = [had, sheet].map((one) => one && catalogue.archetypes[one.archetype]);
  if (!had || !before || !after) return null;
  const all = differencesOf(resolve(had, before), resolve(sheet, after));
  const words = all.slice(0, MOST_DIFFERENCES).map(({ label, values: [was, is] }) => `${label} ${was}, there ${is}`);
  const more = all.length - words.length;
  return <span className="block">{[...words, ...(more > 0 ? [`${more} more`] : [])].join('; ')}</span>;
}
