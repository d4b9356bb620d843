import type { Loadable } from "./loadable.js";

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

/** The same with code that may still be loading: the last move waits for it, and so does the end. */
export const followWith = <T>(
  code: Loadable<T>,
  move: (event: PointerEvent, loaded: T) => void,
  end: (isLetGo: boolean) => void,
): void => {
  let waiting: PointerEvent | null = null;
  const settle = (loaded: T) => {
    if (waiting) move(waiting, loaded);
    waiting = null;
  };
  void code.load();
  followPointer(
    (event) => {
      const loaded = code.get();
      if (loaded) return move(event, loaded);
      waiting = event;
      void code.load().then(settle);
    },
    (isLetGo) => {
      if (!waiting) return end(isLetGo);
      void code.load().then((loaded) => {
        settle(loaded);
        end(isLetGo);
      });
    },
  );
};
