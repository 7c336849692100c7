/** What moves and is held, wherever in the piece. */
import { fine, listed, mm, Verdict, verdict } from "../verdict/verdict";
import { addDays, SAMPLE_DAYS } from "./course";
import { STOP_EVERY } from "./courses";
import { Stop, STOP_LIMITS } from "./restraint";
import type { MovementFacts } from "./movement-facts";

const AXES = ["lengthwise", "up and down", "across"];

/** A slot gives along its length; across that it holds like any screw. */
const hasRoom = ({ link, axis }: Stop) => link.kind === "slot" && (!link.play || link.play.axis === axis);

/** One verdict for each kind of joint that stops movement; those with room are judged by their own rules. */
export function stopped({ stopped: found, top }: MovementFacts): Verdict[] {
  const worst = new Map<string, Stop>();
  const told = new Set<string>();
  for (const stop of found) {
    if (hasRoom(stop) || stop.load <= STOP_LIMITS.warn) continue;
    // once for each kind of joint, and once for what it holds: the worst comes first
    const [joint, moving] = [`${stop.link.name} ${stop.axis}`, `${stop.members[0].name} moves ${stop.axis}`];
    if (!told.has(joint) && !told.has(moving)) worst.set(joint, stop);
    told.add(joint).add(moving);
  }
  const slots = [
    ...new Set(found.filter((stop) => hasRoom(stop) && Math.abs(stop.excess) > 0.05).map(({ link }) => link.name)),
  ];
  if (worst.size === 0 && slots.length > 0)
    return [
      verdict({
        id: "movement.stopped",
        stage: "movement",
        level: "tight",
        text: `Only what runs out of room is held: ${listed(slots)}`,
        why: "Every joint was followed round every loop of the piece: beside these, told by themselves here, what wants to move across the grain finds room, or is short enough to hold.",
        source: "derived: free growth round each loop adds up to nothing",
      }),
    ];
  if (worst.size === 0)
    return [
      verdict({
        id: "movement.stopped",
        stage: "movement",
        level: "holds",
        text: "Nothing that moves is held",
        why: "Every joint was followed round every loop of the piece: what wants to move across the grain finds room, or is short enough to hold.",
        source: "derived: free growth round each loop adds up to nothing",
      }),
    ];
  return [...worst.values()].map((stop) => {
    const [moving, holding] = [
      stop.members[0].name,
      stop.members.find((each) => each.name !== stop.members[0].name)?.name ?? stop.members[0].name,
    ];
    const on = addDays(top.course.from, stop.when * STOP_EVERY * SAMPLE_DAYS);
    const swells = stop.excess > 0;
    const first =
      stop.fails === "wood"
        ? swells
          ? "the wood crushes, and shows a gap when it dries"
          : "the wood splits"
        : stop.fails === "glue line"
          ? "the glue line opens at its ends"
          : "screws or pegs bend and tear their holes";
    return verdict({
      id: `movement.stopped.${stop.link.name.replace(/\W+/g, "-")}-${stop.axis}`,
      stage: "movement",
      subject: [...new Set([stop.link.a, stop.link.b, stop.link.id])],
      level: stop.load >= 1 ? "fix" : "tight",
      text: `The ${moving} can't move ${AXES[stop.axis]}, held by ${stop.link.name}`,
      why: `It ${swells ? "wants to swell" : "wants to shrink"} ${fine(Math.abs(stop.excess))} more than the ${holding} lets it over ${mm(stop.across)}, a strain of ${(100 * stop.strain).toFixed(2)} %, worst about ${on}: ${first}. A change this slow lets the wood give way by about half.`,
      limit:
        stop.fails === "wood"
          ? 100 * STOP_LIMITS.strain
          : 2 * STOP_LIMITS[stop.fails === "glue line" ? "slip" : "fastener"],
      actual: Math.round(stop.fails === "wood" ? 10000 * stop.strain : 100 * Math.abs(stop.excess)) / 100,
      sense: "at most",
      unit: stop.fails === "wood" ? "%" : "mm",
      source: "common practice: 0.5 to 1 % of strain, 0.4 mm of slip", // what mends a glued stretch does nothing for a loop that only passes through it
      remedies: stop.slip === 0 && stop.link.stretched ? [] : (stop.link.mend ?? []),
    });
  });
}
