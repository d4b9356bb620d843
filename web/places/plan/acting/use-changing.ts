import { type KeyboardEvent, type RefObject, useMemo, useState } from "react";
import { type ChangeOfMind, changesOfMind, type Frame, type Planned, sure, type View } from "../../../../core/index.js";
import { usePoints } from "../../../app/use-points.js";
import type { Chosen } from "../../../app/place.js";
import type { ListOption } from "../../../parts/option-list.js";
import { steppedTo } from "../../../parts/option-step.js";
import { useTypedMeanwhile } from "../../../parts/awaited.js";
import { ranked } from "../../../parts/rank.js";
import { lookAtChange, targetOptions } from "./change-look.js";

export interface ChangeMenuProps {
  frame: Frame;
  view: View;
  parts: readonly Chosen[];
  make: (planned: Planned | null) => boolean;
  /** Says whether something was done. */
  onClose: (made?: boolean) => void;
}

const changeCalled = (id: string | undefined): ChangeOfMind | undefined => changesOfMind.find((each) => each.id === id);

/** What is typed in the menu of changes, which one is chosen, what it would do, and doing it. */
export const useChanging = (
  { frame, view, parts, make, onClose }: ChangeMenuProps,
  input: RefObject<HTMLInputElement | null>,
) => {
  const points = usePoints(frame, view);
  const [text, setText] = useState("");
  /** Which is chosen; none until something was typed, an arrow pressed or the pointer there. */
  const [at, setAt] = useState(-1);
  /** The change that asks what it is to be done with. */
  const [asking, setAsking] = useState<ChangeOfMind | null>(null);

  const changes = useMemo<ListOption[]>(
    () =>
      changesOfMind
        .map(({ id, label, says, plan }) => ({ value: id, label, says, disabled: !plan(frame, parts).ok }))
        // those that can be done come first
        .sort((a, b) => Number(a.disabled) - Number(b.disabled)),
    [frame, parts],
  );
  const options = useMemo(
    () => (asking?.targets ? targetOptions(frame, asking.targets(frame, parts)) : changes),
    [frame, parts, asking, changes],
  );
  const shown = useMemo(() => ranked(options, text), [options, text]);
  const chosen = shown[at]?.value;
  const look = useMemo(() => {
    if (chosen === undefined) return null;
    const change = asking ?? changeCalled(chosen);
    return change ? lookAtChange(points, change, parts, asking ? chosen : undefined) : null;
  }, [frame, points, asking, chosen, parts]);

  const begin = (next: ChangeOfMind | null) => {
    setAsking(next);
    setText("");
    setAt(-1);
    input.current?.focus();
  };
  const take = (i: number) => {
    const option = shown[i];
    if (!option || option.disabled) return setAt(i);
    const taken = asking ?? sure(changeCalled(option.value));
    if (!asking && taken.targets && taken.targets(frame, parts).length > 0) return begin(taken);
    const { planned } = lookAtChange(points, taken, parts, asking ? option.value : undefined);
    if (planned && make(planned)) onClose(true);
  };
  const keys = (event: KeyboardEvent) => {
    const to = steppedTo(event.key, at, shown.length);
    if (to !== null) setAt(to);
    else if (event.key === "Enter") take(at);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const type = (next: string) => {
    setText(next);
    setAt(next.trim() === "" ? -1 : 0);
  };
  useTypedMeanwhile(type);
  return { asking, begin, text, type, at, setAt, shown, look, take, keys };
};
