import { useState, type ReactNode } from 'react';
import { Popover } from 'radix-ui';
import type { FigureId } from '@inch-tower/core';
import { useExplained } from './useExplained';
import { WorkingTree } from './WorkingTree';

export type WorkingProps = {
  readonly id: FigureId;
  readonly label: string;
  readonly told: string;
  readonly className: string;
  readonly children: ReactNode;
};

/** The working of a figure over its tape, open as it comes. */
export default function TapeWorking({ id, label, told, className, children }: WorkingProps) {
  const [isOpen, setIsOpen] = useState(true);
  const explained = useExplained(id, isOpen);
  return (
    <Popover.Root open={isOpen} onOpenChange={setIsOpen}>
      <Popover.Trigger className={className} aria-label={told}>
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={`Working of ${label}`}
          sideOffset={6}
          collisionPadding={8}
          className="max-h-[70vh] w-[430px] max-w-[94vw] overflow-auto border-2 border-ink bg-sheet p-4"
        >
          <div className="flex items-baseline justify-between gap-3">
            <h2 className="text-[15px] font-semibold">{label}</h2>
            <Popover.Close className="plain min-h-6 text-[13px] underline">Close</Popover.Close>
          </div>
          {explained ? (
            <WorkingTree working={explained.working} id={id} />
          ) : (
            <p className="text-mid">Working it out …</p>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
