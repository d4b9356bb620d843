import type { ReactNode } from "react";
import { Button } from "../parts/button.js";
import { useEditing, useOpenFrame } from "./open-frame.js";

/** What the session has to tell. */
export function Said(): ReactNode {
  const opened = useOpenFrame();
  const message = useEditing((edited) => edited.message);
  if (!message) return null;
  const isFault = message.tone === "fault";
  return (
    <div
      role={isFault ? "alert" : "status"}
      className={`flex shrink-0 items-center gap-3 border-b px-4 py-2 ${isFault ? "border-clay bg-clay-soft" : "border-rule bg-plate-1"}`}
    >
      <span className="grow">{message.text}</span>
      <Button tone="quiet" icon="x" aria-label="Close the message" onClick={() => opened.editing.hush()} />
    </div>
  );
}
