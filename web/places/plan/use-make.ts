import { useCallback, useRef } from "react";
import { useOpenFrame } from "../../app/open-frame.js";
import { useChosen } from "../../app/place.js";
import type { Planned } from "./edits.js";

/** Makes a planned edit and chooses what it says; answers whether it could be made. What cannot be is told by the session. */
export const useMake = (): ((planned: Planned | null) => boolean) => {
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
