import type { Part } from "../layout/cut-list";
import type { GlueStage } from "../glueup/stages";
import type { Adhesive } from "../glueup/adhesives";
import type { BaseWork, WorkFacts } from "../construction/base/base";
import type { PieceGeometry } from "../construction/geometry";
import { stripesOf } from "../construction/top/stripes";
import type { Acclimatising } from "../movement/acclimatise";
import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { fine } from "../verdict/verdict";
import { Step, stepOf as step, TIME } from "./step";
import { blankStep } from "./blanks";
import { afterEdges, edgeSteps, withCurves } from "./edges";
import { COATS, finishSteps } from "./finish";
import { GluedPanel, panelSteps, sizedTo } from "./panel";
import { dropEdgeSteps, dropHangSteps } from "./dropping";
import { feetSteps } from "./feet";
import { hatchHangSteps } from "./hatch";
import { facingSteps } from "./facing";
import { fillSteps } from "./fill";
import { heldSteps } from "./leaf-held";
import { leafKinds, sandTop } from "./sand-top";
import { turnAttach } from "./turning";
import { afterNotches, loperNotchSteps } from "./lopers";
import { drawSteps, openSteps } from "./parting";
import { roundShelf, shelfOnStretchers, shelfSteps } from "./shelf";
import { fieldKinds } from "./slabs";
import { attachStep, fasteningStep, smallStep } from "./fastening";
import { rustless, sealed } from "./outdoors";
import { topSteps } from "./top";
import { stripesStep, topGluing } from "./top-gluing";

/** From here on the inside of a board dries weeks behind its face, mm. @source common practice */
const THICK_STOCK = 50;

const STICKS = ["leg", "post", "rail"];
/** What is seen beside the base and the field of the top, and is finished with them. */
const SEEN = [
  ...["shelf", "shelf-slat", "leaf", "leaf-rail", "drop-leaf"],
  ...["fold-leaf", "hatch", "gate-leg", "gate-arm"],
];

export interface OrderInputs {
  piece: Piece;
  at: PieceGeometry;
  parts: readonly Part[];
  /** the base's own steps, once it is told what they wait for */
  work: (
    facts: Pick<WorkFacts<never>, "thick" | "milled" | "grooved" | "fullHours" | "clampHours" | "long">,
  ) => BaseWork;
  /** gluings of the top, and of every other panel */
  stages: readonly GlueStage[];
  panels: readonly GluedPanel[];
  adhesive: Adhesive;
  shop: Shop;
  /** how thick the top's strips are planed before they are glued, mm */
  strips: number;
  /** boards of the top with knots or checks that stay in it */
  filled: readonly string[];
  acclimatising: Acclimatising | null;
}

/** Every step the design calls for, each after what it needs; not yet in order. */
export function stepsFor(inputs: OrderInputs): Step[] {
  const { piece, at, parts, work, stages, panels, adhesive, shop, strips, filled, acclimatising } = inputs;
  const laminated = parts.filter((part) => part.leaves > 1);
  // what is cut from a sheet is neither sawn rough nor milled; blocks and buttons are milled as one strip each
  const boarded = parts.filter((part) => part.role !== "sheet");
  // slabs are flattened by themselves
  const milled = boarded.filter(({ ownEdges }) => !ownEdges);
  const pieces = boarded
    .filter((part) => part.role !== "panel")
    .reduce((sum, part) => sum + (STICKS.includes(part.role) ? part.count * part.leaves : 1), 0);
  const coats = COATS[piece.finish];
  const field = fieldKinds(piece.form, at.top);
  const { top } = piece.panels;
  const reclaimed = ["top", "shelf"].some(
    (id) => (piece.panels[id]?.sawnFace ?? null) !== null && parts.some((part) => part.id === id),
  );
  const out: Step[] = [];

  if (acclimatising) {
    const { boards, days, from, to } = acclimatising;
    const named = boards.map(({ id }) => id).filter(Boolean);
    const thick = Math.max(...boards.map(({ thickness }) => thickness));
    out.push(
      step({
        id: "acclimatise",
        title: "Sticker the boards in air like the room's",
        detail: `${named.length > 0 ? `${named.slice(0, 6).join(", ")}${named.length > 6 ? ` and ${named.length - 6} more` : ""}: ` : ""}until the meter reads ${from.toFixed(1)} to ${to.toFixed(1)} %, about ${days} days from ${boards[0].moisture} %. Measure two a week${thick >= THICK_STOCK ? "; thick stock inside a fresh cut, its face dries first" : ""}.`,
        hours: 0.5,
        once: true,
        wait: days * 24,
        waitFor: "acclimatising",
        caution: "Sawdust that clings and rusts the saw says the wood is wet, whatever a meter reads at its face.",
      }),
    );
  }
  const first = acclimatising ? ["acclimatise"] : [];
  out.push(
    step({
      id: "rough-cut",
      title: "Cut everything rough",
      detail: `Crosscut${milled.length > 0 ? ", then rip," : ""} from the diagrams.${milled.length < boarded.length ? " Slabs keep their edges." : ""} Letter each piece as it leaves the saw.`,
      parts: boarded.map((part) => part.id),
      after: reclaimed ? ["metal"] : first,
      hours: 1 + pieces * 0.1,
      wait: TIME.release,
      waitFor: "boards to release their tension",
      caution: "Ripping boards that pinch: use the splitter and stop when it closes.",
    }),
  );
  if (milled.length > 0)
    out.push(
      step({
        id: "mill",
        title: "Mill to thickness and width",
        detail: `One planer setting at a time, thickest first, as the settings list has it.${stages.length > 0 && top.sawnFace !== null ? " The top’s strips are planed from below only: their upper faces stay as they were sawn." : ""}${stages.length > 0 && strips > at.core.thickness ? ` The top’s strips stay ${fine(strips - at.core.thickness)} over: the glued panel is flattened.` : ""}`,
        parts: milled.map((part) => part.id),
        after: ["rough-cut"],
        hours: 1 + pieces * TIME.mill,
        check: "Face flat to a straightedge within 0.2 mm; edges square.",
        caution: "Nothing shorter than 300 mm through the planer by itself.",
      }),
    );
  if (reclaimed)
    out.push(
      step({
        id: "metal",
        title: "Look for metal, and brush the sawn faces",
        detail:
          "A magnet along both faces, then a detector: a nail’s shank stays when its head is gone. Dig out what is found; grit comes off with a wire brush, along the grain.",
        after: first,
        hours: 0.75,
        once: true,
        caution: "No blade goes into wood that was not looked through.",
      }),
    );
  if (laminated.length > 0) out.push(blankStep(laminated, adhesive.clampHours));

  const base = work({
    thick: laminated.length > 0 ? ["mill", "laminate"] : ["mill"],
    milled: ["mill"],
    grooved: fasteningStep(piece, at),
    fullHours: adhesive.fullHours,
    clampHours: adhesive.clampHours,
    long: piece.choices.legs === "left-long",
  });
  const sawn = (id: string) => (piece.panels[id]?.sawnFace ?? null) !== null;
  const shelf = shelfSteps(parts, panels, at, { clampHours: adhesive.clampHours, shop, sawn: sawn("shelf") });
  const standing = [...new Set((at.panels ?? []).map(({ kind }) => kind))].flatMap((kind) => {
    const mine = panels.filter(({ place }) => place.kind === kind);
    return panelSteps(
      parts.find(({ id }) => id === kind),
      mine,
      {
        ...{ clampHours: adhesive.clampHours, shop, sawn: mine.some(({ place }) => sawn(place.id)) },
        length: sizedTo(mine),
      },
    );
  });
  const letIn = shelf.length > 0 && at.seats.some((seat) => seat.letIn > 0);
  const lasts = [stages, ...panels.flatMap((each) => (each.place.kind === "top" ? [each.stages] : []))].flatMap(
    (each) => {
      const last = each.at(-1);
      return last ? [`glue-${last.id}`] : [];
    },
  );
  const made = topSteps({ piece, at, shop, strips, last: lasts.length > 0 ? lasts : ["mill"] });
  const edges = edgeSteps(piece, parts, base, made);
  // what is glued first waits for the edges of its parts
  const jointed = withCurves(piece, parts, letIn ? roundShelf(base) : base.steps, base.apart[0]);
  const notched = loperNotchSteps(piece.form, at, ["mill"]);
  const own = afterNotches(afterEdges(jointed, base.apart[1], edges.base), base.apart[0], notched);
  out.push(...standing, ...shelf, ...own, ...edges.base);
  const small = smallStep(piece, parts);
  if (small) out.push(small);
  out.push(...notched, ...shelfOnStretchers(parts, at, base.closed));
  const held = heldSteps(piece.form, at, base.closed, adhesive.clampHours);
  out.push(...held);

  if (at.core.striped) out.push(stripesStep(stripesOf(piece.form, at.core.width), shop));
  const tops = [
    { name: "top", stages },
    ...panels.flatMap(({ place: { name, kind }, stages }) => (kind === "top" ? [{ name, stages }] : [])),
  ];
  out.push(
    ...tops.flatMap(({ name, stages }) =>
      topGluing(name, stages, { ...{ piece, at, strips }, clampHours: adhesive.clampHours }),
    ),
  );
  out.push(...afterEdges(made, made.at(-1)!.id, edges.top).map((each) => step(each)), ...edges.top);
  out.push(...fillSteps(filled, field, made.at(-1)!.id));
  const leaves = standing.filter((each) => each.parts.includes("drop-leaf")).map(({ id }) => id);
  const moulded = dropEdgeSteps(at, [made.at(-1)!.id, ...leaves.slice(-1)]);
  out.push(...moulded);
  out.push(
    sandTop(piece, {
      oily: coats.oily,
      parts: [...field, ...leafKinds(parts)],
      after: [
        filled.length > 0 ? "fill" : made.at(-1)!.id,
        ...moulded.map(({ id }) => id),
        ...edges.top.filter(({ id }) => id.endsWith("-after")).map(({ id }) => id),
      ],
    }),
  );
  const finished = finishSteps(piece, {
    top: field,
    seen: [...base.seen, ...SEEN.filter((kind) => parts.some(({ id }) => id === kind))],
    // feet are sawn before the first coat: their end grain is sealed with it
    closed: [
      ...base.closed,
      ...base.standing,
      ...edges.base.filter(({ id }) => id === "edges-after").map(({ id }) => id),
    ],
    names: new Map(parts.map((part) => [part.id, (part.plural ?? `${part.name}s`).toLowerCase()])),
  });
  out.push(...finished.steps);
  const outdoors = piece.brief.place === "porch";
  const ends = (each: Step) => ({ ...each, detail: `${each.detail} Their end grain is sealed with the first coat.` });
  out.push(...base.levelling.map(outdoors ? sealed : ends));
  const drawn = drawSteps(piece.form, at, finished.last);
  out.push(...drawn);
  out.push(
    step({
      id: "attach",
      check: "Gap at each fastener as Movement gives it.",
      ...(turnAttach(piece.form, at) ??
        base.attach ??
        (outdoors ? rustless(attachStep(piece, at)) : attachStep(piece, at))),
      parts: field,
      after: [
        ...finished.last,
        ...base.standing,
        ...[...(small ? [small] : []), ...drawn, ...held].map(({ id }) => id),
      ],
      hours: TIME.attach,
      wait: finished.cure,
      waitFor: "the finish to cure",
    }),
  );
  const feet = feetSteps(piece.form, at, [...finished.last, ...base.standing]);
  out.push(...feet);
  const opened = [
    ...openSteps(piece.form, at, "attach"),
    ...dropHangSteps(piece.form, at, "attach"),
    ...facingSteps(piece.form, at, "attach"),
    ...hatchHangSteps(piece.form, "attach"),
  ];
  out.push(...opened);
  out.push(
    step({
      id: "deliver",
      title: "Deliver, and measure it once more",
      detail: "Moisture and width on the day, written in the log; come back in a season.",
      parts: [],
      after: [opened.at(-1)?.id ?? "attach", ...feet.map(({ id }) => id)],
      hours: 2,
      once: true,
    }),
  );
  // with nothing to mill what waited for that waits for the rough cuts
  return milled.length > 0
    ? out
    : out.map((each) => ({ ...each, after: each.after.map((id) => (id === "mill" ? "rough-cut" : id)) }));
}
