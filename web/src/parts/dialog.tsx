import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface SheetProps {
  title: string;
  description?: string;
  trigger?: ReactNode;
  open?: boolean;
  onOpenChange?: (open: boolean) => void;
  /** A sheet comes in from that edge; a dialog stands in the middle, a wide one fills the screen. */
  from?: 'middle' | 'left' | 'right' | 'wide';
  children: ReactNode;
}

const PLACE = {
  middle:
    'left-1/2 top-1/2 max-h-[86dvh] w-[min(34rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 rounded-2xl p-6',
  left: 'inset-y-0 left-0 w-[min(20rem,88vw)] p-4',
  right: 'inset-y-0 right-0 w-[min(22rem,92vw)] p-4',
  wide: 'inset-3 mx-auto max-w-6xl rounded-2xl p-5 sm:inset-6',
} as const;

/** A dialog or an edge sheet; Escape and the cross close it, focus goes back where it was. */
export function Sheet({
  title,
  description,
  trigger,
  from = 'middle',
  children,
  ...state
}: SheetProps) {
  return (
    <Dialog.Root {...state}>
      {trigger ? <Dialog.Trigger asChild>{trigger}</Dialog.Trigger> : null}
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          {...(description ? {} : { 'aria-describedby': undefined })}
          className={`fixed z-50 flex flex-col overflow-y-auto border border-line bg-paper shadow-xl ${PLACE[from]}`}
        >
          <div className="mb-3 flex items-start justify-between gap-3">
            <div>
              <Dialog.Title className="text-xl">{title}</Dialog.Title>
              {description ? (
                <Dialog.Description className="mt-1 text-soft">{description}</Dialog.Description>
              ) : null}
            </div>
            <Dialog.Close
              aria-label="Close"
              className="grid size-8 place-items-center rounded-lg hover:bg-mist"
            >
              <X size={18} aria-hidden />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
