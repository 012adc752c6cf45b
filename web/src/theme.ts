import { remember, remembered } from './remembered';

export type Theme = 'light' | 'dark';
const KEY = 'theme';

/** The reader's own choice, else what the system wishes. */
export function readTheme(): Theme {
  const chosen = remembered(KEY);
  if (chosen === 'light' || chosen === 'dark') return chosen;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

export function applyTheme(theme: Theme, choose = false): void {
  document.documentElement.dataset.theme = theme;
  if (choose) remember(KEY, theme);
}
