import { Component, type ReactNode } from "react";
import { Button } from "../ui/parts";

interface Props {
  /** Another place begins anew. */
  at: string;
  children: ReactNode;
}

interface State {
  broken: boolean;
  at: string;
}

/** What goes wrong in drawing one place stays in that place: the rest of the interface goes on, and it can be tried again. */
export class Place extends Component<Props, State> {
  override state: State = { broken: false, at: this.props.at };

  static getDerivedStateFromError(): Partial<State> {
    return { broken: true };
  }

  static getDerivedStateFromProps(props: Props, state: State): Partial<State> | null {
    return props.at === state.at ? null : { at: props.at, broken: false };
  }

  override render() {
    if (!this.state.broken) return this.props.children;
    return (
      <section role="alert" className="max-w-xl">
        <h1 className="mb-2 text-[1.6rem]">This page could not be drawn</h1>
        <p className="mb-3">
          Nothing was lost: what you marked is kept on this device until the server has it. The rest of Vivid
          Roster goes on.
        </p>
        <Button look="primary" onClick={() => this.setState({ broken: false })}>
          Try again
        </Button>{" "}
        <Button onClick={() => window.location.reload()}>Load the page anew</Button>
      </section>
    );
  }
}
