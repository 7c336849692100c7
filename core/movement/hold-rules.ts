/** Rules of what lets the top move: fastening, faces, insets, and whatever the graph finds stopped. */
import { bearersSaid } from "../construction/geometry";
import { fine, grade, Level, listed, mm, set, Verdict, verdict } from "../verdict/verdict";
import { addDays, firstExtreme, SAMPLE_DAYS } from "./course";
import { STOP_EVERY } from "./courses";
import { fastenedAbove } from "./above-rules";
import { wayOf } from "../joinery/fastening";
import { fasteningNeeds, pullIn } from "./fastenings";
import { LEAST_IN_GROOVE, WIDEST_GAP } from "./insets";
import type { MovementFacts } from "./rules";
import { STOP_LIMITS, Stop } from "./restraint";

/** @source common practice, save where said */
export const HOLD_LIMITS = {
  clearance: 0.5,
  bow: 2,
  overlap: 6,
  pullIn: 1.5,
  jump: 1.5,
};
const TRAVEL = "Wood Handbook FPL-GTR-282, ch. 13, for the travel";
const round1 = (n: number) => Math.round(n * 10) / 10;
const half = (n: number) => Math.ceil(n * 2 - 1e-9) / 2;

export const HOLD_RULES: ((facts: MovementFacts) => Verdict | Verdict[] | null)[] = [
  fastened,
  fastenerFit,
  bowed,
  insetsFit,
  stopped,
  delivery,
  fastenedAbove,
];

/** Plates, clips, slots and holes; wooden buttons have rules of their own. */
function fastened({ piece, at, fasteners, top }: MovementFacts): Verdict[] | null {
  const kind = piece.joints.fastening;
  if (kind === "button" || kind === "screwed" || fasteners.length === 0) return null;
  const names = wayOf(piece.joints).names;
  return fasteningNeeds(piece.joints, fasteners).map(({ rail, need, has, subject }) => {
    const left = Math.min(has.wet - need.wet, has.dry - need.dry);
    const wetFirst = has.wet - need.wet <= has.dry - need.dry;
    const level: Level = left < 0 ? "fix" : left < HOLD_LIMITS.clearance - 1e-9 ? "tight" : "holds";
    const where = `on the ${bearersSaid(at, rail === "long" ? "along" : "across") ?? "rail"}s`;
    const shown = (n: number) => (n > 1e5 ? "any amount" : fine(n));
    return verdict({
      id: `movement.fastening-${rail}`,
      stage: "movement",
      subject,
      level,
      text:
        level === "fix"
          ? `${names.many} ${where} bind in ${wetFirst ? top.wet.name : top.dry.name}`
          : level === "tight"
            ? `${names.many} ${where} close to ${fine(left)}`
            : `${names.many} ${where} give all year`,
      why: `The outermost goes ${fine(need.wet)} out and ${fine(need.dry)} in; there it gives ${shown(has.wet)} and ${shown(has.dry)}${has.setOff ? `, set off by ${fine(Math.abs(has.setOff))}` : ""}.${kind === "figure-8" ? swung(piece, rail, need) : ""}`,
      limit: round1(Math.max(need.wet, need.dry)),
      actual: round1(Math.min(wetFirst ? has.wet : has.dry, 99)),
      sense: "at least",
      unit: "mm",
      source: TRAVEL,
      remedies: level === "holds" ? [] : mendFastening(piece, rail, need),
    });
  });
}

/** At what angle a figure-8 plate lets the top go, and how it must lie for that. */
function swung(
  { joints: { figure8 } }: MovementFacts["piece"],
  rail: "long" | "across",
  need: { dry: number; wet: number },
): string {
  const lies =
    rail === "across"
      ? "square to the rail"
      : figure8.lengthwise === "along"
        ? "along the rail"
        : "square to the rail, where it gives nothing";
  const most = Math.max(need.dry, need.wet);
  if (most > figure8.centres)
    return ` Each lies ${lies}; no angle of a plate ${fine(figure8.centres)} between centres gives that much.`;
  const angle = Math.round((Math.asin(most / figure8.centres) * 180) / Math.PI);
  return ` Each lies ${lies} and swings ${angle}° from there, of the ${figure8.swing}° its recess gives.`;
}

function mendFastening(
  piece: MovementFacts["piece"],
  rail: "long" | "across",
  need: { dry: number; wet: number },
): Verdict["remedies"] {
  const { joints } = piece;
  const most = Math.max(need.dry, need.wet);
  switch (joints.fastening) {
    case "figure-8": {
      if (rail === "long" && joints.figure8.lengthwise === "across")
        return [set("Lay the plates along what they hold", ["joints", "figure8", "lengthwise"], "along")];
      const swing = Math.min(
        80,
        Math.ceil((Math.asin(Math.min(1, (most + 0.7) / joints.figure8.centres)) * 180) / Math.PI),
      );
      const centres = Math.ceil((most + 1) / Math.sin((45 * Math.PI) / 180));
      return swing <= 60
        ? [set(`Relieve the recesses to swing ${swing}°`, ["joints", "figure8", "swing"], swing)]
        : [
            {
              label: `Use plates of ${centres} mm between centres, swinging 45°`,
              patches: [
                { path: ["joints", "figure8", "centres"], value: centres },
                { path: ["joints", "figure8", "swing"], value: 48 },
              ],
            },
          ];
    }
    case "z-clip": {
      const engaged = half(need.dry + 3.6);
      return [
        {
          label: `Set clips ${engaged} mm deep in grooves of ${Math.ceil(engaged + need.wet + 1)} mm`,
          patches: [
            { path: ["joints", "zClip", "engaged"], value: engaged },
            { path: ["joints", "zClip", "groove"], value: Math.ceil(engaged + need.wet + 1) },
          ],
        },
      ];
    }
    case "slotted":
      return [
        set(
          `Lengthen the slots to ${Math.ceil(joints.slotted.screw + 2 * most + 1.2)} mm`,
          ["joints", "slotted", "slot"],
          Math.ceil(joints.slotted.screw + 2 * most + 1.2),
        ),
        ...(joints.slotted.setOff
          ? []
          : [set("Set the slots off for the season", ["joints", "slotted", "setOff"], true)]),
      ];
    case "oversized": {
      const hole = Math.ceil(joints.oversized.screw + 2 * most + 1.2);
      return [
        {
          label: `Drill ${hole} mm holes under ${hole + 8} mm washers`,
          patches: [
            { path: ["joints", "oversized", "hole"], value: hole },
            { path: ["joints", "oversized", "washer"], value: hole + 8 },
          ],
        },
      ];
    }
    case "loose":
      return [set(`Leave ${Math.ceil(most + 1)} mm at the tabs`, ["joints", "loose", "gap"], Math.ceil(most + 1))];
    default:
      return [];
  }
}

/** What each kind asks beyond travel: a washer that covers, a plate that pulls in. */
function fastenerFit({ piece, fasteners }: MovementFacts): Verdict | null {
  const { joints } = piece;
  if (fasteners.length === 0) return null;
  if (joints.fastening === "oversized") {
    const over = (joints.oversized.washer - joints.oversized.hole) / 2;
    const washer = joints.oversized.hole + 2 * HOLD_LIMITS.overlap;
    return verdict({
      id: "movement.washers",
      stage: "movement",
      subject: fasteners.map((each) => each.id),
      level: grade(over, "at least", HOLD_LIMITS.overlap / 2, 1),
      text: over < 1 ? "Washers pull through their holes" : `Washers bear ${fine(over)} round the hole`,
      why: "Flat-bottomed counterbore, a broad washer, and the screw let go by a turn after tightening.",
      limit: HOLD_LIMITS.overlap / 2,
      actual: round1(over),
      sense: "at least",
      unit: "mm",
      remedies:
        over >= HOLD_LIMITS.overlap / 2
          ? []
          : [set(`Use ${washer} mm washers`, ["joints", "oversized", "washer"], washer)],
    });
  }
  if (joints.fastening === "figure-8") {
    const most = Math.max(...fasteningNeeds(joints, fasteners).map(({ need }) => Math.max(need.dry, need.wet)));
    const drawn = pullIn(joints.figure8.centres, most);
    return verdict({
      id: "movement.pull-in",
      stage: "movement",
      subject: fasteners.map((each) => each.id),
      level: grade(drawn, "at most", HOLD_LIMITS.pullIn, 2 * HOLD_LIMITS.pullIn),
      text: `Plates draw in ${fine(drawn)} as they swing`,
      why: `${fine(joints.figure8.centres)} between centres, swung out ${fine(most)}: the screws must give that much square to the travel.`,
      limit: HOLD_LIMITS.pullIn,
      actual: round1(drawn),
      sense: "at most",
      unit: "mm",
      source: "geometry: s − √(s² − y²)",
      remedies:
        drawn <= HOLD_LIMITS.pullIn
          ? []
          : [
              set(
                `Use plates of ${Math.ceil(joints.figure8.centres * 1.8)} mm between centres`,
                ["joints", "figure8", "centres"],
                Math.min(80, Math.ceil(joints.figure8.centres * 1.8)),
              ),
            ],
    });
  }
  return null;
}

function bowed({ piece, top }: MovementFacts): Verdict {
  const at = firstExtreme(top.bow.map(Math.abs), 1);
  const bow = top.bow[at];
  const on = addDays(top.course.from, at * SAMPLE_DAYS);
  const alike = piece.faces.below === "alike" && piece.faces.heater === "room" && piece.faces.sun === "room";
  return verdict({
    id: "movement.bow",
    stage: "movement",
    subject: ["top"],
    level: grade(Math.abs(bow), "at most", HOLD_LIMITS.bow, 3 * HOLD_LIMITS.bow),
    text:
      Math.abs(bow) < 0.3
        ? "Both faces stay alike: the top lies flat"
        : `Left free, the top would ${bow < 0 ? "hollow" : "crown"} by ${fine(Math.abs(bow))}`,
    why: alike
      ? "Faces finished alike in the same air; only the rings turn it."
      : `Most on ${on}, since its faces differ${piece.faces.below === "alike" ? "" : ": less finish below"}${piece.faces.heater === "heater" ? ", a heater below" : ""}${piece.faces.sun === "sun" ? ", sun above" : ""}. The base holds much of it, and creep lowers it.`,
    limit: HOLD_LIMITS.bow,
    actual: round1(Math.abs(bow)),
    sense: "at most",
    unit: "mm",
    source: "derived: κ = 12 C/t³ ∫ m z dz, an upper bound",
    remedies:
      Math.abs(bow) <= HOLD_LIMITS.bow || piece.faces.below === "alike"
        ? []
        : [set("Finish both faces alike", ["faces", "below"], "alike")],
  });
}

function insetsFit({ insets }: MovementFacts): Verdict[] | null {
  if (insets.length === 0) return null;
  return insets.map((inset, i) => {
    const { wet, dry } = inset.gap;
    const lost = inset.engaged && inset.engaged.dry < LEAST_IN_GROOVE;
    const wide = inset.kind !== "panel" && dry > WIDEST_GAP + 0.05;
    const level: Level =
      wet < 0 || (inset.engaged && inset.engaged.dry < 1)
        ? "fix"
        : wet < HOLD_LIMITS.clearance || lost || wide
          ? "tight"
          : "holds";
    const edges = inset.kind === "drawer" ? 1 : 2;
    const gap = half(Math.max(0, inset.wet / edges) + 0.8);
    const remedies =
      level === "holds" || gap === inset.gap.today
        ? []
        : lost
          ? [
              {
                label: `Groove ${Math.ceil(gap + LEAST_IN_GROOVE + 1 - inset.dry / edges)} mm deep, ${gap} mm free`,
                patches: [
                  { path: ["insets", i, "gap"], value: gap },
                  { path: ["insets", i, "groove"], value: Math.ceil(gap + LEAST_IN_GROOVE + 1 - inset.dry / edges) },
                ],
              },
            ]
          : [
              set(
                `Leave ${gap} mm ${inset.kind === "drawer" ? "above it" : "at each edge"}`,
                ["insets", i, "gap"],
                gap,
              ),
            ];
    return verdict({
      // a file may give two of them one name
      id: `movement.inset.${inset.id}${insets.findIndex(({ id }) => id === inset.id) < i ? `.${i + 1}` : ""}`,
      stage: "movement",
      subject: [`inset:${inset.id}`],
      level,
      text:
        wet < 0
          ? `${inset.name} binds in ${inset.when.wet}`
          : lost
            ? `${inset.name} keeps ${fine(inset.engaged!.dry)} in its groove in ${inset.when.dry}`
            : wide
              ? `${inset.name} shows a gap of ${fine(dry)} in ${inset.when.dry}`
              : `${inset.name} keeps ${fine(wet)} in ${inset.when.wet}`,
      why: `${fine(inset.gap.today)} today; ${mm(inset.moves)} of wood across the grain changes from ${fine(inset.dry)} to ${fine(inset.wet)}.`,
      limit: round1(Math.max(0, inset.wet / edges)),
      actual: round1(inset.gap.today),
      sense: "at least",
      unit: "mm",
      source: TRAVEL,
      remedies,
    });
  });
}

const AXES = ["lengthwise", "up and down", "across"];

/** One verdict for each kind of joint that stops movement; those with room are judged by their own rules. */
function stopped({ stopped: found, top }: MovementFacts): Verdict[] {
  const worst = new Map<string, Stop>();
  const told = new Set<string>();
  for (const stop of found) {
    if (stop.link.kind === "slot" || stop.load <= STOP_LIMITS.warn) continue;
    // once for each kind of joint, and once for what it holds: the worst comes first
    const [joint, moving] = [`${stop.link.name} ${stop.axis}`, `${stop.members[0].name} moves ${stop.axis}`];
    if (!told.has(joint) && !told.has(moving)) worst.set(joint, stop);
    told.add(joint).add(moving);
  }
  const slots = [
    ...new Set(
      found.filter(({ link, excess }) => link.kind === "slot" && Math.abs(excess) > 0.05).map(({ link }) => link.name),
    ),
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

function delivery({ top, year, delivered }: MovementFacts): Verdict {
  const { course } = top;
  const at = Math.min(course.mean.length - 1, Math.round(course.delivered / SAMPLE_DAYS));
  const later = Math.min(course.mean.length - 1, at + 90 / SAMPLE_DAYS);
  const jump = course.mean[later] - course.mean[at];
  const width = top.changes[later] - top.changes[at];
  const level: Level = grade(Math.abs(jump), "at most", HOLD_LIMITS.jump, 3 * HOLD_LIMITS.jump);
  return verdict({
    id: "movement.delivery",
    stage: "movement",
    subject: ["top"],
    level,
    text: `Delivered at ${course.mean[at].toFixed(1)} %, it ${Math.abs(width) < 0.3 ? "hardly moves" : `goes ${fine(Math.abs(width))} ${width > 0 ? "wider" : "narrower"}`} in its first three months`,
    why: `From the shop on ${delivered} into ${year.name.toLowerCase()}. Half of a sudden change goes through in ${course.half} days, nine tenths in ${course.most}; after ${course.follows} days its years repeat.`,
    limit: HOLD_LIMITS.jump,
    actual: round1(Math.abs(jump)),
    sense: "at most",
    unit: "%",
    source: "Fick's law with the finish's resistance, see Sources",
  });
}
