"use client";

import { Segmented } from "antd";
import { useMemo, useState } from "react";
import { usualTwinDistance, type Palette, type PalettePair, type PaletteValue } from "@/core";
import { plural } from "../shared/numbers";
import { Reading, Space, View } from "../shared/View";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import { usePalette } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";
import { Charts } from "./Charts";
import styles from "./Colors.module.css";
import { Converter } from "./Converter";
import { Naming } from "./Naming";
import { PairGrid } from "./PairGrid";
import { PairPanel } from "./PairPanel";
import { Properties } from "./Properties";
import { RewriteMenu } from "./RewriteMenu";
import { Schemes } from "./Schemes";
import { ValueList } from "./ValueList";
import { ValuePanel } from "./ValuePanel";

type Aspect = "values" | "schemes";

const aspects = [
  { value: "values", label: "Values" },
  { value: "schemes", label: "Schemes" },
];

type Part = "pairs" | "properties" | "converter" | "charts";

const parts = [
  { value: "pairs", label: "Inks on grounds" },
  { value: "properties", label: "Custom properties" },
  { value: "converter", label: "Converter" },
  { value: "charts", label: "Charts" },
];

/** The Colours view: every value as written, and the inks against the grounds they stand on. */
export function Colors() {
  const palette = usePalette();
  const [current, setCurrent] = useState<string | null>(null);
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set());
  const [pair, setPair] = useState<PalettePair | null>(null);
  const [aspect, setAspect] = useState<Aspect>("values");
  const [within, setWithin] = useState(usualTwinDistance);
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const [naming, setNaming] = useState(false);
  const chosen = useMemo(() => palette?.values.filter(({ value }) => selected.has(value)) ?? [], [palette, selected]);
  if (!palette) return <Reading label="Colours" />;
  const { values } = palette;
  const value = values.find((one) => one.value === current) ?? values[0];
  return (
    <View
      label="Colours"
      className={styles.view}
      bar={
        <Bar
          {...{ values, chosen, aspect }}
          onAspect={setAspect}
          onPropose={setProposal}
          onName={value ? () => setNaming(true) : null}
        />
      }
    >
      {aspect === "schemes" && <Schemes />}
      {aspect === "values" && (
        <>
          <ValueList
            values={values}
            current={value?.value ?? null}
            selected={selected}
            within={within}
            onCurrent={(next) => {
              setCurrent(next);
              setPair(null);
            }}
            onSelected={setSelected}
            onWithin={setWithin}
            onPropose={setProposal}
          />
          <Parts {...{ palette, value, pair }} onPair={setPair} onCurrent={setCurrent} onPropose={setProposal} />
        </>
      )}
      <Naming
        open={naming}
        values={chosen.length || !value ? chosen : [value]}
        palette={palette}
        onClose={() => setNaming(false)}
        onPropose={setProposal}
      />
      <WriteChanges
        proposal={proposal}
        onClose={(wasWritten) => {
          setProposal(null);
          if (wasWritten) setSelected(new Set());
        }}
      />
    </View>
  );
}

interface BarProps {
  values: readonly PaletteValue[];
  /** Those that are selected. */
  chosen: readonly PaletteValue[];
  aspect: Aspect;
  onAspect(aspect: Aspect): void;
  onPropose(proposal: Proposal): void;
  /** Null where there is nothing to name. */
  onName: (() => void) | null;
}

function Bar({ values, chosen, aspect, onAspect, onPropose, onName }: BarProps) {
  const different = new Set(values.flatMap(({ css }) => css ?? [])).size;
  const written = new Set(values.map(({ notation }) => notation)).size;
  const picked = chosen.length ? chosen : values;
  return (
    <>
      <b>
        {plural(values.length, "value")}, {plural(different, "colour")}.
      </b>
      <span>
        Written in {plural(written, "notation")}. {chosen.length > 0 && `${plural(chosen.length, "value")} selected.`}
      </span>
      <Space />
      <Segmented
        value={aspect}
        options={aspects}
        onChange={(next) => onAspect(next as Aspect)}
        aria-label="What of the colours"
      />
      {aspect === "values" && (
        <>
          <RewriteMenu values={picked} all={chosen.length === 0} onPropose={onPropose} />
          <button type="button" className="chip" disabled={!onName} onClick={() => onName?.()}>
            Name as custom property
          </button>
        </>
      )}
    </>
  );
}

interface PartsProps {
  palette: Palette;
  /** The value that is looked at; missing where the site has none. */
  value: PaletteValue | undefined;
  pair: PalettePair | null;
  onPair(pair: PalettePair | null): void;
  onCurrent(value: string): void;
  onPropose(proposal: Proposal): void;
}

/** What is looked at of the colours beside their list. */
function Parts({ palette, value, pair, onPair, onCurrent, onPropose }: PartsProps) {
  const [part, setPart] = useState<Part>("pairs");
  const word = useWorkspace((state) => state.record?.name.split(/[\s_-]/)[0] || "Words");
  return (
    <div className={styles.right}>
      <Segmented
        value={part}
        options={parts}
        onChange={(next) => setPart(next as Part)}
        aria-label="Part of the view"
      />
      {part === "pairs" && (
        <>
          <PairGrid pairs={palette.pairs} word={word} current={pair} onCurrent={onPair} />
          {pair ? (
            <PairPanel pair={pair} palette={palette} onPropose={onPropose} />
          ) : (
            value && <ValuePanel value={value} onPropose={onPropose} />
          )}
        </>
      )}
      {part === "properties" && <Properties palette={palette} onCurrent={onCurrent} />}
      {part === "converter" && <Converter />}
      {part === "charts" && <Charts values={palette.values} />}
    </div>
  );
}
