import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import {
  type Frame,
  type Id,
  isSlot,
  plainName,
  setElsewhere,
  type Setting,
  valueOf,
  valueSays,
  nodeAt,
} from "../../core/index.js";
import { Button } from "./button.js";
import type { SetSubject } from "./set-subject.js";
import { ViewGrid } from "./view-grid.js";
import { PopBox } from "./pop-box.js";

interface SetListProps {
  subject: SetSubject;
  setting: Setting;
  /** It is set on what the list is about. */
  here: boolean;
  mark: ReactNode;
  onClose: () => void;
}

/** All places of the frame where a property is set, by value, and the way back to the default here. */
export default function SetList({ subject, setting, here, mark, onClose }: SetListProps) {
  const { frame, id, set, onChoose } = subject;
  const groups = setElsewhere(frame, setting.key)
    .map(({ value, ids }) => ({ value, ids: ids.filter((other) => other !== id) }))
    .filter(({ ids }) => ids.length > 0);
  const fallback = valueSays(frame, setting, setting.fallback(frame, nodeAt(frame, id)));
  const choose = (ids: readonly Id[]) => {
    onClose();
    onChoose(ids);
  };
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Trigger asChild>{mark}</Popover.Trigger>
      <PopBox label={setting.label} className="flex max-h-96 w-96 flex-col gap-2 overflow-auto p-3">
        <p>
          <b>{setting.label}</b>{" "}
          {here
            ? `is set here: ${valueSays(frame, setting, valueOf(frame, id, setting))}. The default is ${fallback}.`
            : `is not set here, so its default holds: ${fallback}.`}
        </p>
        {isSlot(nodeAt(frame, id).kind, setting.key) && (
          <ViewGrid
            frame={frame}
            ids={[id]}
            slot={setting.key}
            name={setting.label}
            at={subject.at}
            onSet={(...given) => subject.vary(setting.key, ...given)}
          />
        )}
        {groups.length === 0 ? (
          <p className="text-ink-2">Nowhere else is it set otherwise.</p>
        ) : (
          <ul className="flex flex-col gap-1.5" aria-label="Set otherwise">
            {groups.map(({ value, ids }) => (
              <li key={JSON.stringify(value)}>
                <Places frame={frame} says={valueSays(frame, setting, value)} ids={ids} onChoose={choose} />
              </li>
            ))}
          </ul>
        )}
        {here && (
          <Button
            onClick={() => {
              onClose();
              set(setting.key, undefined, `${setting.label} as by default`);
            }}
          >
            Back to the default here
          </Button>
        )}
      </PopBox>
    </Popover.Root>
  );
}

/** As many of them are named. */
const named = 12;

interface PlacesProps {
  frame: Frame;
  says: string;
  ids: readonly Id[];
  onChoose: (ids: readonly Id[]) => void;
}

/** A value with where it is set: all of these can be chosen, or one. */
function Places({ frame, says, ids, onChoose }: PlacesProps) {
  return (
    <>
      <button
        type="button"
        className="text-left font-semibold hover:underline"
        title="Choose them all"
        onClick={() => onChoose(ids)}
      >
        {says} on {ids.length}:
      </button>{" "}
      {ids.slice(0, named).map((other, i) => (
        <span key={other}>
          {i > 0 && ", "}
          <button type="button" className="hover:underline" onClick={() => onChoose([other])}>
            {plainName(frame, other)}
          </button>
        </span>
      ))}
      {ids.length > named && ` and ${ids.length - named} more`}
    </>
  );
}
