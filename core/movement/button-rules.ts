/** Rules of wooden buttons: along their slots, and in and out of their grooves. */
import { bearersSaid } from "../construction/bearers";
import { PieceGeometry } from "../construction/geometry";
import type { Piece } from "../piece/schema";
import { fine, Level, Remedy, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { BUTTON_PLAY, LEAST_ENGAGED, playAlong, slotPlay, worstTravel } from "./buttons";
import type { MovementFacts } from "./movement-facts";

export function endButtons({ piece, at, fasteners, top }: MovementFacts): Verdict | null {
  if (!hasButtons(piece)) return null;
  const said = called(at, "across");
  const { dry, wet, subject } = worstTravel(fasteners, "across");
  if (subject.length === 0) return null;
  const need = Math.max(dry, wet);
  const choice = piece.joints.buttons;
  const has = slotPlay(choice);
  const level: Level = has < need ? "fix" : has < need + BUTTON_PLAY ? "tight" : "holds";
  const slot = Math.ceil(choice.width + 2 * (need + 1));
  const month = wet >= dry ? top.wet.name : top.dry.name;
  return verdict({
    id: "movement.end-buttons",
    stage: "movement",
    subject,
    level,
    text:
      level === "fix"
        ? `${said} buttons will bind in ${month}`
        : level === "tight"
          ? `${said} buttons close to ${fine(has - need)} in ${month}`
          : `${said} buttons slide freely all year`,
    why: `The outermost travels ${fine(need)} along its slot; a ${choice.slotLength} mm slot for a ${choice.width} mm button gives ${fine(has)} each way.`,
    limit: round1(need),
    actual: round1(has),
    sense: "at least",
    unit: "mm",
    source: "Wood Handbook FPL-GTR-282, ch. 13, for the travel",
    remedies:
      level === "holds"
        ? []
        : [
            set(`Lengthen the slots to ${slot} mm`, ["joints", "buttons", "slotLength"], slot),
            ...(choice.width > 25 ? [set("Use 25 mm buttons", ["joints", "buttons", "width"], 25)] : []),
          ],
  });
}

/** What bears the top, before the word buttons: "End-rail". */
function called(at: PieceGeometry, run: "along" | "across"): string {
  const said = (bearersSaid(at, run) ?? "rail").replaceAll(" ", "-");
  return said[0].toUpperCase() + said.slice(1);
}

export function longButtonsWet({ piece, at, fasteners, top }: MovementFacts): Verdict | null {
  if (!hasButtons(piece)) return null;
  const said = called(at, "along");
  const bearers = (bearersSaid(at, "along") ?? "rail").split(" ").at(-1);
  const { wet, subject } = worstTravel(fasteners, "long");
  if (subject.length === 0) return null;
  const choice = piece.joints.buttons;
  const has = playAlong(choice).wet;
  const level: Level = has < wet ? "fix" : has < wet + BUTTON_PLAY ? "tight" : "holds";
  return verdict({
    id: "movement.long-buttons-wet",
    stage: "movement",
    subject,
    level,
    text:
      level === "fix"
        ? `${said} buttons push the ${bearers}s out in ${top.wet.name}`
        : level === "tight"
          ? `${said} buttons close to ${fine(has - wet)} in ${top.wet.name}`
          : `${said} buttons have room to go in`,
    why: `The top carries them ${fine(wet)} toward the rail; tip and shoulder leave ${fine(has)}.`,
    limit: round1(wet),
    actual: round1(has),
    sense: "at least",
    unit: "mm",
    source: "Wood Handbook FPL-GTR-282, ch. 13, for the travel",
    remedies: level === "holds" ? [] : deeper(piece, wet),
  });
}

export function longButtonsDry({ piece, at, fasteners, top }: MovementFacts): Verdict | null {
  if (!hasButtons(piece)) return null;
  const said = called(at, "along");
  const { dry, wet, subject } = worstTravel(fasteners, "long");
  if (subject.length === 0) return null;
  const choice = piece.joints.buttons;
  const left = choice.engaged - dry;
  const level: Level = left < LEAST_ENGAGED - 2 ? "fix" : left < LEAST_ENGAGED ? "tight" : "holds";
  const engaged = Math.ceil((LEAST_ENGAGED + dry) * 2) / 2;
  const room = Math.ceil(engaged + wet + 1);
  return verdict({
    id: "movement.long-buttons-dry",
    stage: "movement",
    subject,
    level,
    text:
      level === "fix"
        ? `${said} buttons let go in ${top.dry.name}`
        : `${said} buttons keep ${fine(left)} of tongue in ${top.dry.name}`,
    why: `Set ${fine(choice.engaged)} deep today; the top draws them out ${fine(dry)}. At least ${LEAST_ENGAGED} mm must stay in.`,
    limit: LEAST_ENGAGED,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            {
              label: `Set them ${engaged} mm deep`,
              patches: [
                { path: ["joints", "buttons", "engaged"], value: engaged },
                { path: ["joints", "buttons", "tongue"], value: Math.max(choice.tongue, room) },
                { path: ["joints", "buttons", "grooveDepth"], value: Math.max(choice.grooveDepth, room) },
              ],
            },
          ],
  });
}

function deeper(piece: Piece, wet: number): Remedy[] {
  const depth = Math.ceil(piece.joints.buttons.engaged + wet + 1);
  return [
    {
      label: `Cut groove and tongue ${depth} mm`,
      patches: [
        { path: ["joints", "buttons", "grooveDepth"], value: depth },
        { path: ["joints", "buttons", "tongue"], value: depth },
      ],
    },
  ];
}

export const hasButtons = (piece: Piece) =>
  piece.joints.fastening === "button" && piece.form.ends !== "frame" && piece.form.field === "solid";
