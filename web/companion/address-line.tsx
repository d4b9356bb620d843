import { useId, useMemo, useState } from "react";
import { addressesOf, addressOf, lensOf, linkTo, targetOfLink, topOf } from "../../core/index.js";
import { useEditing, useLive, useOpenFrame } from "../app/open-frame.js";
import { recentIn, remember } from "../app/recent.js";
import { Button } from "../parts/button.js";
import { copyText } from "../parts/copy-text.js";

/** Links longer than this are followed, and not remembered. */
const mostKept = 2000;

/** What can be offered at once. */
const mostOffered = 40;

/** The address of the screen; any link can be typed in its place, and followed running or cold. */
export function AddressLine() {
  const { live } = useOpenFrame();
  const frame = useEditing((edited) => edited.frame);
  const id = useEditing((edited) => edited.id);
  const { view, at } = useLive((now) => now.device);
  const [typed, setTyped] = useState<string | null>(null);
  const [isAsked, setIsAsked] = useState(false);
  const list = useId();

  const { state } = at;
  const address = state.outside ? null : addressOf(frame, topOf(lensOf(frame, view), state.root));
  const link = typed ?? address ?? "";
  const target = typed === null || typed === "" ? null : targetOfLink(frame, typed);
  const wrong = target?.kind === "ignored" ? target.reason : null;
  const follow = (start: "cold" | "running") => {
    if (link === "") return;
    if (link.length <= mostKept) remember("links", id, link);
    live.send({ do: "link", url: link, start });
    setTyped(null);
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
          className={`mono h-8 w-full min-w-0 rounded-sm border bg-plate-2 px-2 text-[12px] ${wrong === null ? "border-field" : "border-clay"}`}
          onFocus={(event) => (event.target.select(), setIsAsked(true))}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={() => (setTyped((now) => (now === "" ? null : now)), setIsAsked(false))}
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === "Escape") setTyped(null);
          }}
        />
        <CopyLink link={link} />
        <Button
          disabled={link === ""}
          onClick={() => follow("cold")}
          title="Follow the link as if the app was not running (Enter follows it while it runs)"
        >
          cold
        </Button>
      </div>
      <datalist id={list}>{isAsked && <Offered />}</datalist>
      {wrong !== null && <Wrong says={wrong} />}
    </form>
  );
}

function Wrong({ says }: { says: string }) {
  return (
    <p role="status" className="line-clamp-2 text-[12px] leading-4 text-clay">
      ! {says}
    </p>
  );
}

/** What was followed last, then where the app has addresses; asked for once the line is gone to. */
function Offered() {
  const frame = useEditing((edited) => edited.frame);
  const id = useEditing((edited) => edited.id);
  const { at } = useLive((live) => live.device);
  const offered = useMemo(
    () => [...new Set([...recentIn("links", id), ...addressesOf(frame).map(({ pattern }) => pattern.text)])],
    [frame, id, at],
  );
  return offered.slice(0, mostOffered).map((each) => <option key={each} value={each} />);
}

function CopyLink({ link }: { link: string }) {
  const { editing } = useOpenFrame();
  const address = useEditing((edited) => edited.frame.address);
  const [isCopied, setIsCopied] = useState(false);
  const whole = linkTo(address, link);
  const copy = async () => {
    if (!(await copyText(whole)))
      return editing.say("fault", `The browser does not let the page copy. The link is ${whole.slice(0, 200)}`);
    setIsCopied(true);
    setTimeout(() => setIsCopied(false), 1500);
  };
  return (
    <Button
      tone="quiet"
      icon={isCopied ? "check" : "copy"}
      aria-label={isCopied ? "Copied" : "Copy the link"}
      title={isCopied ? "Copied" : `Copy ${whole.slice(0, 80)}`}
      disabled={link === ""}
      onClick={() => void copy()}
    />
  );
}
