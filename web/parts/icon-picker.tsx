import { Popover } from "radix-ui";
import { useEffect, useMemo, useRef, useState } from "react";
import useSWR from "swr";
import { ownIconAt } from "../../core/index.js";
import { request } from "../data/request.js";
import { AppIcon } from "./app-icon.js";
import { ChooseFile } from "./choose-file.js";
import { useOwnIcons } from "./own-icons.js";
import { PopBox } from "./pop-box.js";
import { ranked } from "./rank.js";

export interface IconPickerProps {
  label: string;
  value: string | undefined;
  /** Undefined takes the icon away. */
  onPick: (name: string | undefined) => void;
  /** Shown while there is none. */
  placeholder?: string;
}

const most = 84;

/** A name is found by its words, with or without the signs between them. */
const words = (name: string): string => name.replaceAll("-", " ");

/** An icon as it is at rest and chosen; one of the app's own is the same in both. */
function BothWeights({ name, size }: { name: string; size?: number }) {
  const isOwn = ownIconAt(useOwnIcons(), name) !== undefined;
  return (
    <>
      <AppIcon name={name} {...(size && { size })} />
      {!isOwn && <AppIcon name={name} fill {...(size && { size })} />}
    </>
  );
}

/** A drawing that is brought in, and taken. */
const useBringIn = (onPick: IconPickerProps["onPick"]): ((file: File) => void) => {
  const { bringIn } = useOwnIcons();
  const latest = useRef(onPick);
  latest.current = onPick;
  return (file) =>
    void bringIn(file).then((name) => {
      if (name !== null) latest.current(name);
    });
};

/** Any icon of the package, found by its name, in both its weights, and those of the app's own; a drawing dropped on it is brought in. */
export function IconPicker({ label, value, onPick, placeholder = "none" }: IconPickerProps) {
  const [open, setOpen] = useState(false);
  const bring = useBringIn(onPick);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        aria-label={`${label}: ${value ?? placeholder}`}
        className="flex h-7 min-w-0 grow items-center gap-1.5 rounded-sm border border-field bg-plate-2 px-1.5"
        onDragOver={(event) => event.dataTransfer.types.includes("Files") && event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          const [file] = event.dataTransfer.files;
          if (file) bring(file);
        }}
      >
        {value ? (
          <>
            <BothWeights name={value} />
            <span className="truncate">{value}</span>
          </>
        ) : (
          <span className="truncate text-ink-2">{placeholder}</span>
        )}
      </Popover.Trigger>
      <PopBox label={label} className="w-[348px] p-2" onKeyDown={(event) => event.stopPropagation()}>
        <Grid
          value={value}
          onPick={(name) => {
            onPick(name);
            setOpen(false);
          }}
          onBring={(file) => {
            bring(file);
            setOpen(false);
          }}
        />
      </PopBox>
    </Popover.Root>
  );
}

/** What is typed, the icons that are found by it, and taking the first of them. */
const useFound = (onPick: IconPickerProps["onPick"]) => {
  const [text, setText] = useState("");
  const { data: names = [] } = useSWR("/icons/names", (path: string) => request<string[]>(path), {
    revalidateOnFocus: false,
  });
  const { icons: own } = useOwnIcons();
  const icons = useMemo(() => {
    const all = [...Object.keys(own), ...names.filter((name) => !Object.hasOwn(own, name))];
    return all.map((name) => ({ name, label: words(name) }));
  }, [names, own]);
  const found = useMemo(() => ranked(icons, words(text)).slice(0, most), [icons, text]);
  /** Enter came before the icons did: it holds for what is found then. */
  const [isAsked, setAsked] = useState(false);
  const first = found[0]?.name;
  useEffect(() => {
    if (isAsked && first !== undefined) onPick(first);
  }, [isAsked, first]);
  const type = (next: string) => {
    setText(next);
    setAsked(false);
  };
  return { text, type, found, count: names.length, takeFirst: () => setAsked(true) };
};

interface GridProps extends Pick<IconPickerProps, "value" | "onPick"> {
  onBring: (file: File) => void;
}

function Grid({ value, onPick, onBring }: GridProps) {
  const { text, type, found, count, takeFirst } = useFound(onPick);
  return (
    <>
      {/* beside the field: one key away, and not behind all icons */}
      <div className="mb-2 flex gap-2">
        <input
          autoFocus
          aria-label="Find an icon by its name"
          placeholder={`Find among ${count} icons`}
          className="h-7 min-w-0 grow rounded-sm border border-field bg-plate-1 px-1.5"
          value={text}
          onChange={(event) => type(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== "Enter") return;
            // what gets the focus is not pressed by the same Enter
            event.preventDefault();
            // nothing is taken that nobody asked for
            if (text.trim() !== "") takeFirst();
          }}
        />
        <ChooseFile
          label="An SVG drawing as an icon"
          says="Bring in an SVG"
          accept=".svg,image/svg+xml"
          onFile={onBring}
        />
      </div>
      <ul className="grid max-h-56 grid-cols-6 gap-0.5 overflow-y-auto">
        <li>
          <button
            type="button"
            className="grid h-9 w-full place-items-center rounded-sm text-[11px] hover:bg-petrol-soft"
            onClick={() => onPick(undefined)}
          >
            none
          </button>
        </li>
        {found.map(({ name }) => (
          <li key={name}>
            <button
              type="button"
              title={name}
              aria-label={name}
              className={`flex h-9 w-full items-center justify-center gap-0.5 rounded-sm hover:bg-petrol-soft ${name === value ? "bg-petrol-soft outline outline-petrol" : ""}`}
              onClick={() => onPick(name)}
            >
              <BothWeights name={name} size={20} />
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-1.5 text-[12px] text-ink-2">
        {found.length === 0
          ? "No icon is called that."
          : "The outline for a tab at rest, the filled one for the chosen tab."}
      </p>
    </>
  );
}
