"use client";

import { Input } from "antd";
import { useState } from "react";
import { proposedNames, type Palette, type PaletteValue } from "@/core";
import { Dialog } from "../shared/Dialog";
import { plural } from "../shared/numbers";
import { useEngine } from "../workspace/context";
import { Problem } from "../shared/Problem";
import type { Proposal } from "../workspace/WriteChanges";
import styles from "./Colors.module.css";
import { unwaited } from "../shared/unwaited";

interface Props {
  open: boolean;
  values: readonly PaletteValue[];
  palette: Palette;
  onClose(): void;
  onPropose(proposal: Proposal): void;
}

/** Gives a colour a name of its own; all its uses then refer to it. */
export function Naming({ open, values, palette, onClose, onPropose }: Props) {
  const engine = useEngine();
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [first] = values;
  const proposals = first
    ? proposedNames(first.value, first.roles, new Set(palette.properties.map(({ name }) => name)))
    : [];
  const name = typed ?? proposals[0] ?? "--";
  // A colour that already has a name is referred to there; its definition stays.
  const spots = values
    .filter(({ css }) => css !== null && css === first?.css)
    .flatMap(({ uses }) => uses)
    .filter(({ role }) => role !== "named");
  const close = () => {
    setTyped(null);
    setProblem(null);
    onClose();
  };
  const propose = async () => {
    const result = await engine.nameColor(spots, name.trim());
    if (result.problem) return setProblem(result.problem);
    close();
    onPropose({ title: `Name ${first!.value} ${name}`, changes: result.changes });
  };
  return (
    <Dialog
      open={open}
      title={`A name for ${first?.value ?? "a colour"}`}
      onCancel={close}
      onOk={() => unwaited(propose())}
      okText="Show what changes"
      cancelText="Leave as it is"
      okButtonProps={{ disabled: spots.length === 0 }}
      destroyOnHidden
    >
      <div className={styles.form}>
        <label>
          Name
          <Input
            className="mono"
            aria-label="Name"
            value={name}
            spellCheck={false}
            onChange={(event) => setTyped(event.target.value)}
            onPressEnter={() => unwaited(propose())}
            status={problem ? "error" : undefined}
            aria-invalid={problem !== null}
            aria-describedby="naming-why"
          />
        </label>
        <Problem id="naming-why">{problem}</Problem>
        <p>
          {proposals.map((one) => (
            <button key={one} type="button" className="chip mono" onClick={() => setTyped(one)}>
              {one}
            </button>
          ))}
        </p>
        <p>
          {plural(spots.length, "use")} will refer to it.
          {values.some(({ css }) => css !== first?.css) && " Only values of the first selected colour are named."}
        </p>
      </div>
    </Dialog>
  );
}
