"use client";
import { AutoLengthField } from "../fields/auto";
import { Choice, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { CaseBackFields } from "./CaseBackFields";
import { DoorFields } from "./DoorFields";
import { Group } from "./Group";
import { SheetSizeFields } from "./SheetSizeFields";
import { MITRE_NAMES } from "./mitres";
import { LegFrameFields } from "./LegFrameFields";

/** The choices of a case beside its openings: its boards, its back, its drawers and doors. */
export function CaseFields() {
  const { piece, plan } = usePiece();
  const { set } = useSet();
  const choice = piece.form.case;
  const { drawers } = choice;
  const slid = drawers.on === "slides";
  const at = (...path: string[]) => ["form", "case", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  return (
    <>
      <Group name="Boards">
        <Choice
          label="The case is of"
          value={choice.of}
          options={[
            { value: "solid", name: "Boards, glued up" },
            { value: "plywood", name: "Plywood, lipped in front" },
            { value: "fibreboard", name: "Fibreboard, lipped in front" },
          ]}
          onTake={(value) => set("What the case is of", at("of"), value)}
        />
        {choice.of !== "solid" && size("Lippings", choice.lip, "lip")}
        {size("Front bows out", choice.bow, "bow")}
        {(choice.of !== "solid" || choice.back === "sheet") && <SheetSizeFields />}
        <Choice
          label="The top"
          value={choice.corners}
          options={[
            { value: "rails", name: "Lies on rails, screwed from below" },
            { value: "sub-top", name: "Lies on a sub-top, screwed from below" },
            { value: "through", name: "Dovetailed to the sides" },
            { value: "half-blind", name: "Dovetailed, its face whole" },
            { value: "mitred", name: "Mitred to the sides" },
            { value: "rebated", name: "Rebated for the sides, pinned" },
            { value: "butted", name: "On the sides’ ends: loose tenons" },
          ]}
          onTake={(value) => set("Corners of the case above", at("corners"), value)}
        />
        {choice.corners === "mitred" && (
          <Choice
            label="Mitres held by"
            value={choice.mitre}
            options={MITRE_NAMES}
            onTake={(value) => set("What holds the mitres", at("mitre"), value)}
          />
        )}
        {choice.corners === "mitred" && choice.stands !== "posts" && (
          <Choice
            label="Bottom"
            value={choice.bottom}
            options={[
              { value: "let-in", name: "Let in, or dovetailed from below" },
              { value: "mitred", name: "Mitred too, grain running round" },
            ]}
            onTake={(value) => set("Bottom of the case", at("bottom"), value)}
          />
        )}
        {choice.corners !== "mitred" && size("Thickness of the sides", choice.thickness, "thickness")}
        {size("Bottom, dividers, shelves", choice.inner, "inner")}
        {size("Width of the rails", choice.rails, "rails")}
        {(choice.corners === "rails" || choice.corners === "sub-top") &&
          size("Overhang at the back", choice.behind, "behind")}
        {size("Bottom above the floor", choice.lift, "lift")}
        <Choice
          label="Stands on"
          value={choice.stands}
          options={[
            { value: "sides", name: "Its own sides" },
            { value: "plinth", name: "A plinth" },
            { value: "frame", name: "A frame of legs" },
            { value: "posts", name: "Posts that are its corners" },
            { value: "wall", name: "Nothing: it hangs on a wall" },
          ]}
          onTake={(value) => set("What the case stands on", at("stands"), value)}
        />
        {choice.stands === "wall" && (
          <>
            {size("Hanging rail", choice.hang.rail, "hang", "rail")}
            <Choice
              label="The wall is"
              value={choice.hang.wall}
              options={[
                { value: "masonry", name: "Masonry, plugs" },
                { value: "studs", name: "Studs" },
              ]}
              onTake={(value) => set("What the wall is", at("hang", "wall"), value)}
            />
            {choice.hang.wall === "studs" ? (
              size("Studs stand apart", choice.hang.studs, "hang", "studs")
            ) : (
              <NumberField
                label="Screws in the wall"
                value={choice.hang.fixings}
                onTake={(to) => set("Screws in the wall", at("hang", "fixings"), to)}
              />
            )}
            <NumberField
              label="One carries, pulled out, kg"
              value={choice.hang.pulls}
              onTake={(to) => set("What a screw holds pulled out", at("hang", "pulls"), to)}
            />
            <NumberField
              label="One carries, across, kg"
              value={choice.hang.bears}
              onTake={(to) => set("What a screw carries across", at("hang", "bears"), to)}
            />
          </>
        )}
        {choice.stands === "posts" && size("Posts, square", choice.post, "post")}
        {choice.stands === "plinth" && size("Plinth set back", choice.setBack, "setBack")}
        {choice.stands === "sides" && size("Foot relief", choice.relief, "relief")}
        {choice.stands === "sides" && (
          <Tick label="A kick board" checked={choice.kick} onTake={(value) => set("Kick board", at("kick"), value)} />
        )}
        <CaseBackFields />
        {choice.stands !== "wall" && (
          <>
            {size("Skirting behind it, high", choice.skirting.height, "skirting", "height")}
            {size("and thick", choice.skirting.depth, "skirting", "depth")}
          </>
        )}
        <Choice
          label="Dovetails slope"
          value={choice.slope}
          options={[
            { value: "1:8", name: "1 in 8" },
            { value: "1:6", name: "1 in 6" },
          ]}
          onTake={(value) => set("Slope of dovetails", at("slope"), value)}
        />
        <Tick
          label="Fixed to the wall"
          checked={choice.wall}
          onTake={(value) => set("Fixed to the wall", at("wall"), value)}
        />
      </Group>
      {choice.stands === "frame" && <LegFrameFields frame={choice.frame} at={at("frame")} />}
      <Group name="Drawers">
        <Choice
          label="Run on"
          value={drawers.on}
          options={[
            { value: "runners", name: "Wooden runners" },
            { value: "hung", name: "Strips in their sides" },
            { value: "slides", name: "Bought slides, fronts of their own" },
          ]}
          onTake={(value) => set("What drawers run on", at("drawers", "on"), value)}
        />
        {slid && (
          <>
            {size("A slide takes, a side", drawers.slides.thick, "drawers", "slides", "thick")}
            {size("Height of a slide", drawers.slides.height, "drawers", "slides", "height")}
            <AutoLengthField
              label="Length of a slide"
              value={drawers.slides.length}
              auto={plan.geometry.kind === "case" ? (plan.geometry.drawers[0]?.slides?.length ?? 0) : 0}
              onTake={(to) => set("Length of a slide", at("drawers", "slides", "length"), to)}
            />
            <NumberField
              label="A pair carries, kg"
              value={drawers.slides.load}
              onTake={(to) => set("Load of the slides", at("drawers", "slides", "load"), to)}
            />
          </>
        )}
        {drawers.on === "runners" && (
          <Tick
            label="Dust panels between them"
            checked={choice.dust}
            onTake={(value) => set("Dust panels", at("dust"), value)}
          />
        )}
        <Choice
          label="Pulls, doors too"
          value={drawers.pull.kind}
          options={[
            { value: "none", name: "None" },
            { value: "knob", name: "Knobs" },
            { value: "bar", name: "Bars" },
          ]}
          onTake={(value) => set("Pulls", at("drawers", "pull", "kind"), value)}
        />
        {drawers.pull.kind === "bar" &&
          size("Between a bar’s screws", drawers.pull.centres, "drawers", "pull", "centres")}
        {size("Fronts", drawers.front, "drawers", "front")}
        <Choice
          label="Fronts come"
          value={drawers.from}
          options={[
            { value: "apart", name: "Each from any board" },
            { value: "row", name: "Those side by side from one" },
            { value: "all", name: "All from one board" },
          ]}
          onTake={(value) => set("Boards of drawer fronts", at("drawers", "from"), value)}
        />
        {size("Sides and backs", drawers.side, "drawers", "side")}
        <Choice
          label="Bottoms"
          value={drawers.bottom}
          options={[
            { value: "sheet", name: "Sheet" },
            { value: "solid", name: "Solid, grain from side to side" },
          ]}
          onTake={(value) => set("Drawer bottoms", at("drawers", "bottom"), value)}
        />
        {size("Thickness of bottoms", drawers.bottomThickness, "drawers", "bottomThickness")}
        {size("Gap above, on the day", drawers.above, "drawers", "above")}
        {size("Gap beside", drawers.beside, "drawers", "beside")}
        {!slid && size("Gap behind", drawers.behind, "drawers", "behind")}
        {!slid && size("Slots of the runners", choice.slot, "slot")}
        <Tick
          label="Taller chooses the tails"
          checked={drawers.tails === null}
          onTake={(value) => set("Tails", at("drawers", "tails"), value ? null : 4)}
        />
        {drawers.tails !== null && (
          <NumberField
            label="Tails on a side"
            value={drawers.tails}
            onTake={(value) => set("Tails on a side", at("drawers", "tails"), value)}
          />
        )}
      </Group>
      <DoorFields />
    </>
  );
}
