/** What this browser remembers of how somebody likes to look at things; nothing where its storage is denied. */
export function remembered(key: string): string | null {
  try {
    return localStorage.getItem(`inch-tower.${key}`);
  } catch {
    return null;
  }
}

export function remember(key: string, value: string): void {
  try {
    localStorage.setItem(`inch-tower.${key}`, value);
  } catch {
    // It holds for this page alone.
  }
}
