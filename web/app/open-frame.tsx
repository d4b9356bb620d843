import { createContext, useContext, useEffect, useRef, useSyncExternalStore } from "react";
import type { Finding, Id } from "../../core/index.js";
import type { Checked } from "../data/checks.js";
import type { Edited } from "../data/editing.js";
import type { External } from "../data/external.js";
import type { Live } from "../data/live-device.js";
import type { OpenFrame } from "../data/open-frame.js";
import type { SizesShown } from "../data/sizes.js";
import type { Selected } from "../data/selection.js";
import type { Found } from "../data/ways.js";

const Opened = createContext<OpenFrame | null>(null);
export const OpenFrameProvider = Opened.Provider;

/** The frame that is open: what is done to it. */
export const useOpenFrame = (): OpenFrame => {
  const opened = useContext(Opened);
  if (!opened) throw new Error("no frame is open here");
  return opened;
};

const useExternal = <T extends object, P>(external: External<T>, part: (value: T) => P): P =>
  useSyncExternalStore(external.subscribe, () => part(external.get()));

/** A part of what is edited; the component follows that part alone. So do the two beside it. */
export const useEditing = <P,>(part: (edited: Edited) => P): P => useExternal(useOpenFrame().editing, part);
/** A part of the live device. */
export const useLive = <P,>(part: (live: Live) => P): P => useExternal(useOpenFrame().live, part);
/** A part of the devices that stand side by side. */
export const useSizes = <P,>(part: (shown: SizesShown) => P): P => useExternal(useOpenFrame().sizes, part);
/** A part of what is known to be wrong. */
export const useChecks = <P,>(part: (checked: Checked) => P): P => useExternal(useOpenFrame().checks, part);
/** What is wrong at a node; nothing where nothing is. */
export const useWrongAt = (id: Id): readonly Finding[] =>
  useExternal(useOpenFrame().checks.marks, ({ at }) => at.get(id) ?? nothingWrong);
const nothingWrong: readonly Finding[] = [];
/** A part of how a person comes to each screen. */
export const useWays = <P,>(part: (found: Found) => P): P => useExternal(useOpenFrame().ways, part);
/** A part of what is chosen. */
export const useSelection = <P,>(part: (selected: Selected) => P): P => useExternal(useOpenFrame().selection, part);

/** Follows the frame while the page shows it. */
export const useFollowing = (opened: OpenFrame | null): void => {
  const close = useRef<() => void>(undefined);
  useEffect(() => {
    close.current = opened?.open();
    return () => close.current?.();
  }, [opened]);
};
