import type { SeenOn } from "../walk/report.js";
import type { Watched } from "../walk/sightings.js";
import type { Checked, CheckedView, Found } from "./rule.js";

/** What was seen while the views were walked: for each screen one finding, shown where it takes the fewest events. */
export const seenWhileWalking = (
  { views }: Checked,
  what: Watched,
  tell: (seen: SeenOn, view: CheckedView) => Found | null,
): Found[] =>
  views.flatMap((view) =>
    (view.walk?.seen ?? []).flatMap((seen) => {
      const found = seen.what === what ? tell(seen, view) : null;
      const { beginning, events } = seen;
      const show = { beginning, events, where: { target: view.target, band: view.band } };
      return found ? [{ views: [view], show, ...found }] : [];
    }),
  );
