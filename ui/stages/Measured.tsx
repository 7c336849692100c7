"use client";
import { isMortised } from "../../core/joinery/measured-mortises";
import { isCovered, mortiseLong } from "../../core/joinery/mortise-shows";
import type { AsBuilt } from "../../core/piece/schema";
import { Choice, FieldRow, LengthField } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { useState } from "react";

/** A size taken from the work counts before the planned one, everywhere. */
export function Measured() {
  const { piece, plan, today, edit } = usePiece();
  const { set } = useSet();
  const { withUnit } = useUnit();
  const [part, setPart] = useState("leg");
  const [dimension, setDimension] = useState<AsBuilt["dimension"]>("width");
  // one for each group
  const mortises = [...new Map(plan.joints.filter(isMortised).map((joint) => [joint.group, joint])).values()];
  const mortise = mortises.find(({ group }) => group === part);
  const covered = mortise && isCovered(mortise) ? mortise : null;
  const size = mortise ? (covered && dimension === "length" ? "length" : "thickness") : dimension;
  const planned = plan.parts.find((each) => each.id === part)?.finished[dimension] ?? 0;
  const finished = covered && size === "length" ? mortiseLong(covered) : (mortise?.thickness ?? planned);
  return (
    <section>
      <h2>Measured on the work</h2>
      <p className="lede">A measured size counts before the planned one; joints, movement and the rest follow it.</p>
      <FieldRow>
        <Choice
          label="Part"
          value={part}
          options={[
            ...plan.parts.map((each) => ({ value: each.id, name: each.name })),
            ...mortises.map(({ group, name }) => ({ value: group, name: `Mortise: ${name}` })),
          ]}
          onTake={setPart}
        />
        <Choice
          label="Size"
          value={size}
          options={
            mortise
              ? [
                  { value: "thickness", name: "Width of the mortise" },
                  ...(covered ? [{ value: "length" as const, name: "Length of the mortise" }] : []),
                ]
              : [
                  { value: "length", name: "Length" },
                  { value: "width", name: "Width" },
                  { value: "thickness", name: "Thickness" },
                ]
          }
          onTake={setDimension}
        />
        <LengthField
          label="As measured"
          value={finished}
          onTake={(value) =>
            edit(`${part} ${size} measured`, [
              { path: ["asBuilt", piece.asBuilt.length], value: { part, dimension: size, value, on: today } },
            ])
          }
        />
      </FieldRow>
      <ul className="mt-2">
        {piece.asBuilt.map((each, i) => (
          <li key={i} className="flex items-center justify-between border-b border-hairline py-1 text-[13.5px]">
            <span>
              {plan.parts.find((one) => one.id === each.part)?.name ??
                mortises.find(({ group }) => group === each.part)?.name ??
                each.part}
              ,{" "}
              {each.part.includes("+")
                ? `mortise, ${each.dimension === "length" ? "length" : "width"}`
                : each.dimension}
              : <b className="font-[560]">{withUnit(each.value, true)}</b>, {each.on}
            </span>
            <button
              className="button button-plain"
              onClick={() =>
                set(
                  "Measured size taken back",
                  ["asBuilt"],
                  piece.asBuilt.filter((_, j) => j !== i),
                )
              }
            >
              Plan again
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
