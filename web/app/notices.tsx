import { Suspense } from "react";
import { bringBack } from "../data/frame-path.js";
import { Button } from "../parts/button.js";
import { useEditing } from "./open-frame.js";
import { later } from "../parts/later.js";

const AsideList = later(() => import("./aside-list.js"));
const ClashList = later(() => import("./clash-list.js"));
const FileTrouble = later(() => import("./file-trouble.js"));

/** What stands in the way of the whole frame, above everything else, until it is settled. */
export function Notices() {
  const id = useEditing((edited) => edited.id);
  const deleted = useEditing((edited) => edited.deleted);
  const file = useEditing((edited) => edited.file);
  const clashes = useEditing((edited) => edited.clashes);
  const trouble = useEditing((edited) => edited.trouble);
  const aside = useEditing((edited) => edited.aside);
  const unkept = useEditing(
    (edited) =>
      (edited.isKept ? 0 : edited.waiting) + (edited.isUnsettledKept ? 0 : edited.aside.length + edited.clashes.length),
  );
  const mayChange = useEditing((edited) => edited.mayChange);
  return (
    <>
      {!mayChange && (
        <p role="status" className="shrink-0 border-b border-ink bg-petrol-soft px-4 py-1.5">
          <b>This frame is shown to be looked at.</b> Go through it, try the device; nothing can be changed from here.
        </p>
      )}
      {deleted && (
        <div role="alert" className="flex shrink-0 items-center gap-3 border-b border-clay bg-clay-soft px-4 py-2">
          <span className="grow">This frame was deleted. Nothing is lost: it can be brought back.</span>
          <Button onClick={() => void bringBack(id)}>Bring it back</Button>
        </div>
      )}
      {trouble && (
        <p role="alert" className="shrink-0 border-b border-clay bg-clay-soft px-4 py-2">
          {trouble}
        </p>
      )}
      {unkept > 0 && (
        <p role="alert" className="shrink-0 border-b border-clay bg-clay-soft px-4 py-2">
          <b>
            This browser has no room for {unkept === 1 ? "a change" : `${unkept} changes`} that the server does not
            have.
          </b>{" "}
          Leave this window open until it has: what waits would be gone with it.
        </p>
      )}
      <Suspense fallback={null}>
        {file && file.is !== "in step" && <FileTrouble file={file} />}
        {aside.length > 0 && <AsideList aside={aside} />}
        {clashes.length > 0 && <ClashList clashes={clashes} />}
      </Suspense>
    </>
  );
}
