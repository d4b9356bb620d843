import { type FormEvent, type ReactNode, useId, useState, useSyncExternalStore } from "react";
import { entry } from "../data/entry.js";
import { giveKey } from "../data/give-key.js";
import { ProblemError } from "../data/problem.js";
import { Button } from "../parts/button.js";

/** Asks for the key of the server where it wants one, over the page, which goes on as it is: what was changed meanwhile waits. */
export function KeyAsk({ children }: { children: ReactNode }) {
  const { refused } = useSyncExternalStore(entry.subscribe, entry.get);
  return (
    <>
      <div inert={refused !== null} className="contents">
        {children}
      </div>
      {refused && <Asking refused={refused} />}
    </>
  );
}

/** The key in what was pasted: it may be the whole address. */
const keyIn = (text: string): string => text.trim().replace(/^.*#key=/, "");

function Asking({ refused }: { refused: ProblemError }) {
  const [key, setKey] = useState("");
  const [problem, setProblem] = useState<ProblemError | null>(refused.status === 401 ? null : refused);
  const title = useId();
  const give = async (event: FormEvent) => {
    event.preventDefault();
    try {
      await giveKey(keyIn(key));
      // all that was refused is asked for again
      location.reload();
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setProblem(error);
    }
  };
  return (
    <div className="fixed inset-0 z-60 grid place-items-center bg-page p-8">
      <form
        role="dialog"
        aria-modal
        aria-labelledby={title}
        onSubmit={(event) => void give(event)}
        className="w-110 max-w-full rounded-md border border-ink bg-plate-1 p-6"
      >
        <h1 id={title} className="text-[17px] font-bold">
          This server asks for a key
        </h1>
        <p className="mt-1 text-ink-2">
          It was printed where the server was started. Paste it, or the whole address that was sent to you; this browser
          keeps it.
        </p>
        <KeyField
          value={key}
          problem={problem}
          onChange={(typed) => {
            setKey(typed);
            setProblem(null);
          }}
        />
        <div className="mt-4 flex justify-end">
          <Button tone="strong" type="submit" disabled={keyIn(key) === ""}>
            Open
          </Button>
        </div>
      </form>
    </div>
  );
}

interface KeyFieldProps {
  value: string;
  /** What is wrong with the key that was given last. */
  problem: ProblemError | null;
  onChange: (typed: string) => void;
}

/** The field for the key, with what is wrong with the one that was given under it. */
function KeyField({ value, problem, onChange }: KeyFieldProps) {
  const said = useId();
  return (
    <>
      <label className="mt-4 flex flex-col gap-1 font-semibold">
        Key
        <input
          autoFocus
          value={value}
          spellCheck={false}
          autoComplete="off"
          maxLength={600}
          aria-invalid={problem !== null || undefined}
          aria-describedby={problem ? said : undefined}
          onChange={(event) => onChange(event.target.value)}
          className={`mono h-8 rounded-sm border bg-plate-2 px-2 font-normal ${problem ? "border-clay" : "border-field"}`}
        />
      </label>
      {problem && (
        <p id={said} role="alert" className="mt-1 text-clay">
          ! {problem.title}. {problem.detail}
        </p>
      )}
    </>
  );
}
