import { expect, it } from "vitest";
import { USUAL_SHOP } from "../../piece/shop";
import { at, tableWith } from "../../testing/plans";
import { findSpecies } from "../../wood/species";
import { placed } from "../placed";
import { baseOf } from ".";

it("a top measured as thick as the whole is high is drawn all the same: every set-out has a size", () => {
  for (const kind of ["bought", "splayed", "splayed-frame", "x-frame", "bent"]) {
    const thick = [{ part: "top", dimension: "thickness", value: 750, on: "2026-11-23" }];
    const piece = tableWith(at("form.kind", kind), at("form.height", 750), at("asBuilt", thick));
    const geometry = placed(piece.form, piece.asBuilt);
    const base = baseOf(piece.form.kind);
    const joints = base.joints(geometry, piece.form, piece.joints, USUAL_SHOP);
    const species = findSpecies("european-ash", [])!;
    for (const { scene } of base.setOuts({ form: piece.form, at: geometry, joints, species }))
      expect([scene.bounds.w > 0, scene.bounds.h > 0], `${kind}: ${scene.id}`).toEqual([true, true]);
  }
});
