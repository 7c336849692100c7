/** What the year does to a solid bottom in its rebate, and to a lid on its brackets. */
import { HOLD_LIMITS, TRAVEL } from "../../../movement/hold-limits";
import { fine, Level, round1, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseMoveFacts, Rule } from "../base";
import { path } from "./facts";
import type { Box } from "./place";

type Facts = BaseMoveFacts<Box>;
export const BOX_MOVE_RULES: readonly Rule<Facts>[] = [bottomHas, bracketsLet];

/** A screw of a bracket, mm. @source common practice */
const SCREW = 4;
const up = (size: number) => Math.ceil(size * 2) / 2;

/**
 * A solid bottom is tight in front: all it swells goes into what is free behind, and its screws there have slots.
 *
 * @source derived: change of width of a panel held at one edge
 */
function bottomHas({ at: { bottom, choices }, moves }: Facts): Verdict | null {
  if (!bottom.solid) return null;
  const move = moves.find(({ id }) => id === "box-bottom");
  if (!move) return null;
  const [wet, dry] = [Math.max(0, move.wet.width), Math.max(0, -move.dry.width)];
  const room = Math.max(0, (choices.bottom.slot - 5) / 2);
  const spare = bottom.free - wet;
  const slots = room - Math.max(wet, dry);
  const level: Level = spare < 0 || slots < -0.05 ? "fix" : spare < HOLD_LIMITS.clearance ? "tight" : "holds";
  const free = up(wet + HOLD_LIMITS.clearance + 0.3);
  const slot = Math.ceil(2 * (Math.max(wet, dry) + 0.5) + 5);
  return verdict({
    id: "movement.box-bottom",
    stage: "movement",
    subject: ["box-bottom"],
    level,
    text:
      spare < 0
        ? "The bottom pushes the back wall off in the wettest month"
        : slots < -0.05
          ? `The bottom’s slots are ${fine(-slots)} too short each way`
          : `The bottom has ${fine(spare)} to spare behind it in the wettest month`,
    why: `Held in front it grows ${fine(wet)} and shrinks ${fine(dry)} at the back; ${fine(bottom.free)} are free there on the day, and its screws go ${fine(room)} each way in their slots.`,
    limit: round1(wet + HOLD_LIMITS.clearance),
    actual: round1(bottom.free),
    sense: "at least",
    unit: "mm",
    source: TRAVEL,
    remedies:
      level === "holds"
        ? []
        : free > bottom.rest - 1
          ? [set("Make the bottom of sheet", path("bottom", "of"), "sheet")]
          : [
              {
                label: `Leave ${fine(free)} behind it, slots of ${fine(Math.max(slot, choices.bottom.slot))}`,
                patches: [
                  { path: path("bottom", "free"), value: Math.max(free, choices.bottom.free) },
                  { path: path("bottom", "slot"), value: Math.min(40, Math.max(slot, choices.bottom.slot)) },
                ],
              },
            ],
  });
}

/** A bracket runs across the lid's grain: screwed tight behind, its other screws go in slots. */
function bracketsLet({ at: { choices, top }, moves }: Facts): Verdict | null {
  const { way, bracket } = choices.lid;
  if (way !== "lift") return null;
  const move = moves.find(({ id }) => id === "top");
  if (!move) return null;
  const share = bracket.length / Math.max(1, top.width);
  const most = share * Math.max(Math.abs(move.wet.width), Math.abs(move.dry.width));
  const room = Math.max(0, (bracket.slot - SCREW) / 2);
  const level: Level = most > room ? "fix" : "holds";
  const slot = Math.ceil(2 * (most + 0.3) + SCREW);
  return verdict({
    id: "movement.lid-brackets",
    stage: "movement",
    subject: ["lift-bracket", "top"],
    level,
    text:
      level === "holds"
        ? `The lid moves ${fine(most)} along its brackets, their slots let it`
        : `The lid moves ${fine(most)} along its brackets: their slots are ${fine(most - room)} too short`,
    why: `Each runs ${fine(bracket.length)} across the grain, its first screw tight; the last sees ${Math.round(100 * share)} % of what the lid does.`,
    limit: round1(room),
    actual: round1(most),
    sense: "at most",
    unit: "mm",
    source: TRAVEL,
    remedies:
      level === "holds" || slot > 40 ? [] : [set(`Order slots of ${slot} mm`, path("lid", "bracket", "slot"), slot)],
  });
}
