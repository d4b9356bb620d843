import {
  type ColourPair,
  colourPairs,
  type FaintViews,
  type Mark,
  type Palette,
  sure,
} from "../../../../core/index.js";
import { Group } from "../bench/group.js";
import { SidesHead } from "./sides-head.js";

export interface ContrastGroupProps {
  light: Palette;
  dark: Palette;
  mark: Mark;
  /** Where colours are too faint in views that have others. */
  elsewhere: readonly FaintViews[];
}

/** The contrast of everything that is read on something else. */
export function ContrastGroup({ light, dark, mark, elsewhere }: ContrastGroupProps) {
  const pairs = { light: colourPairs(light, mark), dark: colourPairs(dark, mark) };
  return (
    <Group
      title="Contrast"
      says={verdict([...pairs.light, ...pairs.dark], elsewhere.length > 0)}
      wide
      room="min-w-116"
      readOnly
    >
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
      {elsewhere.length > 0 && (
        <ul aria-label="Too faint in some views" className="flex flex-col gap-1 px-1.5">
          {elsewhere.map(({ where, faint }) => (
            <li key={where} className="text-clay">
              <b>! {where}</b>: {[...new Set(faint.map(({ says }) => says))].join(", ")}
            </li>
          ))}
        </ul>
      )}
    </Group>
  );
}

const verdict = (pairs: readonly ColourPair[], elsewhere: boolean): string => {
  const faint = pairs.filter((pair) => !pair.enough).length;
  if (faint > 0) return `${faint} too faint`;
  return elsewhere ? "too faint in some views" : "all enough";
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
