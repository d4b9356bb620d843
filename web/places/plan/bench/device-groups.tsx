import {
  bandsOf,
  type Fact,
  factAtLaunch,
  factsOf,
  factValues,
  type Frame,
  type FrameField,
  freeIdIn,
  hasEdgeSwipe,
  hasSystemBack,
  type Target,
  targetsOf,
  lastOf,
  sure,
} from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import { Button } from "../../../parts/button.js";
import { Check } from "../../../parts/check.js";
import { Select } from "../../../parts/select.js";
import { readNames, wrongEmpty, wrongValues, wrongWhole } from "../../../parts/wrong.js";
import { TextLine } from "../../../parts/text-line.js";
import { Group, Line } from "./group.js";

const idFor = (frame: Frame, title: string, taken: readonly { id: string }[]): string =>
  freeIdIn({ ...frame, nodes: {} }, title, new Set(taken.map(({ id }) => id)));

/** The kinds of device the app runs on, the ranges of width it knows, and the facts it goes by. */
export default function DeviceGroups({ frame, onClose }: { frame: Frame; onClose: () => void }) {
  const opened = useOpenFrame();
  const set = (key: FrameField, value: unknown, label: string) =>
    void opened.editing.edit({ kind: "setFrame", key, ...(value !== undefined && { value }) }, label);
  const targets = targetsOf(frame);
  const bands = bandsOf(frame);
  const facts = factsOf(frame);

  const putTarget = (id: string, part: Partial<Target>, label: string) =>
    set(
      "targets",
      targets.map((target) => (target.id === id ? { ...target, ...part } : target)),
      label,
    );
  const putFact = (id: string, part: { [K in keyof Fact]?: Fact[K] | undefined }, label: string) =>
    set(
      "facts",
      facts.map((fact) => {
        if (fact.id !== id) return fact;
        const next: Record<string, unknown> = { ...fact, ...part };
        for (const key of Object.keys(next)) if (next[key] === undefined) delete next[key];
        return next;
      }),
      label,
    );

  return (
    <>
      <header className="flex h-10.5 shrink-0 items-center gap-2.5 border-b border-ink px-3">
        <h2 className="text-[15px] font-bold">Devices, widths and facts</h2>
        <p className="truncate text-ink-2">What the app is laid out for; each node can differ by these</p>
        <span className="grow" />
        <Button onClick={onClose}>Done</Button>
      </header>
      <div className="flex min-h-0 grow overflow-x-auto">
        <Group title="Targets" says="kinds of device, by how Back works there" wide room="min-w-72">
          {targets.map((target) => (
            <fieldset key={target.id} className="flex flex-col gap-1 border-b border-rule pb-1.5">
              <div className="flex items-center gap-1.5">
                <span className="mono w-14 shrink-0 truncate text-ink-2">{target.id}</span>
                <TextLine
                  aria-label={`Name of the target ${target.id}`}
                  value={target.label}
                  wrong={wrongEmpty}
                  onDone={(label) => putTarget(target.id, { label: label.trim().slice(0, 80) }, `Target ${label}`)}
                />
                <Button
                  tone="quiet"
                  icon="x"
                  aria-label={`Take out the target ${target.label}`}
                  disabled={targets.length === 1}
                  onClick={() =>
                    set(
                      "targets",
                      targets.filter(({ id }) => id !== target.id),
                      `Without ${target.label}`,
                    )
                  }
                />
              </div>
              <div className="flex flex-wrap gap-x-4 gap-y-1 pl-15">
                <Check
                  checked={hasSystemBack(target)}
                  onChange={(systemBack) =>
                    putTarget(
                      target.id,
                      { systemBack },
                      `${target.label}: a Back of its own ${systemBack ? "on" : "off"}`,
                    )
                  }
                >
                  Back of its own
                </Check>
                <Check
                  checked={hasEdgeSwipe(target)}
                  onChange={(edgeSwipe) =>
                    putTarget(target.id, { edgeSwipe }, `${target.label}: edge swipe ${edgeSwipe ? "on" : "off"}`)
                  }
                >
                  Edge swipe
                </Check>
              </div>
            </fieldset>
          ))}
          <Button
            icon="plus"
            className="self-start"
            onClick={() => {
              const swipes = targets.every(hasSystemBack);
              const label = swipes ? "Swipe-back phone" : "Back-key phone";
              const id = idFor(frame, swipes ? "swipe" : "key", targets);
              const made: Target = { id, label, systemBack: !swipes, edgeSwipe: swipes };
              set("targets", [...targets, made], `Add the target ${label}`);
            }}
          >
            Add a target
          </Button>
        </Group>
        <Group title="Widths" says="bands, by where they begin" wide>
          {bands.map((band) => (
            <div key={band.id} className="flex items-center gap-1.5">
              <span className="mono w-14 shrink-0 truncate text-ink-2">{band.id}</span>
              <TextLine
                inputMode="numeric"
                className="w-20!"
                aria-label={`Where ${band.id} begins, px`}
                disabled={band.from === 0}
                value={String(band.from)}
                wrong={wrongWhole(1, 10_000)}
                onDone={(text) =>
                  set(
                    "bands",
                    bands.map((each) => (each.id === band.id ? { ...each, from: Number(text) } : each)),
                    `${band.id} from ${text.trim()} px`,
                  )
                }
              />
              <span className="text-ink-2">px</span>
              <Button
                tone="quiet"
                icon="x"
                aria-label={`Take out the band ${band.id}`}
                disabled={band.from === 0}
                onClick={() =>
                  set(
                    "bands",
                    bands.filter(({ id }) => id !== band.id),
                    `Without ${band.id}`,
                  )
                }
              />
            </div>
          ))}
          <Button
            icon="plus"
            className="self-start"
            onClick={() => {
              const from = lastOf(bands).from + 320;
              const id = idFor(frame, "wide", bands);
              set("bands", [...bands, { id, from }], `Add a band from ${from} px`);
            }}
          >
            Add a band
          </Button>
          <Line label="Low is">
            <TextLine
              inputMode="numeric"
              className="w-20!"
              aria-label="A view lower than this is low, px"
              placeholder="never"
              wrong={wrongWhole(1, 10_000, true)}
              value={frame.short === undefined ? "" : String(frame.short)}
              onDone={(text) => {
                set("short", text.trim() === "" ? undefined : Number(text), `low under ${text} px`);
              }}
            />
            <span className="text-ink-2">px and less</span>
          </Line>
        </Group>
        <Group title="Facts" says="what is so of the person or the app" wide room="min-w-72">
          {facts.map((fact) => (
            <fieldset key={fact.id} className="flex flex-wrap items-center gap-1.5 border-b border-rule pb-1.5">
              <span className="mono w-20 shrink-0 truncate text-ink-2">{fact.id}</span>
              <span className="min-w-24 grow">
                <TextLine
                  aria-label={`Name of the fact ${fact.id}`}
                  value={fact.label}
                  wrong={wrongEmpty}
                  onDone={(label) => putFact(fact.id, { label: label.trim().slice(0, 80) }, `Fact ${label}`)}
                />
              </span>
              <Select
                label={`${fact.label} at the launch`}
                value={String(factAtLaunch(fact))}
                options={factValues(fact).map((value) => ({ value: String(value), label: String(value) }))}
                onChange={(text) => {
                  const launch = sure(factValues(fact).find((value) => String(value) === text));
                  putFact(fact.id, { launch }, `${fact.label} is ${text} at the launch`);
                }}
              />
              <Button
                tone="quiet"
                icon="x"
                aria-label={`Take out the fact ${fact.label}`}
                onClick={() => {
                  const rest = facts.filter(({ id }) => id !== fact.id);
                  set("facts", rest.length ? rest : undefined, `Without ${fact.label}`);
                }}
              />
              <Line label="Values">
                <TextLine
                  className="mono text-[12px]"
                  value={(fact.values ?? []).join(", ")}
                  placeholder="yes, no"
                  wrong={wrongValues}
                  onDone={(text) => {
                    const values = sure(readNames(text));
                    putFact(
                      fact.id,
                      { values: values.length ? values : undefined, launch: undefined },
                      `${fact.label} can be ${values.join(", ") || "yes or no"}`,
                    );
                  }}
                />
              </Line>
              <span className="w-full">
                <Check
                  checked={fact.lasting !== false}
                  onChange={(lasting) =>
                    putFact(
                      fact.id,
                      { lasting: lasting ? undefined : false },
                      `${fact.label} ${lasting ? "lasts" : "does not last"}`,
                    )
                  }
                >
                  Outlives the end of the app
                </Check>
              </span>
            </fieldset>
          ))}
          <Button
            icon="plus"
            className="self-start"
            onClick={() => {
              const id = idFor(frame, facts.length ? "fact" : "signedIn", facts);
              const label = facts.length ? "New fact" : "Signed in";
              set("facts", [...facts, { id, label }], `Add the fact ${label}`);
            }}
          >
            Add a fact
          </Button>
          <p className="text-ink-2">An action can be there only while a fact is so, and can set one.</p>
        </Group>
      </div>
    </>
  );
}
