import { useCallback, useMemo } from "react";
import { useSearchParams } from "react-router";
import { factsOf, factValues, type Frame, launch, type Trial, viewOf } from "../../../core/index.js";

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

/** What is tried, as the page's address says: Back and a reload find it again. */
export const useAsked = (frame: Frame, usual: string): [Asked, (change: Partial<Asked>) => void] => {
  const [params, setParams] = useSearchParams();
  const [link, start, facts] = [params.get("link"), params.get("start"), params.get("with")];
  const asked = useMemo<Asked>(
    () => ({
      link: link ?? usual,
      trial: { start: start === "running" ? "running" : "cold", facts: factsIn(frame, facts ?? "") },
    }),
    [frame, link, start, facts, usual],
  );
  const ask = useCallback(
    (change: Partial<Asked>) =>
      setParams(
        (old) => {
          const next = new URLSearchParams(old);
          if (change.link !== undefined && change.link.length <= mostInAddress) next.set("link", change.link);
          if (change.trial) {
            next.set("start", change.trial.start);
            const text = factsText(frame, change.trial.facts);
            if (text) next.set("with", text);
          }
          return next;
        },
        { replace: true },
      ),
    [frame, setParams],
  );
  return [asked, ask];
};
