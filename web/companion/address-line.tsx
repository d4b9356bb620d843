import { useId, useMemo, useState } from "react";
import { addressesOf, addressOf, lensOf, linkTo, targetOfLink, topOf } from "../../core/index.js";
import { useEditing, useLive, useOpenFrame } from "../app/open-frame.js";
import { recentIn, remember } from "../app/recent.js";
import { Button } from "../parts/button.js";
import { copyText } from "../parts/copy-text.js";

/** Links longer than this are followed, and not remembered. */
const mostKept = 2000;

/** The address of the screen; any link can be typed in its place, and followed running or cold. */
export function AddressLine() {
  const opened = useOpenFrame();
  const frame = useEditing((edited) => edited.frame);
  const id = useEditing((edited) => edited.id);
  const { view, at } = useLive((live) => live.device);
  const [typed, setTyped] = useState<string | null>(null);
  const [copied, setCopied] = useState(false);
  const list = useId();

  const { state } = at;
  const address = state.outside ? null : addressOf(frame, topOf(lensOf(frame, view), state.root));
  const link = typed ?? address ?? "";
  const wrong = typed === null || typed === "" ? null : targetOfLink(frame, typed);

  // what was followed last, then where the app has addresses; asked for once the line is gone to
  const [isAsked, setIsAsked] = useState(false);
  const offered = useMemo(
    () =>
      isAsked
        ? [...new Set([...recentIn("links", id), ...addressesOf(frame).map(({ pattern }) => pattern.text)])].slice(
            0,
            40,
          )
        : [],
    [isAsked, frame, id, at],
  );

  const follow = (start: "cold" | "running") => {
    if (link === "") return;
    if (link.length <= mostKept) remember("links", id, link);
    opened.live.send({ do: "link", url: link, start });
    setTyped(null);
  };
  const copy = async () => {
    const whole = linkTo(frame.address, link);
    if (!(await copyText(whole)))
      return opened.editing.say("fault", `The browser does not let the page copy. The link is ${whole.slice(0, 200)}`);
    setCopied(true);
    setTimeout(() => setCopied(false), 1500);
  };
  return (
    <form
      className="flex min-w-0 grow flex-col gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        follow("running");
      }}
    >
      <div className="flex items-center gap-1">
        <input
          aria-label="Address of the screen; type a link to follow it"
          list={list}
          autoComplete="off"
          spellCheck={false}
          placeholder={state.outside ? "outside the app" : "no address"}
          value={link}
          className={`mono h-8 w-full min-w-0 rounded-sm border bg-plate-2 px-2 text-[12px] placeholder:text-ink-2 ${wrong?.kind === "ignored" ? "border-clay" : "border-field"}`}
          onFocus={(event) => (event.target.select(), setIsAsked(true))}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={() => (setTyped((now) => (now === "" ? null : now)), setIsAsked(false))}
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === "Escape") setTyped(null);
          }}
        />
        <Button
          tone="quiet"
          icon={copied ? "check" : "copy"}
          aria-label={copied ? "Copied" : "Copy the link"}
          title={copied ? "Copied" : `Copy ${linkTo(frame.address, link).slice(0, 80)}`}
          disabled={link === ""}
          onClick={() => void copy()}
        />
        <Button
          disabled={link === ""}
          onClick={() => follow("cold")}
          title="Follow the link as if the app was not running (Enter follows it while it runs)"
        >
          cold
        </Button>
      </div>
      <datalist id={list}>
        {offered.map((each) => (
          <option key={each} value={each} />
        ))}
      </datalist>
      {wrong?.kind === "ignored" && (
        <p role="status" className="line-clamp-2 text-[12px] leading-4 text-clay">
          ! {wrong.reason}
        </p>
      )}
    </form>
  );
}
