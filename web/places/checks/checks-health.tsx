import { useEffect } from "react";
import { useChecks, useOpenFrame } from "../../app/open-frame.js";
import { heardIn } from "../../data/checks.js";
import { oncePainted } from "../../data/once-painted.js";

/** A check begins so long after the page is painted, ms: neither its code nor its work keeps a first look waiting. */
const stillness = 2000;

/** How many faults there are that nobody silenced. */
export default function ChecksHealth() {
  const { checks } = useOpenFrame();
  useEffect(() => oncePainted(() => checks.begin(), stillness), [checks]);
  const faults = useChecks((checked) => heardIn(checked).filter(({ severity }) => severity === "fault").length);
  if (faults === 0) return null;
  return <span className="rounded-sm bg-clay-soft px-1 text-[12px] font-semibold text-ink">! {faults}</span>;
}
