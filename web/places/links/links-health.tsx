import { useDeferredValue, useMemo } from "react";
import { runCase } from "../../../core/index.js";
import { useEditing } from "../../app/open-frame.js";

/** How many of the kept cases come out otherwise than they were kept. */
export default function LinksHealth() {
  const frame = useDeferredValue(useEditing((edited) => edited.frame));
  const red = useMemo(
    () => (frame.linkCases ?? []).filter((kept) => runCase(frame, kept).unlike.length > 0).length,
    [frame],
  );
  if (red === 0) return null;
  return <span className="rounded-sm bg-clay-soft px-1 text-[12px] font-semibold text-ink">! {red} changed</span>;
}
