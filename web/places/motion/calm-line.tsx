import { builtInCalm, type Frame, motionIds } from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { Select } from "../../parts/select.js";
import { motionName } from "./motion-words.js";

/** The one motion of everything where a person asks for reduced motion. */
export function CalmLine({ frame }: { frame: Frame }) {
  const { editing } = useOpenFrame();
  return (
    <section aria-label="Reduced motion" className="flex flex-col gap-1">
      <h2 className="font-semibold">Reduced motion</h2>
      <Select
        label="The motion where reduced motion is asked for"
        value={frame.calm ?? ""}
        options={[
          { value: "", label: `${motionName(frame, builtInCalm)}, as built in` },
          ...motionIds(frame).map((id) => ({ value: id, label: motionName(frame, id) })),
        ]}
        onChange={(id) =>
          void editing.edit(
            { kind: "setFrame", key: "calm", ...(id && { value: id }) },
            id ? `reduced motion is ${motionName(frame, id)}` : "reduced motion is as built in",
          )
        }
      />
    </section>
  );
}
