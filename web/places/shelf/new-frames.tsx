import { useRef } from "react";
import { firstOf, startingShapes } from "../../../core/index.js";
import { SmallPlan } from "../../parts/small-plan.js";
import type { Starts } from "./use-starts.js";

export interface NewFramesProps {
  starts: Starts;
  /** A file is dragged over the page. */
  isOver: boolean;
}

/** What a new frame can be made from. */
export function NewFrames({ starts, isOver }: NewFramesProps) {
  return (
    <section aria-label="New">
      <h2 className="mb-2.5 text-[15px] font-bold">
        Start from <span className="font-normal text-ink-2">everything can be changed later</span>
      </h2>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(210px,1fr))] gap-4">
        {startingShapes.map((shape) => (
          <li key={shape.id}>
            <button
              type="button"
              onClick={() => starts.start(shape.frame)}
              className="flex size-full items-center gap-3 rounded-md border border-field bg-plate-1 p-3 text-left hover:border-petrol hover:bg-petrol-soft"
            >
              <SmallPlan frame={shape.frame} width={64} height={48} />
              <span>
                <b className="block">{shape.label}</b>
                <span className="text-ink-2">{shape.says}</span>
              </span>
            </button>
          </li>
        ))}
        <li>
          <button
            type="button"
            onClick={() => starts.start(firstOf(startingShapes).frame, "?panel=list")}
            className="flex size-full min-h-18 flex-col justify-center rounded-md border border-dashed border-field p-3 text-left hover:border-petrol"
          >
            <b>From a list</b>
            <span className="text-ink-2">write the names of screens, or paste such a list anywhere here</span>
          </button>
        </li>
        <OpenFile isOver={isOver} onFile={starts.takeFile} />
      </ul>
    </section>
  );
}

function OpenFile({ isOver, onFile }: { isOver: boolean; onFile: (file: File) => void }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <li>
      <button
        type="button"
        onClick={() => input.current?.click()}
        className={`flex size-full min-h-18 flex-col justify-center rounded-md border border-dashed p-3 text-left ${isOver ? "border-petrol bg-petrol-soft" : "border-field hover:border-petrol"}`}
      >
        <b>Open a file</b>
        <span className="text-ink-2">drop a *.frame.json here, choose one, or paste its text</span>
      </button>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        className="sr-only"
        tabIndex={-1}
        aria-label="A frame file"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) onFile(file);
        }}
      />
    </li>
  );
}
