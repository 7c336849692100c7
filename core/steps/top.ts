import type { Inserted, PanelRow, PieceGeometry } from "../construction/geometry";
import { rowLength, rowSaid } from "../panels/row";
import { isWhole, slatLines } from "../construction/top/core";
import { bevelHindrance, bevelOf } from "../construction/top/bevel";
import { slatScrews } from "../construction/top/slat-screws";
import { cornerTenon } from "../construction/top/ends";
import { shapedTop } from "../construction/top/outline";
import { flattening } from "../layout/strip-thickness";
import type { Form, Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { fine, listed, mm } from "../verdict/verdict";
import { bevelStep } from "./bevel";
import { inlayStep, outlineStep } from "./outline";
import { bedSteps, trenchSteps } from "./facing";
import { hatchSawSteps } from "./hatch";
import { flatSteps } from "./flat";
import { partSteps } from "./parting";
import { slabSteps } from "./slabs";
import type { Step } from "./step";

/** What the steps of a top follow from. `strips`: how thick its strips were glued, mm; `last`: the steps that leave the panel glued. */
export interface TopFacts {
  piece: Piece;
  at: Pick<PieceGeometry, "through" | "core" | "top" | "bearers" | "posts" | "row" | "parting" | "inserted">;
  shop: Shop;
  strips: number;
  last: string[];
}

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;

/** From the glued panel, or the milled slats, to a top that can be sanded: in order, each after the one before. */
export function topSteps(facts: TopFacts): TopStep[] {
  const { form } = facts.piece;
  if (form.field === "slabs") return withInlays(slabSteps(form, facts.at.top, facts.shop), form);
  const slats = form.field === "slats";
  const field = slats ? slatSteps(form, facts.at) : panelSteps(facts);
  const before = field.at(-1)!.id;
  const ends =
    form.ends === "breadboards" ? endSteps(form, before) : form.ends === "frame" ? frameSteps(form, before) : [];
  const held = [...field, ...ends];
  const flat = slats || form.ends === "frame" ? [] : flatSteps(form, held.at(-1)!.id);
  const bevelled = withBevel([...held, ...flat], form);
  const faced = [...bevelled, ...trenchSteps(form, facts.at, bevelled.at(-1)!.id)];
  const all = [...faced, ...hatchSawSteps(form, faced.at(-1)!.id)];
  return slats ? all : withInlays(all, form);
}

/** A bevel below once nothing is cut to its edges any more. */
function withBevel(steps: TopStep[], form: Form): TopStep[] {
  const bevel = bevelHindrance(form) ? null : bevelOf(form);
  return bevel
    ? [...steps, bevelStep(bevel, { curved: form.top.outline !== "rectangle", after: steps.at(-1)!.id })]
    : steps;
}

/** Inlays last before it is sanded: nothing is cut over them afterwards. */
const withInlays = (steps: TopStep[], { top: { inlays } }: Form): TopStep[] =>
  inlays.length === 0 ? steps : [...steps, inlayStep(inlays, steps.at(-1)!.id)];

/** Where each end of the field is held, by what it is. */
const TRIM: Record<Form["ends"], (form: Form) => Pick<TopStep, "title" | "detail">> = {
  none: ({ top }) => ({
    title: "Flatten the top and cut it to size",
    detail: `Trim to ${top.length} by ${top.width} mm, then the edge.`,
  }),
  breadboards: () => ({
    title: "Flatten the top and cut it to size",
    detail: "Trim to the length with both tongues, then the long edges.",
  }),
  frame: () => ({
    title: "Flatten the panel and cut it to size",
    detail: "As wide as its grooves less a gap at each side.",
  }),
};

/** The top is one part of a blank: it is parted where its corners are cut. */
const rowTrim = (row: PanelRow, width: number): Pick<TopStep, "title" | "detail"> => ({
  title: "Flatten the blank and true its edges",
  detail: `Ripped to ${width} mm; it stays ${Math.ceil(rowLength(row))} mm long until its corners part it: ${rowSaid(row)}.`,
});

/** A top round a strip is trued before it is sawn apart for that. */
const beddedTrim = ({ width, lost }: Inserted, whole: number): Pick<TopStep, "title" | "detail"> => ({
  title: "Flatten the panel and true its edges",
  detail: `Ripped to ${mm(Math.round(whole - width + lost))}, edges parallel; its ends stay long until the strip is in.`,
});

/** A top in two halves is trued before it is parted, or each half by itself. */
const partedTrim = ({ row, top }: TopFacts["at"]): Pick<TopStep, "title" | "detail"> => ({
  title:
    row && row.pieces.length > 1 ? "Flatten the blank and true its edges" : "Flatten both halves and true their edges",
  detail: `Ripped to ${top.width} mm, edges parallel: they show in every seam. ${row && row.pieces.length > 1 ? `It stays ${Math.ceil(rowLength(row))} mm long until it is parted.` : "Their ends stay long until they are cut in one setting."}`,
});

function panelSteps({ piece: { form, panels }, at, shop, strips, last }: TopFacts): TopStep[] {
  const { thickness, width } = at.core;
  const by = flattening(form.ends === "frame" ? width : Math.max(width, form.top.width), shop);
  const trim = at.parting
    ? partedTrim(at)
    : at.row
      ? rowTrim(at.row, form.top.width)
      : at.inserted
        ? beddedTrim(at.inserted, form.top.width)
        : TRIM[form.ends](form);
  const sawn = panels.top.sawnFace !== null;
  const flatten: TopStep = {
    id: "flatten",
    ...(sawn ? { title: trim.title.replace("Flatten", "Level") } : trim),
    detail: sawn
      ? `The upper face stays as it was sawn. Level the face below wherever something bears on it. ${trim.detail}`
      : `From ${fine(strips)} to ${fine(thickness)} ${by}. ${trim.detail}`,
    parts: ["top"],
    after: last,
    hours: sawn ? 1.5 : 2.5,
    check: sawn ? "No light under a straightedge where it bears." : "No rock on winding sticks over 1 mm.",
  };
  const top = shapedTop(form.top, at);
  const cut = [flatten, ...partSteps(at), ...bedSteps(at, form)];
  if (!isWhole(form) || (top.outline === "rectangle" && top.cutouts.length === 0)) return cut;
  const outline = outlineStep(top, at);
  // both halves are pinned together for it, so that it runs on over the seam
  return at.parting
    ? [...cut, { ...outline, after: [...outline.after!, at.parting.kind === "glued" ? "seam-glue" : "seam-pins"] }]
    : [...cut, outline];
}

function slatSteps(form: Form, at: TopFacts["at"]): TopStep[] {
  const { slats, ends } = form;
  const beside = ends === "none" ? slatScrews(form, at).filter((each) => each.beside) : [];
  const [aside] = beside;
  const lies = aside
    ? ` Where a leg stands below, in ${listed([...new Set(beside.map(({ slat }) => `S${slat + 1}`))])}, one hole ${mm(at.core.shoulder / 2 - Math.abs(aside.x))} from the end instead, ${mm(Math.abs(aside.z - slatLines(form, at)[aside.slat]))} off the middle line: it goes into the long rail beside the leg.`
    : "";
  const held = ends === "none" ? "" : " Then a tongue at each end of each, from one fence.";
  return [
    {
      id: "slats",
      title: "Round the slats and drill them",
      detail: `Both edges of each; ${slats.screws === "one" ? "one hole on the middle line over each rail" : `two holes ${slats.screwSpread} mm apart, ${slats.clearance} mm over the screw`}. Drill now: no glue holds them.${lies}${held}`,
      parts: ["slat"],
      after: ["mill"],
      hours: 0.5 + (ends === "none" ? 0.25 : 0.4) * slats.count,
      check: "Holes clear of the edges of the rails below.",
    },
  ];
}

function endSteps({ breadboard, field }: Form, before: string): TopStep[] {
  if (field === "slats")
    return [
      {
        id: "end-boards",
        title: "Groove the end boards",
        detail: `${breadboard.tongue} mm deep from end to end, or stopped; mark each slat’s middle from its spacers.`,
        parts: ["end-board"],
        after: [before],
        hours: 1.5,
      },
      {
        id: "fit-ends",
        title: "Fit the end boards to the slats",
        detail: "Spacers between the slats; glue the middle of each tongue only, a peg through it when it is dry.",
        parts: ["slat", "end-board"],
        after: ["end-boards"],
        hours: 1.5,
        wait: 24,
        waitFor: "the ends to cure",
        check: "Every gap as its spacer, both diagonals alike.",
      },
    ];
  return [
    {
      id: "tongue",
      title:
        breadboard.joint === "tongue" ? "Cut the tongues on the panel" : "Mortise the panel's ends for loose tenons",
      detail: `${breadboard.tongue} mm long, a third of the thickness; wider tenons where the pegs go.`,
      parts: ["top"],
      after: [before, "end-boards"],
      hours: 2,
      check: breadboard.joint === "tongue" ? "Tongue slides in its groove by hand." : "",
    },
    {
      id: "end-boards",
      title: breadboard.joint === "tongue" ? "Groove the end boards" : "Joint the end boards’ inner edges",
      detail:
        breadboard.joint === "tongue"
          ? `${breadboard.tongue} mm deep, closed ${breadboard.endGap} mm from each end: the tongue is planed to it.`
          : "Straight to a hair hollow: they close on the panel’s ends.",
      parts: ["end-board"],
      after: ["mill"],
      hours: 1,
    },
    {
      id: "end-mortises",
      title: "Mortise the end boards",
      detail: `As deep as the tenons${breadboard.joint === "tongue" ? "" : " are long"}. Mark their places from the panel, never from the list.`,
      parts: ["end-board"],
      after: ["tongue"],
      hours: 1,
    },
    {
      id: "pegs",
      title: "Bore for the pegs and lengthen the slots",
      detail: `Through the end board, mark, and bore the tongue ${breadboard.drawOffset} mm nearer the shoulder. Each slot as long and as far set off as Movement gives it.`,
      parts: ["top", "end-board"],
      after: ["end-mortises"],
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

function frameSteps({ top, frame, field }: Form, before: string): TopStep[] {
  const slats = field === "slats";
  const { length, wide, thin } = cornerTenon(frame, top.thickness);
  const corners =
    frame.corners === "tenoned"
      ? `the ends’ tenons ${fine(thin)} thick, ${mm(wide)} wide and ${mm(length)} long, in the grooves’ plane`
      : "corners mitred, a spline in each";
  return [
    ...(slats
      ? []
      : [
          {
            id: "frame-tongue",
            title: "Cut the panel’s edges down to its tongue",
            detail: `Rebate both faces all round until ${fine(thin)} stay in the middle: ${mm(frame.groove - 1)} long at the ends, ${mm(frame.groove)} at the sides.`,
            parts: ["top"],
            after: [before, "frame"],
            hours: 1.5,
            check: "Slides in the frame’s groove by hand, and keeps its gap at each side.",
          },
        ]),
    {
      id: "frame",
      title: "Groove and joint the frame",
      detail: `${slats ? "The ends’ grooves" : "Grooves"} ${frame.groove} mm deep and ${fine(thin)} wide; ${corners}.${slats ? "" : " Finish the panel's edges first: the dry season shows them."}`,
      parts: ["frame-long", "frame-end"],
      after: ["mill"],
      hours: 4,
    },
    {
      id: "frame-glue",
      title: slats ? "Glue the frame round the slats" : "Glue the frame round the panel",
      detail: slats
        ? "Glue in the corners; a peg through each slat’s tongue at its middle."
        : frame.panel === "floating"
          ? "Glue in the corners only; pin the panel at its middle."
          : "Glue all round, as chosen; see what Movement says.",
      parts: [slats ? "slat" : "top", "frame-long", "frame-end"],
      after: slats ? ["frame", before] : ["frame-tongue"],
      hours: 1.5,
      wait: 24,
      waitFor: "the frame to cure",
      check: slats ? "Every gap as its spacer." : "Panel slides in its grooves.",
    },
  ];
}
