import { askingFirst, type Frame, type Id, isLeftUnasked, plainName } from "../../core/index.js";
import { useLive, useOpenFrame } from "../app/open-frame.js";
import { Button } from "../parts/button.js";

/** Where the last thing that happened lost a draft: the screen can ask before it is left. */
export function LostMend({ frame }: { frame: Frame }) {
  const { editing } = useOpenFrame();
  const { notes } = useLive((now) => now.device.at);
  const lost = new Set(notes.flatMap(({ code, node }) => (code === "draft-lost" && node !== null ? [node] : [])));
  const silent = [...lost].filter((id) => isLeftUnasked(frame, id));
  const ask = (id: Id) => {
    const { edit, label } = askingFirst(frame, [id]);
    void editing.edit(edit, label);
  };
  return silent.slice(0, 2).map((id) => (
    <Button
      key={id}
      icon="question"
      className="h-7! self-start"
      title="So that what is typed on it is not lost unasked"
      onClick={() => ask(id)}
    >
      {plainName(frame, id)} asks first
    </Button>
  ));
}
