import { useSearchParams } from 'react-router';
import { Rates } from './Rates';
import {
  briefSchema,
  buildSchema,
  LIMITS,
  cupboardOf,
  siteSchema,
  siteWith,
  type Brief,
  type Build,
  type Edit,
  type Site,
} from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { selectUnits } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { useUndoKeys } from '../build/useUndoKeys';
import { ViewFrame } from '../build/ViewFrame';
import { ChoiceField, NumberField, TextField } from './fields';
import { groupsFor, readAnswer, type Group, type NumberQuestion } from './briefFields';
import { Features } from './Features';
import { HowItRuns } from './HowItRuns';
import { Services } from './Services';
import { RoomPicture } from './RoomPicture';

/** The brief as a worksheet: every answer is optional and becomes a mark on a tape or a line on the drawing at once. */
export default function BriefPage() {
  useUndoKeys();
  const build = useAppSelector((state) => state.bench.build)!;
  const units = useAppSelector(selectUnits);
  const dispatch = useAppDispatch();
  const act = (one: Edit, words: string) => dispatch(edit([one], words));
  const { brief } = build;
  const setBrief = (patch: Partial<Brief>, words: string) =>
    act({ type: 'set.brief', value: pruned({ ...brief, ...patch }) }, words);
  return (
    <ViewFrame
      view="brief"
      hint="Every answer is optional, and each becomes a mark at once."
      className="md:grid-cols-[minmax(0,1fr)_360px]"
    >
      <div className="print-page min-h-0 overflow-auto px-6 py-4" tabIndex={-1}>
        <h1 className="text-[19px] font-semibold">Brief</h1>
        <div className="mt-2 max-w-[720px]">
          <TextField
            label="What it is for"
            help="In a sentence or two, for yourself and for whoever helps."
            value={brief.purpose ?? ''}
            most={2000}
            onAnswer={(text) => setBrief({ purpose: text || undefined }, 'Purpose')}
          />
          <TextField
            label="Notes"
            help="What you want to remember of this machine: where things came from, what was decided and why."
            value={build.notes}
            most={LIMITS.notesCharacters}
            onAnswer={(text) => act({ type: 'set.notes', value: text }, 'Notes')}
          />
        </div>
        <div className="mt-4 columns-1 gap-10 xl:columns-2">
          {groupsFor(build).map((group) => (
            <GroupOf key={group.title} group={group} build={build} onEdit={act} />
          ))}
          <HowItRuns build={build} onEdit={act} />
          <Features brief={brief} onBrief={setBrief} />
          <Services build={build} onBrief={setBrief} />
        </div>
      </div>
      <aside aria-label="Room it has" className="min-h-0 overflow-auto border-line bg-sheet px-4 py-4 md:border-l">
        <h2 className="text-[15px] font-semibold">In the room it has</h2>
        <RoomPicture build={build} units={units} />
        <p className="mt-1 text-[12.5px] text-mid">Dashed: the limits of the brief. What passes one is hatched.</p>
      </aside>
    </ViewFrame>
  );
}

function GroupOf({
  group,
  build,
  onEdit,
}: {
  readonly group: Group;
  readonly build: Build;
  readonly onEdit: (edit: Edit, words: string) => void;
}) {
  const asked = useSearchParams()[0].get('ask');
  const answer =
    (question: NumberQuestion) =>
    (text: string): string | null => {
      const read = readAnswer(text, question);
      if (!read.ok) return read.words;
      const schema = { brief: briefSchema, site: siteSchema, build: buildSchema }[question.section].shape[
        question.key as never
      ] as {
        safeParse(value: unknown): { success: boolean; error?: { issues: readonly { message: string }[] } };
      };
      const checked = schema.safeParse(read.value ?? undefined);
      if (!checked.success)
        return (
          `That cannot be: ${lower(checked.error?.issues[0]?.message ?? 'out of bounds')}; what ` + 'was there is kept.'
        );
      const now = sectionOf(build, question);
      if (now[question.key] === (read.value ?? undefined)) return null;
      const value = pruned({ ...now, [question.key]: read.value ?? undefined });
      const words =
        read.value === null ? `${question.label}: open` : `${question.label}: ${text.trim()} ${question.unit}`;
      onEdit(
        question.section === 'brief'
          ? { type: 'set.brief', value: value }
          : question.section === 'site'
            ? { type: 'set.site', value: value as Site }
            : { type: 'set.copies', value: read.value! },
        words,
      );
      return null;
    };
  return (
    <section className="mb-6 break-inside-avoid" aria-label={group.title}>
      <h2 className="text-[15px] font-semibold">{group.title}</h2>
      <p className="mb-1 text-[13px] text-mid">{group.about}</p>
      {group.choices.map((question) => (
        <ChoiceField
          key={question.key}
          label={question.label}
          help={question.help(build)}
          value={question.key === 'cupboard' ? cupboardOf(build.site) : (build.site[question.key] as string | number)}
          options={question.options}
          onChoose={(value) =>
            onEdit(
              { type: 'set.site', value: siteWith(build.site, question.key, value) },
              `${question.label} ${question.options.find(([one]) => one === value)?.[1] ?? value}`,
            )
          }
        />
      ))}
      {group.numbers.map((question) => {
        const stored = sectionOf(build, question)[question.key] as number | undefined;
        return (
          <NumberField
            key={question.key}
            label={question.label}
            unit={question.unit}
            help={question.help(build)}
            value={stored === undefined ? undefined : stored / question.times}
            isAsked={asked === question.key}
            onAnswer={answer(question)}
          />
        );
      })}
      {group.hasMoney ? <Rates build={build} onEdit={onEdit} /> : null}
    </section>
  );
}

const sectionOf = (build: Build, { section }: NumberQuestion) =>
  (section === 'build' ? build : build[section]) as Readonly<Record<string, unknown>>;
const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);
/** An open answer is left out of the document, not kept as an empty one. */
const pruned = <T extends object>(value: T): T =>
  Object.fromEntries(Object.entries(value).filter(([, one]) => one !== undefined)) as T;
