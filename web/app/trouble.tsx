import { Link, useRouteError } from "react-router";

/** What is shown when the page itself broke, or an address leads nowhere. */
export function Trouble() {
  const error = useRouteError();
  const missing = error !== null && typeof error === "object" && "status" in error && error.status === 404;
  return (
    <main className="grid h-dvh place-items-center bg-page p-8">
      <div role="alert" className="max-w-120 rounded-md border border-ink bg-plate-1 p-6">
        <h1 className="text-[17px] font-bold">{missing ? "There is nothing at this address" : "The page broke"}</h1>
        <p className="my-2 text-ink-2">
          {missing
            ? "It may have been mistyped."
            : "What you changed is kept: saved changes on the server, others in this browser, sent when the frame is opened again."}
        </p>
        {!missing && error instanceof Error && (
          <pre className="mono mb-3 overflow-auto rounded-sm bg-plate-2 p-2">{error.message}</pre>
        )}
        <Link to="/" className="font-semibold text-petrol underline" reloadDocument>
          To the shelf
        </Link>
      </div>
    </main>
  );
}
