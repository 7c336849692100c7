"use client";
import { Component, ReactNode, Suspense } from "react";

interface Given {
  /** what is shown instead */ instead: ReactNode;
  /** tried again whenever this changes */ at: unknown;
  children: ReactNode;
}

/** Holds what can't be drawn to its own place: the rest of the page stands, on the server and in the browser. */
export function Guarded({ instead, at, children }: Given) {
  return (
    <Boundary instead={instead} at={at}>
      <Suspense fallback={null}>{children}</Suspense>
    </Boundary>
  );
}

class Boundary extends Component<Given, { failedAt: unknown; failed: boolean }> {
  state = { failed: false, failedAt: null as unknown };
  static getDerivedStateFromError() {
    return { failed: true };
  }
  componentDidCatch() {
    this.setState({ failedAt: this.props.at });
  }
  componentDidUpdate() {
    if (this.state.failed && this.state.failedAt !== null && this.state.failedAt !== this.props.at)
      this.setState({ failed: false, failedAt: null });
  }
  render() {
    return this.state.failed ? this.props.instead : this.props.children;
  }
}
