import { type ReactNode, useMemo, useState } from "react";
import {
  appSlots,
  type ColourName,
  colourNames,
  coloursOf,
  faintInSomeViews,
  type Frame,
  isVaried,
  markOf,
  type Palette,
  type View,
} from "../../../../core/index.js";
import { ColourField } from "./colour-field.js";
import { colourWords } from "../../../parts/colour-words.js";
import { AppViewsGroup } from "./app-views-group.js";
import { ContrastGroup, contrastVerdict } from "./contrast-group.js";
import { type BenchGroup, BenchGroups } from "../bench/bench-groups.js";
import { IconsGroup } from "./icons-group.js";
import { MeasuresGroup } from "./measures-group.js";
import { PanelHead } from "./panel-head.js";
import { type Side, sides, SidesHead } from "./sides-head.js";
import { useTheme } from "./use-theme.js";

const countSays = (count: number): string => (count === 1 ? "1 thing" : count === 0 ? "nothing" : `${count} things`);

/** A colour that is being picked, and not taken yet. */
interface Trying {
  side: Side;
  name: ColourName;
  hex: string;
}

/** The colours as a table: a row for each, with its field for the light and the dark side. */
function ColourTable({ field }: { field: FieldOf }) {
  return (
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
  );
}

/** Draws the field of a colour on one side. */
type FieldOf = (side: Side, name: ColourName) => ReactNode;

interface GroupsProps {
  frame: Frame;
  view: View;
  theme: ReturnType<typeof useTheme>[0];
  change: ReturnType<typeof useTheme>[1];
  mark: ReturnType<typeof markOf>;
  palettes: Record<Side, Palette>;
  /** Where what is set by view is faint. */
  elsewhere: ReturnType<typeof faintInSomeViews>;
  field: FieldOf;
}

/** The groups of the panel, each with what it says now. */
const groupsOf = ({ frame, view, theme, mark, palettes, elsewhere, field, change }: GroupsProps): BenchGroup[] => [
  {
    id: "colours",
    label: "colours",
    name: "Colours",
    value: `${colourNames.filter((name) => theme.light?.[name] ?? theme.dark?.[name]).length} set`,
    width: 380,
    body: () => <ColourTable field={field} />,
  },
  {
    id: "contrast",
    label: "contrast",
    name: "Contrast",
    value: contrastVerdict(palettes, mark, elsewhere.length > 0),
    width: 520,
    body: () => <ContrastGroup {...palettes} mark={mark} />,
  },
  {
    id: "measures",
    label: "marks and measures",
    name: "Marks and measures",
    value: mark,
    width: 380,
    body: () => <MeasuresGroup theme={theme} mark={mark} onChange={change} />,
  },
  {
    id: "icons",
    label: "icons of its own",
    name: "Icons of the app's own",
    value: String(Object.keys(frame.icons ?? {}).length || "none"),
    width: 380,
    body: () => <IconsGroup frame={frame} />,
  },
  {
    id: "app-views",
    label: "differs by view",
    name: "Otherwise in some views",
    value: countSays(appSlots.filter(({ slot }) => isVaried(frame, slot)).length),
    width: 420,
    body: () => <AppViewsGroup frame={frame} view={view} elsewhere={elsewhere} />,
  },
];

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
  const groups = groupsOf({ frame, view, theme, mark, palettes, elsewhere, field, change });
  return (
    <>
      <PanelHead
        title="Theme and bars"
        says="How the devices of this app are drawn; the contrast is judged by WCAG 2.2"
        onClose={onClose}
      />
      <BenchGroups groups={groups} />
    </>
  );
}
