import { Component, type ReactNode } from "react";

interface TroubleProps {
  children: ReactNode;
}

/** What is shown when the page itself broke: around everything, so it needs nothing of what may have. */
export class Trouble extends Component<TroubleProps, { error: unknown }> {
  override state: { error: unknown } = { error: null };

  static getDerivedStateFromError(error: unknown): { error: unknown } {
    return { error: error ?? new Error("It does not say why.") };
  }

  override render(): ReactNode {
    const { error } = this.state;
    if (error === null) return this.props.children;
    return (
      <TroubleBox title="The page broke">
        <p className="my-2 text-ink-2">
          What you changed is kept: saved changes on the server, others in this browser, sent when the frame is opened
          again.
        </p>
        {error instanceof Error && (
          <pre className="mono mb-3 overflow-auto rounded-sm bg-plate-2 p-2">{error.message}</pre>
        )}
      </TroubleBox>
    );
  }
}

/** Where an address leads nowhere. */
export function NothingHere() {
  return (
    <TroubleBox title="There is nothing at this address">
      <p className="my-2 text-ink-2">It may have been mistyped.</p>
    </TroubleBox>
  );
}

function TroubleBox({ title, children }: TroubleProps & { title: string }) {
  return (
    <main className="grid h-dvh place-items-center bg-page p-8">
      <div role="alert" className="max-w-120 rounded-md border border-ink bg-plate-1 p-6">
        <h1 className="text-[17px] font-bold">{title}</h1>
        {children}
        <a href="/" className="font-semibold text-petrol underline">
          To the shelf
        </a>
      </div>
    </main>
  );
}
