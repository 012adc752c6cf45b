import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate, useOutletContext, useSearchParams } from 'react-router';
import {
  checkSheet,
  classFor,
  fieldsOf,
  ownSheetId,
  PART_KINDS,
  readSpec,
  sheetOfSpec,
  sheetSchema,
  SPEC_CHARACTERS,
  type PartKind,
  type ReadField,
} from '@inch-tower/core';
import { problemOf, useSaveSheetMutation, type OwnedCatalogue } from '../../state/api';
import { KIND_WORDS } from './families';
import { ReadFields } from './ReadFields';

/** The text of a specification is pasted, its fields are found, and a sheet of one's own is made of them. */
export default function PastePage() {
  const catalogue = useOutletContext<OwnedCatalogue>();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const [saveSheet, { isLoading }] = useSaveSheetMutation();
  const [text, setText] = useState('');
  const [said, setSaid] = useState<PartKind | ''>(PART_KINDS.find((one) => one === params.get('kind')) ?? '');
  const [typed, setTyped] = useState<{ readonly name?: string; readonly maker?: string; readonly like?: string }>({});
  const [model, setModel] = useState<number | null>(null);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [chosen, setChosen] = useState<ReadonlyMap<string, ReadField>>(new Map());
  const [problem, setProblem] = useState<string | null>(null);
  const settled = useDeferredValue(text);
  const read = useMemo(
    () => (settled.trim() === '' ? null : readSpec(settled, said === '' ? undefined : said, model)),
    [settled, said, model],
  );
  const kind = read?.ok ? read.kind : null;
  const fields = useMemo(
    () => (read?.ok ? [...read.fields, ...chosen.values()].filter(({ field }) => !left.has(field)) : []),
    [read, chosen, left],
  );
  const classes = useMemo(
    () => Object.values(catalogue.archetypes).filter((one) => one.kind === kind),
    [catalogue, kind],
  );
  const places = useMemo(() => (read?.ok ? read.places.filter(({ field }) => !left.has(field)) : []), [read, left]);
  const archetype = classes.find(({ id }) => id === typed.like) ?? classFor(classes, fields, places);
  const name = typed.name ?? (read?.ok ? read.name : '');
  const back = params.get('back');
  const fresh = (next: string) => {
    setText(next.slice(0, SPEC_CHARACTERS + 1));
    setModel(null);
    setLeft(new Set());
    setChosen(new Map());
    setProblem(null);
  };
  const save = async () => {
    if (!archetype) return;
    if (name.trim() === '') return setProblem('It wants a name.');
    const id = ownSheetId(name, (one) => one in catalogue.sheets);
    const sheet = sheetOfSpec(
      id,
      archetype,
      name.trim().slice(0, 200),
      typed.maker?.trim() || undefined,
      fields,
      places,
    );
    const checked = sheetSchema.safeParse(sheet);
    const fault = checked.success ? checkSheet(sheet, archetype)[0]?.words : checked.error.issues[0]?.message;
    if (fault) return setProblem(`${fault} Leave that field out, or put it right in its sheet.`);
    const saved = await saveSheet({ sheet, madeOn: 0 });
    if (saved.data) void navigate(back?.startsWith('/b/') ? back : `/parts?shelf=own&part=${id}`);
    else setProblem(`${problemOf(saved.error).detail} What you pasted is still here.`);
  };
  return (
    <main
      className={
        'grid min-h-0 flex-1 grid-cols-1 overflow-auto ' +
        'md:grid-cols-[minmax(260px,2fr)_minmax(0,3fr)] md:overflow-hidden'
      }
    >
      <section aria-labelledby="pasted" className="flex min-h-[240px] flex-col border-line px-5 py-4 md:border-r">
        <h1 id="pasted" className="text-[19px] font-semibold">
          Paste a part
        </h1>
        <p className="mt-1 text-[13.5px] text-mid">
          A table from its maker’s page, the text of a data sheet, the line of a shop: what is clear in it is read, the
          rest stays typical.
        </p>
        <textarea
          className="field mono mt-2 min-h-[180px] flex-1 resize-none text-[12.5px] leading-snug"
          aria-label="Text of the specification"
          autoFocus
          spellCheck={false}
          value={text}
          onChange={(event) => fresh(event.target.value)}
        />
      </section>
      <section aria-label="What was read" className="min-h-0 overflow-auto px-5 py-4" tabIndex={0}>
        <div className="grid max-w-[620px] grid-cols-[92px_minmax(0,1fr)] items-center gap-x-3 gap-y-1.5 text-[13.5px]">
          <label htmlFor="paste-kind">Kind</label>
          <select
            id="paste-kind"
            className="field w-60"
            value={said}
            onChange={(event) => {
              setSaid(event.target.value as PartKind | '');
              const { like: _old, ...rest } = typed;
              setTyped(rest);
              setLeft(new Set());
              setChosen(new Map());
            }}
          >
            <option value="">{kind ? `${KIND_WORDS[kind]}, by its text` : 'by its text'}</option>
            {PART_KINDS.map((one) => (
              <option key={one} value={one}>
                {KIND_WORDS[one]}
              </option>
            ))}
          </select>
          {read?.ok && (
            <>
              {read.models.length > 1 && (
                <>
                  <label htmlFor="paste-model">Model</label>
                  <select
                    id="paste-model"
                    className="field"
                    value={model ?? ''}
                    onChange={(event) => {
                      setModel(event.target.value === '' ? null : Number(event.target.value));
                      setChosen(new Map());
                    }}
                  >
                    <option value="">what all {read.models.length} share</option>
                    {read.models.map((one, i) => (
                      <option key={i} value={i}>
                        {one}
                      </option>
                    ))}
                  </select>
                </>
              )}
              <label htmlFor="paste-name">Name</label>
              <input
                id="paste-name"
                className="field"
                maxLength={200}
                value={name}
                onChange={(event) => setTyped({ ...typed, name: event.target.value })}
              />
              <label htmlFor="paste-maker">Maker</label>
              <input
                id="paste-maker"
                className="field"
                maxLength={200}
                value={typed.maker ?? ''}
                onChange={(event) => setTyped({ ...typed, maker: event.target.value })}
              />
              <label htmlFor="paste-like">Most like</label>
              <select
                id="paste-like"
                className="field"
                value={archetype?.id ?? ''}
                onChange={(event) => setTyped({ ...typed, like: event.target.value })}
              >
                {classes.map((one) => (
                  <option key={one.id} value={one.id}>
                    {one.name}
                  </option>
                ))}
              </select>
            </>
          )}
        </div>
        {read && !read.ok && (
          <p role="alert" className="warn mt-3 text-[13.5px]">
            {read.words}
          </p>
        )}
        {read?.ok && !read.isSure && (
          <p className="warn mt-2 text-[13px]">The text could be of another kind of part: choose it if so.</p>
        )}
        {read?.ok && kind && archetype && (
          <>
            <ReadFields
              own={fieldsOf(kind)}
              read={read}
              archetype={archetype}
              left={left}
              chosen={chosen}
              onLeave={(field, is) => {
                const next = new Set(left);
                if (is) next.add(field);
                else next.delete(field);
                setLeft(next);
              }}
              onChoose={(one) => setChosen(new Map(chosen).set(one.field, one))}
            />
            <div className="sticky bottom-0 flex flex-wrap items-center gap-3 border-t border-line bg-paper py-2">
              <button type="button" className="press strong" disabled={isLoading} onClick={() => void save()}>
                {back?.startsWith('/b/') ? 'Save the sheet and go back' : 'Save the sheet'}
              </button>
              {problem && (
                <p role="alert" className="bad min-w-0 flex-1 text-[13px]">
                  {problem}
                </p>
              )}
            </div>
          </>
        )}
      </section>
    </main>
  );
}
