import type { FileState } from "../data/file.js";

const most = 3;

/** What is the matter with the file a frame is worked on in, what was kept, and what to do. */
export default function FileTrouble({ file }: { file: FileState }) {
  return (
    <section role="alert" className="shrink-0 border-b border-clay bg-clay-soft px-4 py-2" title={file.path}>
      {file.is === "broken" && (
        <>
          <p>
            <b>{file.name} cannot be used as it is now.</b> The last good frame stays, the file is left alone, and
            changes made here are kept and written to it once it can be read again.
          </p>
          <ul className="mt-1 flex flex-col gap-0.5">
            {file.faults.slice(0, most).map((fault, i) => (
              <li key={i}>
                <span className="mono rounded-sm bg-plate-2 px-1">{fault.pointer || "/"}</span> received{" "}
                {fault.received}; expected {fault.expected}. {fault.remedy}
              </li>
            ))}
            {file.faults.length > most && <li>and {file.faults.length - most} more</li>}
          </ul>
        </>
      )}
      {file.is === "gone" && (
        <p>
          <b>{file.name} is gone.</b> The frame is kept here with all its changes; the next change writes the file anew.
        </p>
      )}
      {file.is === "out of reach" && (
        <p>
          <b>{file.name} cannot be reached:</b> {file.why}. Changes are kept here and written to it once it can be.
        </p>
      )}
    </section>
  );
}
