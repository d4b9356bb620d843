import { TextLine } from "../../../parts/text-line.js";
import { wrongEmpty } from "../../../parts/wrong.js";
import type { DrawnItem } from "./drawing-hands.js";

/** Where something on the plan is given its title, in its place. */
export function RenameLine({
  id,
  title,
  hands,
  className,
}: Pick<DrawnItem, "id" | "title" | "hands"> & { className?: string }) {
  return (
    <TextLine
      autoFocus
      aria-label="Title"
      value={title}
      onFocus={(event) => event.target.select()}
      wrong={wrongEmpty}
      onDone={(next) => hands.rename(id, next)}
      // the person is done, whether the title is another or not
      onLeave={hands.renamed}
      className={className}
    />
  );
}
