import { createContext, useContext } from "react";

/** How large the text of a device is that a person has set larger: 1 to 2 times. What is as high as its text grows with it. */
const TextScale = createContext(1);
export const TextScaleProvider = TextScale.Provider;
export const useTextScale = (): number => useContext(TextScale);
