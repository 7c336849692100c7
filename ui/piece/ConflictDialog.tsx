"use client";
import { Dialog } from "radix-ui";
import { useState } from "react";
import type { Piece } from "../../core/piece/schema";
import { ask } from "../frame/ask";
import { differences } from "./differences";

export interface Conflict {
  revision: number;
  theirs: Piece;
  head: number;
  newest: number;
  mine: Piece;
}

/** Two people changed one piece: the second is told, sees what differs, and keeps both. */
export function ConflictDialog({
  id,
  conflict,
  onMine,
  onTheirs,
}: {
  id: string;
  conflict: Conflict;
  onMine: () => void;
  onTheirs: () => void;
}) {
  const [message, setMessage] = useState("");
  const changed = differences(conflict.theirs, conflict.mine);
  const keepBoth = async () => {
    const answer = await ask("POST", "/api/pieces", {
      kind: "import",
      text: JSON.stringify({ ...conflict.mine, name: `${conflict.mine.name.slice(0, 100)}, my version` }),
    });
    if (answer.ok) onTheirs();
    else setMessage(`The copy could not be made; your version is still here. ${answer.message}`);
  };
  return (
    <Dialog.Root open>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[#14201c66]" />
        <Dialog.Content
          className="fixed top-1/2 left-1/2 z-50 w-[620px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 border border-hairline bg-sheet p-6"
          data-piece={id}
        >
          <Dialog.Title asChild>
            <h1>Someone else saved this piece meanwhile</h1>
          </Dialog.Title>
          <Dialog.Description className="lede mt-1">
            Revision {conflict.revision} stands on the server. Nothing of yours was written over it, and nothing of
            yours is lost. The two differ here:
          </Dialog.Description>
          <table className="plain mt-3">
            <thead>
              <tr>
                <th>Field</th>
                <th>Theirs</th>
                <th>Yours</th>
              </tr>
            </thead>
            <tbody>
              {changed.slice(0, 8).map((each) => (
                <tr key={each.field}>
                  <td>{each.field}</td>
                  <td>{each.theirs}</td>
                  <td>{each.mine}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {changed.length > 8 && <p className="lede mt-1">and {changed.length - 8} more fields.</p>}
          <div className="mt-4 flex flex-wrap gap-2">
            <button className="button" onClick={() => void keepBoth()}>
              Open theirs, keep mine as a copy
            </button>
            <button className="button" onClick={onMine}>
              Go on with mine, theirs stays in the history
            </button>
          </div>
          {message && (
            <p role="alert" className="mt-2 text-fix">
              {message}
            </p>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
