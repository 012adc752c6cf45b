import { DropdownMenu } from 'radix-ui';
import { useAppSelector } from '../../state/store';
import { benchWorker } from '../../worker/client';
import { saveBill } from './saveBill';
import { fileNameOf, saveBuildFile, saveFile } from '../saveFile';

/** The machine as files: as it is on the screen, saved or not. */
export function GiveOut() {
  const build = useAppSelector((state) => state.bench.build);
  if (!build) return null;
  const name = fileNameOf(build);
  const made = async (ending: string, type: string, text: Promise<string | null>) => {
    const body = await text;
    if (body !== null) saveFile(`${name}.${ending}`, body, type);
  };
  const item = 'flex min-h-8 cursor-pointer items-center px-3 outline-none data-[highlighted]:bg-wash';
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className="plain min-h-6 text-[13px] whitespace-nowrap text-mid hover:underline">
        Export
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="start" sideOffset={4} className="z-10 border border-ink bg-sheet text-[13.5px]">
          <DropdownMenu.Item className={item} onSelect={() => saveBuildFile(build)}>
            Build file, to open anywhere
          </DropdownMenu.Item>
          <DropdownMenu.Item className={item} onSelect={() => void saveBill(build)}>
            Bill as a table (CSV)
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={item}
            onSelect={() => void made('svg', 'image/svg+xml', benchWorker().drawing())}
          >
            Drawing to scale (SVG)
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
