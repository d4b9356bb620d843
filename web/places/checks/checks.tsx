import { useEffect, useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { type Played, type ToldFinding } from "../../../core/index.js";
import { useChecks, useEditing, useOpenFrame } from "../../app/open-frame.js";
import { type Shelf, FindingList, isIn } from "./finding-list.js";
import { Proofs } from "./proofs.js";
import { Taps } from "./taps.js";
import { keyOf } from "../../data/finding-key.js";
import { usePlaying } from "./use-playing.js";
import { WalkLine } from "./walk-line.js";

/** What is proved, what is wrong with the app as a person would suffer it, and how far each screen is. */
export default function Checks() {
  const { checks } = useOpenFrame();
  useEffect(() => checks.begin(), [checks]);
  const frame = useEditing((edited) => edited.frame);
  const checked = useChecks((all) => all);
  const { walked, told, mended, isFresh } = checked;
  const { findings } = told;
  const [shelf, setShelf] = useState<Shelf | null>(null);
  const [params] = useSearchParams();
  const asked = params.get("finding");
  const [chosen, setChosen] = useState<string | null>(asked);
  const playing = usePlaying(frame);
  const walks = useMemo(() => walked?.report.walks ?? [], [walked]);

  const called = findings.find((finding) => keyOf(finding) === asked);
  const isCalled = useRef(false);
  useEffect(() => {
    // what was come here for is shown once, as soon as it is known
    if (!called || isCalled.current) return;
    isCalled.current = true;
    if (called.show) playing.play(called.show);
  }, [called, playing]);
  const shown =
    shelf ??
    called?.severity ??
    (["fault", "doubt", "hint"] as const).find((each) => findings.some(isIn(each))) ??
    "fault";
  const choose = (finding: ToldFinding) => {
    setChosen(keyOf(finding));
    if (finding.show) playing.play(finding.show);
  };
  const show = (played: Played) => {
    setChosen(null);
    playing.play(played);
  };
  return (
    <main aria-label="Checks" className="flex min-w-0 grow flex-col gap-3 overflow-auto bg-page p-3.5">
      <WalkLine frame={frame} checked={checked} />
      <Proofs frame={frame} report={walked?.report ?? null} onShow={show} />
      <FindingList
        frame={frame}
        findings={findings}
        stale={isFresh ? told.stale : []}
        mended={mended}
        shelf={shown}
        onShelf={setShelf}
        chosen={chosen}
        onChoose={choose}
        playing={playing}
        isLooking={checked.looked === null && !checked.failed}
        isWalking={walked === null && !checked.failed}
      />
      <Taps frame={frame} walks={walks} onShow={show} />
    </main>
  );
}
