import { useMemo, useState } from 'react';
import { useNavigate, useOutletContext, useSearchParams } from 'react-router';
import {
  checkSheet,
  choiceWords,
  fieldsOf,
  minorPerMajor,
  ownSheet,
  ownSheetId,
  PART_KINDS,
  readField,
  readNumber,
  reshape,
  resolve,
  sheetSchema,
  type Archetype,
  type Basis,
  type ChassisDraft,
  type Field,
  type PartOf,
  type Sheet,
  type SheetId,
} from '@inch-tower/core';
import { problemOf, useSaveSheetMutation, type OwnedCatalogue } from '../../state/api';
import { PartDrawing } from '../sheets/PartDrawing';
import { ChassisShape } from './ChassisShape';
import { KIND_WORDS } from './families';

type Draft = {
  readonly name: string;
  readonly maker: string;
  readonly price: string;
  readonly basis: Basis;
  readonly texts: Readonly<Record<string, string>>;
  readonly shape: ChassisDraft;
};

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
  const fields = useMemo(() => fieldsOf(archetype.kind).filter((field) => field.type !== 'list'), [archetype.kind]);
  const had = useMemo(() => (like ?? {}) as unknown as Readonly<Record<string, unknown>>, [like]);
  const [draft, setDraft] = useState<Draft>(() => ({
    name: like ? (editing ? like.name : `${like.name}, mine`) : '',
    maker: like?.maker ?? '',
    price: like?.price ? String(like.price.minor / minorPerMajor(like.price.currency)) : '',
    basis: 'measured',
    shape: {},
    texts: Object.fromEntries(
      fields.flatMap((field) => (had[field.name] === undefined ? [] : [[field.name, textOf(field, had[field.name])]])),
    ),
  }));
  const [problem, setProblem] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const made = useMemo(() => makeSheet(draft, archetype, like, fields), [draft, archetype, like, fields]);
  const typical = archetype as unknown as Readonly<Record<string, unknown>>;
  const base = useMemo(
    () =>
      archetype.kind === 'chassis'
        ? (resolve(
            {
              ...(like ?? {}),
              id: 'own-base' as SheetId,
              kind: 'chassis',
              rev: 1,
              name: 'base',
              archetype: archetype.id,
            },
            archetype,
          ) as PartOf<'chassis'>)
        : null,
    [archetype, like],
  );
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
  const set = (patch: Partial<Draft>) => {
    setProblem(null);
    setDraft({ ...draft, ...patch });
  };

  return (
    <main
      className={
        'grid min-h-0 flex-1 grid-cols-1 overflow-auto ' +
        'md:grid-cols-[minmax(0,1fr)_minmax(320px,430px)] md:overflow-hidden'
      }
    >
      <form
        className="min-h-0 overflow-auto px-6 pt-4"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
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
        <div className="sticky bottom-0 mt-3 flex flex-wrap items-center gap-3 border-t border-line bg-paper py-2">
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
        <p className="mt-2 text-[12.5px] text-mid">{made.ok ? `${made.typed} of your own, the rest typical.` : ''}</p>
      </aside>
    </main>
  );
}

/** Dimensions a chassis takes from its drawing. */
const SHAPED = new Set(['widthMm', 'heightMm', 'depthMm']);

function FieldRow({
  field,
  text,
  typical,
  onText,
}: {
  readonly field: Field;
  readonly text: string;
  readonly typical: string;
  readonly onText: (text: string) => void;
}) {
  const id = `own-${field.name}`;
  const options = field.type === 'yesNo' ? ['yes', 'no'] : field.options.map(String);
  const wrong = text !== '' && !readField(field, asStored(field, text)).ok;
  return (
    <tr className="border-b border-dotted border-line">
      <td className="py-0.5 pr-3">
        <label htmlFor={id}>{field.label}</label>
      </td>
      <td className="py-0.5 text-right">
        {options.length > 0 ? (
          <select id={id} className="field w-44" value={text} onChange={(event) => onText(event.target.value)}>
            <option value="">{typical}, typical</option>
            {options.map((one) => (
              <option key={one} value={one}>
                {choiceWords(field.name, one)}
              </option>
            ))}
          </select>
        ) : (
          <input
            id={id}
            className="field mono w-44 text-right"
            inputMode="decimal"
            autoComplete="off"
            placeholder={typical}
            aria-invalid={wrong}
            value={text}
            onChange={(event) => onText(event.target.value)}
          />
        )}
      </td>
      <td className="mono w-20 py-0.5 pl-2 text-[12px] text-mid">{field.unit}</td>
    </tr>
  );
}

/** A number typed in the unit shown as the text of the one kept: capacities are kept in bytes. */
const asStored = (field: Field, text: string): string => {
  const read =
    field.per !== 1 && text.trim() !== '' ? readNumber(text, { unit: field.unit, dotIsDecimal: true }) : null;
  return read?.ok ? String(Math.round(read.value * field.per)) : text;
};

/** What stands in a field as its class says it, in words. */
const typicalWords = (field: Field, value: unknown): string =>
  field.type === 'choice' && (typeof value === 'string' || typeof value === 'number')
    ? choiceWords(field.name, value)
    : textOf(field, value);

function textOf(field: Field, value: unknown): string {
  if (value === undefined) return '';
  if (value === null) return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return field.per !== 1 ? String(Number(((value as number) / field.per).toPrecision(8))) : String(value);
}

/** A price stays in the currency it was in. */
const currencyOf = (archetype: Archetype, like: Sheet | undefined): string =>
  like?.price?.currency ?? archetype.price?.currency ?? 'EUR';

type Made =
  { readonly ok: true; readonly sheet: Sheet; readonly typed: number } | { readonly ok: false; readonly words: string };

function makeSheet(draft: Draft, archetype: Archetype, like: Sheet | undefined, fields: readonly Field[]): Made {
  const values: Record<string, unknown> = {};
  for (const field of fields) {
    const text = draft.texts[field.name] ?? '';
    const read = readField(field, asStored(field, text));
    if (!read.ok) return { ok: false, words: `${read.words}.` };
    if (read.value !== undefined) values[field.name] = read.value;
  }
  const lists = Object.fromEntries(
    fieldsOf(archetype.kind)
      .filter(
        (field) =>
          field.type === 'list' && like && (like as unknown as Record<string, unknown>)[field.name] !== undefined,
      )
      .map((field) => [field.name, (like as unknown as Record<string, unknown>)[field.name]]),
  );
  const priced = draft.price.trim() === '' ? null : readNumber(draft.price, { unit: currencyOf(archetype, like) });
  if (priced && (!priced.ok || priced.value < 0))
    return { ok: false, words: `The price ${priced.ok ? 'is less than nothing' : priced.words}.` };
  const price = priced?.ok ? priced.value : undefined;
  let all: Record<string, unknown> = { ...lists, ...values };
  if (archetype.kind === 'chassis') {
    const base = resolve(
      { id: 'own-base', kind: 'chassis', rev: 1, name: 'base', archetype: archetype.id, ...all } as unknown as Sheet,
      archetype,
    ) as PartOf<'chassis'>;
    all = { ...all, ...reshape(base, draft.shape) };
  }
  const currency = currencyOf(archetype, like);
  const sheet = ownSheet('own-draft' as SheetId, archetype, {
    name: draft.name.trim() || 'Unnamed',
    maker: draft.maker.trim(),
    values: all,
    basis: draft.basis,
    ...(like ? { like } : {}),
    ...(price === undefined ? {} : { price: { minor: Math.round(price * minorPerMajor(currency)), currency } }),
  });
  const checked = sheetSchema.safeParse(sheet);
  if (!checked.success)
    return {
      ok: false,
      words: `${checked.error.issues
        .slice(0, 2)
        .map((issue) => `${issue.path.join('.')}: ${issue.message.toLowerCase()}`)
        .join('; ')}.`,
    };
  const fault = checkSheet(sheet, archetype)[0];
  return fault ? { ok: false, words: fault.words } : { ok: true, sheet, typed: Object.keys(all).length };
}
