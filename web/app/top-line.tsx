import { Suspense, useCallback, useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import { sure } from "../../core/index.js";
import { lookAddress } from "../data/give-key.js";
import type { Panel } from "../data/selection.js";
import { Awaited } from "../parts/awaited.js";
import { Button } from "../parts/button.js";
import { copyText } from "../parts/copy-text.js";
import { returnTo } from "../parts/focus-back.js";
import { TextLine } from "../parts/text-line.js";
import { wrongEmpty } from "../parts/wrong.js";
import { useAppCommands } from "./app-commands.js";
import { Finder } from "./finder.js";
import { useEditing, useOpenFrame } from "./open-frame.js";
import { PlaceLine } from "./place-line.js";
import { usePlace } from "./places.js";
import { setDark, useDark } from "./theme.js";
import { later } from "../parts/later.js";

const HistoryPanel = later(() => import("./history-panel.js"));

const MoreMenu = later(() => import("./more-menu.js"));

/** The one line on top: what is open, how far it is kept, what can be taken back, and the places of the work. */
export function TopLine() {
  const name = useEditing((edited) => edited.frame.name);
  const [past, setPast] = useState(false);
  const openPast = useCallback(() => setPast(true), []);
  useAppCommands(openPast);
  useEffect(() => {
    document.title = `${name} · Handy Frame`;
  }, [name]);
  return (
    <header className="flex min-h-[46px] shrink-0 items-center gap-2 border-b border-ink bg-plate-0 px-3">
      <Link to="/" aria-label="To the shelf" title="To the shelf" className="grid size-8 shrink-0 place-items-center">
        <img src="/mark.svg" alt="" className="size-6" />
      </Link>
      <FrameName name={name} />
      <Kept onOpen={openPast} />
      <InFile />
      <UndoRedo />
      <Finder />
      <PlaceLine />
      <More onPast={openPast} />
      {past && (
        <Awaited onLeave={() => setPast(false)}>
          <HistoryPanel open onClose={() => setPast(false)} />
        </Awaited>
      )}
    </header>
  );
}

/** What the frame is called; pressed, it is renamed where it stands. */
function FrameName({ name }: { name: string }) {
  const { editing } = useOpenFrame();
  const [renaming, setRenaming] = useState(false);
  const mayChange = useEditing((edited) => edited.mayChange);
  const rename = (next: string) =>
    editing.edit({ kind: "setFrame", key: "name", value: next.slice(0, 120) }, `Rename to ${next}`);
  if (!mayChange) return <span className="max-w-56 truncate px-1 text-[16px] font-bold">{name}</span>;
  return renaming ? (
    <div className="w-56 shrink-0 py-1 max-[820px]:w-40">
      <TextLine
        autoFocus
        aria-label="Name of the frame"
        value={name}
        onFocus={(event) => event.target.select()}
        wrong={wrongEmpty}
        onDone={(next) => rename(next.trim())}
        onLeave={() => (setRenaming(false), returnTo("frame-name"))}
      />
    </div>
  ) : (
    <button
      type="button"
      className="max-w-56 truncate rounded-sm px-1 max-[820px]:max-w-28 max-[820px]:min-w-16 text-[16px] font-bold"
      title="Rename the frame"
      data-return="frame-name"
      onClick={() => setRenaming(true)}
    >
      {name}
    </button>
  );
}

function UndoRedo() {
  const { editing } = useOpenFrame();
  const { done, undone } = useEditing((edited) => edited.history);
  const [lastDone, lastUndone] = [done.at(-1)?.label, undone.at(-1)?.label];
  return (
    <>
      <Button
        tone="quiet"
        icon="arrow-counter-clockwise"
        aria-label="Undo"
        disabled={!lastDone}
        title={lastDone ? `Undo: ${lastDone} (Ctrl Z)` : "Nothing to undo"}
        onClick={() => editing.undo()}
      />
      <Button
        tone="quiet"
        icon="arrow-clockwise"
        aria-label="Redo"
        disabled={!lastUndone}
        title={lastUndone ? `Redo: ${lastUndone} (Ctrl Shift Z)` : "Nothing to redo"}
        onClick={() => editing.redo()}
      />
    </>
  );
}

/** What is not needed at every moment. */
function More({ onPast }: { onPast: () => void }) {
  const { selection, editing } = useOpenFrame();
  const { id = "" } = useParams();
  const [, go] = usePlace();
  const dark = useDark();
  const [isOpen, setOpen] = useState(false);
  const look = useEditing((edited) => edited.look);
  const copyLook = async () => {
    const address = lookAddress(id, sure(look));
    const isCopied = await copyText(address);
    editing.say(
      "plain",
      isCopied
        ? "On the clipboard: an address by which anyone may look at this frame, and change nothing."
        : `Anyone may look at this frame, and change nothing, by ${address}`,
    );
  };
  const button = <Button tone="quiet" icon="dots-three" aria-label="More" onClick={() => setOpen(true)} />;
  if (!isOpen) return button;
  const toPanel = (panel: Panel) => () => {
    go("plan");
    selection.showPanel(panel);
  };
  return (
    <Suspense fallback={button}>
      <MoreMenu
        items={[
          { label: "Changes and restore…", choose: onPast },
          { label: "Theme and bars of the app…", choose: toPanel("theme") },
          { label: "Devices, widths and facts…", choose: toPanel("devices") },
          { label: "Download the file", href: `/api/frames/${id}/file` },
          ...(look === null ? [] : [{ label: "Copy an address to look at it", choose: () => void copyLook() }]),
          { label: dark ? "Light theme" : "Dark theme", choose: () => setDark(!dark) },
        ]}
      />
    </Suspense>
  );
}

/** How far the changes are kept, in words. */
function Kept({ onOpen }: { onOpen: () => void }) {
  const sync = useEditing((edited) => edited.sync);
  const waiting = useEditing((edited) => edited.waiting);
  const revision = useEditing((edited) => edited.revision);
  const text =
    sync === "away"
      ? `server away · ${waiting === 0 ? "nothing waits" : `${waiting} ${waiting === 1 ? "change waits" : "changes wait"}`}`
      : sync === "saving"
        ? `saving · change ${revision + waiting}`
        : `saved · change ${revision}`;
  return (
    <button
      type="button"
      role="status"
      data-sync={sync}
      onClick={onOpen}
      title={
        sync === "away"
          ? "Changes are kept in this browser and sent when the server is back"
          : "All changes, and going back to one"
      }
      className={`rounded-sm px-1.5 py-0.5 whitespace-nowrap ${sync === "away" ? "bg-clay-soft font-semibold text-ink" : "text-ink-2 hover:underline"}`}
    >
      {text}
    </button>
  );
}

/** The file it is worked on in. */
function InFile() {
  const file = useEditing((edited) => edited.file);
  if (!file) return null;
  return (
    <span
      className={`mono max-w-44 truncate rounded-sm px-1 text-[11.5px] ${file.is === "in step" ? "text-ink-2" : "bg-clay-soft font-semibold"}`}
      title={`${file.path}: ${file.is === "in step" ? "every change is written to it at once, and changes made in it are taken in" : file.is}`}
    >
      {file.is === "in step" ? "" : "! "}
      {file.name}
    </span>
  );
}
