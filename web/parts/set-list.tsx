import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { plainName, setElsewhere, type Setting, valueOf, valueSays, nodeAt } from "../../core/index.js";
import { Button } from "./button.js";
import type { SetSubject } from "./set-subject.js";
import { PopBox } from "./pop-box.js";

/** All places of the frame where a property is set, by value, and the way back to the default here. */
export default function SetList({
  subject: { frame, id, set, onChoose },
  setting,
  here,
  mark,
  onClose,
}: {
  subject: SetSubject;
  setting: Setting;
  here: boolean;
  mark: ReactNode;
  onClose: () => void;
}) {
  const groups = setElsewhere(frame, setting.key)
    .map(({ value, ids }) => ({ value, ids: ids.filter((other) => other !== id) }))
    .filter(({ ids }) => ids.length > 0);
  const fallback = valueSays(frame, setting, setting.fallback(frame, nodeAt(frame, id)));
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Trigger asChild>{mark}</Popover.Trigger>
      <PopBox label={setting.label} className="flex max-h-80 w-80 flex-col gap-2 overflow-auto p-3">
        <p>
          <b>{setting.label}</b>{" "}
          {here
            ? `is set here: ${valueSays(frame, setting, valueOf(frame, id, setting))}. The default is ${fallback}.`
            : `is not set here, so its default holds: ${fallback}.`}
        </p>
        {groups.length === 0 ? (
          <p className="text-ink-2">Nowhere else is it set otherwise.</p>
        ) : (
          <ul className="flex flex-col gap-1.5" aria-label="Set otherwise">
            {groups.map(({ value, ids }) => (
              <li key={JSON.stringify(value)}>
                <button
                  type="button"
                  className="text-left font-semibold hover:underline"
                  title="Choose them all"
                  onClick={() => {
                    onClose();
                    onChoose(ids);
                  }}
                >
                  {valueSays(frame, setting, value)} on {ids.length}:
                </button>{" "}
                {ids.slice(0, 12).map((other, i) => (
                  <span key={other}>
                    {i > 0 && ", "}
                    <button
                      type="button"
                      className="hover:underline"
                      onClick={() => {
                        onClose();
                        onChoose([other]);
                      }}
                    >
                      {plainName(frame, other)}
                    </button>
                  </span>
                ))}
                {ids.length > 12 && ` and ${ids.length - 12} more`}
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
