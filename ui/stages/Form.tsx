"use client";
import dynamic from "next/dynamic";
import { useMemo, useState } from "react";
import { baseOf } from "../../core/construction/base";
import { elevationsScene, planScene } from "../../core/drawing/elevations";
import { openedScene } from "../../core/drawing/opened";
import { SPECIES } from "../../core/wood/species";
import { SceneView } from "../drawing/SceneView";
import { Choice, FieldRow } from "../fields/fields";
import { AlcoveFields } from "../form/AlcoveFields";
import { BySmallDrawing } from "../form/BySmallDrawing";
import { Group } from "../form/Group";
import { LegAndApronFields } from "../form/LegAndApronFields";
import { OwnParts } from "../form/OwnParts";
import { PartingFields } from "../form/PartingFields";
import { PartList } from "../form/PartList";
import { TurnFields } from "../form/TurnFields";
import { ShelfFields } from "../form/ShelfFields";
import { BentFields } from "../form/BentFields";
import { BoughtFields } from "../form/BoughtFields";
import { BoxFields } from "../form/BoxFields";
import { CaseOpenings } from "../form/CaseOpenings";
import { CaseFields } from "../form/CaseFields";
import { DropFields } from "../form/DropFields";
import { EdgeFields } from "../form/EdgeFields";
import { HatchFields } from "../form/HatchFields";
import { FacingFields } from "../form/FacingFields";
import { FeetFields } from "../form/FeetFields";
import { ExistingFields } from "../form/ExistingFields";
import { PlankFields } from "../form/PlankFields";
import { SplayedFields } from "../form/SplayedFields";
import { SplayedFrameFields } from "../form/SplayedFrameFields";
import { StakedFields } from "../form/StakedFields";
import { XFrameFields } from "../form/XFrameFields";
import { TrestleFields } from "../form/TrestleFields";
import { useUnit } from "../frame/unit";
import { Guarded } from "../piece/Guarded";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { SlabFields } from "./SlabFields";
import { StageHead } from "./StageHead";

/** Loaded when it is opened: no other page carries it. */
const SpaceView = dynamic(() => import("../space/SpaceView").then((module) => module.SpaceView), {
  ssr: false,
  loading: () => <p role="status">Setting the parts up</p>,
});

/** The fields of each base. */
const FIELDS = {
  "leg-and-apron": LegAndApronFields,
  trestle: TrestleFields,
  "x-frame": XFrameFields,
  splayed: SplayedFields,
  "splayed-frame": SplayedFrameFields,
  staked: StakedFields,
  plank: PlankFields,
  bent: BentFields,
  bought: BoughtFields,
  existing: ExistingFields,
  case: CaseFields,
  box: BoxFields,
};

/** Plan and elevations to one scale; every blue number can be typed over, and a part opens from where it is drawn. */
export function FormStage() {
  const { piece, plan, ownSpecies } = usePiece();
  const { set, fromDrawing } = useSet();
  const { say } = useUnit();
  const { form } = piece;
  const [inSpace, setInSpace] = useState(false);
  const [part, setPart] = useState<string | null>(null);
  const { geometry, species, woods, assembly, small } = plan;
  const drawable = { geometry, species, woods, assembly, small, form };
  const scenes = useMemo(
    () => [planScene(drawable), elevationsScene(drawable), openedScene(drawable)] as const,
    [geometry, species, woods, assembly, small, form],
  );
  const Fields = FIELDS[form.kind];
  const pick = (kind: string) => setPart(kind === part ? null : kind);
  return (
    <>
      <StageHead
        title="The piece to scale"
        actions={
          <button className="button" aria-pressed={inSpace} onClick={() => setInSpace(!inSpace)}>
            {inSpace ? "Back to the drawings" : "See it in space"}
          </button>
        }
      >
        {say(
          `${baseOf(form.kind).describe(form, plan.geometry)}${inSpace ? "" : " Click any underlined dimension and type; click a part to open it."}`,
        )}
      </StageHead>
      {inSpace ? (
        <SpaceView />
      ) : (
        <>
          <SceneView scene={scenes[0]} height={270} onEdit={fromDrawing} onPick={pick} picked={part} />
          <SceneView
            scene={scenes[1]}
            height={plan.geometry.hangs ? 430 : 250}
            onEdit={fromDrawing}
            onPick={pick}
            picked={part}
          />
          {scenes[2] && <SceneView scene={scenes[2]} height={230} onEdit={fromDrawing} onPick={pick} picked={part} />}
        </>
      )}
      {plan.geometry.kind === "case" && !inSpace && (
        <>
          <CaseOpenings at={plan.geometry} />
          <AlcoveFields at={plan.geometry} />
        </>
      )}
      <Guarded at={piece} instead={<p role="alert">What could stand below can’t be drawn at these sizes.</p>}>
        <BySmallDrawing />
      </Guarded>
      <FieldRow>
        <Choice
          label="Species"
          value={plan.species.id}
          options={[...ownSpecies, ...SPECIES].map((each) => ({ value: each.id, name: each.name }))}
          onTake={(value) => set("Species", ["species"], value)}
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
        <EdgeFields />
        <Fields />
        {form.field === "slabs" && (
          <Group name="Slabs">
            <SlabFields />
          </Group>
        )}
        {form.kind !== "case" && form.kind !== "box" && <PartingFields />}
        {form.kind === "leg-and-apron" && <DropFields />}
        {form.kind === "leg-and-apron" && <TurnFields />}
        {form.kind !== "box" && <FacingFields />}
        {form.kind !== "box" && <HatchFields />}
        {(plan.geometry.seats.length > 0 || piece.form.shelf.kind !== "none") && <ShelfFields />}
        <FeetFields />
      </FieldRow>
      <OwnParts />
      <PartList open={part} onOpen={setPart} />
    </>
  );
}
