import { bearersSaid, Standing } from "../construction/geometry";
import type { Piece } from "../piece/schema";
import type { Step } from "./step";

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;

/** From the glued panel, or the milled slats, to a top that can be sanded: in order, each after the one before. */
export function topSteps({ form }: Piece, last: string): TopStep[] {
  const { top } = form;
  const flatten: TopStep = {
    id: "flatten",
    title: "Flatten the top and cut it to size",
    detail: `Trim to ${top.length} by ${top.width} mm, then the edge.`,
    parts: ["top"],
    after: [last],
    hours: 2.5,
    check: "No rock on winding sticks over 1 mm.",
  };
  switch (form.construction) {
    case "solid":
      return [flatten];
    case "channel":
      return [
        flatten,
        {
          id: "channels",
          title: "Let the channels in below",
          detail: `${form.channel.count} grooves across, ${form.channel.endRoom} mm longer than the steel at each end; inserts at each bolt, ${form.channel.slot} mm slots, ${form.channel.washer} mm washers.`,
          parts: ["top"],
          after: ["flatten"],
          hours: 1 + 0.5 * form.channel.count,
          check: "Insert shorter than the top is thick, by 4 mm at least.",
        },
      ];
    case "slatted":
      return [
        {
          id: "slats",
          title: "Round the slats and drill them",
          detail: `Both edges of each; ${form.slats.screws === "one" ? "one hole on the middle line over each rail" : `two holes ${form.slats.screwSpread} mm apart, ${form.slats.clearance} mm over the screw`}. Drill now: no glue holds them.`,
          parts: ["slat"],
          after: ["mill"],
          hours: 0.5 + 0.25 * form.slats.count,
          check: "Holes clear of the edges of the rails below.",
        },
      ];
    case "breadboard": {
      const { breadboard } = form;
      return [
        { ...flatten, detail: "Trim to the length with both tongues, then the long edges." },
        {
          id: "tongue",
          title:
            breadboard.joint === "tongue"
              ? "Cut the tongues on the panel"
              : "Mortise the panel's ends for loose tenons",
          detail: `${breadboard.tongue} mm long, a third of the thickness; wider tenons where the pegs go.`,
          parts: ["top"],
          after: ["flatten"],
          hours: 2,
          check: "Tongue slides in its groove by hand.",
        },
        {
          id: "end-boards",
          title: "Groove and mortise the end boards",
          detail: `Groove, then mortises as deep as the tenons, closed ${breadboard.endGap} mm from each end. Mark the tenons from the panel, never from the list.`,
          parts: ["end-board"],
          after: ["tongue"],
          hours: 2,
        },
        {
          id: "pegs",
          title: "Bore for the pegs and lengthen the slots",
          detail: `Through the end board, mark, and bore the tongue ${breadboard.drawOffset} mm nearer the shoulder. Each slot as long and as far set off as Movement gives it.`,
          parts: ["top", "end-board"],
          after: ["end-boards"],
          hours: 1.5,
          check: "The end board slides its travel both ways, dry, with every peg in.",
        },
        {
          id: "fit-ends",
          title: "Peg the end boards on",
          detail: `Glue ${breadboard.glued} mm of tongue at the fixed peg; glue the other pegs in the end board only.`,
          parts: ["top", "end-board"],
          after: ["pegs"],
          hours: 1,
          wait: 24,
          waitFor: "the fixed pegs to set",
        },
      ];
    }
    case "framed":
      return [
        {
          ...flatten,
          title: "Flatten the panel and cut it to size",
          detail: "As wide as its grooves less a gap at each side.",
        },
        {
          id: "frame",
          title: "Groove and joint the frame",
          detail: `Grooves ${form.frame.groove} mm deep; corners ${form.frame.corners}. Finish the panel's edges first: the dry season shows them.`,
          parts: ["frame-long", "frame-end"],
          after: ["mill"],
          hours: 4,
        },
        {
          id: "frame-glue",
          title: "Glue the frame round the panel",
          detail:
            form.frame.panel === "floating"
              ? "Glue in the corners only; pin the panel at its middle."
              : "Glue all round, as chosen; see what Movement says.",
          parts: ["top", "frame-long", "frame-end"],
          after: ["frame", "flatten"],
          hours: 1.5,
          wait: 24,
          waitFor: "the frame to cure",
          check: "Panel slides in its grooves.",
        },
      ];
  }
}

/** What bears the top, in the words of its base: all of it, what runs along its grain, what runs across. */
function named(at: Standing): { all: string; along: string | null; across: string } {
  const along = bearersSaid(at, "along");
  const across = bearersSaid(at, "across") ?? "rail";
  const rails = /rail$/.test(along ?? across);
  return { all: rails ? "rails" : `${across}s`, along: along && `${along}s`, across: `${across}s` };
}

/** What is cut in the rails for the chosen fastening before the base is glued; null where nothing is. */
export function fasteningStep({ form, joints }: Piece, at: Standing): Pick<Step, "title" | "detail" | "hours"> | null {
  if (form.construction === "slatted") return null;
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
  if (form.construction === "slatted")
    return {
      title: "Screw the slats down",
      detail: `${form.slats.gap} mm apart, from spacers, beginning at the middle one.`,
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
