import { type ReactNode, useMemo } from "react";
import { bringIcon } from "../data/bring-icon.js";
import { ProblemError } from "../data/problem.js";
import { OwnIconsProvider } from "../parts/own-icons.js";
import { useEditing, useOpenFrame } from "./open-frame.js";

const none = {};

/** Gives everything that shows the open app the icons of its own. */
export function OwnIconsOfFrame({ children }: { children: ReactNode }) {
  const { editing } = useOpenFrame();
  const icons = useEditing((edited) => edited.frame.icons) ?? none;
  const given = useMemo(
    () => ({
      icons,
      bringIn: async (file: File): Promise<string | null> => {
        try {
          const { name, edit } = await bringIcon(file, () => editing.get().frame);
          if (edit) editing.edit(edit, `Bring in the icon ${name}`);
          return name;
        } catch (error) {
          if (!(error instanceof ProblemError)) throw error;
          editing.say("fault", error.message);
          return null;
        }
      },
    }),
    [icons, editing],
  );
  return <OwnIconsProvider value={given}>{children}</OwnIconsProvider>;
}
