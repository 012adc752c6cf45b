export type Theme = 'light' | 'dark';
const KEY = 'inch-tower.theme';

/** The reader's own choice, else what the system wishes. */
export function readTheme(): Theme {
  const chosen = localStorage.getItem(KEY);
  if (chosen === 'light' || chosen === 'dark') return chosen;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

export function applyTheme(theme: Theme, choose = false): void {
  document.documentElement.dataset.theme = theme;
  if (choose) localStorage.setItem(KEY, theme);
}
