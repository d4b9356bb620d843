import { useEffect, useState } from "react";
import type { Chosen } from "../../../app/place.js";
import type { TakesFocus } from "../drawing/use-into-sight.js";

/** Whether what is chosen is being renamed where it stands on the plan. */
export interface Renaming {
  is: boolean;
  set: (is: boolean) => void;
  /** It has its name: the focus goes back to it. */
  done: () => void;
}

export const useRenaming = (chosen: Chosen | null, takesFocus: TakesFocus): Renaming => {
  const [is, set] = useState(false);
  useEffect(() => set((now) => now && chosen !== null), [chosen]);
  return {
    is,
    set,
    done: () => {
      set(false);
      takesFocus.current = true;
    },
  };
};
