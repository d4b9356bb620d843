import { type Frame, hasEdgeSwipe, hasSystemBack, type Target, targetsOf } from "../../../../core/index.js";
import { Button } from "../../../parts/button.js";
import { Check } from "../../../parts/check.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongEmpty } from "../../../parts/wrong.js";
import { Fields } from "../bench/group.js";
import { changedIn, type Changes, idAmong, useSetFrame } from "./use-set-frame.js";

/** The kinds of device the app runs on. */
export function TargetGroup({ frame }: { frame: Frame }) {
  const set = useSetFrame();
  const targets = targetsOf(frame);
  const add = () => {
    const swipes = targets.every(hasSystemBack);
    const label = swipes ? "Swipe-back phone" : "Back-key phone";
    const id = idAmong(frame, swipes ? "swipe" : "key", targets);
    const made: Target = { id, label, systemBack: !swipes, edgeSwipe: swipes };
    set("targets", [...targets, made], `Add the target ${label}`);
  };
  return (
    <>
      <p className="pb-1.5 text-ink-2">Kinds of device, by how Back works there.</p>
      <Fields>
        {targets.map((target) => (
          <TargetRow
            key={target.id}
            target={target}
            isOnly={targets.length === 1}
            onPut={(changes, label) => set("targets", changedIn(targets, target.id, changes), label)}
            onTakeOut={() =>
              set(
                "targets",
                targets.filter(({ id }) => id !== target.id),
                `Without ${target.label}`,
              )
            }
          />
        ))}
      </Fields>
      <Button icon="plus" onClick={add}>
        Add a target
      </Button>
    </>
  );
}

interface TargetRowProps {
  target: Target;
  isOnly: boolean;
  onPut: (changes: Changes<Target>, label: string) => void;
  onTakeOut: () => void;
}

function TargetRow({ target, isOnly, onPut, onTakeOut }: TargetRowProps) {
  return (
    <fieldset className="mb-2 flex break-inside-avoid flex-col gap-1 border-b border-rule pb-2">
      <div className="flex items-center gap-1.5">
        <TextLine
          aria-label={`Name of the target ${target.id}`}
          value={target.label}
          wrong={wrongEmpty}
          onDone={(label) => onPut({ label: label.trim().slice(0, 80) }, `Target ${label}`)}
        />
        <Button
          tone="quiet"
          icon="x"
          aria-label={`Take out the target ${target.label}`}
          disabled={isOnly}
          onClick={onTakeOut}
        />
      </div>
      <p className="mono text-[12px] text-ink-2">{target.id}</p>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        <Check
          checked={hasSystemBack(target)}
          onChange={(systemBack) =>
            onPut({ systemBack }, `${target.label}: a Back of its own ${systemBack ? "on" : "off"}`)
          }
        >
          Back of its own
        </Check>
        <Check
          checked={hasEdgeSwipe(target)}
          onChange={(edgeSwipe) => onPut({ edgeSwipe }, `${target.label}: edge swipe ${edgeSwipe ? "on" : "off"}`)}
        >
          Edge swipe
        </Check>
      </div>
    </fieldset>
  );
}
