import { type ColourPair, colourPairs, type Mark, type Palette, sure } from "../../../../core/index.js";
import { Group } from "./group.js";
import { SidesHead } from "./sides-head.js";

export interface ContrastGroupProps {
  light: Palette;
  dark: Palette;
  mark: Mark;
}

/** The contrast of everything that is read on something else. */
export function ContrastGroup({ light, dark, mark }: ContrastGroupProps) {
  const pairs = { light: colourPairs(light, mark), dark: colourPairs(dark, mark) };
  return (
    <Group title="Contrast" says={verdict([...pairs.light, ...pairs.dark])} wide room="min-w-104" readOnly>
      <table className="border-separate border-spacing-x-1.5 border-spacing-y-0.5">
        <SidesHead />
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
