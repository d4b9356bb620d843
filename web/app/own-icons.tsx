import { type ReactNode, useCallback, useMemo } from "react";
import type { BroughtIcon } from "../data/bring-icon.js";
import { ProblemError } from "../data/problem.js";
import { loadable } from "../parts/loadable.js";
import { OwnIconsProvider } from "../parts/own-icons.js";
import { useEditing, useOpenFrame } from "./open-frame.js";

const none = {};
const bringing = loadable(() => import("../data/bring-icon.js"));

/** Brings a drawing in; what is wrong with it is told by the session, and then there is none. */
export const useBringIcon = (): ((file: File) => Promise<BroughtIcon | null>) => {
  const { editing } = useOpenFrame();
  return useCallback(
    async (file) => {
      try {
        const { bringIcon } = await bringing.load();
        return await bringIcon(file, () => editing.get().frame);
      } catch (error) {
        if (!(error instanceof ProblemError)) throw error;
        editing.say("fault", error.message);
        return null;
      }
    },
    [editing],
  );
};

/** Gives everything that shows the open app the icons of its own. */
export function OwnIconsOfFrame({ children }: { children: ReactNode }) {
  const { editing } = useOpenFrame();
  const icons = useEditing((edited) => edited.frame.icons) ?? none;
  const bring = useBringIcon();
  const given = useMemo(
    () => ({
      icons,
      bringIn: async (file: File): Promise<string | null> => {
        const brought = await bring(file);
        if (brought?.edit) editing.edit(brought.edit, `Bring in the icon ${brought.name}`);
        return brought && brought.name;
      },
    }),
    [icons, editing, bring],
  );
  return <OwnIconsProvider value={given}>{children}</OwnIconsProvider>;
}
