import { useCallback, useMemo } from "react";
import { useSearchParams } from "react-router";
import {
  type AppMove,
  appMoves,
  type Cascade,
  cascadeFor,
  type Frame,
  type Id,
  lensOf,
  type Motion,
  motionAt,
  type View,
  waysIn,
} from "../../../core/index.js";
import { useWriteAddress } from "../../app/address.js";
import { useSelection } from "../../app/open-frame.js";
import type { StageWay } from "./staged.js";

/** What the place is about: a move of the app, by which way in, which motion is looked at, and which way. */
export interface AskedMove {
  moves: readonly AppMove[];
  /** Null where the app makes no move at all. */
  move: AppMove | null;
  cascade: Cascade | null;
  /** The motion that is looked at: the one the move has, unless another is tried. */
  id: Id;
  motion: Motion;
  stage: StageWay;
}

/** What of it is asked for; what is null is as usual. */
export interface Asks {
  move?: string;
  by?: string | null;
  motion?: Id | null;
  stage?: StageWay;
}

const isStage = (text: string | null | undefined): text is StageWay => text === "back" || text === "turned";

/** A move by one of the ways into its screen. */
const byWay = (frame: Frame, move: AppMove, by: string | null): AppMove => {
  if (by === null || move.way) return move;
  const way = waysIn(frame, move.node).find((each) => each.action !== null && `${each.from}.${each.action}` === by);
  if (!way?.action) return move;
  return {
    ...move,
    id: `${move.id}.${by}`,
    way: { from: way.from, action: way.action, label: way.label, motion: null },
  };
};

/** The move that one thinks of first: a push within a tab. */
const usualOf = (frame: Frame, moves: readonly AppMove[]): AppMove | null =>
  moves.find(({ kind, container }) => kind === "push" && container !== frame.root) ?? moves[0] ?? null;

const still: Motion = { name: "Still", forward: { incoming: [], outgoing: [], above: "incoming" }, back: "mirror" };

/** What the place is asked for by its address: Back and a reload find it again. */
export const useAskedMove = (frame: Frame, view: View): [AskedMove, (asks: Asks) => void] => {
  const [params] = useSearchParams();
  const write = useWriteAddress();
  const chosen = useSelection((selected) => selected.chosen?.id);
  const moves = useMemo(() => appMoves(frame, view), [frame, view]);
  const [wanted, by, motionId, stage] = ["move", "by", "motion", "stage"].map((name) => params.get(name));
  const asked = useMemo((): AskedMove => {
    const found =
      moves.find(({ id }) => id === wanted) ??
      moves.find(({ node, way }) => node === chosen && !way) ??
      usualOf(frame, moves);
    const move = found && byWay(frame, found, by ?? null);
    const cascade = move && cascadeFor(lensOf(frame, view), move);
    const tried = motionId ? motionAt(frame, motionId) : undefined;
    return {
      moves,
      move,
      cascade,
      id: tried && motionId ? motionId : (cascade?.id ?? ""),
      motion: tried ?? cascade?.motion ?? still,
      stage: isStage(stage) ? stage : "forward",
    };
  }, [frame, view, moves, wanted, by, motionId, stage, chosen]);
  const ask = useCallback(
    (asks: Asks) =>
      write((next) => {
        for (const [name, value] of Object.entries<string | null>({ ...asks }))
          if (value === null || (name === "stage" && value === "forward")) next.delete(name);
          else next.set(name, value);
      }),
    [write],
  );
  return [asked, ask];
};
