import { useEffect, useRef, useState } from "react";
import {
  type ColourName,
  colourNames,
  type ColourPair,
  colourPairs,
  coloursOf,
  defaultCorner,
  defaultSizes,
  type Frame,
  markOf,
  marks,
  type Palette,
  sizeNames,
  type Theme,
  sure,
  compact,
} from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import { Button } from "../../../parts/button.js";
import { Choice } from "../../../parts/choice.js";
import { wrongHex, wrongWhole } from "../../../parts/wrong.js";
import { TextLine } from "../../../parts/text-line.js";
import { Group, Line } from "./group.js";

const words: Record<ColourName, string> = {
  page: "page",
  surface: "strips, sheets",
  ink: "text",
  accent: "actions",
  mark: "mark",
  bar: "bars",
  barInk: "tabs at rest",
  barActive: "chosen tab",
  badge: "badge",
};
const sides = ["light", "dark"] as const;
/** The frame's theme without what it does not say. */
const plain = (theme: { [K in keyof Theme]: Theme[K] | undefined }): Theme | undefined => {
  const { light, dark, sizes } = theme;
  const some = <T extends object>(part: T | undefined): T | undefined => part && compact<T>(part);
  return compact<Theme>({ ...theme, light: some(light), dark: some(dark), sizes: some(sizes) });
};

const markSays = {
  tooth: "the edge opens at it, and its cell joins the page",
  line: "a line along its cell",
  fill: "its whole cell is tinted",
  none: "by its icon and label alone",
} as const;

/** Colours, marks and measures of the app's bars and strips, with the contrast of every pair as it changes. */
export default function ThemeGroups({ frame, onClose }: { frame: Frame; onClose: () => void }) {
  const opened = useOpenFrame();
  const theme = frame.theme ?? {};
  const mark = markOf(frame);
  const [trying, setTrying] = useState<{ side: (typeof sides)[number]; name: ColourName; hex: string } | null>(null);
  const change = (part: Partial<{ [K in keyof Theme]: Theme[K] | undefined }>, label: string) => {
    const value = plain({ ...theme, ...part });
    opened.editing.edit({ kind: "setFrame", key: "theme", ...(value && { value }) }, `Theme: ${label}`);
  };
  const colour = (side: (typeof sides)[number], name: ColourName, hex: string | undefined) => {
    const { [name]: _, ...rest } = theme[side] ?? {};
    change({ [side]: hex ? { ...rest, [name]: hex.toUpperCase() } : rest }, `${words[name]} ${hex ?? "as usual"}`);
    setTrying(null);
  };
  const paletteOf = (side: (typeof sides)[number]): Palette => {
    const palette = coloursOf(frame, side === "dark");
    return trying?.side === side ? { ...palette, [trying.name]: trying.hex } : palette;
  };
  const pairs = { light: colourPairs(paletteOf("light"), mark), dark: colourPairs(paletteOf("dark"), mark) };
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
            <thead>
              <tr className="text-left text-ink-2">
                <th className="font-normal" />
                {sides.map((side) => (
                  <th key={side} className="font-normal">
                    {side}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {colourNames.map((name) => (
                <tr key={name}>
                  <td className="whitespace-nowrap">{words[name]}</td>
                  {sides.map((side) => (
                    <td key={side}>
                      <ColourField
                        label={`${words[name]}, ${side}`}
                        value={paletteOf(side)[name]}
                        own={theme[side]?.[name] !== undefined}
                        onTry={(hex) => setTrying({ side, name, hex })}
                        onDone={(hex) => colour(side, name, hex)}
                      />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </Group>
        <Group title="Contrast" says={verdict([...pairs.light, ...pairs.dark])} wide room="min-w-104" readOnly>
          <table className="border-separate border-spacing-x-1.5 border-spacing-y-0.5">
            <thead>
              <tr className="text-left text-ink-2">
                <th className="font-normal" />
                {sides.map((side) => (
                  <th key={side} className="font-normal">
                    {side}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {pairs.light.map((pair, i) => (
                <tr key={pair.id}>
                  <td className="whitespace-nowrap">{pair.says}</td>
                  <PairCell pair={pair} />
                  <PairCell pair={sure(pairs.dark[i])} />
                </tr>
              ))}
            </tbody>
          </table>
        </Group>
        <Group title="Marks and measures">
          <span className="text-ink-2">The chosen tab is marked by</span>
          <Choice
            label="How the chosen tab is marked"
            value={mark}
            options={marks.map((value) => ({ value, label: value, says: markSays[value] }))}
            onChange={(value) => change({ mark: value === "tooth" ? undefined : value }, `mark ${value}`)}
          />
          {[["corner", defaultCorner] as const, ...sizeNames.map((name) => [name, defaultSizes[name]] as const)].map(
            ([name, usual]) => (
              <Line key={name} label={name}>
                <TextLine
                  inputMode="numeric"
                  className="w-16!"
                  placeholder={String(usual)}
                  wrong={wrongWhole(0, 1000, true)}
                  value={String((name === "corner" ? theme.corner : theme.sizes?.[name]) ?? "")}
                  onDone={(text) => {
                    const value = text.trim() === "" ? undefined : Number(text);
                    if (name === "corner") return change({ corner: value }, `corner ${text}`);
                    const { [name]: _, ...rest } = theme.sizes ?? {};
                    change({ sizes: value === undefined ? rest : { ...rest, [name]: value } }, `${name} ${text} px`);
                  }}
                />
                <span className="text-ink-2">px</span>
              </Line>
            ),
          )}
        </Group>
      </div>
    </>
  );
}

const verdict = (pairs: readonly ColourPair[]): string => {
  const faint = pairs.filter((pair) => !pair.enough).length;
  return faint === 0 ? "all enough" : `${faint} too faint`;
};

const grade = ({ ratio, wants, enough }: ColourPair): string =>
  !enough ? `needs ${wants}` : wants === 3 ? "enough" : ratio >= 7 ? "AAA" : "AA";

function PairCell({ pair }: { pair: ColourPair }) {
  return (
    <td data-pair={pair.id} data-enough={pair.enough}>
      <span className="flex items-center gap-1.5 whitespace-nowrap">
        <span
          className="grid h-5.5 w-8 shrink-0 place-items-center rounded-sm border border-rule text-[12px] font-bold"
          style={{ background: pair.on, color: pair.ink }}
          aria-hidden
        >
          Aa
        </span>
        <span className="mono">{pair.ratio.toFixed(2)}</span>
        <span className={pair.enough ? "text-ink-2" : "font-semibold text-clay"}>
          {pair.enough ? "" : "! "}
          {grade(pair)}
        </span>
      </span>
    </td>
  );
}

interface ColourFieldProps {
  label: string;
  value: string;
  /** The frame says it itself. */
  own: boolean;
  onTry: (hex: string) => void;
  onDone: (hex: string | undefined) => void;
}

/** A colour by picking and by its hex; nothing is changed while it is being picked. */
function ColourField({ label, value, own, onTry, onDone }: ColourFieldProps) {
  const input = useRef<HTMLInputElement>(null);
  const done = useRef(onDone);
  done.current = onDone;
  useEffect(() => {
    // React's onChange is the platform's input event; the colour is taken when the platform says it was chosen
    const element = input.current;
    const chosen = () => element && done.current(element.value);
    element?.addEventListener("change", chosen);
    return () => element?.removeEventListener("change", chosen);
  }, []);
  return (
    <span className="flex w-[118px] flex-wrap items-center gap-1">
      <input
        ref={input}
        type="color"
        aria-label={`Colour of ${label}`}
        className="h-7 w-8 shrink-0 cursor-pointer rounded-sm border border-field bg-plate-2 p-0.5"
        value={value.slice(0, 7).toLowerCase()}
        onChange={(event) => onTry(event.target.value)}
      />
      <TextLine
        aria-label={`Hex of ${label}`}
        className={`mono w-20! text-[12px] ${own ? "" : "text-ink-2"}`}
        wrong={wrongHex}
        value={value.toUpperCase()}
        onDone={(text) => {
          const hex = text.trim().replace(/^#/, "");
          onDone(hex === "" ? undefined : `#${hex}`);
        }}
        title={own ? "Empty it for the usual colour" : "The usual colour: the frame does not say it"}
      />
    </span>
  );
}
