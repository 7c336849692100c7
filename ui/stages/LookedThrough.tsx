"use client";
import { FieldRow, TextField } from "../fields/fields";
import { useOpenPiece } from "../piece/PieceProvider";

/** Where the rack holds more of a wood than a plan looks through: how many it looks through, and the way to bring a certain board in. */
export function LookedThrough() {
  const { rack, rackTotal, alsoLookAt } = useOpenPiece();
  if (rackTotal <= rack.length) return null;
  return (
    <section aria-label="Boards looked through" className="border-t border-hairline pt-2">
      <p className="text-[13.5px]" data-looked={rack.length} data-total={rackTotal}>
        {rack.length.toLocaleString("en")} of {rackTotal.toLocaleString("en")} boards of this wood are looked through:
        those this piece uses, then a fair sample of the free ones.
      </p>
      <FieldRow>
        <TextField label="Look at this board too" value="" onTake={(typed) => alsoLookAt(typed.trim())} />
      </FieldRow>
    </section>
  );
}
