import type { Build, StageWork } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { benchWorker } from '../../worker/client';
import { useAsked } from '../../worker/useAsked';
import { stageName } from '../items/Stages';
import { stageWords } from './billWords';

/** Whether what is bought at each stage works by itself, and what would have to be bought earlier for it. */
export function StagesWork({ build }: { readonly build: Build }) {
  const told = useAsked(() => benchWorker().stagesWork());
  return (
    <section aria-labelledby="stages-work" className="mt-3 border-t border-line pt-2">
      <h2 id="stages-work" className="text-[15px] font-semibold">
        Does each stage work?
      </h2>
      {told ? (
        <ul>
          {told.map((one) => (
            <StageLine key={one.stage} told={one} build={build} />
          ))}
        </ul>
      ) : (
        <p className="text-mid">Trying each of them …</p>
      )}
    </section>
  );
}

function StageLine({ told, build }: { readonly told: StageWork; readonly build: Build }) {
  const dispatch = useAppDispatch();
  const name = stageName(build.stages[told.stage] ?? { name: '' }, told.stage);
  const { forward } = told;
  return (
    <li className="border-b border-dotted border-line py-1">
      <span className="font-medium">{name}</span>:{' '}
      <span className={told.works ? 'good' : 'bad'}>{stageWords(told, told.stage === build.stages.length - 1)}</span>
      {forward && (
        <button
          type="button"
          className="press no-print mt-1 block"
          onClick={() => void dispatch(edit([...forward.edits], `${forward.names.join(', ')} bought with ${name}`))}
        >
          Buy {forward.names.join(', ')} with it
        </button>
      )}
    </li>
  );
}
