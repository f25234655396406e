"use client";

import { Button } from "antd";
import { Component, type ReactNode } from "react";
import styles from "./Boundary.module.css";

interface Props {
  children: ReactNode;
  heading: string;
  /** What became of the rest. */
  words: ReactNode;
  /** The way back: what was kept from falling is put up again, or what is given is done. */
  back: string;
  onBack?: () => void;
}

interface State {
  stopped: boolean;
}

/** Keeps a part that throws from taking the rest with it. */
export class Boundary extends Component<Props, State> {
  state: State = { stopped: false };

  static getDerivedStateFromError(): State {
    return { stopped: true };
  }

  render(): ReactNode {
    const { children, heading, words, back, onBack } = this.props;
    if (!this.state.stopped) return children;
    return (
      <main className={styles.stopped} role="alert">
        <h1>{heading}</h1>
        <p>{words}</p>
        <Button onClick={onBack ?? (() => this.setState({ stopped: false }))}>{back}</Button>
      </main>
    );
  }
}
