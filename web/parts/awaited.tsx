import { createContext, type ReactNode, Suspense, useContext, useLayoutEffect, useState } from "react";

/** What is typed for something that is still being loaded. */
interface Meanwhile {
  text: string;
  /** The person has gone elsewhere before it was there. */
  isLeft: boolean;
  /** What had the focus when it was asked for. */
  before: HTMLElement | null;
}

const focused = (): HTMLElement | null =>
  document.activeElement instanceof HTMLElement ? document.activeElement : null;

const Waiting = createContext<Readonly<Meanwhile>>({ text: "", isLeft: false, before: null });

/** What was typed for this before it was loaded, whether it still is to have the focus, and what had it before: as it stands when it is shown. */
export const useMeanwhile = (): Readonly<Meanwhile> => useContext(Waiting);

/** Gives what was typed for this before it was loaded to it, as it is shown. */
export const useTypedMeanwhile = (type: (text: string) => void): void => {
  const meanwhile = useMeanwhile();
  useLayoutEffect(() => {
    if (meanwhile.text !== "") type(meanwhile.text);
  }, []);
};

interface AwaitedProps {
  children: ReactNode;
  /** The person is done with it before it is there, by Escape or by going elsewhere. */
  onLeave?: (how: "escape" | "elsewhere") => void;
}

/**
 * Where something is opened that takes the focus and may have to be loaded first. Until it is there what is typed is kept
 * for it: no key meant for it reaches what lies beneath, and what comes late takes the focus from nobody.
 */
export function Awaited({ children, onLeave }: AwaitedProps) {
  const [meanwhile] = useState<Meanwhile>(() => ({ text: "", isLeft: false, before: focused() }));
  return (
    <Suspense fallback={<Keeps meanwhile={meanwhile} onLeave={onLeave} />}>
      <Waiting value={meanwhile}>{children}</Waiting>
    </Suspense>
  );
}

/** Has the focus in place of what is being loaded, and keeps what is typed. */
function Keeps({ meanwhile, onLeave }: { meanwhile: Meanwhile; onLeave: AwaitedProps["onLeave"] }) {
  return (
    <input
      autoFocus
      aria-label="It is being loaded; what is typed is kept for it"
      className="sr-only"
      autoComplete="off"
      onFocus={() => {
        meanwhile.text = "";
        meanwhile.isLeft = false;
      }}
      onChange={(event) => {
        meanwhile.text = event.target.value;
      }}
      onBlur={() => {
        meanwhile.isLeft = true;
        onLeave?.("elsewhere");
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === "Escape") onLeave?.("escape");
      }}
    />
  );
}
