import { type Frame, type LinkTarget, nameOf, plainName, type Tried, type View } from "../../../core/index.js";
import { Stair } from "./stair.js";

/** What a link matched, in a line. */
function Matched({ frame, target }: { frame: Frame; target: LinkTarget }) {
  switch (target.kind) {
    case "ignored":
      return (
        <p>
          <b className="text-clay">! {target.malformed ? "Malformed" : "Not this app's"}:</b> {target.reason}.
        </p>
      );
    case "nowhere":
      return (
        <p>
          <b className="text-clay">! Leads nowhere:</b> no screen has the address{" "}
          <span className="mono text-[12px]">{target.path.slice(0, 80)}</span>, and no lost screen is named.
        </p>
      );
    case "lost":
      return (
        <p>
          <b>Lost:</b> no screen has the address <span className="mono text-[12px]">{target.path.slice(0, 80)}</span>,
          so {nameOf(frame, target.screen)} stands for it.
        </p>
      );
    case "screen":
      return (
        <p className="flex flex-wrap items-baseline gap-x-2">
          <b>{plainName(frame, target.screen)}</b>
          <span className="mono text-[12px]">{target.by.pattern.text}</span>
          {target.by.old && <span className="text-ink-2">an older address</span>}
          {Object.entries(target.params).map(([name, value]) => (
            <span key={name} className="mono rounded-sm bg-petrol-soft px-1 text-[12px]">
              {name} = {value.slice(0, 40)}
            </span>
          ))}
        </p>
      );
  }
}

/** What becomes of the link: what it matched, the ladder it leaves, and why. */
export function Outcome({ frame, view, tried }: { frame: Frame; view: View; tried: Tried }) {
  const { target, snapshot } = tried;
  return (
    <div
      aria-label="What becomes of it"
      role="group"
      className="flex min-w-0 grow basis-110 flex-col gap-1.5 px-4 py-2.5"
    >
      <Matched frame={frame} target={target} />
      <Stair frame={frame} view={view} state={tried.at.state} />
      <ul aria-label="Why" className="flex max-h-21 flex-col gap-0.5 overflow-auto">
        {snapshot.pending && (
          <li>
            <b>{nameOf(frame, snapshot.pending.to, snapshot.pending.params)} waits</b> until it may be shown.
          </li>
        )}
        {snapshot.notes
          .filter((note) => note.code !== "ignored")
          .map((note, i) => (
            <li key={i} className="text-ink-2">
              {note.text}
            </li>
          ))}
        {(target.kind === "ignored" || target.kind === "nowhere") && (
          <li className="text-ink-2">
            The link changes nothing:{" "}
            {tried.before ? "the app stays where it is." : "the app starts as it always does."}
          </li>
        )}
        {snapshot.notes.length === 0 && !snapshot.pending && (
          <li className="text-ink-2">Nothing stood in its way: every screen of the stair is laid as it is drawn.</li>
        )}
      </ul>
    </div>
  );
}
