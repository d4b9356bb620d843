import { useState } from "react";
import {
  caseOf,
  factsOf,
  type Frame,
  freeCaseId,
  linkTo,
  type Trial,
  type Tried,
  valueWord,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { Awaited } from "../../parts/awaited.js";
import { Button } from "../../parts/button.js";
import { Choice } from "../../parts/choice.js";
import { chosenValue, factOptions } from "../../parts/fact-options.js";
import { later } from "../../parts/later.js";

const QrCode = later(() => import("./qr-code.js"));

export interface TryLineProps {
  frame: Frame;
  link: string;
  trial: Trial;
  tried: Tried;
  onType: (link: string) => void;
  onTrial: (trial: Trial) => void;
}

/** The line any link is tried in, and what it comes to: an app that runs or not, with what facts. */
export function TryLine(props: TryLineProps) {
  const { frame, link, trial, tried, onType, onTrial } = props;
  const isFault = tried.target.kind === "ignored";
  return (
    <div className="flex flex-wrap items-center gap-x-2.5 gap-y-2 px-4 py-2.5">
      <input
        aria-label="Link to try"
        autoComplete="off"
        spellCheck={false}
        value={link}
        aria-invalid={isFault || undefined}
        className={`mono h-9 min-w-64 grow basis-80 rounded-sm border bg-plate-2 px-2.5 text-[13px] ${isFault ? "border-clay" : "border-ink"}`}
        onChange={(event) => onType(event.target.value)}
        onKeyDown={(event) => event.stopPropagation()}
      />
      <span className="flex">
        <Choice
          label="Is the app running?"
          value={trial.start}
          options={[
            { value: "cold", label: "cold", says: "the app was not running: its way is laid" },
            { value: "running", label: "running", says: "the app runs, on the screen it lands on" },
          ]}
          onChange={(start) => onTrial({ ...trial, start })}
        />
      </span>
      {factsOf(frame).map((fact) => (
        <span key={fact.id} className="flex items-center gap-1.5">
          <span className="text-ink-2">{fact.label}</span>
          <Choice
            label={fact.label}
            value={String(trial.facts[fact.id])}
            options={factOptions(fact, valueWord)}
            onChange={(next) => onTrial({ ...trial, facts: { ...trial.facts, [fact.id]: chosenValue(fact, next) } })}
          />
        </span>
      ))}
      <Deeds {...props} isFault={isFault} />
    </div>
  );
}

/** What can be done with the link. */
function Deeds({ frame, link, trial, tried, isFault }: TryLineProps & { isFault: boolean }) {
  const opened = useOpenFrame();
  const [code, setCode] = useState(false);
  const whole = tried.target.kind === "screen" && link.startsWith("/") ? linkTo(frame.address, link) : link;
  const keep = () => {
    const id = freeCaseId(frame, tried.snapshot.top ?? "link");
    const value = [...(frame.linkCases ?? []), caseOf(frame, id, link, trial)];
    opened.editing.edit({ kind: "setFrame", key: "linkCases", value }, `Keep the case ${link.slice(0, 60)}`);
  };
  return (
    <>
      <span className="flex items-center gap-1">
        <Button
          onClick={() => opened.live.follow(link, trial)}
          title="Follows the link on the device beside, with these facts"
        >
          On the device
        </Button>
        <Button
          onClick={keep}
          disabled={isFault}
          title="Keeps how the link comes out now as a case: it turns red when that changes"
        >
          Keep
        </Button>
        <Button
          icon="qr-code"
          aria-label="QR code of the link"
          title="QR code of the link"
          onClick={() => setCode(true)}
        />
      </span>
      {code && (
        <Awaited onLeave={() => setCode(false)}>
          <QrCode text={whole} onClose={() => setCode(false)} />
        </Awaited>
      )}
    </>
  );
}
