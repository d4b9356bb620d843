import { useState } from "react";
import type { Finding } from "../../../core/index.js";
import { useEditing, useOpenFrame } from "../../app/open-frame.js";
import { Button } from "../../parts/button.js";

/** Why a finding is meant to be so: it is silenced with that reason, which stays in the file. */
export function SilenceLine({ finding, onDone }: { finding: Finding; onDone: () => void }) {
  const { editing } = useOpenFrame();
  const quiet = useEditing((edited) => edited.frame.quiet);
  const [why, setWhy] = useState("");
  const { code, node } = finding;
  const reason = why.trim();
  const silence = () => {
    if (!reason) return;
    const value = [...(quiet ?? []), { rule: code, ...(node !== null && { node }), why: reason }];
    editing.edit({ kind: "setFrame", key: "quiet", value }, `Silence ${code}`);
    onDone();
  };
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        silence();
      }}
    >
      <input
        autoFocus
        aria-label="Why it is meant so"
        placeholder="Why it is meant so"
        maxLength={400}
        value={why}
        onChange={({ target }) => setWhy(target.value)}
        className="h-8 min-w-60 grow rounded-sm border border-field bg-plate-2 px-2"
      />
      <Button type="submit" tone="strong" disabled={!reason}>
        Silence it
      </Button>
    </form>
  );
}
