import { type Frame, type Id, placesOf, plainName, nodeAt, compact } from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { Select } from "../../parts/select.js";
import { TextLine } from "../../parts/text-line.js";
import { type Wrong, wrongHosts, wrongScheme } from "../../parts/wrong.js";

type Address = NonNullable<Frame["address"]>;

/** What the app listens to as a whole: its scheme and hosts, what a link does while it runs, and where those go that lead nowhere. */
export function AppAddress({ frame }: { frame: Frame }) {
  const opened = useOpenFrame();
  const address = frame.address ?? {};
  const put = (change: { [K in keyof Address]?: Address[K] | undefined }, label: string) => {
    const next = compact<Address>({ ...address, ...change });
    opened.editing.edit({ kind: "setFrame", key: "address", ...(next && { value: next }) }, `Addresses: ${label}`);
  };
  return (
    <div
      role="group"
      aria-label="What the app listens to"
      className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-2"
    >
      <WordsLine
        label="Scheme"
        value={address.scheme ?? ""}
        wrong={wrongScheme}
        onDone={(text) => put({ scheme: text.trim() || undefined }, `the scheme ${text.trim() || "none"}`)}
      />
      <WordsLine
        label="Hosts"
        value={(address.hosts ?? []).join(" ")}
        wrong={wrongHosts}
        onDone={(text) => {
          const hosts = text.split(/[\s,;]+/).filter(Boolean);
          put({ hosts: hosts.length ? hosts : undefined }, `the hosts ${hosts.join(" ") || "none"}`);
        }}
      />
      <label className="flex items-center gap-1.5">
        <span className="text-ink-2">While it runs</span>
        <Select
          label="What a link does while the app runs"
          value={address.running ?? "open"}
          options={[
            { value: "open", label: "a link opens its screen" },
            { value: "rebuild", label: "a link lays its way anew" },
          ]}
          onChange={(running) =>
            put({ running: running === "open" ? undefined : "rebuild" }, `while it runs ${running}`)
          }
        />
      </label>
      <Lost
        frame={frame}
        onChange={(lost) =>
          put({ lost }, lost ? `${plainName(frame, lost)} for what leads nowhere` : "what leads nowhere is ignored")
        }
      />
    </div>
  );
}

interface WordsLineProps {
  label: string;
  value: string;
  wrong: Wrong;
  onDone: (text: string) => void;
}

function WordsLine({ label, ...line }: WordsLineProps) {
  return (
    <label className="flex min-w-0 flex-wrap items-center gap-x-1.5">
      <span className="text-ink-2">{label}</span>
      <span className="w-32">
        <TextLine className="mono text-[12px]" placeholder="none" {...line} />
      </span>
    </label>
  );
}

/** Where links go that lead nowhere. */
function Lost({ frame, onChange }: { frame: Frame; onChange: (screen: Id | undefined) => void }) {
  const screens = Object.keys(frame.nodes).filter(
    (id) => nodeAt(frame, id).kind === "screen" && placesOf(frame, id).length > 0,
  );
  return (
    <label className="flex items-center gap-1.5">
      <span className="text-ink-2">Leads nowhere</span>
      <Select
        label="The screen for links that lead nowhere"
        className="max-w-44"
        value={frame.address?.lost ?? ""}
        options={[
          { value: "", label: "is ignored" },
          ...screens.map((id) => ({ value: id, label: plainName(frame, id) })),
        ]}
        onChange={(lost) => onChange(lost || undefined)}
      />
    </label>
  );
}
