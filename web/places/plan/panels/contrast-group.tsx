import { type ColourPair, colourPairs, type Mark, type Palette, sure } from "../../../../core/index.js";
import { SidesHead } from "./sides-head.js";

export interface ContrastGroupProps {
  light: Palette;
  dark: Palette;
  mark: Mark;
}

/** Whether everything can be read, in few words. */
export const contrastVerdict = (
  { light, dark }: Pick<ContrastGroupProps, "light" | "dark">,
  mark: Mark,
  elsewhere: boolean,
): string => {
  const faint = [light, dark].flatMap((palette) => colourPairs(palette, mark)).filter((pair) => !pair.enough).length;
  if (faint > 0) return `${faint} too faint`;
  return elsewhere ? "faint in a view" : "all enough";
};

/** The contrast of everything that is read on something else. */
export function ContrastGroup({ light, dark, mark }: ContrastGroupProps) {
  const pairs = { light: colourPairs(light, mark), dark: colourPairs(dark, mark) };
  return (
    // nothing in it can be worked: it takes the focus itself, to be scrolled by keys
    <div tabIndex={0} role="group" aria-label="Contrast of every pair of colours">
      <table className="border-separate border-spacing-x-1.5 border-spacing-y-0.5">
        <SidesHead />
        <tbody>
          {pairs.light.map((pair, i) => (
            <tr key={pair.id}>
              <td>{pair.says}</td>
              <PairCell pair={pair} />
              <PairCell pair={sure(pairs.dark[i])} />
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

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
