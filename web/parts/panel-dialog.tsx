import { Dialog } from "radix-ui";
import { type ReactNode, useState } from "react";
import { useMeanwhile } from "./awaited.js";
import { Button } from "./button.js";
import { hasOwnEscape } from "./focus-back.js";

export interface PanelDialogProps {
  title: string;
  says: string;
  open: boolean;
  onClose: () => void;
  children: ReactNode;
}

const focusedNow = (): HTMLElement | null =>
  document.activeElement instanceof HTMLElement ? document.activeElement : null;

/** A panel over the page that is closed again. */
export function PanelDialog({ title, says, open, onClose, children }: PanelDialogProps) {
  // what had the focus when it was asked for: a field in here may take it before the dialog could look
  const meanwhile = useMeanwhile();
  const [before] = useState(() => meanwhile.before ?? focusedNow());
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
        <Dialog.Content
          onEscapeKeyDown={(event) => hasOwnEscape(event.target) && event.preventDefault()}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            before?.focus();
          }}
          className="fixed top-16 left-1/2 z-50 flex max-h-[80vh] w-[min(760px,92vw)] -translate-x-1/2 flex-col rounded-md border border-ink bg-plate-1 shadow-lift"
        >
          <header className="flex items-baseline gap-3 border-b border-rule px-4 py-2.5">
            <Dialog.Title className="text-[15px] font-semibold">{title}</Dialog.Title>
            <Dialog.Description className="min-w-0 grow truncate text-ink-2">{says}</Dialog.Description>
            <Dialog.Close asChild>
              <Button tone="quiet" icon="x" aria-label="Close" />
            </Dialog.Close>
          </header>
          <div className="min-h-0 overflow-auto p-4">{children}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
