"use client";

import { useAnswer } from "./answers";
import { useWorkspace } from "./context";
import { NewSheet } from "./NewSheet";
import { useSheetProposal } from "./useSheetProposal";
import { WriteChanges } from "./WriteChanges";

/** A new style sheet made on the spot, for the page that is shown unless others are chosen. @param onClose with its path once it is written */
export function MakeSheet({ onClose }: { onClose(made: string | null): void }) {
  const table = useAnswer("sheets");
  const page = useWorkspace((state) => state.page);
  const { proposal, propose, close } = useSheetProposal();
  if (!table) return null;
  const done = (written: boolean) => {
    close();
    onClose(written ? (proposal?.sheet ?? null) : null);
  };
  // While its changes are looked at, what was typed waits.
  if (proposal) return <WriteChanges proposal={proposal} onClose={done} />;
  const bare = table.rows.every(({ kind }) => kind !== "sheet");
  return (
    <NewSheet
      pages={table.pages}
      first={bare || page === null ? table.pages : [page]}
      onCancel={() => onClose(null)}
      onEdit={propose}
    />
  );
}
