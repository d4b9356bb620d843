import { useMemo, useState } from "react";
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
  type State,
  topOf,
  type View,
  firstOf,
} from "../../../../core/index.js";
import { useLive, useOpenFrame } from "../../../app/open-frame.js";
import { useAnswer } from "../../../app/use-answer.js";
import { useDark } from "../../../app/theme.js";
import { Picture } from "../../../device/picture.js";
import { Button } from "../../../parts/button.js";
import { Choice } from "../../../parts/choice.js";
import { Picker } from "../../../parts/picker.js";
import type { PanelProps } from "./panel-props.js";
import { WayTable } from "./way-table.js";

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
  const question = useMemo(() => ({ want: "routes" as const, view, from, to }), [view, from, to]);
  const answered = useAnswer(question);
  // an answer to another question says nothing of this one
  const isMeant = answered?.question.from === from && answered.question.to === to;
  if (!isMeant) return <p className="p-3 text-ink-2">Looking for the ways …</p>;
  const { answer: routes, ...asked } = answered;
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
        <RouteStrip key={i} frame={asked.frame} view={view} route={route} onChoose={onChoose} />
      ))}
    </ol>
  );
}

interface RouteStripProps {
  frame: Frame;
  view: View;
  route: Route;
  onChoose: (id: Id) => void;
}

/** Where a route comes past: the state there, and what led to it. */
interface StopAt {
  id: Id;
  state: State;
  does: string | null;
}

const stopsOf = (frame: Frame, { steps, start }: Route): StopAt[] => [
  { id: firstOf(steps).from, state: start, does: null },
  ...steps.map((each) => ({
    id: each.to,
    state: each.after,
    does: each.events.map((event) => eventSays(frame, event, each.from)).join(", "),
  })),
];

function RouteStrip({ frame, view, route, onChoose }: RouteStripProps) {
  const { live } = useOpenFrame();
  const { steps, ladder, start } = route;
  const stops = stopsOf(frame, route);
  const events = steps.flatMap((each) => each.events);
  return (
    <li className="flex shrink-0 items-start gap-1 border-b border-rule px-3 py-2 last:border-b-0">
      <div className="flex w-24 shrink-0 flex-col gap-1.5">
        <b>{steps.length === 1 ? "one step" : `${steps.length} steps`}</b>
        <Button onClick={() => live.goAlong(start, events)} title="Does the same on the device">
          Play
        </Button>
      </div>
      <ol className="flex items-start gap-1">
        {stops.map((stop, i) => (
          <li key={i} className="flex items-start gap-1">
            {stop.does !== null && <Arrow says={stop.does} />}
            <Stop frame={frame} view={view} stop={stop} isLast={i === stops.length - 1} onChoose={onChoose} />
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

function Arrow({ says }: { says: string }) {
  return (
    <span className="flex w-26 flex-col items-center pt-11 text-center text-[12px] leading-4">
      {says}
      <svg width={72} height={10} aria-hidden>
        <path d="M0 5H70M65 1 70 5 65 9" fill="none" stroke="var(--ink)" strokeWidth={1.3} />
      </svg>
    </span>
  );
}

/** Of a picture, px. */
const high = 122;
const widest = 150;

interface StopProps extends Omit<RouteStripProps, "route"> {
  stop: StopAt;
  isLast: boolean;
}

function Stop({ frame, view, stop: { id, state }, isLast, onChoose }: StopProps) {
  const dark = useDark();
  const width = Math.min(widest, Math.round((high * view.width) / view.height));
  return (
    <button
      type="button"
      className="flex flex-col items-center gap-0.5"
      title={`Choose ${plainName(frame, id)} on the plan`}
      onClick={() => onChoose(id)}
    >
      <span className={`block overflow-hidden rounded-sm border-[1.5px] ${isLast ? "border-petrol" : "border-ink"}`}>
        <Picture frame={frame} view={view} state={state} width={width} height={high} dark={dark} />
      </span>
      <span className="max-w-32 truncate text-[12px] font-semibold">{plainName(frame, id)}</span>
    </button>
  );
}
