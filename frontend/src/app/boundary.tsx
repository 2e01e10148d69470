import { Component, type ReactNode } from "react";
import { Button } from "../ui/controls";

/** A view that cannot be drawn, because its part was not loaded or because of a fault of ours, says so; what is entered elsewhere stays. */
export class Boundary extends Component<{ children: ReactNode; at: string }, { error: Error | null }> {
  override state: { error: Error | null } = { error: null };
  static getDerivedStateFromError(error: Error) {
    return { error };
  }
  override componentDidUpdate(before: { at: string }) {
    if (before.at !== this.props.at && this.state.error) this.setState({ error: null });
  }
  override render() {
    const { error } = this.state;
    if (!error) return this.props.children;
    const notLoaded = /dynamically imported module|import|fetch|load/i.test(error.message);
    return (
      <div className="mx-auto max-w-prose px-4 py-8" role="alert">
        <h1 className="text-2xl">This page is not here</h1>
        <p className="py-2">
          {notLoaded
            ? "It has not been loaded on this device, and the server cannot be reached. What you have entered elsewhere stays as it is."
            : "Something went wrong on our side while it was drawn. What you have entered elsewhere stays as it is."}
        </p>
        <p className="pb-3 text-sm text-faded">{error.message}</p>
        <Button tone="ink" onClick={() => window.location.reload()}>
          Load it again
        </Button>
      </div>
    );
  }
}
