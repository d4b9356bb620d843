import { createContext, useContext } from "react";
import type { OwnIcon } from "../../core/index.js";

/** The icons of the app's own, where an app is shown. */
export interface OwnIcons {
  icons: Readonly<Record<string, OwnIcon>>;
  /** Brings a drawing in and answers its name; null where it cannot be an icon, and that was said. */
  bringIn: (file: File) => Promise<string | null>;
}

const Own = createContext<OwnIcons>({ icons: {}, bringIn: () => Promise.resolve(null) });
export const OwnIconsProvider = Own.Provider;
export const useOwnIcons = (): OwnIcons => useContext(Own);
