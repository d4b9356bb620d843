import { useMemo, useState } from "react";
import {
  type Frame,
  muchIn,
  pieces,
  type Piece,
  plainName,
  type State,
  type SurvivalCell,
  type SurvivalRow,
  survivalOf,
  type View,
  worstCase,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { Button } from "../../parts/button.js";
import { Choice } from "../../parts/choice.js";
import { SurvivalCellButton } from "./survival-cell.js";

export interface SurvivalProps {
  frame: Frame;
  view: View;
  state: State;
}

type Case = "this" | "worst";

const pieceNames: Readonly<Record<Piece, string>> = {
  place: "place",
  scroll: "scroll",
  draft: "draft",
  picked: "picked row",
  handed: "handed over",
};

/** What survives what may happen: each thing that may happen is run on the state, or on the worst one that was found; behind while the device has gone on. */
export function Survival({ frame, view, state, isBehind }: SurvivalProps & { isBehind: boolean }) {
  const { live } = useOpenFrame();
  const [which, setWhich] = useState<Case>("this");
  const worst = useMemo(() => (which === "worst" ? worstCase(frame, view) : null), [frame, view, which]);
  const looked = worst?.state ?? state;
  const rows = useMemo(() => survivalOf(frame, view, looked), [frame, view, looked]);
  const much = worst && muchIn(worst.state);
  const lost = rows.flatMap(({ cells }) => cells).filter(({ fate }) => fate === "lost").length;
  return (
    <section aria-label="What survives" aria-busy={isBehind} className="min-w-150 shrink-0">
      <header className="mb-1.5 flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 className="text-[15px] font-bold">What survives</h2>
        <Choice<Case>
          label="Which state is looked at"
          value={which}
          options={[
            { value: "this", label: "this state" },
            { value: "worst", label: "the worst one found" },
          ]}
          onChange={setWhich}
        />
        {worst && much && (
          <>
            <span className="text-ink-2">
              {much.screens} screens, {much.drafts} drafts: {worst.events.length} events away
            </span>
            <Button tone="quiet" onClick={() => live.goAlong(worst.start, worst.events)}>
              Put the device there
            </Button>
          </>
        )}
        <span className="grow" />
        <span role="status" className={lost > 0 ? "rounded-sm bg-clay-soft px-1.5 font-semibold" : "text-ink-2"}>
          {lost > 0 ? `! ${lost} lost` : "nothing is lost"}
        </span>
      </header>
      {rows.length === 0 ? (
        <p className="rounded-md border border-rule bg-plate-1 p-3 text-ink-2">
          The app was left, or nothing of it may be shown: come back to it on the device.
        </p>
      ) : (
        <Grid frame={frame} view={view} state={looked} rows={rows} />
      )}
    </section>
  );
}

function Grid({ frame, view, state, rows }: SurvivalProps & { rows: readonly SurvivalRow[] }) {
  return (
    <table className="w-full table-fixed border-separate border-spacing-0 overflow-hidden rounded-md border border-ink bg-plate-2">
      <thead>
        <tr className="text-left text-ink-2">
          <td className="w-42 border-b border-ink" />
          {pieces.map((piece) => (
            <th key={piece} className="border-b border-ink px-2 py-1 font-normal">
              {pieceNames[piece]}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.id} data-happening={row.id}>
            <th scope="row" className="border-b border-rule px-2.5 py-1 text-left font-semibold">
              {row.says}
            </th>
            {row.cells.map((cell) => (
              <SurvivalCellButton
                key={cell.piece}
                frame={frame}
                view={view}
                state={state}
                rows={rows}
                row={row}
                cell={cell}
                says={placeSays(frame, cell)}
              />
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Where it was lost, or where the person is now. */
const placeSays = (frame: Frame, { piece, fate, lost, at }: SurvivalCell): string => {
  if (fate === "moved" && at) return `to ${plainName(frame, at.node)}`;
  if (fate === "kept" || fate === "none") return "";
  const names = [...new Set(lost.map(({ node }) => plainName(frame, node)))];
  if (piece === "place" && at && fate === "lost") return `on ${plainName(frame, at.node)} now`;
  return names.length > 1 ? `${names[0]} +${names.length - 1}` : (names[0] ?? "");
};
