/** Rules of what fastens the top: whether each goes as far as the top does, and fits where it is cut. */
import { bearersSaid, worked } from "../construction/bearers";
import { wayOf } from "../joinery/fastening";
import { fine, grade, Level, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { fasteningNeeds, pullIn } from "./fastenings";
import { half, HOLD_LIMITS, TRAVEL } from "./hold-limits";
import type { MovementFacts } from "./movement-facts";

/** Plates, clips, slots and holes; wooden buttons have rules of their own. */
export function fastened({ piece, at, fasteners, top }: MovementFacts): Verdict[] | null {
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

/** On what runs aslant to the grain a plate swings aslant too: what the top goes along the plate's own line has nowhere to go. */
export function platesAslant({ piece, at, fasteners }: MovementFacts): Verdict | null {
  if (piece.joints.fastening !== "figure-8") return null;
  const lost = fasteners.flatMap(({ id, bearer, wet, dry }) => {
    const on = at.bearers.find(({ part }) => part === bearer);
    if (!on?.aslant) return [];
    const lies = worked(on) === "along" && piece.joints.figure8.lengthwise === "along" ? 1 : 0;
    return [{ id, share: Math.abs(on.aslant.way[lies]) * Math.max(Math.abs(wet), Math.abs(dry)) }];
  });
  if (lost.length === 0) return null;
  const worst = Math.max(...lost.map(({ share }) => share));
  const level = grade(worst, "at most", HOLD_LIMITS.clearance, 2 * HOLD_LIMITS.clearance);
  return verdict({
    id: "movement.plates-aslant",
    stage: "movement",
    subject: lost.filter(({ share }) => share > HOLD_LIMITS.clearance).map(({ id }) => id),
    level,
    text:
      level === "holds"
        ? "Plates swing the way the top goes"
        : `${fine(worst)} of what the top goes lies along the plates: they hold it`,
    why: "A plate gives square to its own line and nothing along it. On what runs aslant to the grain it stands aslant to the way the top goes; a screw in an oversized hole gives every way.",
    limit: HOLD_LIMITS.clearance,
    actual: round1(worst),
    sense: "at most",
    unit: "mm",
    source: "geometry: travel × the cosine between both",
    remedies: level === "holds" ? [] : [set("Screw it through oversized holes", ["joints", "fastening"], "oversized")],
  });
}

/** At what angle a figure-8 plate lets the top go, and how it must lie for that. */
export function swung(
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
export function fastenerFit({ piece, fasteners }: MovementFacts): Verdict | null {
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
    // where what bears the top moves as it does, none swings
    const most = Math.max(0, ...fasteningNeeds(joints, fasteners).map(({ need }) => Math.max(need.dry, need.wet)));
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
