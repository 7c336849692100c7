"use client";
import dynamic from "next/dynamic";
import { useMemo, useState } from "react";
import { elevationsScene, planScene } from "../../core/drawing/elevations";
import { SPECIES } from "../../core/wood/species";
import { SceneView } from "../drawing/SceneView";
import { Choice, FieldRow, LengthField, NumberField, Tick } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { StageHead } from "./StageHead";

/** Loaded when it is opened: no other page carries it. */
const SpaceView = dynamic(() => import("../space/SpaceView").then((module) => module.SpaceView), {
  ssr: false,
  loading: () => <p role="status">Setting the parts up</p>,
});

/** Plan and elevations to one scale; every blue number can be typed over. */
export function FormStage() {
  const { piece, plan, ownSpecies } = usePiece();
  const { set, fromDrawing } = useSet();
  const { say } = useUnit();
  const { form } = piece;
  const [inSpace, setInSpace] = useState(false);
  const drawable = { geometry: plan.geometry, species: plan.species, form };
  const scenes = useMemo(
    () => [planScene(drawable), elevationsScene(drawable)] as const,
    [plan.geometry, plan.species, form],
  );
  return (
    <>
      <StageHead
        title="The table to scale"
        actions={
          <button className="button" aria-pressed={inSpace} onClick={() => setInSpace(!inSpace)}>
            {inSpace ? "Back to the drawings" : "See it in space"}
          </button>
        }
      >
        {say(
          `Leg and apron in ${plan.species.name}: long rails ${Math.round(plan.geometry.longRail.shoulder)} mm and end rails ${Math.round(plan.geometry.endRail.shoulder)} mm between the legs.${inSpace ? "" : " Click any underlined dimension and type."}`,
        )}
      </StageHead>
      {inSpace ? (
        <SpaceView />
      ) : (
        <>
          <SceneView scene={scenes[0]} height={270} onEdit={fromDrawing} />
          <SceneView scene={scenes[1]} height={250} onEdit={fromDrawing} />
        </>
      )}
      <FieldRow>
        <Choice
          label="Species"
          value={plan.species.id}
          options={[...ownSpecies, ...SPECIES].map((each) => ({ value: each.id, name: each.name }))}
          onTake={(value) => set("Species", ["species"], value)}
        />
        <LengthField
          label="Leg section"
          value={form.leg.section}
          onTake={(value) => set("Leg section", ["form", "leg", "section"], value)}
        />
        <Choice
          label="Legs"
          value={form.leg.taper}
          options={[
            { value: "none", name: "Straight" },
            { value: "two-faces", name: "Tapered, inner faces" },
            { value: "four-faces", name: "Tapered, all faces" },
          ]}
          onTake={(value) => set("Taper", ["form", "leg", "taper"], value)}
        />
        <Choice
          label="Made"
          value={form.leg.make}
          options={[
            { value: "solid", name: "Solid" },
            { value: "laminated", name: "From two leaves" },
            { value: "core-faces", name: "Core, four resawn faces" },
            { value: "diagonal", name: "Two boards sawn at 45°" },
          ]}
          onTake={(value) => set("Leg making", ["form", "leg", "make"], value)}
        />
        <LengthField
          label="Apron thickness"
          value={form.apron.thickness}
          onTake={(value) => set("Apron thickness", ["form", "apron", "thickness"], value)}
        />
        <LengthField
          label="Reveal"
          value={form.apron.reveal}
          onTake={(value) => set("Reveal", ["form", "apron", "reveal"], value)}
        />
        <NumberField
          label="Cross-rails"
          value={form.crossRails}
          onTake={(value) => set("Cross-rails", ["form", "crossRails"], value)}
        />
        <Choice
          label="Top edge"
          value={form.top.edge.kind}
          options={[
            { value: "square", name: "Square" },
            { value: "eased", name: "Eased" },
            { value: "rounded", name: "Rounded" },
            { value: "bevel-below", name: "Bevelled below" },
          ]}
          onTake={(value) => set("Top edge", ["form", "top", "edge", "kind"], value)}
        />
        <LengthField
          label="Edge size"
          value={form.top.edge.size}
          onTake={(value) => set("Edge size", ["form", "top", "edge", "size"], value)}
        />
        <Tick
          label="Corner blocks"
          checked={form.cornerBlocks}
          onTake={(value) => set("Corner blocks", ["form", "cornerBlocks"], value)}
        />
      </FieldRow>
    </>
  );
}
