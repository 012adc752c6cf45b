import { useState } from 'react';

type TypedProps = {
  readonly label: string;
  readonly text: string;
  readonly className: string;
  readonly placeholder?: string;
  /** Words, not a number. */ readonly isWords?: boolean;
  readonly onTyped: (text: string) => void;
};

/** A short answer that is taken by Enter or on leaving; Escape gives back what was there. */
export function Typed({ label, text, className, placeholder, isWords = false, onTyped }: TypedProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const take = () => {
    if (typed === null || typed.trim() === text) return setTyped(null);
    onTyped(typed);
    setTyped(null);
  };
  return (
    <input
      className={`field ${isWords ? '' : 'mono'} ${className}`}
      aria-label={label}
      inputMode={isWords ? 'text' : 'decimal'}
      placeholder={placeholder}
      value={typed ?? text}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === 'Enter') take();
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        setTyped(null);
      }}
    />
  );
}
