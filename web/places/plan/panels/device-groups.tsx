import type { Frame } from "../../../../core/index.js";
import { Button } from "../../../parts/button.js";
import { FactGroup } from "./fact-group.js";
import { TargetGroup } from "./target-group.js";
import { WidthGroup } from "./width-group.js";

/** The kinds of device the app runs on, the ranges of width it knows, and the facts it goes by. */
export default function DeviceGroups({ frame, onClose }: { frame: Frame; onClose: () => void }) {
  return (
    <>
      <header className="flex h-10.5 shrink-0 items-center gap-2.5 border-b border-ink px-3">
        <h2 className="text-[15px] font-bold">Devices, widths and facts</h2>
        <p className="truncate text-ink-2">What the app is laid out for; each node can differ by these</p>
        <span className="grow" />
        <Button onClick={onClose}>Done</Button>
      </header>
      <div className="flex min-h-0 grow overflow-x-auto">
        <TargetGroup frame={frame} />
        <WidthGroup frame={frame} />
        <FactGroup frame={frame} />
      </div>
    </>
  );
}
