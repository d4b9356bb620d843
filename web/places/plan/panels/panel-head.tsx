import type { ReactNode } from "react";
import { Button } from "../../../parts/button.js";

/** The head of a panel of the bench: what it is about, and the way back to what is chosen. */
export function PanelHead({ title, says, onClose }: { title: string; says: ReactNode; onClose: () => void }) {
  return (
    <header className="flex min-h-10 shrink-0 flex-wrap items-center gap-x-2.5 border-b border-rule px-3 py-1">
      <h2 className="text-[15px] font-bold whitespace-nowrap">{title}</h2>
      <p className="min-w-0 flex-1 basis-60 text-ink-2">{says}</p>
      <Button onClick={onClose}>Done</Button>
    </header>
  );
}
