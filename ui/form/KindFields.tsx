"use client";
import { stands } from "../../core/construction/curves";
import { FILMS } from "../../core/movement/finish";
import { AS_THE_PIECE, CurveChoice, EdgeChoice, FINISHES, KindChoice, OF_THE_PIECE } from "../../core/piece/kinds";
import { SPECIES } from "../../core/wood/species";
import { AutoNumberField } from "../fields/auto";
import { Choice, FieldRow, LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { begun, EdgePoints } from "./EdgePoints";

const AS = "as the piece";
const SQUARE = "square";
const STRAIGHT = "straight";
const USUAL_CURVE: CurveChoice = {
  ...{ edge: "lower", rise: 15, straight: 60, way: "hollow" },
  ...{ points: [], mirrored: true },
};
const USUAL_EDGE: EdgeChoice = { how: "eased", size: 1, raised: 0, when: "before" };

/** Wood, moisture and finish of one kind of part, where they are not the piece's. */
export function KindFields({ kind, name }: { kind: string; name: string }) {
  const { piece, plan, ownSpecies } = usePiece();
  const { set } = useSet();
  if (OF_THE_PIECE.includes(kind)) return null;
  const now = piece.kinds[kind] ?? AS_THE_PIECE;
  const put = (what: string, change: Partial<KindChoice>) =>
    set(`${name}: ${what}`, ["kinds", kind], { ...now, ...change });
  const parts = plan.assembly.parts.filter((part) => part.kind === kind);
  const upright = parts.some(stands);
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
      <Choice
        label={`${name}: edges`}
        value={now.edges?.how ?? SQUARE}
        options={[
          { value: SQUARE, name: "Left square" },
          { value: "eased", name: "Eased by hand" },
          { value: "rounded", name: "Rounded" },
          { value: "chamfered", name: "Chamfered" },
        ]}
        onTake={(how) =>
          put("edges", {
            edges: how === SQUARE ? null : { ...(now.edges ?? USUAL_EDGE), how: how as EdgeChoice["how"] },
          })
        }
      />
      {now.edges && (
        <>
          <LengthField
            label={`${name}: by`}
            value={now.edges.size}
            onTake={(size) => put("edges", { edges: { ...now.edges!, size } })}
          />
          {now.edges.how === "rounded" && (
            <LengthField
              label={`${name}: cutter raised by`}
              value={now.edges.raised}
              onTake={(raised) => put("edges", { edges: { ...now.edges!, raised } })}
            />
          )}
          <Choice
            label={`${name}: worked`}
            value={now.edges.when}
            options={[
              { value: "before", name: "Before the glue" },
              { value: "after", name: "When the base stands" },
            ]}
            onTake={(when) => put("edges", { edges: { ...now.edges!, when } })}
          />
        </>
      )}
      <Choice
        label={`${name}: curve`}
        value={now.curve?.edge ?? STRAIGHT}
        options={[
          { value: STRAIGHT, name: "Straight" },
          { value: "lower", name: upright ? "Inner edge" : "Lower edge" },
          { value: "upper", name: upright ? "Outer edge" : "Upper edge" },
          { value: "both", name: "Both edges" },
        ]}
        onTake={(edge) =>
          put("curve", {
            curve: edge === STRAIGHT ? null : { ...(now.curve ?? USUAL_CURVE), edge: edge as CurveChoice["edge"] },
          })
        }
      />
      {now.curve && (
        <>
          <Choice
            label={`${name}: it goes`}
            value={now.curve.way}
            options={[
              { value: "hollow", name: "Hollow" },
              { value: "bowed", name: "Bowed out" },
              { value: "points", name: "By points" },
            ]}
            onTake={(way) => put("curve", { curve: begun({ ...now.curve!, way }) })}
          />
          {now.curve.way === "points" ? (
            <EdgePoints
              name={name}
              length={parts[0]?.shape.length ?? 0}
              curve={now.curve}
              onPut={(what, curve) => put(what, { curve })}
            />
          ) : (
            <>
              <LengthField
                label={`${name}: rise`}
                value={now.curve.rise}
                onTake={(rise) => put("curve", { curve: { ...now.curve!, rise } })}
              />
              <LengthField
                label={`${name}: straight at its ends`}
                value={now.curve.straight}
                onTake={(straight) => put("curve", { curve: { ...now.curve!, straight } })}
              />
            </>
          )}
        </>
      )}
    </FieldRow>
  );
}
