import { Footprint, PieceGeometry, postBand } from "../construction/geometry";
import { chordAt, shapedTop } from "../construction/top/outline";
import { jointLines, NARROWEST_STRIP, widestWindow, WIDEST_STRIP } from "../layout/candidates";
import { LINES } from "../layout/arrange";
import { LEAST_OVER, overOf, stripThickness } from "../layout/strip-thickness";
import type { Piece, Strip } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { fine, grade, Level, mm, Remedy, set, Verdict, verdict } from "../verdict/verdict";
import { narrowest, RackBoard } from "./board";
import { Milled, millingYield } from "./milling";
import { sawnFaceRule } from "./sawn-face";

/** A strip as it lies in the panel, front edge first; `from` and `width` are finished, `across` is where it is ripped from its board, `length` what the outline keeps of it, which starts at `at` along the panel; mm. */
export interface LaidStrip {
  strip: Strip;
  board: RackBoard;
  milled: Milled;
  /** light passes over its upper face, which stays as it was sawn; null where it is planed */
  sawn: number | null;
  full: number;
  across: number;
  from: number;
  width: number;
  length: number;
  at: number;
}

export interface PanelFacts {
  /** how a sentence calls the panel: "top" */
  name: string;
  piece: Piece;
  at: PieceGeometry;
  shop: Shop;
  rack: readonly RackBoard[];
  laid: readonly LaidStrip[];
  missing: readonly string[];
  lacking: { name: string; count: number }[];
}

/** @source common practice */
export const PANEL_LIMITS = { moistureSpread: 1.5, wideStrip: 200 };

type PanelRule = (facts: PanelFacts) => Verdict | Verdict[] | null;
/** Rules of any panel. */
export const ONE_PANEL_RULES: PanelRule[] = [
  chosen,
  gone,
  taken,
  wideEnough,
  longEnough,
  thickEnough,
  ({ laid, piece }) => sawnFaceRule(laid, piece.panels.top),
  centreLine,
  overLegs,
  defectsInside,
  stripWidths,
  moistureSpread,
  ringOrder,
];
/** Every rule of the boards stage: those of the top, and those of the piece. */
export const PANEL_RULES: PanelRule[] = [...ONE_PANEL_RULES, partsHaveBoards, outlineClear];

function chosen({ laid, at, name }: PanelFacts): Verdict | null {
  if (laid.length > 0 || at.core.count > 1) return null;
  return verdict({
    id: "boards.chosen",
    stage: "boards",
    level: "fix",
    subject: ["top"],
    text: `No boards are chosen for the ${name} yet`,
    why: `Let Taller compose the ${name} from the rack, or drag boards up from it.`,
  });
}

function gone({ missing, piece }: PanelFacts): Verdict | null {
  if (missing.length === 0) return null;
  return verdict({
    id: "boards.gone",
    stage: "boards",
    level: "fix",
    subject: missing.map((id) => `strip:${id}`),
    text: `${list(missing)} ${missing.length === 1 ? "is" : "are"} no longer on the rack`,
    why: "The panel still names a board that was cut up or renamed.",
    remedies: [
      set(
        "Take it out of the panel",
        ["panels", "top", "strips"],
        piece.panels.top.strips.filter((strip) => !missing.includes(strip.board)),
      ),
    ],
  });
}

function taken({ laid, piece }: PanelFacts): Verdict | null {
  const mine = laid.filter(({ board }) => board.reservedBy);
  if (mine.length === 0) return null;
  const ids = mine.map(({ board }) => board.id);
  return verdict({
    id: "boards.taken",
    stage: "boards",
    level: "fix",
    subject: ids.map((id) => `strip:${id}`),
    text: `${list(ids)} ${ids.length === 1 ? "is" : "are"} reserved for ${mine[0].board.reservedBy!.name}`,
    why: "One board can be in one piece only.",
    remedies: [
      set(
        `Take ${list(ids)} out of the panel`,
        ["panels", "top", "strips"],
        piece.panels.top.strips.filter((strip) => !ids.includes(strip.board)),
      ),
    ],
  });
}

function wideEnough({ laid, at, name }: PanelFacts): Verdict | null {
  if (laid.length === 0) return null;
  const total = laid.reduce((sum, each) => sum + each.full, 0);
  const level = grade(total, "at least", at.core.width + 2, at.core.width);
  const beside = at.top.width - at.core.width;
  return verdict({
    id: "boards.width",
    stage: "boards",
    level,
    subject: ["top"],
    text: `${mm(total)} after jointing, ${mm(at.core.width)} needed`,
    why:
      total >= at.core.width
        ? `${laid.length - 1} ${laid.length === 2 ? "joint" : "joints"}; ${mm(total - at.core.width)} to trim.`
        : `Add a board, or narrow the ${name}.`,
    limit: at.core.width,
    actual: Math.round(total),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "fix" && total > 400
        ? [
            set(
              `Make the ${name} ${Math.floor(total - 2) + beside} mm wide`,
              ["form", "top", "width"],
              Math.floor(total - 2) + beside,
            ),
          ]
        : [],
  });
}

function longEnough({ laid, shop, piece }: PanelFacts): Verdict | null {
  if (laid.length === 0) return null;
  const spare = (each: LaidStrip) => each.board.length - each.strip.slide - each.length;
  const shortest = laid.reduce((a, b) => (spare(b) < spare(a) ? b : a));
  const have = shortest.board.length - shortest.strip.slide;
  const need = shortest.length;
  const level = grade(have, "at least", need + shop.lengthAllowance, need);
  return verdict({
    id: "boards.length",
    stage: "boards",
    level,
    subject: [`strip:${shortest.board.id}`],
    text:
      level === "fix"
        ? `${shortest.board.id} is ${mm(need - have)} short`
        : `${shortest.board.id}, the shortest, leaves ${mm(have - need)} to trim`,
    why: `Strips are left ${shop.lengthAllowance} mm long until the panel is flat.`,
    limit: need + shop.lengthAllowance,
    actual: Math.round(have),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || shortest.strip.slide === 0
        ? []
        : [
            set(
              `Start ${shortest.board.id} at its left end`,
              ["panels", "top", "strips", piece.panels.top.strips.indexOf(shortest.strip), "slide"],
              0,
            ),
          ],
  });
}

function thickEnough({ laid, at, shop, piece, name }: PanelFacts): Verdict | null {
  if (laid.length === 0) return null;
  const thin = laid.reduce((a, b) => (b.milled.thickness < a.milled.thickness ? b : a));
  const spare = thin.milled.thickness - at.core.thickness;
  const over = overOf(laid, shop.panelOver);
  const level = grade(spare, "at least", over, Math.min(over, LEAST_OVER));
  const planed = stripThickness(laid, at.core.thickness, shop);
  const { lost } = thin.milled;
  const short = millingYield(thin.board, shop, at.core.length + shop.lengthAllowance, narrowest(thin.board)).thickness;
  const thinner = Math.floor(thin.milled.thickness - over);
  return verdict({
    id: "boards.thickness",
    stage: "boards",
    level,
    subject: [`strip:${thin.board.id}`],
    text:
      spare < 0
        ? `${thin.board.id} cleans up at ${fine(thin.milled.thickness)}, ${fine(-spare)} too thin`
        : thin.sawn !== null
          ? `${thin.board.id}, the thinnest, stays ${fine(thin.milled.thickness)} at its highest place`
          : `${thin.board.id} cleans up at ${fine(thin.milled.thickness)}: planed to ${fine(planed)}, ${fine(planed - at.core.thickness)} stay to flatten the glued panel`,
    why:
      thin.sawn !== null
        ? `Rough ${fine(thin.board.thickness)}, ${fine(lost.cleaning)} for cleaning below and light passes above. The thinnest gives the thickness; the others are planed to it from below.`
        : `Rough ${fine(thin.board.thickness)}, cup ${fine(lost.cup)}, bow ${fine(lost.bow)}, twist ${fine(lost.twist)}, cleaning ${fine(lost.cleaning)}. Strips are planed ${fine(shop.panelOver)} over the ${fine(at.core.thickness)} the panel ends at: no glue-up comes out flat.`,
    limit: round1(at.core.thickness + over),
    actual: round1(thin.milled.thickness),
    sense: "at least",
    unit: "mm",
    source: "derived: circular bow and cup, half the twist shimmed",
    remedies:
      level === "holds"
        ? []
        : [
            ...(thin.sawn === null && !piece.panels.top.crosscutFirst && short > thin.milled.thickness + 0.1
              ? [set("Crosscut before flattening", ["panels", "top", "crosscutFirst"], true)]
              : []),
            ...(thinner >= 18 && thinner < at.core.thickness
              ? [set(`Make the ${name} ${thinner} mm thick`, ["form", "top", "thickness"], thinner)]
              : []),
          ],
  });
}

function centreLine({ laid, at, piece }: PanelFacts): Verdict | null {
  if (laid.length < 2) return null;
  const nearest = Math.min(...linesOf(laid, at).map((line) => Math.abs(line - at.core.width / 2)));
  const level: Level = nearest >= LINES.offCentre ? "holds" : "tight";
  return verdict({
    id: "boards.centre",
    stage: "boards",
    level,
    subject: ["top"],
    text:
      level === "holds"
        ? `No joint line within ${mm(Math.min(nearest, 999))} of the centre`
        : `A joint line runs ${mm(nearest)} from the centre`,
    why: `The eye finds a line near the middle; keep it ${LINES.offCentre} mm off.`,
    limit: LINES.offCentre,
    actual: Math.round(nearest),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : bestSwap(piece, laid, at),
  });
}

function overLegs({ laid, at, piece }: PanelFacts): Verdict | null {
  const band = postBand(at);
  if (laid.length < 2 || !band) return null;
  const inside = linesOf(laid, at)
    .map((line) => Math.min(line, at.core.width - line))
    .filter((line) => line > band.from && line < band.to);
  return verdict({
    id: "boards.legs",
    stage: "boards",
    level: inside.length ? "tight" : "holds",
    subject: ["top", "leg"],
    text: inside.length
      ? `A joint line runs over the legs, ${mm(inside[0])} from the edge`
      : "No joint line over a leg",
    why: `Legs stand ${mm(band.from)} to ${mm(band.to)} from the edge; a line there shows beside the rail and weakens the button.`,
    remedies: inside.length ? bestSwap(piece, laid, at) : [],
  });
}

/** The swap of two strips that most helps lines stay off centre and legs, if any does. */
function bestSwap(piece: Piece, laid: readonly LaidStrip[], at: PieceGeometry): Remedy[] {
  const band = postBand(at);
  const fault = (order: readonly LaidStrip[]) =>
    jointLines(
      order.map((each) => each.full),
      at.core.width,
    ).reduce((sum, line) => {
      const fromEdge = Math.min(line, at.core.width - line);
      const overLeg = band !== null && fromEdge > band.from && fromEdge < band.to;
      return sum + (Math.abs(line - at.core.width / 2) < LINES.offCentre ? 1 : 0) + (overLeg ? 1 : 0);
    }, 0);
  const now = fault(laid);
  for (let i = 0; i < laid.length; i += 1)
    for (let j = i + 1; j < laid.length; j += 1) {
      const order = laid.slice();
      [order[i], order[j]] = [order[j], order[i]];
      if (fault(order) < now) {
        const strips = piece.panels.top.strips.slice();
        const [a, b] = [
          strips.findIndex((each) => each.board === laid[i].board.id),
          strips.findIndex((each) => each.board === laid[j].board.id),
        ];
        [strips[a], strips[b]] = [
          { ...strips[b], face: strips[a].face },
          { ...strips[a], face: strips[b].face },
        ];
        return [set(`Swap ${laid[i].board.id} and ${laid[j].board.id}`, ["panels", "top", "strips"], strips)];
      }
    }
  return [];
}

function defectsInside({ laid, shop, piece, name }: PanelFacts): Verdict[] {
  return laid.flatMap((each) => {
    const length = each.length + shop.lengthAllowance;
    const inside = each.board.defects.filter(
      (d) => d.x < each.strip.slide + length && d.x + d.length > each.strip.slide,
    );
    if (inside.length === 0) return [];
    const window = widestWindow(each.board, Math.min(length, each.board.length));
    const clearAt = (slide: number) => !each.board.defects.some((d) => d.x < slide + length && d.x + d.length > slide);
    const move = clearAt(window.slide) && Math.abs(window.slide - each.strip.slide) > 0.5;
    const ripped = each.full <= window.width - 2 * shop.jointing && Math.abs(window.slide - each.strip.slide) < 1;
    const index = piece.panels.top.strips.indexOf(each.strip);
    return [
      verdict({
        id: `boards.defect-${each.board.id}`,
        stage: "boards",
        subject: [`strip:${each.board.id}`],
        level: ripped ? "holds" : "tight",
        text: ripped
          ? `The ${inside[0].kind} in ${each.board.id} is ripped off`
          : `The ${inside[0].kind} in ${each.board.id} falls inside the ${name}`,
        why: `It lies ${mm(inside[0].x)} from the board's left end${ripped ? `, within the ${mm(narrowest(each.board) - each.full)} that are cut away` : ""}.`,
        remedies: move
          ? [set(`Slide ${each.board.id} past it`, ["panels", "top", "strips", index, "slide"], window.slide)]
          : [],
      }),
    ];
  });
}

function stripWidths({ laid, name }: PanelFacts): Verdict | null {
  if (laid.length === 0) return null;
  const widest = laid.reduce((a, b) => (b.width > a.width ? b : a));
  const narrow = laid.reduce((a, b) => (b.width < a.width ? b : a));
  const level: Level =
    narrow.width < NARROWEST_STRIP / 2 || widest.width > WIDEST_STRIP
      ? "fix"
      : widest.width > PANEL_LIMITS.wideStrip || widest.width > 2.5 * narrow.width
        ? "tight"
        : "holds";
  return verdict({
    id: "boards.strips",
    stage: "boards",
    level,
    subject: [`strip:${widest.board.id}`, `strip:${narrow.board.id}`],
    text: `Strips from ${mm(narrow.width)} to ${mm(widest.width)} wide`,
    why:
      level === "holds"
        ? `Even enough that no single board rules the ${name}.`
        : `${widest.board.id} cups most; strips of like width look calmer.`,
    limit: PANEL_LIMITS.wideStrip,
    actual: Math.round(widest.width),
    sense: "at most",
    unit: "mm",
  });
}

function moistureSpread({ laid }: PanelFacts): Verdict | null {
  if (laid.length === 0) return null;
  const values = laid.map(({ board }) => board.moisture);
  const spread = Math.max(...values) - Math.min(...values);
  return verdict({
    id: "boards.moisture",
    stage: "boards",
    level: grade(spread, "at most", PANEL_LIMITS.moistureSpread, 2 * PANEL_LIMITS.moistureSpread),
    subject: laid.map(({ board }) => `strip:${board.id}`),
    text: `Boards differ by ${round1(spread)} % moisture`,
    why: "Boards that dry apart leave steps at their seams; stack them together until they agree.",
    limit: PANEL_LIMITS.moistureSpread,
    actual: round1(spread),
    sense: "at most",
    unit: "%",
  });
}

function ringOrder({ laid, piece, name }: PanelFacts): Verdict | null {
  if (laid.length < 2) return null;
  const faces = laid.map(({ strip }) => strip.face);
  const alternate = faces.every((face, i) => i === 0 || face !== faces[i - 1]);
  const wanted = piece.choices.rings === "alternate";
  const strips = laid.map(({ strip }, i) => ({
    ...strip,
    face: wanted && i % 2 === 1 ? ("bark-down" as const) : ("bark-up" as const),
  }));
  const ok = !wanted || alternate;
  return verdict({
    id: "boards.rings",
    stage: "boards",
    level: ok ? "holds" : "tight",
    subject: ["top"],
    text: wanted
      ? alternate
        ? `Rings alternate across the ${name}`
        : "Two neighbours have their rings the same way"
      : "Best faces up, rings as they fall",
    why: wanted
      ? "Alternated, ripples average out and there is less to hold down."
      : `The base holds the ${name} flat; a board all one way adds a weak long arc.`,
    remedies: ok
      ? []
      : [
          set("Alternate the rings", ["panels", "top", "strips"], strips),
          set("Best faces up instead", ["choices", "rings"], "best-face"),
        ],
  });
}

function partsHaveBoards({ lacking, laid, at }: PanelFacts): Verdict | null {
  if (laid.length === 0 && lacking.length === 0 && at.core.count === 1) return null;
  return verdict({
    id: "boards.parts",
    stage: "boards",
    level: lacking.length ? "fix" : "holds",
    subject: lacking.map((each) => each.name),
    text: lacking.length
      ? `No board on the rack for ${lacking.map((each) => `${each.count} ${each.name.toLowerCase()}`).join(", ")}`
      : "Every part has a board",
    why: lacking.length
      ? "They stand on the shopping list under Cutting."
      : "Whatever is not in a panel is laid out under Cutting.",
  });
}

/** What stands below must lie under the finished outline, and no hole be cut over it. */
function outlineClear({ at, piece }: PanelFacts): Verdict | null {
  const top = shapedTop(piece.form.top, at);
  const whole = at.core.count === 1 && at.core.length === at.top.length;
  if (!whole || (top.outline === "rectangle" && top.cutouts.length === 0)) return null;
  const shape = { ...top, length: at.top.length, width: at.top.width };
  const below = belowTop(at);
  // where corners are notched the legs come up through them
  const out =
    top.outline === "notched"
      ? 0
      : Math.max(
          0,
          ...below.map(
            ({ x, z, length, width }) => Math.abs(x) + length / 2 - chordAt(shape, Math.abs(z) + width / 2) / 2,
          ),
        );
  const over = top.cutouts.find((cut) =>
    below.some(
      ({ x, z, length, width }) =>
        Math.abs(Math.abs(cut.x) - Math.abs(x)) < (cut.length + length) / 2 &&
        Math.abs(Math.abs(cut.y) - Math.abs(z)) < (cut.width + width) / 2,
    ),
  );
  const beyond = top.cutouts.find((cut) =>
    [-1, 1].some((s) => Math.abs(cut.x) + cut.length / 2 > chordAt(shape, cut.y + (s * cut.width) / 2) / 2),
  );
  return verdict({
    id: "boards.outline",
    stage: "boards",
    subject: ["top", "leg"],
    level: out > 0 || beyond ? "fix" : over ? "tight" : "holds",
    text:
      out > 0
        ? `The legs stand ${mm(out)} outside the outline`
        : beyond
          ? `The cut-out for ${beyond.name} runs over the edge`
          : over
            ? `The cut-out for ${over.name} opens over a leg`
            : "Legs and cut-outs lie inside the outline",
    why:
      out > 0
        ? "The curve passes inside their corners: overhang them more, or keep the top straight."
        : beyond || over
          ? "Move it, or make it smaller."
          : "Each corner of a leg is covered by the finished top.",
    remedies:
      out > 0
        ? [set("Keep the top rectangular", ["form", "top", "outline"], "rectangle")]
        : (beyond ?? over)
          ? [
              set(
                "Take the cut-out out",
                ["form", "top", "cutouts"],
                top.cutouts.filter((cut) => cut !== (beyond ?? over)),
              ),
            ]
          : [],
  });
}

/** What comes up to the top: legs, or the braces of a base whose posts stop below. */
const belowTop = ({ posts, bearers }: PieceGeometry): Footprint[] =>
  posts.length > 0
    ? posts
    : bearers
        .filter(({ run }) => run === "across")
        .map(({ at, length, thickness }) => ({ x: at, z: 0, length: thickness, width: length }));

const linesOf = (laid: readonly LaidStrip[], at: PieceGeometry) =>
  jointLines(
    laid.map((each) => each.full),
    at.core.width,
  );
const list = (ids: readonly string[]) =>
  ids.length < 3 ? ids.join(" and ") : `${ids.slice(0, -1).join(", ")} and ${ids.at(-1)}`;
const round1 = (n: number) => Math.round(n * 10) / 10;
