import { useMemo, useState } from "react";
import {
  freeIdIn,
  type Frame,
  type Id,
  motionIds,
  type NamedMotion,
  readMotionTokens,
  type TokensRead,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { framePath, type HeadAnswer } from "../../data/frame-path.js";
import { useShelf } from "../../data/shelf.js";
import { ProblemError } from "../../data/problem.js";
import { request } from "../../data/request.js";
import { Button } from "../../parts/button.js";
import { Check } from "../../parts/check.js";
import { ChooseFile } from "../../parts/choose-file.js";
import { PanelDialog } from "../../parts/panel-dialog.js";
import { Select } from "../../parts/select.js";
import { MiniCurve } from "./mini-curve.js";

export interface BringInDialogProps {
  frame: Frame;
  id: string;
  onClose: () => void;
  onBrought: (first: Id) => void;
}

const mostBytes = 4 * 1024 * 1024;
const mostTold = 12;

/** Motions of another frame, as it is on the shelf. */
const motionsOf = async (id: string): Promise<TokensRead> => {
  const { frame } = await request<HeadAnswer>(framePath(id));
  const motions = Object.entries(frame.motions ?? {}).map(([each, motion]) => ({ id: each, motion }));
  const left = motions.length ? [] : [{ pointer: "", why: `${frame.name} has no motions of its own` }];
  return { motions, left };
};

/** What was read, which of it is wanted, and bringing that into the frame. */
const useBringIn = ({ frame, onClose, onBrought }: BringInDialogProps) => {
  const { editing } = useOpenFrame();
  const [read, setRead] = useState<TokensRead | null>(null);
  const [without, setWithout] = useState<ReadonlySet<Id>>(new Set());
  const take = async (work: () => Promise<TokensRead>) => {
    setWithout(new Set());
    try {
      setRead(await work());
    } catch (error) {
      const why = error instanceof ProblemError ? `${error.title} ${error.detail}` : "it cannot be read";
      setRead({ motions: [], left: [{ pointer: "", why }] });
    }
  };
  const chosen = useMemo(() => read?.motions.filter((each) => !without.has(each.id)) ?? [], [read, without]);
  const bring = () => {
    const taken = new Set(motionIds(frame));
    const named = chosen.map((each): NamedMotion => {
      const free = taken.has(each.id) ? freeIdIn({ ...frame, nodes: {} }, each.motion.name, taken) : each.id;
      taken.add(free);
      return { ...each, id: free };
    });
    const motions = { ...frame.motions, ...Object.fromEntries(named.map(({ id: each, motion }) => [each, motion])) };
    const label = named.length === 1 ? `brings in ${named[0]?.motion.name ?? ""}` : `brings in ${named.length} motions`;
    const [first] = named;
    if (editing.edit({ kind: "setFrame", key: "motions", value: motions }, label) || !first) return;
    onBrought(first.id);
    onClose();
  };
  return { read, take, without, setWithout, chosen, bring };
};

const readFile = async (file: File): Promise<TokensRead> =>
  file.size > mostBytes
    ? { motions: [], left: [{ pointer: "", why: `${file.name} is larger than 4 MB` }] }
    : readMotionTokens(await file.text());

/** Brings in motions from a file of design tokens or from another frame: what they come to is seen before anything changes. */
export default function BringInDialog(props: BringInDialogProps) {
  const { id, onClose } = props;
  const { data: shelf = [] } = useShelf();
  const [from, setFrom] = useState("");
  const { read, take, without, setWithout, chosen, bring } = useBringIn(props);
  const others = shelf.filter((row) => row.id !== id && row.deleted === null);
  return (
    <PanelDialog
      title="Bring in motions"
      says="from a file of design tokens, or from another frame"
      open
      onClose={onClose}
    >
      <div className="flex flex-col gap-3">
        <div className="flex flex-wrap items-center gap-2">
          <ChooseFile
            label="A file of design tokens"
            accept=".json,.tokens,application/json"
            onFile={(file) => void take(() => readFile(file))}
          />
          <span className="text-ink-2">or from</span>
          <Select
            label="Another frame"
            className="w-56"
            value={from}
            options={[
              { value: "", label: others.length ? "another frame …" : "no other frame is there" },
              ...others.map((row) => ({ value: row.id, label: row.name })),
            ]}
            onChange={(other) => {
              setFrom(other);
              if (other) void take(() => motionsOf(other));
            }}
          />
        </div>
        {read && <Found read={read} without={without} onWithout={setWithout} />}
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Close</Button>
          <Button tone="strong" disabled={chosen.length === 0} onClick={bring}>
            Bring in {chosen.length || ""}
          </Button>
        </div>
      </div>
    </PanelDialog>
  );
}

interface FoundProps {
  read: TokensRead;
  without: ReadonlySet<Id>;
  onWithout: (without: ReadonlySet<Id>) => void;
}

/** The motions that were found, and what could not be taken. */
function Found({ read: { motions, left }, without, onWithout }: FoundProps) {
  const toggle = (id: Id, is: boolean) => {
    const next = new Set(without);
    if (is) next.delete(id);
    else next.add(id);
    onWithout(next);
  };
  return (
    <div className="flex flex-col gap-2">
      <ul aria-label="Found" className="flex flex-col">
        {motions.map(({ id, motion }) => (
          <li key={id} className="flex items-center gap-3 border-b border-rule py-1">
            <Check checked={!without.has(id)} onChange={(is) => toggle(id, is)}>
              {motion.name}
            </Check>
            <span className="grow" />
            <MiniCurve motion={motion} />
          </li>
        ))}
      </ul>
      {left.length > 0 && (
        <div role="alert" className="rounded-sm bg-clay-soft px-2.5 py-1.5">
          <p className="font-semibold">Not taken</p>
          <ul>
            {left.slice(0, mostTold).map(({ pointer, why }) => (
              <li key={`${pointer} ${why}`}>
                <span className="mono text-[12px]">{pointer || "the whole"}</span>: {why}
              </li>
            ))}
            {left.length > mostTold && <li>and {left.length - mostTold} more</li>}
          </ul>
        </div>
      )}
    </div>
  );
}
