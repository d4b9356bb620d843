import { useMemo, useState } from "react";
import {
  type ColourName,
  colourNames,
  coloursOf,
  faintInSomeViews,
  type Frame,
  markOf,
  type Palette,
  type View,
} from "../../../../core/index.js";
import { Button } from "../../../parts/button.js";
import { ColourField } from "./colour-field.js";
import { colourWords } from "../../../parts/colour-words.js";
import { AppViewsGroup } from "./app-views-group.js";
import { ContrastGroup } from "./contrast-group.js";
import { Group } from "../bench/group.js";
import { MeasuresGroup } from "./measures-group.js";
import { type Side, sides, SidesHead } from "./sides-head.js";
import { useTheme } from "./use-theme.js";

/** A colour that is being picked, and not taken yet. */
interface Trying {
  side: Side;
  name: ColourName;
  hex: string;
}

/** Colours, marks and measures of the app's bars and strips, with the contrast of every pair as it changes. */
export default function ThemeGroups({ frame, view, onClose }: { frame: Frame; view: View; onClose: () => void }) {
  const [theme, change] = useTheme();
  const mark = markOf(theme);
  const [trying, setTrying] = useState<Trying | null>(null);
  const paletteOf = (side: Side): Palette => {
    const palette = coloursOf(theme, side === "dark");
    return trying?.side === side ? { ...palette, [trying.name]: trying.hex } : palette;
  };
  const elsewhere = useMemo(() => faintInSomeViews(frame), [frame]);
  const palettes = { light: paletteOf("light"), dark: paletteOf("dark") };
  const colour = (side: Side, name: ColourName, hex: string | undefined) => {
    const { [name]: _, ...rest } = theme[side] ?? {};
    change(
      { [side]: hex ? { ...rest, [name]: hex.toUpperCase() } : rest },
      `${colourWords[name]} ${hex ?? "as usual"}`,
    );
    setTrying(null);
  };
  const field = (side: Side, name: ColourName) => (
    <ColourField
      label={`${colourWords[name]}, ${side}`}
      value={palettes[side][name]}
      own={theme[side]?.[name] !== undefined}
      onTry={(hex) => setTrying({ side, name, hex })}
      onDone={(hex) => colour(side, name, hex)}
    />
  );
  return (
    <>
      <header className="flex h-10.5 shrink-0 items-center gap-2.5 border-b border-ink px-3">
        <h2 className="text-[15px] font-bold">Theme and bars</h2>
        <p className="truncate text-ink-2">How the devices of this app are drawn; the contrast is judged by WCAG 2.2</p>
        <span className="grow" />
        <Button onClick={onClose}>Done</Button>
      </header>
      <div className="flex min-h-0 grow overflow-x-auto">
        <Group title="Colours" wide room="min-w-88">
          <table className="border-separate border-spacing-x-1.5 border-spacing-y-0.5">
            <SidesHead />
            <tbody>
              {colourNames.map((name) => (
                <tr key={name}>
                  <td className="whitespace-nowrap">{colourWords[name]}</td>
                  {sides.map((side) => (
                    <td key={side}>{field(side, name)}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </Group>
        <ContrastGroup {...palettes} mark={mark} elsewhere={elsewhere} />
        <MeasuresGroup theme={theme} mark={mark} onChange={change} />
        <AppViewsGroup frame={frame} view={view} />
      </div>
    </>
  );
}
