import { Popover } from "radix-ui";
import { useId, useRef } from "react";
import { plainName } from "../../../../core/index.js";
import { OptionList } from "../../../parts/option-list.js";
import { PopBox } from "../../../parts/pop-box.js";
import type { ChangeLook } from "../acting/change-look.js";
import { type ChangeMenuProps, useChanging } from "../acting/use-changing.js";

const aboutWords = ({ frame, parts }: ChangeMenuProps): string =>
  parts.length > 3 ? `${parts.length} chosen` : parts.map(({ id }) => plainName(frame, id)).join(", ");

/** The ways to think again about what is chosen, found by typing, each with what it would do before it is done. */
export default function ChangeMenu(props: ChangeMenuProps) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const { asking, begin, text, type, at, setAt, shown, look, take, keys } = useChanging(props, input);
  return (
    <Popover.Root open onOpenChange={(open) => !open && props.onClose()}>
      <Popover.Anchor asChild>
        <span />
      </Popover.Anchor>
      <PopBox
        label="Restructure"
        sideOffset={8}
        className="flex w-md flex-col"
        onOpenAutoFocus={(event) => {
          event.preventDefault();
          input.current?.focus();
        }}
        onCloseAutoFocus={(event) => event.preventDefault()}
        onEscapeKeyDown={(event) => {
          // one thing at a time: what is asked for, then the menu
          if (!asking) return;
          event.preventDefault();
          begin(null);
        }}
      >
        <div className="flex items-center gap-2 border-b border-rule px-2.5 py-2">
          <b className="shrink-0">{asking ? asking.label : "Restructure"}</b>
          <input
            ref={input}
            role="combobox"
            aria-label={asking ? `${asking.label}: type its name` : "Type what should become of it"}
            aria-expanded
            aria-controls={id}
            aria-activedescendant={at >= 0 ? `${id}-${at}` : undefined}
            autoComplete="off"
            spellCheck={false}
            placeholder={asking ? "which one: type its name" : `about ${aboutWords(props)}`}
            value={text}
            className="h-7 min-w-0 grow rounded-sm border border-field bg-plate-1 px-1.5"
            onChange={(event) => type(event.target.value)}
            onKeyDown={keys}
          />
        </div>
        {/* scrolled by keys too */}
        <div tabIndex={0} role="group" aria-label="What it can become" className="h-72 max-h-[45dvh] overflow-auto">
          <OptionList
            id={id}
            label={asking ? asking.label : "Ways to restructure"}
            options={shown}
            at={at}
            onAt={setAt}
            onTake={take}
          />
          {shown.length === 0 && <p className="px-3 py-1.5 text-ink-2">Nothing is called that.</p>}
        </div>
        <LookSays look={look} asks={asking ? "Choose which; " : "Choose what should become of it; "} />
      </PopBox>
    </Popover.Root>
  );
}

/** What is said of each has the same room: the list must not slip away under the pointer. */
function LookSays({ look, asks }: { look: ChangeLook | null; asks: string }) {
  return (
    <p
      role="status"
      className={`h-20 shrink-0 overflow-auto border-t border-rule px-3 py-2 ${look && !look.planned ? "text-clay" : ""}`}
    >
      {look ? (
        <>
          <b>{look.planned ? look.planned.label : "Not here"}:</b> {look.says.join(" · ")}
        </>
      ) : (
        <span className="text-ink-2">{asks}what it would do is said here first.</span>
      )}
    </p>
  );
}
