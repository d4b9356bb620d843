import { type ReactNode, Suspense, useEffect, useMemo, useState } from "react";
import { Link, Navigate, useParams } from "react-router";
import { CompanionRoom } from "../companion/companion-room.js";
import { ProblemError } from "../data/problem.js";
import { request } from "../data/request.js";
import { OpenFrame } from "../data/open-frame.js";
import { framePath, type HeadAnswer } from "../data/frame-path.js";
import { Button } from "../parts/button.js";
import { beside, later } from "../parts/later.js";
import { loadAhead } from "../parts/loadable.js";
import { Part } from "../parts/part.js";
import { RefusalsProvider } from "../parts/refusals.js";
import { Plan } from "../places/plan/plan.js";
import { Notices } from "./notices.js";
import { OpenFrameProvider, useEditing, useFollowing } from "./open-frame.js";
import { OwnIconsOfFrame } from "./own-icons.js";
import { useChosenInAddress } from "./place.js";
import { hasOwnDevices, isPlace, type PlaceId, places, usePlace } from "./places.js";
import { Said } from "./said.js";
import { TopLine } from "./top-line.js";
import { useKeepTyped } from "./use-keep-typed.js";
import { useNoFileAway } from "./use-no-file-away.js";
import { useFullDevice } from "./use-full-device.js";
import { useUndoKeys } from "./undo-keys.js";
import { usePanelInAddress, useViewInAddress, viewInAddress } from "./view-in-address.js";

/** A frame that is opened, or the reason why it is not open yet. While the server does not answer, it is asked again. */
const useOpening = (id: string): { opened: OpenFrame | null; problem: ProblemError | null } => {
  const [opened, setOpened] = useState<OpenFrame | null>(null);
  const [problem, setProblem] = useState<ProblemError | null>(null);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let gone = false;
    let again: ReturnType<typeof setTimeout> | undefined;
    setOpened(null);
    request<HeadAnswer>(framePath(id)).then(
      (head) => {
        if (gone) return;
        setProblem(null);
        setOpened(new OpenFrame(head, viewInAddress(new URLSearchParams(location.search))));
      },
      (error: unknown) => {
        if (gone || !(error instanceof ProblemError)) return;
        setProblem(error);
        if (error.status === 0) again = setTimeout(() => setTries((n) => n + 1), 2000);
      },
    );
    return () => {
      gone = true;
      clearTimeout(again);
    };
  }, [id, tries]);
  return { opened, problem };
};

/** One open frame: the line on top, a place of the work, and the companion beside it. */
export function FrameShell() {
  const { id = "" } = useParams();
  const { opened, problem } = useOpening(id);
  useEffect(() => {
    if (!isNarrow()) companion.begin();
  }, []);
  useFollowing(opened);
  if (!opened) return <NotOpen problem={problem} />;
  return (
    <OpenFrameProvider value={opened}>
      <RefusalsProvider value={opened.editing.refusalOf}>
        <OwnIconsOfFrame>
          <Workplace />
        </OwnIconsOfFrame>
      </RefusalsProvider>
    </OpenFrameProvider>
  );
}

/** What is shown while a frame is opened, or cannot be. */
function NotOpen({ problem }: { problem: ProblemError | null }) {
  return (
    <div className="grid h-dvh place-items-center bg-page p-8">
      {problem ? (
        <div role="alert" className="max-w-110 rounded-md border border-ink bg-plate-1 p-6">
          <h1 className="text-[17px] font-bold">{problem.title}</h1>
          <p className="mt-1 mb-4 text-ink-2">{problem.detail}</p>
          {problem.status === 0 ? (
            <p>It is asked again every two seconds.</p>
          ) : (
            <Link to="/" className="font-semibold text-petrol underline">
              To the shelf
            </Link>
          )}
        </div>
      ) : (
        <p className="text-ink-2">Opening the frame …</p>
      )}
    </div>
  );
}

/** What is loaded when it is first wanted is loaded ahead once the page has been still for so long, ms: the server may go away. */
const ahead = 4000;

/** The plan does not wait for the device beside it. */
const companion = beside(() => import("../companion/companion.js"), CompanionRoom);

/** Where there is no room for it the companion is folded at first. */
const isNarrow = () => innerWidth < 900;

const Links = later(() => import("../places/links/links.js"));

const Sizes = later(() => import("../places/sizes/sizes.js"));

const StatePlace = later(() => import("../places/state/state.js"));

const Motions = later(() => import("../places/motion/motion.js"));

const Checks = later(() => import("../places/checks/checks.js"));

const shown: Record<PlaceId, ReactNode> = {
  plan: <Plan />,
  links: <Links />,
  sizes: <Sizes />,
  state: <StatePlace />,
  motion: <Motions />,
  checks: <Checks />,
};

function Workplace() {
  useEffect(() => {
    const timer = setTimeout(loadAhead, ahead);
    return () => clearTimeout(timer);
  }, []);
  const [isFolded, setFolded] = useState<Readonly<Record<"beside" | "own", boolean>>>(() => ({
    beside: isNarrow(),
    own: true,
  }));
  useViewInAddress();
  useChosenInAddress();
  usePanelInAddress();
  useUndoKeys();
  useKeepTyped();
  useNoFileAway();
  const { place: asked } = useParams();
  const [at] = usePlace();
  const folds = hasOwnDevices(at) ? "own" : "beside";
  const fold = (is: boolean) => setFolded((now) => ({ ...now, [folds]: is }));
  const [isFull, setFull] = useFullDevice();
  const place = useMemo(() => shown[at], [at]);
  const placeName = places.find(({ id }) => id === at)?.label ?? at;
  const frame = useEditing((edited) => edited.frame);
  if (!isPlace(asked)) return <Navigate to={`../plan${location.search}`} relative="path" replace />;
  return (
    <div className="flex h-dvh min-w-0 flex-col bg-page">
      <Part name="The line on top" of={frame}>
        <TopLine />
      </Part>
      <Part name="What is told here" of={frame}>
        <Notices />
        {/* on the plan it is told by the bench, where one works */}
        {at !== "plan" && <Said />}
      </Part>
      <div className="relative flex min-h-0 grow">
        {/* under a device that fills the window the place goes on as it is, out of sight */}
        <div inert={isFull} className={isFull ? "invisible absolute inset-0 flex" : "contents"}>
          <Part name={`The place ${placeName}`} of={frame} className="grow">
            <Suspense fallback={<div className="grow" />}>{place}</Suspense>
          </Part>
        </div>
        {isFolded[folds] && !isFull ? (
          <div className="flex w-11 shrink-0 flex-col items-center border-l border-ink pt-2.5">
            <Button tone="quiet" icon="arrow-line-left" aria-label="Unfold the companion" onClick={() => fold(false)} />
          </div>
        ) : (
          <Part name="The companion" of={frame} className="w-80 shrink-0 border-l border-ink">
            <companion.Part isFull={isFull} onFull={setFull} onFold={() => fold(true)} />
          </Part>
        )}
      </div>
    </div>
  );
}
