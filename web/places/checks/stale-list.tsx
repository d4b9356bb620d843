import { type Frame, plainName, type StaleQuiet } from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { Button } from "../../parts/button.js";

/** What was silenced, and is not there any more. */
export function StaleList({ frame, stale }: { frame: Frame; stale: readonly StaleQuiet[] }) {
  const { editing } = useOpenFrame();
  if (stale.length === 0) return null;
  const drop = () => {
    const left = (frame.quiet ?? []).filter(
      ({ rule, node }) => !stale.some((each) => each.rule === rule && each.node === (node ?? null)),
    );
    editing.edit({ kind: "setFrame", key: "quiet", ...(left.length && { value: left }) }, "Drop what silences nothing");
  };
  return (
    <div className="rounded-sm border border-rule bg-plate-1 px-3 py-2">
      <p className="font-semibold">Silences nothing any more</p>
      <ul className="text-ink-2">
        {stale.map(({ rule, node, why }) => (
          <li key={`${rule} ${node}`}>
            <span className="mono text-[12px]">{rule}</span> {node !== null && `of ${plainName(frame, node)}`}: {why}
          </li>
        ))}
      </ul>
      <Button className="mt-1.5" onClick={drop}>
        Drop {stale.length === 1 ? "it" : `all ${stale.length}`}
      </Button>
    </div>
  );
}
