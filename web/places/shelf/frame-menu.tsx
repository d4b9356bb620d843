import { DropdownMenu } from "radix-ui";
import type { Frame } from "../../../core/index.js";
import { createFrame, deleteFrame, type ShelfRow } from "../../data/shelf.js";
import { Button } from "../../parts/button.js";
import type { Attempt } from "./use-attempt.js";

export interface FrameMenuProps {
  row: ShelfRow;
  /** Undefined until it was read. */
  frame: Frame | undefined;
  attempt: Attempt;
  onRename: () => void;
}

const item = "flex cursor-pointer items-center rounded-sm px-2 py-1.5 outline-none data-[highlighted]:bg-petrol-soft";

/** What can be done with a frame on the shelf. */
export function FrameMenu({ row, frame, attempt, onRename }: FrameMenuProps) {
  const copy = (of: Frame) =>
    void attempt(`${row.name} was not copied`, () => createFrame({ ...of, name: `${row.name}, copy`.slice(0, 120) }));
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button
          tone="quiet"
          icon="dots-three-vertical"
          data-return={`more ${row.id}`}
          aria-label={`More about ${row.name}`}
        />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className="z-50 min-w-40 rounded-md border border-ink bg-plate-2 p-1 shadow-lift"
        >
          <DropdownMenu.Item className={item} onSelect={() => setTimeout(onRename)}>
            Rename
          </DropdownMenu.Item>
          <DropdownMenu.Item className={item} disabled={!frame} onSelect={() => frame && copy(frame)}>
            Copy
          </DropdownMenu.Item>
          <DropdownMenu.Item className={item} asChild>
            <a href={`/api/frames/${row.id}/file`} download>
              Download the file
            </a>
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={`${item} text-clay`}
            onSelect={() => void attempt(`${row.name} was not deleted`, () => deleteFrame(row.id))}
          >
            Delete
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
