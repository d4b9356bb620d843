import { useState } from "react";
import type { Aside } from "../data/aside.js";
import { Button } from "../parts/button.js";
import { Awaited } from "../parts/awaited.js";
import { copyText } from "../parts/copy-text.js";
import { later } from "../parts/later.js";
import { useOpenFrame } from "./open-frame.js";

const AsideMend = later(() => import("./aside-mend.js"));

/** Changes that the server could not store: each with the reason, to be tried again, looked at and mended, taken elsewhere or let go. */
export default function AsideList({ aside }: { aside: readonly Aside[] }) {
  const opened = useOpenFrame();
  const [mended, setMended] = useState<string | null>(null);
  const close = () => setMended(null);
  const looked = aside.find(({ key }) => key === mended);
  return (
    <section
      role="alert"
      aria-label="Changes the server could not store"
      className="max-h-60 shrink-0 overflow-auto border-b border-clay bg-clay-soft px-4 py-2"
    >
      <p>
        <b>
          {aside.length === 1 ? "A change" : `${aside.length} changes`} could not be stored and{" "}
          {aside.length === 1 ? "is" : "are"} set aside here.
        </b>{" "}
        Everything else is kept and sent.
      </p>
      <ul className="mt-1 flex flex-col gap-1">
        {aside.map((each) => (
          <li key={each.key} className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <span className="min-w-60 grow basis-0">
              <b>{each.label}</b>: {each.why}
            </span>
            <Button onClick={() => opened.editing.tryAgain(each)}>Try again</Button>
            <Button onClick={() => setMended(each.key)}>Look and mend</Button>
            <Button onClick={() => void copy(each).then((says) => opened.editing.say("plain", says))}>Copy it</Button>
            <Button tone="fault" onClick={() => opened.editing.letGo(each)}>
              Let it go
            </Button>
          </li>
        ))}
      </ul>
      {looked && (
        <Awaited onLeave={close}>
          <AsideMend key={looked.key} aside={looked} onClose={close} />
        </Awaited>
      )}
    </section>
  );
}

const copy = async ({ label, edit }: Aside): Promise<string> =>
  (await copyText(JSON.stringify({ label, edit }, null, 2)))
    ? `“${label}” is on the clipboard, as text.`
    : "The browser does not let the page copy here.";
