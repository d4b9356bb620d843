import { createContext, useContext, useEffect, useRef, useSyncExternalStore } from "react";
import type { OpenFrame, Session } from "../data/session.js";

const Opened = createContext<OpenFrame | null>(null);
export const OpenFrameProvider = Opened.Provider;

/** The frame that is open: what is done to it. */
export const useOpenFrame = (): OpenFrame => {
  const opened = useContext(Opened);
  if (!opened) throw new Error("no frame is open here");
  return opened;
};

/** A part of the open frame's session; the component follows that part alone. */
export const useSession = <T,>(part: (session: Session) => T): T => {
  const { external } = useOpenFrame();
  return useSyncExternalStore(external.subscribe, () => part(external.get()));
};

/** Follows the frame while the page shows it. */
export const useFollowing = (opened: OpenFrame | null): void => {
  const close = useRef<() => void>(undefined);
  useEffect(() => {
    close.current = opened?.open();
    return () => close.current?.();
  }, [opened]);
};
