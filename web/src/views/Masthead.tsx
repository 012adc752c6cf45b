import { useState, type ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import { applyTheme, readTheme, type Theme } from '../theme';

/** The strip at the top of every page. */
export function Masthead({ children }: { readonly children?: ReactNode }) {
  const [theme, setTheme] = useState<Theme>(readTheme);
  const other: Theme = theme === 'light' ? 'dark' : 'light';
  return (
    <header
      className={
        'no-print flex min-h-11 flex-wrap items-center gap-x-4 gap-y-1 border-b lg:max-[1100px]:gap-x-2 ' +
        'border-line px-4 py-1 lg:flex-nowrap lg:py-0'
      }
    >
      <Link
        to="/"
        className="flex shrink-0 items-center gap-2 text-base font-semibold tracking-wide whitespace-nowrap"
        aria-label="Inch Tower, your machines"
      >
        <svg width="18" height="22" viewBox="4 0 14 26" aria-hidden>
          <rect x="4.5" y="1" width="13" height="24" fill="var(--tape)" stroke="var(--ink)" />
          <path d="M4 5h7M4 9h4M4 13h7M4 17h4M4 21h7" stroke="var(--tape-ink)" />
        </svg>
        <span className={children ? 'lg:max-[1100px]:hidden' : ''}>Inch Tower</span>
      </Link>
      {children}
      <NavLink
        to="/parts"
        className={({ isActive }) =>
          'ml-auto flex min-h-7 items-center px-2 text-[14px] ' +
          `${isActive ? 'font-semibold' : 'text-mid hover:underline'}`
        }
      >
        Parts
      </NavLink>
      <button
        type="button"
        className="plain min-h-6 whitespace-nowrap text-[13px] text-mid underline-offset-2 hover:underline"
        onClick={() => {
          applyTheme(other, true);
          setTheme(other);
        }}
      >
        {other === 'dark' ? 'Dark theme' : 'Light theme'}
      </button>
    </header>
  );
}
