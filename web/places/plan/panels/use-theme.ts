import { compact, type Theme } from "../../../../core/index.js";
import { useEditing, useOpenFrame } from "../../../app/open-frame.js";

/** What a theme changes to; undefined takes a key out. */
export type ThemeChanges = { [K in keyof Theme]?: Theme[K] | undefined };

/** The theme without what it does not say; undefined where it says nothing. */
const plain = (theme: ThemeChanges): Theme | undefined => {
  const { light, dark, sizes } = theme;
  const some = <T extends object>(part: T | undefined): T | undefined => part && compact<T>(part);
  return compact<Theme>({ ...theme, light: some(light), dark: some(dark), sizes: some(sizes) });
};

/** What the frame says of its theme, and how to say something else. */
export const useTheme = (): [Theme, (changes: ThemeChanges, label: string) => void] => {
  const { editing } = useOpenFrame();
  const theme = useEditing((edited) => edited.frame.theme) ?? {};
  return [
    theme,
    (changes, label) => {
      const value = plain({ ...theme, ...changes });
      editing.edit({ kind: "setFrame", key: "theme", ...(value && { value }) }, `Theme: ${label}`);
    },
  ];
};
