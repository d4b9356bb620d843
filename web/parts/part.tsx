import { Component, type ReactNode } from "react";
import { Button } from "./button.js";

export interface PartProps {
  /** What a person calls this part of the page. */
  name: string;
  /** When this is another than before, a part that broke is tried anew. */
  of?: unknown;
  className?: string;
  children: ReactNode;
}

interface PartState {
  error: unknown;
  of: unknown;
}

/** A part of the page that may break and leave the others working: it says so in its place, and can be tried again. */
export class Part extends Component<PartProps, PartState> {
  override state: PartState = { error: null, of: this.props.of };

  static getDerivedStateFromError(error: unknown): Partial<PartState> {
    return { error: error ?? new Error("It does not say why.") };
  }

  static getDerivedStateFromProps({ of }: PartProps, state: PartState): Partial<PartState> | null {
    return of === state.of ? null : { of, error: null };
  }

  override render(): ReactNode {
    const { error } = this.state;
    if (error === null) return this.props.children;
    return (
      <div
        role="alert"
        className={`flex min-w-0 flex-col items-start gap-2 overflow-auto bg-clay-soft p-4 ${this.props.className ?? ""}`}
      >
        <p>
          <b>{this.props.name} broke.</b> The rest of the page works on, and nothing that was changed is lost. Undo the
          last change, or try it again.
        </p>
        <pre className="mono max-w-full overflow-auto rounded-sm bg-plate-2 p-2 text-[12px]">
          {error instanceof Error ? error.message : String(error)}
        </pre>
        <Button onClick={() => this.setState({ error: null })}>Try again</Button>
      </div>
    );
  }
}
