"use client";
import { legPieces, legSteps, thickestLeg } from "../../core/layout/leg-stock";
import { woodOf } from "../../core/wood/woods";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** How a leg of more than one piece is made, and what other ways would take. */
export function LegWays() {
  const { piece, plan, shop, rack } = usePiece();
  const { set } = useSet();
  const { say, length, withUnit } = useUnit();
  const leg = plan.parts.find((part) => part.role === "leg")?.finished;
  const section = leg?.width ?? piece.form.leg.section;
  const size = { width: section, thickness: leg?.thickness ?? section };
  const free = rack.filter(
    (board) => board.species === woodOf(plan.woods, "leg", plan.species).id && !board.reservedBy,
  );
  const rough = plan.parts.find((part) => part.role === "leg")?.rough.length ?? 0;
  const names = {
    solid: "Solid",
    laminated: "From two leaves",
    "three-leaves": "From three leaves",
    "four-leaves": "From four leaves",
    "core-faces": "Core with four resawn faces",
    diagonal: "Two boards sawn at 45°",
  };
  return (
    <section>
      <h2>Ways to these legs</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>Made</th>
            <th>Sawn for each leg</th>
            <th>The rack gives at most</th>
            <th>How</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {(Object.keys(names) as (keyof typeof names)[]).map((make) => {
            const pieces = legPieces(make, size, shop.kerf);
            const thickest = thickestLeg(make, free, rough, shop);
            return (
              <tr key={make} className={make === piece.form.leg.make ? "font-[560]" : ""}>
                <td className="whitespace-nowrap">{names[make]}</td>
                <td>
                  {fractions(counted(pieces.map((each) => `${length(each.width)} by ${withUnit(each.thickness)}`)))}
                </td>
                <td>
                  {thickest
                    ? fractions(`${withUnit(thickest.section)} square, from ${thickest.board}`)
                    : "nothing long enough"}
                </td>
                <td className="text-[13px] text-graphite">{say(legSteps(make, size, shop).join(" "))}</td>
                <td>
                  {make === piece.form.leg.make ? (
                    "chosen"
                  ) : (
                    <button
                      className="button whitespace-nowrap"
                      aria-label={`Make legs: ${names[make]}`}
                      onClick={() => set("Leg making", ["form", "leg", "make"], make)}
                    >
                      Take it
                    </button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

/** Sizes with how often each is there. */
const counted = (sizes: readonly string[]) =>
  [...new Set(sizes)]
    .map((size) => {
      const n = sizes.filter((each) => each === size).length;
      return n === 1 ? size : `${n} of ${size}`;
    })
    .join(", ");
