import { useCallback, useRef } from "react";
import { useOpenFrame } from "../../../app/open-frame.js";
import { useChosen } from "../../../app/place.js";
import type { Planned } from "./edits.js";
import type { TakesFocus } from "../drawing/use-into-sight.js";

/** Makes a planned edit and chooses what it says; answers whether it could be made. What cannot be is told by the session. */
const useMake = (): ((planned: Planned | null) => boolean) => {
  const opened = useOpenFrame();
  const [, choose] = useChosen();
  const latest = useRef(choose);
  latest.current = choose;
  return useCallback(
    (planned) => {
      if (!planned || opened.editing.edit(planned.edit, planned.label)) return false;
      if (planned.choose) latest.current(planned.choose);
      return true;
    },
    [opened],
  );
};

/** Makes an edit on the plan; what is chosen by it takes the focus there. */
export const useMakeHere = (takesFocus: TakesFocus): ((planned: Planned | null) => boolean) => {
  const make = useMake();
  return (planned) => {
    // a field on the bench keeps the focus: whoever writes there has not gone to the plan; one in a dialog goes with that
    const isWriting = document.activeElement?.matches(":is(input, select, textarea):not([role=dialog] *)") ?? false;
    const isMade = make(planned);
    takesFocus.current = isMade && !isWriting;
    return isMade;
  };
};
