import { DropdownMenu } from "radix-ui";
import { Button } from "../parts/button.js";

export interface MoreItem {
  label: string;
  /** Something to download instead of something to do. */
  href?: string;
  choose?: () => void;
}

const look = "flex cursor-pointer items-center rounded-sm px-2 py-1.5 outline-none data-[highlighted]:bg-petrol-soft";

/** The menu of what is wanted now and then. It is loaded when it is first asked for, and open then. */
export default function MoreMenu({ items }: { items: readonly MoreItem[] }) {
  return (
    <DropdownMenu.Root defaultOpen>
      <DropdownMenu.Trigger asChild>
        <Button tone="quiet" icon="dots-three" aria-label="More" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className="z-50 min-w-44 rounded-md border border-ink bg-plate-2 p-1 shadow-lift"
        >
          {items.map(({ label, href, choose }) =>
            href ? (
              <DropdownMenu.Item key={label} className={look} asChild>
                <a href={href} download>
                  {label}
                </a>
              </DropdownMenu.Item>
            ) : (
              <DropdownMenu.Item key={label} className={look} onSelect={() => choose?.()}>
                {label}
              </DropdownMenu.Item>
            ),
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
