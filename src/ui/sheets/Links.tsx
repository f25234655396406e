"use client";

import { Input } from "antd";
import { useId, useState } from "react";
import type { SheetCell, SheetTableRow } from "@/core";
import { Dialog } from "../shared/Dialog";
import { Menu } from "../shared/Menu";
import { unwaited } from "../shared/unwaited";
import type { SheetsEdit } from "../workspace/useSheetProposal";
import styles from "./Sheets.module.css";

interface Props {
  row: SheetTableRow;
  pages: readonly string[];
  /** @returns why it cannot be done; null where it can */
  onEdit(edit: SheetsEdit): Promise<string | null>;
}

/** What is done to a sheet on all pages at once, or to it as a whole. */
export function Links({ row, pages, onEdit }: Props) {
  const [isUsing, setUsing] = useState(false);
  const { path, cells } = row;
  const linked = pages.filter((_, at) => cells[at]?.linked);
  const others = pages.filter((_, at) => cells[at] === null);
  const edit = (one: SheetsEdit) => () => unwaited(onEdit(one));
  return (
    <>
      <Menu group="sheet-links" className={styles.button} summary="More…" label={`${path} on all pages`}>
        {others.length > 0 && (
          <button type="button" onClick={edit({ kind: "link", sheet: path, pages: others })}>
            Link all pages to it
          </button>
        )}
        {linked.length > 0 && (
          <>
            <button type="button" onClick={edit({ kind: "move", sheet: path, pages: linked, by: -1 })}>
              Read it earlier
            </button>
            <button type="button" onClick={edit({ kind: "move", sheet: path, pages: linked, by: 1 })}>
              Read it later
            </button>
            <button type="button" onClick={() => setUsing(true)}>
              For whom it is…
            </button>
            <button type="button" onClick={edit({ kind: "unlink", sheet: path, pages: linked })}>
              Take it off all pages
            </button>
          </>
        )}
        <button type="button" onClick={edit({ kind: "delete", sheet: path })}>
          Delete it…
        </button>
      </Menu>
      {isUsing && (
        <Use
          path={path}
          now={cells.find((cell) => cell?.linked) ?? null}
          pages={linked}
          onClose={() => setUsing(false)}
          onEdit={onEdit}
        />
      )}
    </>
  );
}

interface UseProps extends Pick<Props, "pages" | "onEdit"> {
  path: string;
  /** As the first page that links to it has it. */
  now: SheetCell | null;
  onClose(): void;
}

/** Asks for the media condition, and whether the sheet is one that readers choose instead of others. */
function Use({ path, now, pages, onClose, onEdit }: UseProps) {
  const [media, setMedia] = useState(now?.media ?? "");
  const [alternative, setAlternative] = useState(now?.alternative ?? "");
  const [problem, setProblem] = useState<string | null>(null);
  const field = useId();
  const propose = async () => {
    const why = await onEdit({
      kind: "use",
      sheet: path,
      pages,
      media: media.trim() || null,
      alternative: alternative.trim() || null,
    });
    setProblem(why);
    if (why === null) onClose();
  };
  return (
    <Dialog
      open
      title={`For whom ${path} is`}
      okText="Look at it"
      cancelText="Cancel"
      onOk={() => unwaited(propose())}
      onCancel={onClose}
    >
      <div className={styles.use}>
        <label htmlFor={`${field}-media`}>Media condition; empty for everybody</label>
        <Input
          id={`${field}-media`}
          className="mono"
          placeholder="print"
          value={media}
          onChange={({ target }) => setMedia(target.value)}
          onPressEnter={() => unwaited(propose())}
        />
        <label htmlFor={`${field}-name`}>
          Name as an alternative that readers can choose; empty where it is always read
        </label>
        <Input
          id={`${field}-name`}
          value={alternative}
          onChange={({ target }) => setAlternative(target.value)}
          onPressEnter={() => unwaited(propose())}
        />
        <p className="fails" role="alert">
          {problem}
        </p>
      </div>
    </Dialog>
  );
}
