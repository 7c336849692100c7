/** What the chosen fastening asks for: what is cut in the bearers before the base is glued, and how the top goes on. */
import { bearersSaid, Standing } from "../construction/geometry";
import type { Piece } from "../piece/schema";
import type { Step } from "./step";

/** What bears the top, in the words of its base: all of it, what runs along its grain, what runs across. */
function named(at: Standing): { all: string; along: string | null; across: string } {
  const along = bearersSaid(at, "along");
  const across = bearersSaid(at, "across") ?? "rail";
  const rails = /rail$/.test(along ?? across);
  return { all: rails ? "rails" : `${across}s`, along: along && `${along}s`, across: `${across}s` };
}

/** What is cut in the rails for the chosen fastening before the base is glued; null where nothing is. */
export function fasteningStep({ form, joints }: Piece, at: Standing): Pick<Step, "title" | "detail" | "hours"> | null {
  if (form.field === "slats") return null;
  const { all, along, across } = named(at);
  switch (joints.fastening) {
    case "button":
      return {
        title: `Groove the ${all} for the buttons`,
        detail: `${joints.buttons.grooveDepth} mm deep on the inside, 12 mm below the edge; slots ${joints.buttons.slotLength} mm long on the ${across}.`,
        hours: 1,
      };
    case "figure-8":
      return {
        title: `Recess the ${all} for the plates`,
        detail: `Relieved so that each swings ${joints.figure8.swing}° both ways${along ? `; on the ${along} they lie ${joints.figure8.lengthwise === "along" ? "along the rail" : "across it"}` : ""}.`,
        hours: 1,
      };
    case "z-clip":
      return {
        title: `Groove the ${all} for the clips`,
        detail: `${joints.zClip.groove} mm deep on the inside, right round.`,
        hours: 0.75,
      };
    case "slotted":
      return {
        title: "Slot the cleats",
        detail: `Slots ${joints.slotted.slot} mm long across the top's grain, counterbored flat for the washers.`,
        hours: 1,
      };
    case "oversized":
      return {
        title: `Drill the ${all} for the top's screws`,
        detail: `${joints.oversized.hole} mm holes, counterbored flat for ${joints.oversized.washer} mm washers.`,
        hours: 0.75,
      };
    case "loose":
      return { title: "Make the tabs", detail: `${joints.loose.gap} mm free at each on the day.`, hours: 0.75 };
    case "screwed":
      return null;
  }
}

export function attachStep({ form, joints }: Piece, at: Standing): Pick<Step, "title" | "detail"> {
  if (form.field === "slats")
    return {
      title: "Screw the slats down",
      detail: `${form.slats.gap} mm apart, from spacers, beginning at the middle one.${form.ends === "none" ? "" : " What lies below its ends is screwed at their middles only."}`,
    };
  const { along, across } = named(at);
  switch (joints.fastening) {
    case "button":
      return {
        title: "Attach the top with buttons",
        detail: `Centre line marked; buttons ${along ? `set ${joints.buttons.engaged} mm deep on the ${along}, ` : ""}in the middle of their slots on the ${along ? "ends" : across}. Loosen each screw a turn.`,
      };
    case "figure-8":
      return { title: "Attach the top with its plates", detail: "Square to the rail on the day; fixed line marked." };
    case "z-clip":
      return {
        title: "Attach the top with clips",
        detail: `${joints.zClip.engaged} mm engaged on the ${along ?? across}.`,
      };
    case "slotted":
    case "oversized":
      return {
        title: "Screw the top on",
        detail: "Each screw where Movement sets it off, a turn loose after tightening.",
      };
    case "loose":
      return { title: "Lay the top on", detail: "Between its tabs, centred; nothing holds it but its weight." };
    case "screwed":
      return { title: "Screw the top on", detail: "Tight, as chosen: see what Movement says of it." };
  }
}
