/**
 * Follows the pointer from now until it is let go. Where Escape is pressed, or the browser takes the pointer for something
 * else, it ends all the same, and is told not to have been let go.
 */
export const followPointer = (
  move: (event: PointerEvent) => void,
  end: (isLetGo: boolean) => void = () => {},
): void => {
  const done = new AbortController();
  const heard = { signal: done.signal };
  const finish = (isLetGo: boolean) => {
    done.abort();
    end(isLetGo);
  };
  addEventListener("pointermove", move, heard);
  addEventListener("pointerup", () => finish(true), heard);
  addEventListener("pointercancel", () => finish(false), heard);
  addEventListener("keydown", ({ key }) => key === "Escape" && finish(false), heard);
};
