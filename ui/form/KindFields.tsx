"use client";
import { FILMS } from "../../core/movement/finish";
import { AS_THE_PIECE, FINISHES, KindChoice, OF_THE_PIECE } from "../../core/piece/kinds";
import { SPECIES } from "../../core/wood/species";
import { AutoNumberField } from "../fields/auto";
import { Choice, FieldRow } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

const AS = "as the piece";

/** Wood, moisture and finish of one kind of part, where they are not the piece's. */
export function KindFields({ kind, name }: { kind: string; name: string }) {
  const { piece, plan, ownSpecies } = usePiece();
  const { set } = useSet();
  if (OF_THE_PIECE.includes(kind)) return null;
  const now = piece.kinds[kind] ?? AS_THE_PIECE;
  const put = (what: string, change: Partial<KindChoice>) =>
    set(`${name}: ${what}`, ["kinds", kind], { ...now, ...change });
  const finishName = (id: string) => FILMS.find((film) => film.id === id)?.name ?? id;
  return (
    <FieldRow>
      <Choice
        label={`${name}: wood`}
        value={now.species ?? AS}
        options={[
          { value: AS, name: `As the piece, ${plan.species.name.toLowerCase()}` },
          ...[...ownSpecies, ...SPECIES].map((each) => ({ value: each.id, name: each.name })),
        ]}
        onTake={(value) => put("wood", { species: value === AS ? null : value })}
      />
      <AutoNumberField
        label={`${name}: moisture`}
        suffix="%"
        value={now.moisture}
        auto={plan.top.start.value}
        onTake={(moisture) => put("moisture", { moisture })}
      />
      <Choice
        label={`${name}: finish`}
        value={now.finish ?? AS}
        options={[
          { value: AS, name: `As the piece, ${finishName(piece.finish).toLowerCase()}` },
          ...FINISHES.map((id) => ({ value: id as string, name: finishName(id) })),
        ]}
        onTake={(value) => put("finish", { finish: value === AS ? null : (value as KindChoice["finish"]) })}
      />
    </FieldRow>
  );
}
