"use client";

import { Button } from "antd";
import { Component, type ReactNode } from "react";
import styles from "./Boundary.module.css";

interface State {
  stopped: boolean;
}

/** Keeps a view that throws from taking the rest with it: files are left as they are, and can be exported from the mat. */
export class Boundary extends Component<{ children: ReactNode }, State> {
  state: State = { stopped: false };

  static getDerivedStateFromError(): State {
    return { stopped: true };
  }

  render(): ReactNode {
    if (!this.state.stopped) return this.props.children;
    return (
      <main className={styles.stopped} role="alert">
        <h1>This view stopped</h1>
        <p>Your files are as they were. Other views go on, and Export is where it was.</p>
        <Button onClick={() => this.setState({ stopped: false })}>Show it again</Button>
      </main>
    );
  }
}
