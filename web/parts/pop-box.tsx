import { Popover } from "radix-ui";
import type { ComponentProps } from "react";
import { hasOwnEscape } from "./focus-back.js";

export interface PopBoxProps extends ComponentProps<typeof Popover.Content> {
  label: string;
}

/** What opens beside a control, over the rest of the page. */
export function PopBox({ label, className = "", ...rest }: PopBoxProps) {
  return (
    <Popover.Portal>
      <Popover.Content
        side="top"
        align="start"
        sideOffset={4}
        collisionPadding={8}
        aria-label={label}
        onEscapeKeyDown={(event) => hasOwnEscape(event.target) && event.preventDefault()}
        className={`z-50 rounded-md border border-ink bg-plate-2 shadow-lift ${className}`}
        {...rest}
      />
    </Popover.Portal>
  );
}
