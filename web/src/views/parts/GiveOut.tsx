import { useState } from 'react';
import {
  PART_KINDS,
  writePartsCsv,
  writePartsJson,
  writeStockJson,
  type AboutFile,
  type PartKind,
} from '@inch-tower/core';
import { useStockQuery, type OwnedCatalogue } from '../../state/api';
import { saveFile } from '../saveFile';
import { KIND_WORDS, shelfOf } from './families';

const LINES = [
  ['name', 'Called'],
  ['author', 'By'],
  ['licence', 'Licence'],
] as const;

/** Parts as a file for others, with whose they are and what may be done with them. */
export function GiveOut({ catalogue }: { readonly catalogue: OwnedCatalogue }) {
  const [shelf, setShelf] = useState<'own' | 'catalogue' | 'stock'>('own');
  const { data } = useStockQuery();
  const stock = (data?.stock ?? []).map(({ entry }) => entry);
  const [kind, setKind] = useState<PartKind>('drive');
  const [about, setAbout] = useState<AboutFile>({});
  const sheets = shelf === 'stock' ? [] : shelfOf(catalogue, shelf);
  const json = () => {
    const said = Object.fromEntries(Object.entries(about).filter(([, one]) => one !== undefined && one.trim() !== ''));
    const head = Object.keys(said).length > 0 ? { ...said, date: new Date().toISOString().slice(0, 10) } : {};
    const text =
      shelf === 'stock'
        ? writeStockJson(stock, catalogue.sheets, catalogue.archetypes, head)
        : writePartsJson(sheets, catalogue.archetypes, head);
    saveFile(`parts-${shelf}.json`, text, 'application/json');
  };
  return (
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
            <option value="stock">my stock ({stock.length})</option>
          </select>
        </label>
        {LINES.map(([key, label]) => (
          <label key={key} className="flex items-center gap-2">
            <span className="w-14">{label}</span>
            <input
              className="field w-48"
              maxLength={200}
              placeholder="open"
              value={about[key] ?? ''}
              onChange={(event) => setAbout({ ...about, [key]: event.target.value })}
            />
          </label>
        ))}
        <button
          type="button"
          className="press"
          disabled={(shelf === 'stock' ? stock : sheets).length === 0}
          onClick={json}
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
  );
}
