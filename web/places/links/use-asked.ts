import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { factsOf, factValues, type Frame, launch, type Trial, viewOf } from "../../../core/index.js";
import { useWriteAddress } from "../../app/address.js";

/** What was asked for: as long as no link was named, the usual one is tried. */
type Kept = Omit<Asked, "link"> & { link: string | null };

/** The link that is tried, and how it comes. */
export interface Asked {
  link: string;
  trial: Trial;
}

const factsIn = (frame: Frame, text: string): Trial["facts"] => {
  const facts: Record<string, Trial["facts"][string]> = { ...launch(frame, viewOf(frame)).state.facts };
  for (const part of text.split("~")) {
    const [id = "", is = ""] = part.split(/\.(.*)/s);
    const fact = factsOf(frame).find((each) => each.id === id);
    const value = fact && factValues(fact).find((each) => String(each) === is);
    if (value !== undefined) facts[id] = value;
  }
  return facts;
};

const factsText = (frame: Frame, facts: Trial["facts"]): string =>
  factsOf(frame)
    .map(({ id }) => `${id}.${String(facts[id])}`)
    .join("~");

/** A link longer than this is tried, and not written into the page's address. */
const mostInAddress = 2000;
/** What is tried is written into the page's address once it has been still for so long, ms. */
const still = 250;

const names = ["link", "start", "with"] as const;
const keyOf = (params: URLSearchParams): string => names.map((name) => params.get(name) ?? "").join("\n");

/** What is tried. The page's address follows it, so that Back and a reload find it again. */
export const useAsked = (frame: Frame, usual: string): [Asked, (change: Partial<Asked>) => void] => {
  const [params] = useSearchParams();
  const write = useWriteAddress();
  const read = (): Kept => ({
    link: params.get("link"),
    trial: {
      start: params.get("start") === "running" ? "running" : "cold",
      facts: factsIn(frame, params.get("with") ?? ""),
    },
  });
  const [asked, setAsked] = useState(read);
  const known = useRef(keyOf(params));
  const key = keyOf(params);
  useEffect(() => {
    if (known.current === key) return;
    known.current = key;
    setAsked(read());
  }, [key]);
  useEffect(() => {
    const timer = setTimeout(
      () =>
        write((next) => {
          const { link, trial } = asked;
          if (link !== null && link.length <= mostInAddress) next.set("link", link);
          else next.delete("link");
          if (trial.start === "running") next.set("start", trial.start);
          else next.delete("start");
          const facts = factsText(frame, trial.facts);
          if (facts !== factsText(frame, factsIn(frame, ""))) next.set("with", facts);
          else next.delete("with");
          known.current = keyOf(next);
        }),
      still,
    );
    return () => clearTimeout(timer);
  }, [asked, frame, write]);
  const ask = useCallback((change: Partial<Asked>) => setAsked((now) => ({ ...now, ...change })), []);
  return useMemo(() => [{ ...asked, link: asked.link ?? usual }, ask], [asked, usual, ask]);
};
