import { createContext, useContext } from "react";
import type { DeviceMotion } from "./device-motion.js";

const Moved = createContext<DeviceMotion | null>(null);
export const DeviceMotionProvider = Moved.Provider;

/** What moves on the device that is drawn here; null where nothing does. */
export const useDeviceMotion = (): DeviceMotion | null => useContext(Moved);
