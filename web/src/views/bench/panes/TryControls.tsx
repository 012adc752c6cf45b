import type { PartKind, SpotGroup, SpotType } from '@inch-tower/core';
import { Link } from 'react-router';
import type { TrySource } from '../../../worker/messages';
import { useBench } from '../hooks/benchContext';
import { SORTS, type SortName } from './trySorts';

const SOURCES: readonly (readonly [TrySource, string])[] = [
  ['all', 'every listed part'],
  ['own', 'my own sheets'],
  ['stock', 'what I own'],
  ['classes', 'classes, typical'],
];
/** The kind of part a place is for, where the place itself says it. */
const KIND_OF: Readonly<Partial<Record<SpotType, PartKind>>> = {
  tray: 'board',
  bay: 'drive',
  supplyBay: 'supply',
  fanMount: 'fan',
  socket: 'processor',
  coolerMount: 'cooler',
  memoryBank: 'memory',
  m2: 'drive',
  slot: 'controller',
  usb: 'drive',
  connector: 'cable',
};

type Props = {
  readonly group: SpotGroup;
  readonly search: string;
  readonly onSearch: (text: string) => void;
  readonly sort: SortName;
  readonly onSort: (sort: SortName) => void;
  /** How many are put, of at most so many. */
  readonly count: number;
  readonly most: number;
  readonly onCount: (count: number) => void;
};

/** What is looked for, from where, in which order, and how many of it. */
export function TryControls({ group, search, onSearch, sort, onSort, count, most, onCount }: Props) {
  const ui = useBench();
  return (
    <>
      <div className="mt-1 flex gap-1.5">
        <input
          data-pane-start
          className="field min-w-0 flex-1"
          aria-label="Search parts"
          placeholder="Search"
          value={search}
          onChange={(event) => onSearch(event.target.value)}
        />
        <select
          className="field w-[112px]"
          aria-label="Sort by"
          value={sort}
          onChange={(event) => onSort(event.target.value as SortName)}
        >
          {Object.entries(SORTS).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      </div>
      <div className="mt-1 flex items-center gap-1.5">
        <label className="flex min-w-0 flex-1 items-center gap-1.5">
          <span className="text-mid">From</span>
          <select
            className="field min-w-0 flex-1"
            value={ui.source}
            onChange={(event) => ui.setSource(event.target.value as TrySource)}
          >
            {SOURCES.map(([one, words]) => (
              <option key={one} value={one}>
                {words}
              </option>
            ))}
          </select>
        </label>
        {(
          [
            ['own', 'Not in any list'],
            ['paste', 'Paste a part'],
          ] as const
        ).map(([page, words]) => (
          <Link
            key={page}
            className="inline-flex min-h-6 items-center whitespace-nowrap text-mid underline"
            to={
              `/parts/${page}?` +
              (group.type === 'table' && group.kind === 'any'
                ? ''
                : `kind=${KIND_OF[group.type] ?? ('kind' in group ? group.kind : 'drive')}&`) +
              `back=${encodeURIComponent(`${location.pathname}${location.search}`)}`
            }
          >
            {words}
          </Link>
        ))}
      </div>
      {most > 1 && (
        <div className="mt-1 flex items-center gap-1.5">
          <span className="text-mid">How many</span>
          <button
            type="button"
            className="press px-2"
            aria-label="One fewer"
            disabled={count <= 1}
            onClick={() => onCount(count - 1)}
          >
            −
          </button>
          <input
            className="field mono w-12 text-center"
            aria-label="How many"
            inputMode="numeric"
            value={count}
            onChange={(event) =>
              onCount(Math.max(1, Math.min(most, Number(event.target.value.replace(/\D/g, '')) || 1)))
            }
          />
          <button
            type="button"
            className="press px-2"
            aria-label="One more"
            disabled={count >= most}
            onClick={() => onCount(count + 1)}
          >
            +
          </button>
          {group.type !== 'table' && (
            <button type="button" className="press" disabled={count === most} onClick={() => onCount(most)}>
              All {most} free
            </button>
          )}
        </div>
      )}
    </>
  );
}
