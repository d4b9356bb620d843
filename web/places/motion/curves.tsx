import {
  Chart,
  type ChartConfiguration,
  type ChartDataset,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from "chart.js";
import { useEffect, useMemo, useRef } from "react";
import {
  atRest,
  bareOf,
  type Frame,
  layerId,
  type LayerSample,
  type Motion,
  type MoveExample,
  type Mover,
  moverAt,
  plainName,
  shapeOf,
  type Track,
} from "../../../core/index.js";
import { useDark } from "../../app/theme.js";
import type { Staged, StageWay } from "./staged.js";

Chart.register(LinearScale, LineController, LineElement, PointElement);

export interface CurvesProps {
  frame: Frame;
  staged: Staged;
  example: MoveExample;
  motion: Motion;
  way: StageWay;
}

/** One line of a curve: what it is of, and its values, evenly spread over the time. */
interface Line {
  name: string;
  colour: "petrol" | "saffron" | "clay";
  isDashed?: boolean;
  values: readonly number[];
}
interface Curve {
  title: string;
  lines: Line[];
  least: number;
  most: number;
}

const points = 96;

/** A layer on the stage: what moves it, and the track that says how far on its way it is. */
interface StagedLayer {
  name: string;
  colour: Line["colour"];
  isDashed: boolean;
  mover: Mover | undefined;
  track: Track | undefined;
}

const layersOf = ({ frame, staged, example, motion, way }: CurvesProps): StagedLayer[] => {
  const toward = way === "back" ? "back" : "forward";
  const { incoming, outgoing } = shapeOf(motion, toward);
  const [comes, goes] = toward === "forward" ? [incoming, outgoing] : [outgoing, incoming];
  const { entering, leaving } = example.move;
  return [
    { side: entering, tracks: comes, colour: "petrol" as const, isDashed: false },
    { side: leaving, tracks: goes, colour: "saffron" as const, isDashed: true },
  ].flatMap(({ side, tracks, ...look }) =>
    side
      ? [
          {
            name: plainName(frame, side.node),
            ...look,
            mover: staged.moving.movers.get(layerId(side.key)),
            track: tracks[0],
          },
        ]
      : [],
  );
};

/** How far on its way a layer is at a time, and how fast it goes, in its ways and those a second. */
const wayOf = ({ mover, track }: StagedLayer) => {
  const path = track && mover?.paths[track.property];
  if (!path || track.to === track.from) return null;
  const way = track.to - track.from;
  return { at: (t: number) => (path.at(t) - track.from) / way, speed: (t: number) => path.speed(t) / way };
};

const curvesOf = (props: CurvesProps): Curve[] => {
  const ms = Math.max(1, props.staged.length);
  const over = (f: (t: number) => number): number[] =>
    Array.from({ length: points + 1 }, (_, i) => f((i * ms) / points));
  const layers = layersOf(props);
  const sampled = (layer: StagedLayer | undefined, t: number): LayerSample =>
    layer?.mover ? moverAt(layer.mover, t) : atRest;
  const lines = (valuesOf: (layer: StagedLayer) => number[] | null): Line[] =>
    layers.flatMap((layer) => {
      const values = valuesOf(layer);
      const { name, colour, isDashed } = layer;
      return values ? [{ name, colour, isDashed, values }] : [];
    });
  const ways = new Map(layers.map((layer) => [layer, wayOf(layer)]));
  const along = (pick: "at" | "speed") =>
    lines((layer) => {
      const way = ways.get(layer);
      return way ? over(way[pick]) : null;
    });
  const bare: Line = {
    name: "bare",
    colour: "clay",
    values: over((t) => bareOf({ incoming: sampled(layers[0], t), outgoing: sampled(layers[1], t) })),
  };
  const ends = (found: readonly Line[], low: number, high: number): Pick<Curve, "least" | "most"> => {
    const all = found.flatMap(({ values }) => values);
    return { least: Math.min(low, ...all), most: Math.max(high, ...all) };
  };
  const [position, speed] = [along("at"), along("speed")];
  const opacity = lines((layer) => over((t) => sampled(layer, t).opacity));
  return [
    { title: "share of the way", lines: position, ...ends(position, 0, 1) },
    { title: "ways a second", lines: speed, ...ends(speed, 0, 4) },
    { title: "opacity and bare", lines: [...opacity, bare], least: 0, most: 1 },
  ];
};

const colourOf = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(`--${name}`);

const configOf = ({ lines, least, most }: Curve): ChartConfiguration<"line", number[], number> => ({
  type: "line",
  data: {
    labels: Array.from({ length: points + 1 }, (_, i) => i),
    datasets: lines.map(({ colour, isDashed, values }): ChartDataset<"line", number[]> => ({
      data: [...values],
      borderColor: colourOf(colour),
      borderWidth: 1.8,
      ...(isDashed && { borderDash: [5, 4] }),
      pointRadius: 0,
    })),
  },
  options: {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    events: [],
    layout: { padding: 0 },
    scales: {
      x: {
        type: "linear",
        min: 0,
        max: points,
        ticks: { display: false },
        grid: { display: false },
        border: { display: false },
      },
      y: {
        type: "linear",
        min: least,
        max: most,
        ticks: { display: false, maxTicksLimit: 4 },
        grid: { color: colourOf("rule"), lineWidth: 0.6, drawTicks: false },
        border: { display: false },
      },
    },
  },
});

function CurveChart({ curve }: { curve: Curve }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<"line", number[], number> | null>(null);
  const dark = useDark();
  useEffect(() => {
    if (!canvas.current) return;
    chart.current = new Chart<"line", number[], number>(canvas.current, configOf(curve));
    return () => chart.current?.destroy();
    // made anew where other lines are drawn, or in other colours; values alone are put in
  }, [dark, curve.lines.map(({ name }) => name).join()]);
  useEffect(() => {
    if (!chart.current) return;
    const { data, options } = configOf(curve);
    Object.assign(chart.current, { data, options });
    chart.current.update("none");
  }, [curve]);
  const said = (value: number): string => String(Math.round(value * 10) / 10);
  return (
    <figure className="flex min-h-0 grow basis-0 flex-col">
      <figcaption className="flex items-center gap-3 leading-5">
        <span className="font-semibold">{curve.title}</span>
        {curve.lines.map(({ name, colour, isDashed }) => (
          <span key={name} className="flex items-center gap-1 text-[12px] text-ink-2">
            <span
              aria-hidden
              className={`w-3.5 border-t-2 ${isDashed ? "border-dashed" : ""}`}
              style={{ borderColor: `var(--${colour})` }}
            />
            {name}
          </span>
        ))}
      </figcaption>
      <div className="flex min-h-0 grow gap-1">
        <div className="mono flex w-7 flex-col justify-between text-right text-[10.5px] leading-3 text-ink-2">
          <span>{said(curve.most)}</span>
          <span>{said(curve.least)}</span>
        </div>
        <div className="relative min-h-0 min-w-0 grow overflow-hidden border border-rule bg-plate-2">
          <canvas ref={canvas} role="img" aria-label={curve.title} className="absolute inset-0" />
        </div>
      </div>
    </figure>
  );
}

/** How a move goes over its time: where its layers are, how fast, how they fade, and how much shows through. */
export default function Curves(props: CurvesProps) {
  const { frame, staged, example, motion, way } = props;
  const curves = useMemo(() => curvesOf(props), [frame, staged, example, motion, way]);
  return curves.map((curve) => <CurveChart key={curve.title} curve={curve} />);
}
