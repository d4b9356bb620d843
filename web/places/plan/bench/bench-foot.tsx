import type { PanelProps } from "../panels/panel-props.js";
import { type ReactNode, Suspense, useState } from "react";
import { useBenchShape, useIsBeside } from "./bench-shape.js";
import type { Frame, View } from "../../../../core/index.js";
import { useOpenFrame, useSelection } from "../../../app/open-frame.js";
import type { Chosen } from "../../../app/place.js";
import type { Panel } from "../../../data/selection.js";
import { Awaited } from "../../../parts/awaited.js";
import { Button } from "../../../parts/button.js";
import { rememberFocus } from "../../../parts/focus-back.js";
import type { Planned } from "../acting/edits.js";
import type { Adding } from "../acting/use-adding.js";
import type { TakingOut } from "../acting/use-taking-out.js";
import { beginList } from "../panels/list-text.js";
import { Said } from "../../../app/said.js";
import { Ledge } from "./ledge.js";
import { NothingChosen } from "./nothing-chosen.js";
import type { Following } from "./use-following.js";
import { later } from "../../../parts/later.js";
import { Part } from "../../../parts/part.js";

const Bench = later(() => import("./bench.js"));
const SeveralBench = later(() => import("./several-bench.js"));
const TakingOutDialog = later(() => import("../panels/taking-out.js"));
const AddPicker = later(() => import("../panels/add-picker.js"));
const ChangeMenu = later(() => import("../panels/change-menu.js"));

const panels: Record<Panel, (props: PanelProps) => ReactNode> = {
  theme: later(() => import("../panels/theme-groups.js")),
  devices: later(() => import("../panels/device-groups.js")),
  list: later(() => import("../panels/list-panel.js")),
  routes: later(() => import("../panels/routes-panel.js")),
};

export type Tool = "add" | "change";

export interface BenchFootProps {
  frame: Frame;
  view: View;
  chosen: Chosen | null;
  /** The plan shows titles alone. */
  isPictured: boolean;
  others: readonly Chosen[];
  make: (planned: Planned | null) => boolean;
  adding: Adding;
  taking: TakingOut;
  onChoose: (chosen: Chosen, also?: readonly Chosen[]) => void;
  tool: Tool | null;
  onTool: (tool: Tool | null) => void;
  touched: Following["touched"];
}

/** The foot of the plan: what there is to say, and the bench with everything about what is chosen. */
export function BenchFoot(props: BenchFootProps) {
  const { frame, view, chosen, others, make, tool, onTool, touched } = props;
  const { selection } = useOpenFrame();
  const leave = leavesTool(onTool);
  const isBeside = useIsBeside();
  const { height, width } = useBenchShape();
  return (
    <section
      aria-label="Bench"
      {...touched}
      className={`relative flex min-w-0 shrink-0 flex-col border-ink bg-plate-1 ${isBeside ? "border-l" : "border-t"}`}
      // as large whatever is chosen: choosing moves nothing on the plan
      style={isBeside ? { width } : { height, maxHeight: "70%" }}
      // a field with nothing of its own to close gives the focus back to the plan
      onKeyDown={(event) => event.key === "Escape" && !event.defaultPrevented && selection.focusPlan()}
    >
      <Ledge size={isBeside ? width : height} isBeside={isBeside} />
      <Said />
      {tool === "change" && chosen && (
        <Opened>
          {(back) => (
            <Awaited onLeave={leave(back)}>
              <ChangeMenu
                frame={frame}
                view={view}
                parts={[chosen, ...others]}
                make={make}
                onClose={(made) => {
                  onTool(null);
                  if (made) selection.focusPlan();
                  else back();
                }}
              />
            </Awaited>
          )}
        </Opened>
      )}
      {props.taking.parts && (
        <Awaited
          onLeave={(how) => {
            props.taking.leave();
            if (how === "escape") selection.focusPlan();
          }}
        >
          <TakingOutDialog frame={frame} taking={props.taking} />
        </Awaited>
      )}
      <Part name="The bench" of={frame} className="grow">
        <Suspense fallback={null}>
          <OnBench {...props} />
        </Suspense>
      </Part>
    </section>
  );
}

/** What the bench shows: a panel of the whole frame, several nodes, one, or how to begin. */
function OnBench(props: BenchFootProps) {
  const { frame, view, chosen, others, make, onChoose } = props;
  const { selection } = useOpenFrame();
  const panel = useSelection((selected) => selected.panel);
  const close = () => {
    selection.showPanel(null);
    selection.focusPlan();
  };
  const tools = <Tools {...props} />;
  if (panel) {
    const FramePanel = panels[panel];
    const shown = <FramePanel {...{ frame, view, chosen, make, onChoose, onClose: close }} />;
    // a list is written at once
    return panel === "list" ? <Awaited onLeave={(how) => how === "escape" && close()}>{shown}</Awaited> : shown;
  }
  if (!chosen) return <NothingChosen tools={tools} />;
  if (others.length === 0)
    return <Bench {...props} chosen={chosen} tools={tools} onDelete={() => props.taking.ask([chosen])} />;
  return (
    <SeveralBench
      frame={frame}
      view={view}
      parts={[chosen, ...others]}
      make={make}
      onDelete={props.taking.ask}
      onChoose={onChoose}
      tools={tools}
    />
  );
}

/** A tool that is done with: closed by Escape, the focus goes back to where it was. */
const leavesTool =
  (onTool: BenchFootProps["onTool"]) =>
  (back: () => void) =>
  (how: "escape" | "elsewhere"): void => {
    onTool(null);
    if (how === "escape") back();
  };

/** What is opened over something else, with what gives the focus back to where it was. */
function Opened({ children }: { children: (back: () => void) => ReactNode }) {
  const opened = useOpenFrame();
  const [back] = useState(() => rememberFocus(() => opened.selection.focusPlan()));
  return children(back);
}

/** What adds something, takes a list, or thinks again about what is chosen. */
function Tools({ frame, chosen, others, tool, onTool, adding }: BenchFootProps) {
  const opened = useOpenFrame();
  const leave = leavesTool(onTool);
  if (tool === "add")
    return (
      <Opened>
        {(back) => (
          <Awaited onLeave={leave(back)}>
            <AddPicker frame={frame} chosen={chosen} onAdd={adding.add} onLeave={leave(back)} />
          </Awaited>
        )}
      </Opened>
    );
  return (
    <>
      {others.length === 0 && (
        <Button
          icon="plus"
          data-return="add"
          onClick={() => onTool("add")}
          title="Add a screen, tabs, a pair, a sheet … (A)"
        >
          Add
        </Button>
      )}
      {chosen ? (
        <Button
          data-return="change"
          onClick={() => onTool("change")}
          aria-expanded={tool === "change"}
          title="Wrap, unwrap, make a tab or a pair of it, share it … (W)"
        >
          Restructure
        </Button>
      ) : (
        <Button icon="list-plus" onClick={() => beginList(opened)} title="Make screens from a list of names (L)">
          List
        </Button>
      )}
    </>
  );
}
