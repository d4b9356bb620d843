import { useDeferredValue, useMemo, useState } from "react";
import {
  eventSays,
  type Frame,
  type Id,
  ladderNames,
  lensOf,
  nameOf,
  placesOf,
  plainName,
  type Route,
  routesBetween,
  type State,
  topOf,
  type View,
  type WayRow,
  wayRows,
  firstOf,
} from "../../../core/index.js";
import { useLive, useOpenFrame } from "../../app/open-frame.js";
import { useDark } from "../../app/theme.js";
import { Picture } from "../../device/picture.js";
import { Button } from "../../parts/button.js";
import { Choice } from "../../parts/choice.js";
import { Picker } from "../../parts/picker.js";
import type { PanelProps } from "./panel-props.js";

type Shown = "routes" | "ways";

/** How a person gets from one screen to another, and every way there is. */
export default function RoutesPanel({ frame, view, chosen, onChoose, onClose }: PanelProps) {
  const here = useLive((live) => live.device.at.state);
  const [shown, setShown] = useState<Shown>("routes");
  const [from, setFrom] = useState<Id | null>(() => topOf(lensOf(frame, view), here.root).node);
  const [to, setTo] = useState<Id | null>(null);
  const isScreen = (id: Id | null | undefined): id is Id => !!id && frame.nodes[id]?.kind === "screen";
  // what is chosen on the plan is where to, until another screen was named
  const target = isScreen(to) ? to : isScreen(chosen?.id) && chosen.id !== from ? chosen.id : null;
  const source = isScreen(from) ? from : null;
  const choose = (id: Id) => onChoose({ id, parent: placesOf(frame, id)[0] ?? null });
  return (
    <>
      <header className="flex h-10.5 shrink-0 items-center gap-2.5 border-b border-ink px-3">
        <h2 className="text-[15px] font-bold">Routes</h2>
        <span className="flex shrink-0 items-center">
          <Choice
            label="What is shown"
            value={shown}
            options={[
              { value: "routes", label: "between two screens" },
              { value: "ways", label: "all ways" },
            ]}
            onChange={setShown}
          />
        </span>
        {shown === "routes" && (
          <>
            <ScreenPick frame={frame} label="From" value={source} onPick={setFrom} />
            <Button
              tone="quiet"
              icon="arrows-left-right"
              aria-label="The other way round"
              title="The other way round"
              onClick={() => {
                setFrom(target);
                setTo(source);
              }}
            />
            <ScreenPick frame={frame} label="To" value={target} onPick={setTo} />
          </>
        )}
        <span className="grow" />
        <Button onClick={onClose}>Done</Button>
      </header>
      {shown === "ways" ? (
        <WayTable frame={frame} view={view} onChoose={choose} />
      ) : source && target ? (
        <Routes frame={frame} view={view} from={source} to={target} onChoose={choose} />
      ) : (
        <p className="p-3 text-ink-2">Choose the screen to start from and the one to come to, here or on the plan.</p>
      )}
    </>
  );
}

function ScreenPick({
  frame,
  label,
  value,
  onPick,
}: {
  frame: Frame;
  label: string;
  value: Id | null;
  onPick: (id: Id) => void;
}) {
  const options = useMemo(
    () =>
      Object.entries(frame.nodes)
        .filter(([, node]) => node.kind === "screen")
        .map(([id]) => ({ value: id, label: nameOf(frame, id), says: id })),
    [frame],
  );
  return (
    <span className="flex w-52 items-center gap-1.5">
      <span className="text-ink-2">{label}</span>
      <Picker
        label={label}
        placeholder={value ? plainName(frame, value) : "a screen"}
        options={options}
        onPick={onPick}
        className={value ? "placeholder:text-ink!" : ""}
      />
    </span>
  );
}

function Routes({
  frame,
  view,
  from,
  to,
  onChoose,
}: {
  frame: Frame;
  view: View;
  from: Id;
  to: Id;
  onChoose: (id: Id) => void;
}) {
  const asked = useDeferredValue(useMemo(() => ({ frame, view, from, to }), [frame, view, from, to]));
  const routes = useMemo(() => routesBetween(asked.frame, asked.view, asked.from, asked.to), [asked]);
  if (routes.length === 0)
    return (
      <p className="p-3">
        <b>
          No way leads from {plainName(frame, from)} to {plainName(frame, to)}
        </b>{" "}
        <span className="text-ink-2">in this view: give one of the screens between them an action that opens it.</span>
      </p>
    );
  return (
    <ol className="flex min-h-0 grow flex-col overflow-auto" aria-label="Routes, the shortest first">
      {routes.map((route, i) => (
        <RouteStrip key={i} {...asked} route={route} onChoose={onChoose} />
      ))}
    </ol>
  );
}

function RouteStrip({
  frame,
  view,
  route,
  onChoose,
}: {
  frame: Frame;
  view: View;
  route: Route;
  onChoose: (id: Id) => void;
}) {
  const opened = useOpenFrame();
  const { steps, ladder, start } = route;
  const height = 122;
  const width = Math.min(150, Math.round((height * view.width) / view.height));
  const stops: { id: Id; state: State; does: string | null }[] = [
    { id: firstOf(steps).from, state: start, does: null },
    ...steps.map((each) => ({
      id: each.to,
      state: each.after,
      does: each.events.map((event) => eventSays(frame, event, each.from)).join(", "),
    })),
  ];
  return (
    <li className="flex shrink-0 items-start gap-1 border-b border-rule px-3 py-2 last:border-b-0">
      <div className="flex w-24 shrink-0 flex-col gap-1.5">
        <b>{steps.length === 1 ? "one step" : `${steps.length} steps`}</b>
        <Button
          onClick={() =>
            opened.live.goAlong(
              start,
              steps.flatMap(({ events }) => events),
            )
          }
          title="Does the same on the device"
        >
          Play
        </Button>
      </div>
      <ol className="flex items-start gap-1">
        {stops.map(({ id, state, does }, i) => (
          <li key={i} className="flex items-start gap-1">
            {does !== null && (
              <span className="flex w-26 flex-col items-center pt-11 text-center text-[12px] leading-4">
                {does}
                <svg width={72} height={10} aria-hidden>
                  <path d="M0 5H70M65 1 70 5 65 9" fill="none" stroke="var(--ink)" strokeWidth={1.3} />
                </svg>
              </span>
            )}
            <button
              type="button"
              className="flex flex-col items-center gap-0.5"
              title={`Choose ${plainName(frame, id)} on the plan`}
              onClick={() => onChoose(id)}
            >
              <span
                className={`block overflow-hidden rounded-sm border-[1.5px] ${i === stops.length - 1 ? "border-petrol" : "border-ink"}`}
              >
                <StopPicture frame={frame} view={view} state={state} width={width} height={height} />
              </span>
              <span className="max-w-32 truncate text-[12px] font-semibold">{plainName(frame, id)}</span>
            </button>
          </li>
        ))}
      </ol>
      <div className="ml-3 min-w-36 border-l border-rule pl-3">
        <p className="text-ink-2">Back from there</p>
        <ol>
          {ladderNames(frame, ladder, "listed").map((name, i) => (
            <li key={i}>
              <span className="mono text-[12px] text-ink-2">{i + 1}</span> {name}
            </li>
          ))}
        </ol>
      </div>
    </li>
  );
}

function StopPicture(props: { frame: Frame; view: View; state: State; width: number; height: number }) {
  return <Picture {...props} dark={useDark()} />;
}

type Column = "from" | "label" | "to" | "how" | "covers";
const columns: { id: Column; label: string }[] = [
  { id: "from", label: "From" },
  { id: "label", label: "Action" },
  { id: "to", label: "To" },
  { id: "how", label: "How" },
  { id: "covers", label: "Covers" },
];
const collator = new Intl.Collator("en", { numeric: true });
/** Rows drawn at once; more are asked for. */
const page = 200;

function WayTable({ frame, view, onChoose }: { frame: Frame; view: View; onChoose: (id: Id) => void }) {
  const later = useDeferredValue(frame);
  const rows = useMemo(() => wayRows(later, view), [later, view]);
  const [by, setBy] = useState<{ column: Column; down: boolean } | null>(null);
  const [filter, setFilter] = useState("");
  const [most, setMost] = useState(page);
  const cell = ({ way, how, covers }: WayRow, column: Column): string =>
    ({ from: plainName(later, way.from), label: way.label, to: plainName(later, way.to), how, covers })[column];
  const sorted = useMemo(() => {
    const wanted = filter.trim().toLowerCase();
    const kept = wanted
      ? rows.filter((row) => columns.some(({ id }) => cell(row, id).toLowerCase().includes(wanted)))
      : rows;
    if (!by) return kept;
    const order = by.down ? -1 : 1;
    return [...kept].sort((a, b) => order * collator.compare(cell(a, by.column), cell(b, by.column)));
  }, [rows, by, filter]);
  return (
    <div className="min-h-0 grow overflow-auto">
      <table className="w-full">
        <thead className="sticky top-0 z-10 bg-plate-1">
          <tr className="text-left">
            {columns.map(({ id, label }) => {
              const isBy = by?.column === id;
              return (
                <th
                  key={id}
                  aria-sort={isBy ? (by.down ? "descending" : "ascending") : "none"}
                  className="border-b border-ink px-3 py-1"
                >
                  <button
                    type="button"
                    className="font-semibold hover:underline"
                    onClick={() => setBy({ column: id, down: isBy && !by.down })}
                  >
                    {label} <span aria-hidden>{isBy ? (by.down ? "▾" : "▴") : ""}</span>
                  </button>
                </th>
              );
            })}
            <th className="border-b border-ink px-3 py-1 text-right">
              <input
                aria-label="Only ways with"
                placeholder={`among ${rows.length} ways`}
                value={filter}
                onChange={(event) => setFilter(event.target.value)}
                onKeyDown={(event) => event.stopPropagation()}
                className="h-7 w-36 rounded-sm border border-field bg-plate-2 px-1.5 font-normal placeholder:text-ink-2"
              />
            </th>
          </tr>
        </thead>
        <tbody>
          {sorted.slice(0, most).map((row) => (
            <tr key={`${row.way.from} ${row.way.via} ${row.way.action}`} className="border-b border-rule">
              <td className="px-3 py-1">
                <button type="button" className="hover:underline" onClick={() => onChoose(row.way.from)}>
                  {cell(row, "from")}
                </button>
              </td>
              <td className="px-3">{row.way.label}</td>
              <td className="px-3">
                <button type="button" className="font-medium hover:underline" onClick={() => onChoose(row.way.to)}>
                  {cell(row, "to")}
                </button>
              </td>
              <td className="px-3">{row.how}</td>
              <td className="px-3" colSpan={2}>
                {row.covers}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {sorted.length > most && (
        <Button className="m-3" onClick={() => setMost(most * 4)}>
          Show more of {sorted.length}
        </Button>
      )}
    </div>
  );
}
