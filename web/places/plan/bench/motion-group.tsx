import { useMemo } from "react";
import {
  type AppMove,
  appMoves,
  cascadeFor,
  type Cascade,
  lensOf,
  motionAt,
  motionChoices,
  motionIds,
  plainName,
} from "../../../../core/index.js";
import { usePlace } from "../../../app/places.js";
import { Button } from "../../../parts/button.js";
import { Select } from "../../../parts/select.js";
import { useBench } from "./bench-context.js";
import { Block, Fields } from "./group.js";

const saidBy = ({ by: { level, node } }: Cascade, own: string): string => {
  if (level === "screen" && node === own) return "said here";
  return {
    calm: "reduced motion",
    way: "by its way in",
    screen: "said there",
    container: "by its container",
    app: "as the app",
    builtIn: "built in",
  }[level];
};

/** What moves here: how it comes, and how what is in it does, each with where that is said; tuned in its own place. */
export function MotionGroup() {
  const { frame, view, id } = useBench();
  const moves = useMemo(() => appMoves(frame, view), [frame, view]);
  const own = moves.filter(({ node, way }) => node === id && !way);
  const inside = moves.filter(({ container, way }) => container === id && !way);
  const kinds = [...new Map(inside.map((move) => [move.kind, move])).values()];
  if (own.length === 0 && kinds.length === 0) return <p className="text-ink-2">Nothing moves here yet.</p>;
  return (
    <Fields>
      {own.map((move) => (
        <MoveLine key={move.id} move={move} label={`comes as ${motionChoices[move.kind].label}`} setOn="node" />
      ))}
      {kinds.map((move) => (
        <MoveLine
          key={`in ${move.kind}`}
          move={move}
          label={`in it: ${motionChoices[move.kind].label}`}
          setOn="container"
        />
      ))}
    </Fields>
  );
}

function MoveLine({ move, label, setOn }: { move: AppMove; label: string; setOn: "node" | "container" }) {
  const { frame, view, vary } = useBench();
  const [, go] = usePlace();
  const lens = lensOf(frame, view);
  const cascade = cascadeFor(lens, move);
  const here = lens.look(setOn === "node" ? move.node : move.container).motion[move.kind] ?? "";
  const name = setOn === "node" ? plainName(frame, move.node) : plainName(frame, move.container);
  return (
    <Block>
      <span className="text-ink-2">
        {label}: <b className="text-ink">{cascade.motion.name}</b>, {saidBy(cascade, setOn === "node" ? move.node : "")}
      </span>
      <span className="flex items-center gap-2">
        <Select
          label={`Motion that ${name} says of ${motionChoices[move.kind].label}`}
          className="min-w-24 grow"
          value={here}
          options={[
            { value: "", label: "says none" },
            ...motionIds(frame).map((each) => ({ value: each, label: motionAt(frame, each)?.name ?? each })),
          ]}
          onChange={(motion) =>
            vary(
              `motion.${move.kind}`,
              undefined,
              motion || undefined,
              motion
                ? `${motionChoices[move.kind].label} moves by ${motionAt(frame, motion)?.name ?? motion}`
                : "says no motion",
            )
          }
        />
        <Button onClick={() => go("motion", { move: move.id })} title="Looked at and tuned in the place Motion">
          Tune
        </Button>
      </span>
    </Block>
  );
}
