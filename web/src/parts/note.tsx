import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

/** Words that open to a longer answer; Escape closes it again. */
export function Note({
  trigger,
  className,
  children,
}: {
  trigger: ReactNode;
  className: string;
  children: ReactNode;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger className={className}>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label="Why"
          side="top"
          sideOffset={6}
          collisionPadding={10}
          className="z-50 flex w-96 max-w-[92vw] flex-col gap-2 rounded-xl border border-line bg-leaf p-4 shadow-lg"
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
