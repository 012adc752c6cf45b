import type { ReactNode } from 'react';

/** A question with its answer in a line; what stands behind it opens on call, and is always printed. */
export function Question({
  id,
  title,
  answer,
  tone = '',
  open,
  onOpen,
  children,
}: {
  readonly id: string;
  readonly title: string;
  readonly answer: string;
  readonly tone?: string;
  readonly open: boolean;
  readonly onOpen: (id: string | null) => void;
  readonly children: ReactNode;
}) {
  return (
    <section aria-labelledby={id} className="break-inside-avoid border-b border-line py-2 first:pt-0">
      <h2 id={id} className="text-[15px] font-semibold">
        <button
          type="button"
          className="plain flex min-h-7 w-full items-baseline gap-2 text-left"
          aria-expanded={open}
          aria-controls={`${id}-more`}
          onClick={() => onOpen(open ? null : id)}
        >
          <span aria-hidden className="no-print inline-block w-3 text-mid">
            {open ? '–' : '+'}
          </span>
          {title}
        </button>
      </h2>
      <p className={`pl-5 text-[13.5px] leading-snug ${tone}`} data-answer={id}>
        {answer}
      </p>
      <div id={`${id}-more`} className={`pt-1 pl-5 ${open ? '' : 'hidden print:block'}`}>
        {children}
      </div>
    </section>
  );
}
