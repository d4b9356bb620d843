import { type Clash, type Frame, nameOf, settings, valueSays } from "../../core/index.js";
import { Button } from "../parts/button.js";
import { useEditing, useOpenFrame } from "./open-frame.js";

const shown = (frame: Frame, clash: Clash, value: unknown): string => {
  if (value === undefined) return "nothing: the default";
  if (typeof value === "string" && clash.node !== null) {
    const setting = settings.find(({ key }) => key === clash.key);
    return setting && setting.input.sort === "choice" ? valueSays(frame, setting, value) : `“${value}”`;
  }
  const text = typeof value === "string" ? `“${value}”` : JSON.stringify(value);
  return text.length > 160 ? `${text.slice(0, 159)}…` : text;
};

/** What was written here and in another window at once: both, to choose from. */
export default function ClashList({ clashes }: { clashes: readonly Clash[] }) {
  const opened = useOpenFrame();
  const frame = useEditing((edited) => edited.frame);
  return (
    <section
      role="alert"
      aria-label="Written in two windows at once"
      className="shrink-0 border-b border-clay bg-clay-soft px-4 py-2"
    >
      <ul className="flex flex-col gap-1">
        {clashes.map((clash) => (
          <li key={`${clash.node} ${clash.key}`} className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <span className="grow">
              <b>
                {clash.key} of {clash.node === null ? "the frame" : nameOf(frame, clash.node)}
              </b>{" "}
              was changed in another window at the same time. Theirs holds now: {shown(frame, clash, clash.theirs)}.
              Yours: {shown(frame, clash, clash.mine)}.
            </span>
            <Button onClick={() => opened.editing.settleClash(clash, false)}>Keep theirs</Button>
            <Button tone="strong" onClick={() => opened.editing.settleClash(clash, true)}>
              Use mine
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
