import { defaultCorner, defaultSizes, type Mark, marks, sizeNames, type Theme } from "../../../../core/index.js";
import { Choice } from "../../../parts/choice.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { Block, Fields, Line, Name, Says } from "../bench/group.js";
import type { ThemeChanges } from "./use-theme.js";

export interface MeasuresGroupProps {
  theme: Theme;
  mark: Mark;
  onChange: (changes: ThemeChanges, label: string) => void;
}

const markSays = {
  tooth: "the edge opens at it, and its cell joins the page",
  line: "a line along its cell",
  fill: "its whole cell is tinted",
  none: "by its icon and label alone",
} as const;

/** How the chosen tab is marked, and how large bars, strips and corners are. */
export function MeasuresGroup({ theme, mark, onChange }: MeasuresGroupProps) {
  return (
    <Fields>
      <Block>
        <Name label="The chosen tab is marked by" />
        <Choice
          label="How the chosen tab is marked"
          value={mark}
          options={marks.map((value) => ({ value, label: value, says: markSays[value] }))}
          onChange={(value) => onChange({ mark: value === "tooth" ? undefined : value }, `mark ${value}`)}
        />
        <Says>{markSays[mark]}</Says>
      </Block>
      <Measure
        name="corner"
        usual={defaultCorner}
        value={theme.corner}
        onDone={(corner, says) => onChange({ corner }, says)}
      />
      {sizeNames.map((name) => (
        <Measure
          key={name}
          name={name}
          usual={defaultSizes[name]}
          value={theme.sizes?.[name]}
          onDone={(value, says) => {
            const { [name]: _, ...rest } = theme.sizes ?? {};
            onChange({ sizes: value === undefined ? rest : { ...rest, [name]: value } }, `${says} px`);
          }}
        />
      ))}
    </Fields>
  );
}

interface MeasureProps {
  name: string;
  /** px. */
  usual: number;
  value: number | undefined;
  /** Undefined: as usual. */
  onDone: (value: number | undefined, says: string) => void;
}

function Measure({ name, usual, value, onDone }: MeasureProps) {
  return (
    <Line label={name}>
      <TextLine
        inputMode="numeric"
        className="w-16!"
        placeholder={String(usual)}
        wrong={wrongWhole(0, 1000, true)}
        value={value === undefined ? "" : String(value)}
        onDone={(text) => onDone(text.trim() === "" ? undefined : Number(text), `${name} ${text}`)}
      />
      <span className="text-ink-2">px</span>
    </Line>
  );
}
