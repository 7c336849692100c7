/** Everything the screens and sheets compute from a plan when they are drawn, and what must be true of it. */
import { jointDrawings } from "../../core/drawing/joints";
import { boardScene, panelScene } from "../../core/drawing/boards";
import { closeUp } from "../../core/drawing/close-up";
import { alcoveScene } from "../../core/drawing/alcove";
import { dovetailScene } from "../../core/drawing/dovetail";
import { cuttingScene } from "../../core/drawing/cutting";
import { elevationsScene, planScene, thumbScene } from "../../core/drawing/elevations";
import { fasteningScene } from "../../core/drawing/fastening";
import { holdingScene } from "../../core/drawing/holding";
import { glueScene } from "../../core/drawing/glue-up";
import { insetScene } from "../../core/drawing/inset";
import { buttonScene } from "../../core/drawing/button";
import { openingsScene } from "../../core/drawing/openings";
import { roomScene } from "../../core/drawing/room";
import type { Scene } from "../../core/drawing/scene";
import { sheetScene } from "../../core/drawing/sheet";
import { endGrainScene, movementScene } from "../../core/drawing/top";
import { writeCutList } from "../../core/formats/cut-list-csv";
import { writePiece } from "../../core/formats/piece-file";
import { rehearse } from "../../core/glueup/rehearsal";
import { alternatives, differences } from "../../core/movement/compare";
import { governing } from "../../core/movement/governing";
import { panelProfile } from "../../core/movement/profile";
import type { Piece } from "../../core/piece/schema";
import type { Shop } from "../../core/piece/shop";
import type { Plan } from "../../core/plan";
import { leaves, worked } from "../../core/sources/worked";

/** Every drawing of a piece, on the first day, the last, and its driest and wettest. */
export function scenesOf(plan: Plan, piece: Piece, shop: Shop): Scene[] {
  const drawable = { ...plan, form: piece.form };
  const one = plan.joints[Math.round(piece.form.top.width + piece.form.top.length) % Math.max(1, plan.joints.length)];
  const days = [0, plan.top.wet.at, plan.top.dry.at, plan.top.course.mean.length - 1];
  const byId = new Map(plan.cutting.pieces.map((each) => [each.id, each]));
  return [
    roomScene(piece, plan.species.colour),
    planScene(drawable),
    elevationsScene(drawable),
    thumbScene(drawable),
    ...days.flatMap((day) => [
      movementScene(plan, piece, day, 8),
      endGrainScene(plan, true, day, 8),
      closeUp(plan, piece, day),
    ]),
    endGrainScene(plan, false),
    // one joint a piece: over many draws each kind comes up, and none is carved for nothing
    ...(plan.geometry.kind === "case" ? [openingsScene(plan.geometry, null)] : []),
    ...(plan.geometry.kind === "case" && piece.form.case.alcove
      ? [alcoveScene(piece.form.case.alcove, plan.geometry)]
      : []),
    ...plan.joints.flatMap((joint) => (joint.kind === "dovetail" ? [dovetailScene(joint)] : [])),
    ...jointDrawings(drawable, one?.id ?? null).map((each) => each.scene),
    buttonScene(plan, piece.joints.buttons),
    fasteningScene(plan, piece),
    holdingScene(plan, piece),
    panelScene(plan, piece, shop),
    ...[...plan.glueUp, ...plan.blanks].map((stage) => glueScene(plan, stage)),
    ...plan.cutting.boards.map((cut) =>
      cuttingScene(cut, plan.species.colour, { pieces: byId, kerf: shop.kerf, longest: 2400 }),
    ),
    ...plan.cutting.boards.map((cut) =>
      boardScene(cut.board, plan.species.colour, { longest: 2400, widest: 160, pale: false }),
    ),
    ...plan.sheets.flatMap((sheet) => sheet.sheets.map((_, n) => sheetScene(sheet, n))),
    ...plan.insets.map((moved, i) => insetScene(piece.insets[i], moved, plan.species)),
  ].filter((scene): scene is Scene => scene !== null);
}

/** Words and tables beside the drawings. */
export function wordsOf(plan: Plan, piece: Piece): unknown[] {
  return [
    governing(plan, piece),
    panelProfile(plan.top, plan.species, 0),
    worked(plan, piece),
    leaves(plan, piece),
    alternatives(piece, plan.species),
    differences({ plan, piece }, { plan, piece }),
    plan.glueUp.map((stage) => rehearse(stage, piece.choices.alignment, piece.glueUp.hands)),
    writeCutList(plan),
    writePiece(piece),
  ];
}

/** Paths of numbers that are none, and of words that betray one; at most a few. */
export function nonsenseIn(value: unknown, path = "plan", found: string[] = []): string[] {
  if (found.length > 4) return found;
  if (typeof value === "number" && !Number.isFinite(value)) found.push(`${path} is ${value}`);
  else if (typeof value === "string" && /\bNaN\b|\bInfinity\b|\bundefined\b/.test(value))
    found.push(`${path} says “${value.slice(0, 80)}”`);
  else if (value !== null && typeof value === "object")
    for (const [key, each] of Object.entries(value)) nonsenseIn(each, `${path}.${key}`, found);
  return found;
}
