import { DropdownMenu } from 'radix-ui';
import type { Build } from '@inch-tower/core';
import { useAppStore } from '../../state/store';
import { benchWorker } from '../../worker/client';
import { saveBill } from './saveBill';
import { fileNameOf, saveBuildFile, saveFile } from '../saveFile';

const ITEM = 'flex min-h-8 cursor-pointer items-center px-3 outline-none data-[highlighted]:bg-wash';

/** The menu of files, open as it comes: it loads when it is first asked for. */
export default function GiveOutMenu({ className }: { readonly className: string }) {
  // Read when it is asked for, so that the menu is not drawn again with every edit.
  const store = useAppStore();
  const withBuild = (act: (build: Build) => unknown) => () => {
    const { build } = store.getState().bench;
    if (build) void act(build);
  };
  const saveDrawing = async (build: Build) => {
    const body = await benchWorker().drawing();
    if (body !== null) saveFile(`${fileNameOf(build)}.svg`, body, 'image/svg+xml');
  };
  return (
    <DropdownMenu.Root modal={false} defaultOpen>
      <DropdownMenu.Trigger className={className}>Export</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="start" sideOffset={4} className="z-10 border border-ink bg-sheet text-[13.5px]">
          <DropdownMenu.Item className={ITEM} onSelect={withBuild(saveBuildFile)}>
            Build file, to open anywhere
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={withBuild(saveBill)}>
            Bill as a table (CSV)
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={withBuild(saveDrawing)}>
            Drawing to scale (SVG)
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
