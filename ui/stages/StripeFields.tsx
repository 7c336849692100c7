"use client";
import { Fragment } from "react";
import { stripeKind } from "../../core/construction/top/stripes";
import { AS_THE_PIECE } from "../../core/piece/kinds";
import type { Piece } from "../../core/piece/schema";
import { SPECIES } from "../../core/wood/species";
import { AutoNumberField } from "../fields/auto";
import { Choice, NumberField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import type { useSet } from "../piece/useSet";

const NTH = ["First", "Second", "Third", "Fourth"];

/** The pattern's stripes: how wide each is beside the others, and its wood. */
export function StripeFields({ piece, set }: { piece: Piece; set: ReturnType<typeof useSet>["set"] }) {
  const { ownSpecies, plan } = usePiece();
  const { shares, repeats, ends, sections } = piece.form.stripes;
  const at = (...path: (string | number)[]) => ["form", "stripes", ...path];
  const put = (what: string, to: number[]) => set(what, at("shares"), to);
  return (
    <>
      {shares.map((share, i) => {
        const kind = stripeKind(i);
        const now = piece.kinds[kind] ?? AS_THE_PIECE;
        return (
          <Fragment key={kind}>
            <NumberField
              label={`${NTH[i]} stripe, parts wide`}
              value={share}
              onTake={(to) => set("Share of a stripe", at("shares", i), to)}
            />
            <Choice
              label={`${NTH[i]} stripe is of`}
              value={now.species ?? AS}
              options={[
                { value: AS, name: `As the piece, ${plan.species.name.toLowerCase()}` },
                ...[...ownSpecies, ...SPECIES].map((each) => ({ value: each.id, name: each.name })),
              ]}
              onTake={(to) =>
                set(`${NTH[i]} stripe is of`, ["kinds", kind], { ...now, species: to === AS ? null : to })
              }
            />
          </Fragment>
        );
      })}
      {shares.length < NTH.length && (
        <button className="button button-plain self-end" onClick={() => put("One stripe more", [...shares, 1])}>
          One stripe more
        </button>
      )}
      {shares.length > 1 && (
        <button className="button button-plain self-end" onClick={() => put("One stripe less", shares.slice(0, -1))}>
          One stripe less
        </button>
      )}
      <NumberField label="Repeated" value={repeats} onTake={(to) => set("Repeats of the pattern", at("repeats"), to)} />
      <Choice
        label="Its edges"
        value={ends}
        options={[
          { value: "alike", name: "Both the first stripe" },
          { value: "as-they-come", name: "As the pattern ends" },
        ]}
        onTake={(to) => set("Edges of the striped top", at("ends"), to)}
      />
      <AutoNumberField
        label="Glued in sections"
        value={sections}
        auto={plan.glueUp.filter(({ id }) => id.startsWith("section-")).length || 1}
        onTake={(to) => set("Sections", at("sections"), to)}
      />
    </>
  );
}
/** What a stripe is of where nothing else is chosen. */
const AS = "as the piece";
