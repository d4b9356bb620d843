import { BarController, BarElement, CategoryScale, Chart, type ChartConfiguration, LinearScale } from "chart.js";
import { useEffect, useMemo, useRef, useState } from "react";
import { type CheckReport, type Frame, plainName, type Played, playedSteps, targetsOf } from "../../../core/index.js";
import { useDark } from "../../app/theme.js";
import { Select } from "../../parts/select.js";

Chart.register(BarController, BarElement, CategoryScale, LinearScale);

const colourOf = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(`--${name}`);

const configOf = (counts: readonly number[]): ChartConfiguration<"bar", number[], string> => ({
  type: "bar",
  data: {
    labels: counts.map((_, taps) => String(taps)),
    datasets: [{ data: [...counts], backgroundColor: colourOf("petrol"), maxBarThickness: 40 }],
  },
  options: {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    events: [],
    scales: {
      x: { grid: { display: false }, ticks: { color: colourOf("ink-2") }, border: { color: colourOf("rule") } },
      y: {
        beginAtZero: true,
        ticks: { color: colourOf("ink-2"), precision: 0, maxTicksLimit: 5 },
        grid: { color: colourOf("rule") },
      },
    },
  },
});

/** Rows of the table that stand open at first. */
const shownRows = 8;

/** How many taps each screen is away from the start, as a chart, with a table of the farthest beside it. */
export function Taps({
  frame,
  walks,
  onShow,
}: {
  frame: Frame;
  walks: CheckReport["walks"];
  onShow: (played: Played) => void;
}) {
  const [asked, setAsked] = useState(0);
  const at = walks[asked] ?? walks[0];
  const screens = useMemo(() => [...(at?.walk.screens ?? [])].sort((a, b) => b.taps - a.taps), [at]);
  const counts = useMemo(() => {
    const most = screens[0]?.taps ?? 0;
    return Array.from({ length: most + 1 }, (_, taps) => screens.filter((screen) => screen.taps === taps).length);
  }, [screens]);
  if (!at) return null;
  const where = { target: at.target, band: at.band };
  const targets = new Map(targetsOf(frame).map(({ id, label }) => [id, label]));
  return (
    <section aria-label="Taps to every screen" className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 className="text-[15px] font-bold">Taps to every screen</h2>
        <span className="text-ink-2">
          {at.walk.bounds.isFull ? "the fewest that were found" : "the fewest"}, from a launch or a link
        </span>
        {walks.length > 1 && (
          <Select
            label="View"
            value={String(walks.indexOf(at))}
            options={walks.map(({ target, band }, i) => ({
              value: String(i),
              label: `${targets.get(target) ?? target}, ${band}`,
            }))}
            onChange={(value) => setAsked(Number(value))}
          />
        )}
      </div>
      <div className="grid grid-cols-[minmax(220px,1fr)_minmax(300px,1.2fr)] gap-2.5 max-[1000px]:grid-cols-1">
        <figure className="flex flex-col rounded-sm border border-rule bg-plate-2 p-2.5">
          <TapChart counts={counts} />
          <figcaption className="text-center text-[12px] text-ink-2">screens by the taps to them</figcaption>
        </figure>
        <TapTable frame={frame} where={where} screens={screens} onShow={onShow} />
      </div>
    </section>
  );
}

interface TapTableProps {
  frame: Frame;
  where: Played["where"];
  /** Every screen, the farthest first. */
  screens: CheckReport["walks"][number]["walk"]["screens"];
  onShow: (played: Played) => void;
}

/** The screens with the taps and the way to each, which is shown on the device by a press of its name. */
function TapTable({ frame, where, screens, onShow }: TapTableProps) {
  const [isAll, setAll] = useState(false);
  const wayOf = (screen: (typeof screens)[number]): string =>
    playedSteps(frame, { ...screen, where })
      .steps.flatMap(({ top }, i, all) => (top !== null && top !== all[i - 1]?.top ? [plainName(frame, top)] : []))
      .join(" › ");
  return (
    <div className="overflow-hidden rounded-sm border border-rule bg-plate-1">
      <table className="w-full text-left">
        <thead className="text-[12px] text-ink-2">
          <tr>
            <th className="px-2.5 py-1 font-normal">farthest</th>
            <th className="px-2 py-1 font-normal">taps</th>
            <th className="px-2 py-1 font-normal">way</th>
          </tr>
        </thead>
        <tbody>
          {(isAll ? screens : screens.slice(0, shownRows)).map((screen) => (
            <tr key={screen.id} className="border-t border-rule">
              <th className="px-2.5 py-1 font-semibold">
                <button
                  type="button"
                  title="Show the way on the device"
                  className="text-left hover:underline"
                  onClick={() => onShow({ beginning: screen.beginning, events: screen.events, where })}
                >
                  {plainName(frame, screen.id)}
                </button>
              </th>
              <td className="px-2 py-1 font-semibold">{screen.taps}</td>
              <td className="px-2 py-1 text-[12.5px] text-ink-2">{wayOf(screen)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {screens.length > shownRows && (
        <button
          type="button"
          className="w-full border-t border-rule px-2.5 py-1 text-left font-medium text-petrol hover:bg-plate-0"
          onClick={() => setAll(!isAll)}
        >
          {isAll ? "Only the farthest" : `All ${screens.length} screens`}
        </button>
      )}
    </div>
  );
}

function TapChart({ counts }: { counts: readonly number[] }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const dark = useDark();
  useEffect(() => {
    if (!canvas.current) return;
    const chart = new Chart<"bar", number[], string>(canvas.current, configOf(counts));
    return () => chart.destroy();
  }, [counts, dark]);
  const says = counts.map((count, taps) => `${count} at ${taps} taps`).join(", ");
  return (
    <div className="relative h-44">
      <canvas ref={canvas} role="img" aria-label={`Screens by taps: ${says}`} />
    </div>
  );
}
