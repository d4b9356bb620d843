import { useRef, useState } from "react";
import type { Card, Id } from "../../../../core/index.js";

/** What is done on something drawn, told by its id: the same for all, and always the same, so that nothing is drawn anew for it. */
export interface DrawingHands {
  rename: (id: Id, title: string) => void;
  renamed: () => void;
  fold: (id: Id, folded: boolean) => void;
}

/** The same hands at every drawing, which do what these would. */
export const useSteadyHands = (hands: DrawingHands): DrawingHands => {
  const latest = useRef(hands);
  latest.current = hands;
  const [steady] = useState<DrawingHands>(() => ({
    rename: (id, title) => latest.current.rename(id, title),
    renamed: () => latest.current.renamed(),
    fold: (id, folded) => latest.current.fold(id, folded),
  }));
  return steady;
};

/** What is asked of everything that is drawn. */
export interface DrawnItem extends Pick<Card, "id" | "parent" | "x" | "y" | "width" | "height"> {
  /** Its title, or its id. */
  title: string;
  chosen: boolean;
  /** The key that goes into the plan lands here. */
  entry: boolean;
  /** Those it is looked at for cannot come here. */
  faint: boolean;
  renaming: boolean;
  hands: DrawingHands;
}

/** The edge of something drawn: by whether it is chosen, whether those it is looked at for come there, and what it is else. */
export const edgeOf = ({ chosen, faint }: Pick<DrawnItem, "chosen" | "faint">, plain = "border-ink"): string =>
  `${chosen ? "border-petrol outline-2 outline-petrol" : plain} ${faint ? "border-dashed" : ""}`;
