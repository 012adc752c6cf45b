import { useState } from 'react';
import { useNavigate } from 'react-router';
import { LIMITS, type Build } from '@inch-tower/core';
import { freshId } from '../../freshId';
import { problemOf, useCreateBuildMutation } from '../../state/api';

/** A variant in one act: the machine as it is, under a name of its own, opened to be changed. */
export function MakeVariant({ build }: { readonly build: Build }) {
  const navigate = useNavigate();
  const [create, { isLoading }] = useCreateBuildMutation();
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const usual = `${build.name || 'Unnamed'}, variant`;
  const make = async () => {
    const id = freshId();
    const own = (name.trim() || usual).slice(0, LIMITS.nameCharacters);
    const made = await create({ ...build, id, name: own });
    if (made.error) return setProblem(`The variant was not made. ${problemOf(made.error).detail}`);
    // The comparison names the way back; the variant itself is where it is changed.
    void navigate(`/compare?b=${build.id},${id}`);
  };
  return (
    <form
      className="no-print mt-1 flex flex-wrap items-center gap-x-2 gap-y-1"
      onSubmit={(event) => {
        event.preventDefault();
        void make();
      }}
    >
      <input
        className="field min-w-0 flex-1"
        aria-label="Name of the variant"
        placeholder={usual}
        maxLength={LIMITS.nameCharacters}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <button type="submit" className="press" disabled={isLoading}>
        Make a variant
      </button>
      {problem && (
        <p role="alert" className="bad basis-full">
          {problem}
        </p>
      )}
    </form>
  );
}
