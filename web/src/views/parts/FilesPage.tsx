import { useMemo, useState } from 'react';
import { useNavigate, useOutletContext } from 'react-router';
import {
  PART_KINDS,
  readPartsFile,
  writePartsCsv,
  writePartsJson,
  type FileRow,
  type PartKind,
} from '@inch-tower/core';
import { problemOf, useImportSheetsMutation, type OwnedCatalogue } from '../../state/api';
import { countWords } from '../../words/format';
import { KIND_WORDS, shelfOf } from './families';
import { saveFile } from '../saveFile';

const LARGEST_BYTES = 8 * 1024 * 1024;

/** Parts as files, in and out: JSON keeps everything, CSV is one table a kind. Good rows are kept beside bad ones. */
export default function FilesPage() {
  const catalogue = useOutletContext<OwnedCatalogue>();
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [fileName, setFileName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [shelf, setShelf] = useState<'own' | 'catalogue'>('own');
  const [kind, setKind] = useState<PartKind>('drive');
  const [importSheets, { isLoading }] = useImportSheetsMutation();
  const own = useMemo(() => new Set(catalogue.own), [catalogue]);
  const read = useMemo(
    () => (text.trim() ? readPartsFile(text, catalogue, (id) => own.has(id)) : null),
    [text, catalogue, own],
  );
  const good = read?.ok
    ? read.rows.filter((row): row is Extract<FileRow, { ok: true }> => row.ok && row.what !== 'same')
    : [];
  const sheets = shelfOf(catalogue, shelf);
  const open = async (file: File) => {
    setProblem(null);
    if (file.size > LARGEST_BYTES)
      return setProblem(`${file.name} is larger than ${LARGEST_BYTES / 1024 / 1024} MB. Nothing was imported.`);
    setFileName(file.name);
    setText(await file.text());
  };
  const take = async () => {
    const done = await importSheets({
      sheets: good.map((row) => row.sheet),
      archetypes: read?.ok ? read.archetypes : [],
    });
    if (done.data) void navigate('/parts?shelf=own');
    else setProblem(`${problemOf(done.error).detail} The rows are still here.`);
  };
  return (
    <main className="grid min-h-0 flex-1 grid-cols-1 gap-8 overflow-auto px-6 py-4 md:grid-cols-[minmax(0,1fr)_300px]">
      <section aria-label="In">
        <h1 className="text-[19px] font-semibold">Import parts</h1>
        <p className="mt-1 max-w-[620px] text-mid">
          A file of sheets, JSON or CSV. Every row is looked at first: good ones can be imported, what is wrong with the
          others is said line by line.
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
                <button
                  type="button"
                  className="plain min-h-6 underline"
                  onClick={() => {
                    setFileName('');
                    setText('');
                  }}
                >
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
            onChange={(event) => {
              setText(event.target.value);
              setProblem(null);
            }}
          />
        )}
        {read && !read.ok && (
          <p role="alert" className="bad mt-2">
            {read.words} Nothing was imported.
          </p>
        )}
        {read?.ok && (
          <>
            <p role="status" className="mt-2 font-semibold">
              {countWords(good.length, 'good row')}, {countWords(read.rows.filter((row) => !row.ok).length, 'bad one')}
              {read.rows.some((row) => row.ok && row.what === 'same')
                ? `, ${read.rows.filter((row) => row.ok && row.what === 'same').length} here already`
                : ''}
            </p>
            <table className="mt-1 w-full max-w-[820px] text-[13px]">
              <thead className="sr-only">
                <tr>
                  <th>Line</th>
                  <th>Name</th>
                  <th>What becomes of it</th>
                </tr>
              </thead>
              <tbody>
                {read.rows.slice(0, 400).map((row) => (
                  <tr key={row.line} data-line={row.line} className="border-b border-dotted border-line align-top">
                    <td className="mono w-14 py-0.5 text-mid">{row.line}</td>
                    <td className="py-0.5 pr-3">{row.ok ? row.sheet.name : row.name || 'unnamed'}</td>
                    <td className={`py-0.5 ${row.ok ? 'text-mid' : 'bad'}`}>
                      {row.ok
                        ? { new: 'new', replaces: 'replaces yours of that id', same: 'is here already' }[row.what]
                        : row.words}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            <button
              type="button"
              className="press strong mt-3"
              disabled={good.length === 0 || isLoading}
              onClick={() => void take()}
            >
              Import {countWords(good.length, 'good row')}
            </button>
          </>
        )}
        {problem && (
          <p role="alert" className="bad mt-2">
            {problem}
          </p>
        )}
      </section>
      <section aria-label="Out">
        <h2 className="text-[19px] font-semibold">Export parts</h2>
        <div className="mt-2 flex flex-col items-start gap-2 text-[13px]">
          <label>
            Which{' '}
            <select
              className="field ml-2"
              value={shelf}
              onChange={(event) => setShelf(event.target.value as typeof shelf)}
            >
              <option value="own">my own ({catalogue.own.length})</option>
              <option value="catalogue">the catalogue</option>
            </select>
          </label>
          <button
            type="button"
            className="press"
            disabled={sheets.length === 0}
            onClick={() =>
              saveFile(`parts-${shelf}.json`, writePartsJson(sheets, catalogue.archetypes), 'application/json')
            }
          >
            As JSON, whole
          </button>
          <span className="flex items-center gap-2">
            <select
              aria-label="Kind"
              className="field"
              value={kind}
              onChange={(event) => setKind(event.target.value as PartKind)}
            >
              {PART_KINDS.map((one) => (
                <option key={one} value={one}>
                  {KIND_WORDS[one]}
                </option>
              ))}
            </select>
            <button
              type="button"
              className="press"
              disabled={!sheets.some((sheet) => sheet.kind === kind)}
              onClick={() => saveFile(`parts-${shelf}-${kind}.csv`, writePartsCsv(kind, sheets), 'text/csv')}
            >
              As CSV
            </button>
          </span>
        </div>
      </section>
    </main>
  );
}
