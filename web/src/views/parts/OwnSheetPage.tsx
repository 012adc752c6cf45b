import { useMemo, useState } from 'react';
import { useNavigate, useOutletContext, useSearchParams } from 'react-router';
import {
  askOf,
  fieldsOf,
  minorPerMajor,
  ownSheetId,
  PART_KINDS,
  resolve,
  type Archetype,
  type Basis,
  type Sheet,
  type SoldWhen,
} from '@inch-tower/core';
import { problemOf, useSaveSheetMutation, type OwnedCatalogue } from '../../state/api';
import { PartDrawing } from '../sheets/PartDrawing';
import { ChassisShape } from './ChassisShape';
import { FieldRow } from './FieldRow';
import { ListField } from './ListField';
import {
  currencyOf,
  makeSheet,
  SHAPED,
  shapeBase,
  SOLD_WORDS,
  textOf,
  typicalWords,
  withoutRows,
  withRows,
  type Draft,
} from './ownDraft';
import { KIND_WORDS } from './families';

const BASIS_WORDS: readonly (readonly [Basis, string])[] = [
  ['measured', 'I measured them'],
  ['stated', 'from a datasheet'],
  ['typical', 'a guess'],
];

/** A sheet of one's own: from a class, or like another part; what is typed is its own, the rest is typical. */
export default function OwnSheetPage() {
  const catalogue = useOutletContext<OwnedCatalogue>();
  const [params] = useSearchParams();
  const kind = PART_KINDS.find((one) => one === params.get('kind')) ?? null;
  const edited = catalogue.sheets[params.get('edit') ?? ''];
  const like = edited ?? (params.get('class') ? undefined : catalogue.sheets[params.get('from') ?? '']);
  const classId = like?.archetype ?? params.get('from');
  const archetype = classId ? catalogue.archetypes[classId] : undefined;
  if (!archetype) return <ChooseClass catalogue={catalogue} kind={kind} />;
  return (
    <Form
      key={`${archetype.id}|${like?.id ?? ''}`}
      catalogue={catalogue}
      archetype={archetype}
      like={like}
      editing={!!edited}
    />
  );
}

function ChooseClass({
  catalogue,
  kind,
}: {
  readonly catalogue: OwnedCatalogue;
  readonly kind: (typeof PART_KINDS)[number] | null;
}) {
  const [, setParams] = useSearchParams();
  const classes = Object.values(catalogue.archetypes)
    .filter((one) => !kind || one.kind === kind)
    .sort((a, b) => PART_KINDS.indexOf(a.kind) - PART_KINDS.indexOf(b.kind));
  return (
    <main className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <h1 className="text-[19px] font-semibold">A sheet of your own</h1>
      <p className="mt-1 text-mid">What is it most like? Its typical numbers stand in for those you do not type.</p>
      <ul className="mt-3 columns-1 gap-8 sm:columns-2 lg:columns-3">
        {classes.map((one) => (
          <li key={one.id} className="break-inside-avoid">
            <button
              type="button"
              data-class={one.id}
              className={
                'plain flex min-h-7 w-full justify-between gap-2 border-b border-dotted ' +
                'border-line py-1 text-left hover:bg-wash'
              }
              onClick={() =>
                setParams((now) => {
                  const next = new URLSearchParams(now);
                  next.set('from', one.id);
                  next.set('class', '1');
                  return next;
                })
              }
            >
              <span>{one.name}</span>
              <span className="text-[12.5px] text-mid">{KIND_WORDS[one.kind]}</span>
            </button>
          </li>
        ))}
      </ul>
    </main>
  );
}

type FormProps = {
  readonly catalogue: OwnedCatalogue;
  readonly archetype: Archetype;
  readonly like: Sheet | undefined;
  readonly editing: boolean;
};

function Form({ catalogue, archetype, like, editing }: FormProps) {
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const [saveSheet] = useSaveSheetMutation();
  const [fields, lists] = useMemo(() => {
    const all = fieldsOf(archetype.kind);
    return [
      all.filter(({ type }) => type !== 'list'),
      all.filter(({ type, schema }) => type === 'list' && askOf(schema).type !== 'kept'),
    ];
  }, [archetype.kind]);
  const had = useMemo(() => (like ?? {}) as unknown as Readonly<Record<string, unknown>>, [like]);
  const [draft, setDraft] = useState<Draft>(() => ({
    name: like ? (editing ? like.name : `${like.name}, mine`) : '',
    maker: like?.maker ?? '',
    price: like?.price ? String(like.price.minor / minorPerMajor(like.price.currency)) : '',
    sold: soldOf(like),
    basis: 'measured',
    shape: {},
    lists: {},
    texts: Object.fromEntries(
      fields.flatMap((field) => (had[field.name] === undefined ? [] : [[field.name, textOf(field, had[field.name])]])),
    ),
  }));
  const [problem, setProblem] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const made = useMemo(() => makeSheet(draft, archetype, like, fields), [draft, archetype, like, fields]);
  const typical = archetype as unknown as Readonly<Record<string, unknown>>;
  const base = useMemo(() => shapeBase(draft, archetype, like), [draft, archetype, like]);
  const back = params.get('back');

  const save = async () => {
    if (!made.ok) return setProblem(made.words);
    setSaving(true);
    const id = editing && like ? like.id : ownSheetId(draft.name, (one) => one in catalogue.sheets);
    const saved = await saveSheet({ sheet: { ...made.sheet, id }, madeOn: editing && like ? like.rev : 0 });
    setSaving(false);
    if (saved.data) void navigate(back?.startsWith('/b/') ? back : `/parts?shelf=own&part=${id}`);
    else setProblem(`${problemOf(saved.error).detail} What you typed is still here.`);
  };
  const change = (next: Draft) => {
    setProblem(null);
    setDraft(next);
  };
  const set = (patch: Partial<Draft>) => change({ ...draft, ...patch });

  return (
    <main
      className={
        'grid min-h-0 flex-1 grid-cols-1 overflow-auto ' +
        'md:grid-cols-[minmax(0,1fr)_minmax(320px,430px)] md:overflow-hidden'
      }
    >
      <form
        className="flex min-h-0 flex-col"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <div className="min-h-0 flex-1 px-6 pt-4 md:overflow-auto">
          <h1 className="text-[19px] font-semibold">
            {editing ? `Change ${like!.name}` : `${archetype.name}, of your own`}
          </h1>
          <p className="mt-1 text-mid">Type what you know; what you leave open is typical of its class and shown so.</p>
          <div className="mt-3 grid max-w-[560px] grid-cols-[110px_minmax(0,1fr)] items-center gap-x-3 gap-y-1.5">
            <label htmlFor="own-name">Name</label>
            <input
              id="own-name"
              className="field"
              autoFocus
              required
              maxLength={200}
              value={draft.name}
              onChange={(event) => set({ name: event.target.value })}
            />
            <label htmlFor="own-maker">Maker</label>
            <input
              id="own-maker"
              className="field"
              maxLength={200}
              value={draft.maker}
              onChange={(event) => set({ maker: event.target.value })}
            />
            <label htmlFor="own-price">Price</label>
            <span className="flex items-center gap-2">
              <input
                id="own-price"
                className="field mono w-28 text-right"
                inputMode="decimal"
                placeholder={
                  archetype.price ? String(archetype.price.minor / minorPerMajor(archetype.price.currency)) : ''
                }
                value={draft.price}
                onChange={(event) => set({ price: event.target.value })}
              />
              <span className="mono text-[13px] text-mid">{currencyOf(archetype, like)}</span>
            </span>
            <span>Sold</span>
            <span className="flex flex-wrap items-center gap-2 text-[13px]">
              {(Object.keys(SOLD_WORDS) as (keyof SoldWhen)[]).map((field) => (
                <label key={field} className="flex items-center gap-1.5">
                  {SOLD_WORDS[field]}
                  <input
                    className="field mono w-16 px-1 text-right"
                    inputMode="numeric"
                    placeholder="open"
                    value={draft.sold[field]}
                    onChange={(event) => set({ sold: { ...draft.sold, [field]: event.target.value } })}
                  />
                </label>
              ))}
            </span>
            <label htmlFor="own-basis">The numbers are</label>
            <select
              id="own-basis"
              className="field w-56"
              value={draft.basis}
              onChange={(event) => set({ basis: event.target.value as Basis })}
            >
              {BASIS_WORDS.map(([one, words]) => (
                <option key={one} value={one}>
                  {words}
                </option>
              ))}
            </select>
          </div>
          {base && <ChassisShape base={base} draft={draft.shape} onDraft={(shape) => set({ shape })} />}
          {lists.length > 0 && (
            <div className="mt-4 max-w-[820px] border-t border-line text-[13px]">
              <h2 className="pt-2 text-[14px] font-semibold">Places, ports and plugs</h2>
              {lists.map((field) => (
                <ListField
                  key={field.name}
                  field={field}
                  source={
                    field.name in draft.lists || (editing && had[field.name] !== undefined)
                      ? 'yours'
                      : had[field.name] !== undefined
                        ? `as in ${like!.name}`
                        : 'typical'
                  }
                  value={draft.lists[field.name] ?? had[field.name] ?? typical[field.name]}
                  onValue={(value) => change(withRows(draft, archetype, like, field.name, value))}
                  {...(field.name in draft.lists ? { onTypical: () => change(withoutRows(draft, field.name)) } : {})}
                />
              ))}
            </div>
          )}
          <table className="mt-4 w-full max-w-[640px] border-t border-line text-[13px]">
            <caption className="sr-only">Numbers of the sheet</caption>
            <thead className="sr-only">
              <tr>
                <th>Field</th>
                <th>Yours</th>
                <th>Unit</th>
              </tr>
            </thead>
            <tbody>
              {fields
                .filter((field) => !SHAPED.has(field.name) || !base)
                .map((field) => (
                  <FieldRow
                    key={field.name}
                    field={field}
                    text={draft.texts[field.name] ?? ''}
                    typical={typicalWords(field, typical[field.name])}
                    onText={(text) => set({ texts: { ...draft.texts, [field.name]: text } })}
                  />
                ))}
            </tbody>
          </table>
        </div>
        <div className="sticky bottom-0 flex flex-wrap items-center gap-3 border-t border-line bg-paper px-6 py-2">
          <button type="submit" className="press strong" disabled={saving}>
            {saving ? 'Saving …' : 'Save the sheet'}
          </button>
          <button type="button" className="press" onClick={() => void navigate(-1)}>
            Cancel
          </button>
          {(problem ?? (draft.name && !made.ok ? made.words : null)) && (
            <p role="alert" className="bad min-w-0 flex-1 text-[13px]">
              {problem ?? (made.ok ? '' : made.words)}
            </p>
          )}
        </div>
      </form>
      <aside aria-label="Drawing of the sheet" className="min-h-0 overflow-auto border-line bg-sheet p-4 md:border-l">
        {made.ok ? (
          <PartDrawing part={resolve(made.sheet, archetype)} width={396} height={300} />
        ) : (
          <p className="text-mid">The drawing comes back when the numbers can be.</p>
        )}
        <p className="mt-2 text-[12.5px] text-mid">{made.ok ? `${made.typed} said, the rest typical.` : ''}</p>
      </aside>
    </main>
  );
}

const soldOf = (like: Sheet | undefined): Draft['sold'] => ({
  introducedYear: String(like?.introducedYear ?? ''),
  soldUntilYear: String(like?.soldUntilYear ?? ''),
  warrantyMonths: String(like?.warrantyMonths ?? ''),
});
