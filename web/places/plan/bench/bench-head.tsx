import type { ReactNode } from "react";
import { type Frame, type Id, nameOf, pathOf, placesOf, samePath, type WayInLook } from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import { Button } from "../../../parts/button.js";
import { TextLine } from "../../../parts/text-line.js";
import { copyOf, countUnder } from "../acting/edits.js";
import { KindSign } from "../drawing/shapes.js";
import { FindingChip } from "./finding-chip.js";
import { useBench, useNode } from "./bench-context.js";

const deleteSays = (places: number, under: number): string => {
  if (places > 1) return "Takes it out of this place; it stays in the others";
  return under > 1 ? `Deletes it and the ${under - 1} inside it (Delete)` : "Deletes it (Delete)";
};

/** The id of what is chosen, as the code has it; it is given another one here. */
function IdLine() {
  const { frame, id, chosen, make } = useBench();
  return (
    <span className="max-w-44">
      <TextLine
        aria-label="Id, as the code has it"
        title="Id, as the code has it"
        className="mono border-transparent! bg-transparent! text-[12px] text-ink-2 [field-sizing:content] hover:border-field!"
        value={id}
        onDone={(to) =>
          make({
            edit: { kind: "rename", id, to: to.trim() },
            label: `Give ${nameOf(frame, id)} the id ${to.trim()}`,
            choose: { id: to.trim(), parent: chosen.parent },
          })
        }
      />
    </span>
  );
}

export interface BenchHeadProps {
  looks: readonly WayInLook[];
  tools: ReactNode;
  onDelete: () => void;
}

/** What is chosen, where it lies, and what can be done with it as a whole. */
export function BenchHead({ looks, tools, onDelete }: BenchHeadProps) {
  const { live } = useOpenFrame();
  const { frame, points, id, chosen, make } = useBench();
  const places = placesOf(frame, id);
  const isRoot = id === frame.root;
  return (
    <header className="flex min-h-10 shrink-0 flex-wrap items-center gap-x-2 gap-y-1 border-b border-rule px-3 py-1">
      <KindSign kind={useNode().kind} />
      <h2 className="text-[15px] font-bold wrap-anywhere">{nameOf(frame, id)}</h2>
      <IdLine />
      <p className="rounded-sm bg-petrol-soft px-2 py-0.5 text-[13px] leading-4.5">
        {liesSays(frame, id, places, laddersOf(looks))}
      </p>
      <FindingChip id={id} />
      <span className="ml-auto flex items-center gap-1.5">
        {tools}
        <Button
          onClick={() => live.putOn(points, id)}
          disabled={places.length === 0}
          title="Brings the device here as a person would come (P)"
        >
          Device here
        </Button>
        <Button
          disabled={isRoot}
          onClick={() => make(copyOf(frame, chosen))}
          icon="copy"
          aria-label="Duplicate"
          title="Duplicate (Ctrl D)"
        />
        <Button
          disabled={isRoot}
          onClick={onDelete}
          icon="trash"
          tone="fault"
          aria-label="Delete"
          title={deleteSays(places.length, countUnder(frame, id))}
        />
      </span>
    </header>
  );
}

/** How many different ladders the ways in have. */
const laddersOf = (looks: readonly WayInLook[]): number => {
  const paths = looks.flatMap(({ taken }) => (taken?.seen.ladder ? [pathOf(taken.seen.ladder)] : []));
  return paths.filter((path, i) => paths.findIndex((other) => samePath(path, other)) === i).length;
};

const liesSays = (frame: Frame, id: Id, places: readonly Id[], ladders: number): string => {
  if (id === frame.root) return "the root: everything else stands in it";
  if (places.length === 0) return "loose: in no container, so nothing opens it";
  const where = places.map((place) => nameOf(frame, place)).join(", ");
  const back =
    ladders > 1 ? "Back depends on the way in" : ladders === 1 ? "one Back for every way in" : "no way leads in";
  return `${places.length > 1 ? "shared by" : "in"} ${where} · ${back}`;
};
