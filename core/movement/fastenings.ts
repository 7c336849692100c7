import type { Bearer, PieceGeometry } from "../construction/geometry";
import type { JointChoices, Piece } from "../piece/schema";
import { underLid } from "../construction/hatch/hatch";
import { pocketOpens } from "../joinery/pocket-screwed";
import { wayOf } from "../joinery/fastening";
import type { Play } from "../joinery/fastening/way";
import { meanOf, middleLine, Slab, slabOver, slabsOf } from "../construction/top/slabs";
import { Fastener, FASTENER_WIDTH, placeFasteners, worstTravel } from "./buttons";
import { fixedScrews } from "./fixed";
import { fixedLine, TopMovement, travel } from "./year";

/** A fastener this near a screw that is driven tight gives nothing, and its slot would meet the screw, mm. Ours */
const BESIDE_FIXED = 45;

/** A fastener stands so far inside a slab's own edges, mm. @source common practice */
const UNDER_SLAB = 30;
/** Wood between a pocket and what is cut for a fastener, mm. @source common practice */
const BESIDE_POCKET = 10;

/** Fasteners for the chosen way of holding the top; a slatted top is screwed down slat by slat instead. */
export function fastenersFor(
  piece: Pick<Piece, "form" | "joints" | "choices">,
  at: PieceGeometry,
  top: TopMovement,
): Fastener[] {
  const { form, joints, choices } = piece;
  if (form.field === "slats") return [];
  const kind = joints.fastening;
  const width = kind === "button" ? joints.buttons.width : FASTENER_WIDTH;
  const line = fixedLine(choices.fixedLine, at.top.width);
  const slabs = slabsOf(form, at.top);
  // each slab moves about its own middle
  const heldAt = (fromFront: number) =>
    slabs.length === 0
      ? line
      : slabs.map(middleLine).reduce((a, b) => (Math.abs(b - fromFront) < Math.abs(a - fromFront) ? b : a));
  // what holds the ends of the field moves along its grain only; what the sides of a case carry moves with the field
  const travels = (fromFront: number, under: Fastener["under"]) =>
    under !== "field" ? { dry: 0, wet: 0 } : travel(top, fromFront, heldAt(fromFront));
  const fixed = fixedScrews(piece, at);
  return (
    placeFasteners(
      at,
      wayOf(joints).names.id,
      {
        ...{ width, spacing: joints.buttons.spacing, fromEnd: pockets(joints) },
        along: (bearer) => (slabs.length > 0 ? besideMiddles(slabs, at, bearer) : null),
      },
      travels,
    )
      // a lid is held by nothing
      .filter((each) => !underLid(form, each, width / 2))
      .filter((each) => slabs.length === 0 || slabOver(slabs, at, each, UNDER_SLAB) !== null)
      .filter(({ bearer, run, x, z }) =>
        fixed.every(
          (screw) =>
            screw.bearer !== bearer ||
            Math.abs(screw.z - z) >= BESIDE_FIXED ||
            // on what runs along, all stand in one line with it: only those beside it give way
            (run === "along" && Math.abs(screw.x - x) >= BESIDE_FIXED),
        ),
      )
  );
}

/** Two below each slab, on either side of its middle line: alone it would cup round its fixed screw. */
function besideMiddles(slabs: readonly Slab[], { top }: PieceGeometry, { run, length }: Bearer): number[] | null {
  if (run !== "across") return null;
  return slabs
    .flatMap((slab) => [meanOf(slab.front) + FROM_EDGE, meanOf(slab.back) - FROM_EDGE])
    .map((y) => top.width / 2 - y)
    .map((z) => Math.max(FASTENER_WIDTH - length / 2, Math.min(length / 2 - FASTENER_WIDTH, z)));
}
/** So far from a slab's edge, mm. @source common practice: wood beside a screw, and the edge's own waves */
const FROM_EDGE = 70;

/** What pockets take of a rail's end, with half of what is cut for a fastener beside them, mm. */
const pockets =
  ({ legRail, fastening, buttons }: JointChoices) =>
  ({ inLegs, thickness }: Bearer): number =>
    inLegs && legRail.kind === "pockets"
      ? pocketOpens(thickness) + BESIDE_POCKET + (fastening === "button" ? buttons.slotLength : FASTENER_WIDTH) / 2
      : 0;

/** How far a figure-8 plate draws in when it has swung out by `travel`, mm. @source geometry: s − √(s² − y²) */
export function pullIn(centres: number, travelled: number): number {
  const y = Math.min(centres, Math.abs(travelled));
  return centres - Math.sqrt(centres * centres - y * y);
}

export interface FasteningNeed {
  rail: "long" | "across";
  need: { dry: number; wet: number };
  has: Play;
  subject: string[];
}

/** Need against room on both kinds of rail, where there are fasteners. */
export function fasteningNeeds(joints: JointChoices, fasteners: readonly Fastener[]): FasteningNeed[] {
  return (["across", "long"] as const).flatMap((rail) => {
    const { dry, wet, subject } = worstTravel(fasteners, rail);
    return subject.length === 0
      ? []
      : [{ rail, need: { dry, wet }, has: wayOf(joints).play(joints, rail, { dry, wet }), subject }];
  });
}
