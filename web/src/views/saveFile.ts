import type { Build } from '@inch-tower/core';

/** Hands a text to the browser as a file to keep. */
export function saveFile(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type: `${type};charset=utf-8` }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A name for files of a machine: plain letters, so that every file system takes it. */
export const fileNameOf = (build: Build): string =>
  (build.name || 'machine')
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\w-]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase()
    .slice(0, 60) || 'machine';

export const saveBuildFile = (build: Build): void =>
  saveFile(`${fileNameOf(build)}.json`, `${JSON.stringify(build, null, 1)}\n`, 'application/vnd.inch-tower.build+json');
