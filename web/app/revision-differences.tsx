import useSWR from "swr";
import { type Difference, differencesOf, placesOf } from "../../core/index.js";
import { request } from "../data/request.js";
import { framePath, type HeadAnswer } from "../data/frame-path.js";
import { useEditing, useOpenFrame } from "./open-frame.js";
import { useChosen } from "./place.js";

const useRevision = (id: string, number: number) =>
  useSWR(number > 0 ? [framePath(id), "revision", number] : null, ([path]) =>
    request<HeadAnswer>(`${path}/revisions/${number}`).then(({ frame }) => frame),
  );

const most = 60;

/** What a revision changed, and what was changed from it until now, in plain words. */
export default function RevisionDifferences({ number, onGo }: { number: number; onGo: () => void }) {
  const opened = useOpenFrame();
  const id = useEditing((edited) => edited.id);
  const frame = useEditing((edited) => edited.frame);
  const [, choose] = useChosen();
  const at = useRevision(id, number);
  const before = useRevision(id, number - 1);
  if (at.error || before.error) return <p className="py-2 text-clay">This revision cannot be read now.</p>;
  if (!at.data || (number > 1 && !before.data)) return <p className="py-2 text-ink-2">Comparing …</p>;
  const lists: [string, Difference[]][] = [
    ["This change", before.data ? differencesOf(before.data, at.data) : [{ id: null, says: "the frame as it came" }]],
    ["From here until now", differencesOf(at.data, frame)],
  ];
  return (
    <div className="grid grid-cols-2 gap-4 pb-3 pl-11">
      {lists.map(([title, list]) => (
        <section key={title} aria-label={title}>
          <h3 className="font-semibold">
            {title}{" "}
            <span className="font-normal text-ink-2">{list.length === 0 ? "nothing is other" : list.length}</span>
          </h3>
          <ul className="max-h-56 overflow-auto">
            {list.slice(0, most).map(({ id: node, says }, i) => (
              <li key={i}>
                {node !== null && Object.hasOwn(frame.nodes, node) ? (
                  <button
                    type="button"
                    className="text-left hover:underline"
                    onClick={() => {
                      opened.selection.showPanel(null);
                      choose({ id: node, parent: placesOf(frame, node)[0] ?? null });
                      onGo();
                    }}
                  >
                    {says}
                  </button>
                ) : (
                  says
                )}
              </li>
            ))}
            {list.length > most && <li className="text-ink-2">and {list.length - most} more</li>}
          </ul>
        </section>
      ))}
    </div>
  );
}
