import { useDeferredValue, useMemo, type KeyboardEvent } from 'react';
import { useOutletContext, useSearchParams } from 'react-router';
import { classSheet, isClassSheet, PART_KINDS, resolve, type PartKind } from '@inch-tower/core';
import type { OwnedCatalogue } from '../../state/api';
import { factLine } from '../../words/factLine';
import { moneyWords } from '../../words/format';
import { familiesOf, KIND_WORDS, priceSpan, search, searchable, shelfOf, type Family, type Shelf } from './families';
import { PartPane } from './PartPane';

const SHELVES: readonly (readonly [Shelf, string])[] = [
  ['catalogue', 'Catalogue'],
  ['own', 'My own'],
  ['classes', 'Classes'],
];
const MOST_ROWS = 150;

/** The catalogue as an index on the left, rows by series in the middle, and the sheet of what is chosen. */
export default function BrowsePage() {
  const catalogue = useOutletContext<OwnedCatalogue>();
  const [params, setParams] = useSearchParams();
  const shelf = SHELVES.find(([one]) => one === params.get('shelf'))?.[0] ?? 'catalogue';
  const kind = PART_KINDS.find((one) => one === params.get('kind')) ?? null;
  const words = params.get('q') ?? '';
  const chosen = params.get('part');
  const opened = params.get('open');
  const set = (change: Readonly<Record<string, string | null>>, replace = false) =>
    setParams(
      (now) => {
        const next = new URLSearchParams(now);
        for (const [key, value] of Object.entries(change)) {
          if (value) next.set(key, value);
          else next.delete(key);
        }
        return next;
      },
      { replace },
    );
  const list = useMemo(() => searchable(shelfOf(catalogue, shelf), catalogue), [catalogue, shelf]);
  const later = useDeferredValue(words);
  const found = useMemo(() => search(list, later, kind), [list, later, kind]);
  const families = useMemo(() => familiesOf(found, catalogue.archetypes), [found, catalogue]);
  const counts = useMemo(() => {
    const map = new Map<PartKind, number>();
    for (const sheet of search(list, later, null)) map.set(sheet.kind, (map.get(sheet.kind) ?? 0) + 1);
    return map;
  }, [list, later]);
  const sheet = chosen
    ? (catalogue.sheets[chosen] ??
      (isClassSheet(chosen) && catalogue.archetypes[chosen.slice(6)]
        ? classSheet(catalogue.archetypes[chosen.slice(6)]!)
        : undefined))
    : undefined;
  const walk = (event: KeyboardEvent<HTMLElement>) => {
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    const rows = [...event.currentTarget.querySelectorAll<HTMLButtonElement>('[data-row]')];
    const at = rows.indexOf(document.activeElement as HTMLButtonElement);
    if (at < 0) return;
    event.preventDefault();
    rows[Math.max(0, Math.min(rows.length - 1, at + (event.key === 'ArrowDown' ? 1 : -1)))]?.focus();
  };

  return (
    <main
      className={
        'grid min-h-0 flex-1 grid-cols-1 overflow-auto ' +
        'md:grid-cols-[172px_minmax(0,1fr)_minmax(320px,400px)] md:overflow-hidden'
      }
    >
      <nav aria-label="Kinds of part" className="min-h-0 overflow-auto border-line px-3 py-3 text-[13px] md:border-r">
        <ul className="mb-3">
          {SHELVES.map(([one, label]) => (
            <li key={one}>
              <button
                type="button"
                aria-pressed={shelf === one}
                onClick={() => set({ shelf: one === 'catalogue' ? null : one, part: null, open: null })}
                className={
                  'plain flex min-h-7 w-full items-center justify-between px-1 text-left hover:bg-wash ' +
                  `${shelf === one ? 'font-semibold shadow-[inset_3px_0_0_var(--tape)]' : ''}`
                }
              >
                <span className="pl-1.5">{label}</span>
              </button>
            </li>
          ))}
        </ul>
        <ul className="border-t border-line pt-2">
          <li>
            <KindRow
              label="Every kind"
              count={[...counts.values()].reduce((sum, one) => sum + one, 0)}
              on={kind === null}
              onChoose={() => set({ kind: null })}
            />
          </li>
          {PART_KINDS.filter((one) => (counts.get(one) ?? 0) > 0 || one === kind).map((one) => (
            <li key={one}>
              <KindRow
                label={KIND_WORDS[one]}
                count={counts.get(one) ?? 0}
                on={kind === one}
                onChoose={() => set({ kind: kind === one ? null : one })}
              />
            </li>
          ))}
        </ul>
      </nav>
      <section aria-label="Parts found" className="flex min-h-0 flex-col">
        <div className="flex shrink-0 items-center gap-3 border-b border-line px-4 py-2">
          <input
            className="field min-w-0 flex-1"
            type="search"
            aria-label="Search parts"
            placeholder="Name, maker, kind, class"
            value={words}
            onChange={(event) => set({ q: event.target.value || null }, true)}
          />
          <span className="text-[13px] whitespace-nowrap text-mid" role="status" data-testid="found">
            {found.length} {found.length === 1 ? 'part' : 'parts'} in {families.length}{' '}
            {families.length === 1 ? 'row' : 'rows'}
          </span>
        </div>
        {catalogue.unreadable.length > 0 && <Unreadable parts={catalogue.unreadable} />}
        <div className="min-h-0 flex-1 overflow-auto" tabIndex={-1} onKeyDown={walk}>
          <ul>
            {families.slice(0, MOST_ROWS).map((family) => (
              <FamilyRow
                key={family.key}
                family={family}
                catalogue={catalogue}
                open={opened === family.key}
                chosen={chosen}
                onOpen={() => set({ open: opened === family.key ? null : family.key })}
                onChoose={(id) => set({ part: id })}
              />
            ))}
          </ul>
          {families.length > MOST_ROWS && (
            <p className="p-4 text-[13px] text-mid">
              {families.length - MOST_ROWS} more rows: type a word or choose a kind to narrow them.
            </p>
          )}
          {found.length === 0 && (
            <p className="p-4 text-mid">
              {shelf === 'own' && list.length === 0
                ? 'You have no sheets of your own yet. Choose a class or a part, and make one like it: ' +
                  'type what you know, the rest is typical.'
                : 'No part of that name here.'}
            </p>
          )}
        </div>
      </section>
      <aside aria-label="Sheet" className="min-h-0 overflow-auto border-line bg-sheet md:border-l">
        {sheet && catalogue.archetypes[sheet.archetype] ? (
          <PartPane
            key={sheet.id}
            part={resolve(sheet, catalogue.archetypes[sheet.archetype]!)}
            own={catalogue.own.includes(sheet.id)}
            catalogue={catalogue}
            onGone={() => set({ part: null })}
          />
        ) : (
          <p className="p-4 text-mid">
            Choose a part to see it drawn to scale, with every number and where it comes from.
          </p>
        )}
      </aside>
    </main>
  );
}

/** Parts that are kept but cannot be read are named, each with why; all others are shown. */
function Unreadable({ parts }: { readonly parts: OwnedCatalogue['unreadable'] }) {
  return (
    <details role="status" className="border-b border-line border-l-4 border-l-warn px-3 py-2 text-[13px]">
      <summary className="cursor-pointer">
        {parts.length === 1 ? `The part ${parts[0]!.id} cannot be read` : `${parts.length} parts cannot be read`}; all
        others are shown.
      </summary>
      <ul className="mt-1 max-h-40 overflow-auto">
        {parts.map(({ id, words }) => (
          <li key={id} className="break-words">
            <span className="mono">{id}</span>: {words}
          </li>
        ))}
      </ul>
    </details>
  );
}

function KindRow({
  label,
  count,
  on,
  onChoose,
}: {
  readonly label: string;
  readonly count: number;
  readonly on: boolean;
  readonly onChoose: () => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onChoose}
      className={
        'plain flex min-h-6 w-full items-center justify-between px-1 text-left hover:bg-wash ' +
        `${on ? 'font-semibold shadow-[inset_3px_0_0_var(--tape)]' : ''}`
      }
    >
      <span className="pl-1.5">{label}</span>
      <span className="mono text-[12px] text-mid">{count}</span>
    </button>
  );
}

type RowProps = {
  readonly family: Family;
  readonly catalogue: OwnedCatalogue;
  readonly open: boolean;
  readonly chosen: string | null;
  readonly onOpen: () => void;
  readonly onChoose: (id: string) => void;
};

function FamilyRow({ family, catalogue, open, chosen, onOpen, onChoose }: RowProps) {
  const [first] = family.members;
  const span = priceSpan(family);
  const price = !span
    ? 'no price'
    : span.lo === span.hi
      ? moneyWords(span.lo, span.currency)
      : `${moneyWords(span.lo, span.currency)} – ${moneyWords(span.hi, span.currency)}`;
  const alone = family.members.length === 1;
  const lit = family.members.some((sheet) => sheet.id === chosen);
  const facts = (id: string) => {
    const sheet = family.members.find((one) => one.id === id)!;
    return factLine(resolve(sheet, catalogue.archetypes[sheet.archetype]!));
  };
  return (
    <li className="border-b border-line">
      <button
        type="button"
        data-row
        {...(alone ? { 'data-part': first!.id } : { 'data-series': family.name, 'aria-expanded': open })}
        onClick={() => (alone ? onChoose(first!.id) : onOpen())}
        className={`plain block w-full px-4 py-1.5 text-left hover:bg-wash ${lit && (alone || !open) ? 'bg-wash' : ''}`}
      >
        <span className="flex items-baseline gap-2">
          <span className="font-medium">{family.name}</span>
          {!alone && <span className="text-[12.5px] text-mid">{family.members.length} of this series</span>}
          <span className="mono ml-auto text-[12.5px] whitespace-nowrap text-mid">{price}</span>
        </span>
        <span className="flex gap-2 text-[12.5px] text-mid">
          <span className="min-w-0 flex-1 truncate">{alone ? facts(first!.id) : `${facts(first!.id)} … and up`}</span>
          <span className="whitespace-nowrap">{family.maker}</span>
        </span>
      </button>
      {open && !alone && (
        <ul className="border-t border-dotted border-line pb-1">
          {family.members.map((sheet) => (
            <li key={sheet.id}>
              <button
                type="button"
                data-row
                data-part={sheet.id}
                aria-pressed={chosen === sheet.id}
                onClick={() => onChoose(sheet.id)}
                className={
                  'plain flex min-h-7 w-full items-baseline gap-2 py-1 pr-4 pl-8 text-left hover:bg-wash ' +
                  `${chosen === sheet.id ? 'bg-wash' : ''}`
                }
              >
                <span>{sheet.name}</span>
                <span className="min-w-0 flex-1 truncate text-[12.5px] text-mid">{facts(sheet.id)}</span>
                <span className="mono text-[12.5px] whitespace-nowrap text-mid">
                  {sheet.price ? moneyWords(sheet.price.minor, sheet.price.currency) : 'no price'}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}
