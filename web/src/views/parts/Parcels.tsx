import { useState } from 'react';
import type { Sheet } from '@inch-tower/core';
import { problemOf, useDeleteSheetMutation, type OwnedCatalogue } from '../../state/api';
import { countWords } from '../../words/format';

/** Own sheets by the file they came with, to be taken out again together; machines keep the sheets they use. */
export function Parcels({ catalogue }: { readonly catalogue: OwnedCatalogue }) {
  const [deleteSheet, { isLoading }] = useDeleteSheetMutation();
  const [asked, setAsked] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const byParcel = new Map<string, Sheet[]>();
  for (const sheet of catalogue.own.flatMap((id) => catalogue.sheets[id] ?? []))
    if (sheet.parcel) byParcel.set(sheet.parcel, [...(byParcel.get(sheet.parcel) ?? []), sheet]);
  if (byParcel.size === 0) return null;
  const takeOut = async (parcel: string) => {
    setProblem(null);
    // One after the other: what is refused is said, and what went out is out.
    for (const { id } of byParcel.get(parcel) ?? []) {
      const done = await deleteSheet(id);
      if (done.error) return setProblem(problemOf(done.error).detail);
    }
    setAsked(null);
  };
  return (
    <section aria-label="Imported" className="mt-6">
      <h2 className="text-[15px] font-semibold">Imported</h2>
      <ul className="mt-1 text-[13px]">
        {[...byParcel].map(([parcel, sheets]) => (
          <li key={parcel} className="border-b border-dotted border-line py-1">
            <span className="block break-words">{parcel}</span>
            <span className="text-mid">{countWords(sheets.length, 'sheet')} </span>
            {asked === parcel ? (
              <>
                <button
                  type="button"
                  className="press"
                  disabled={isLoading}
                  onClick={() => void takeOut(parcel)}
                >{`Delete ${countWords(sheets.length, 'sheet')}`}</button>{' '}
                <button type="button" className="plain min-h-6 underline" onClick={() => setAsked(null)}>
                  Keep
                </button>
              </>
            ) : (
              <button type="button" className="plain min-h-6 underline" onClick={() => setAsked(parcel)}>
                Take out again
              </button>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[12.5px] text-mid">Machines keep the sheets they use.</p>
      {problem && (
        <p role="alert" className="bad text-[13px]">
          {problem}
        </p>
      )}
    </section>
  );
}
