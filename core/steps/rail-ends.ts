/** What is said of rails that are dowelled or screwed to their legs, in the steps that cut mortises and tenons elsewhere. */
import { DOWEL, Dowelled, dowelsAlong } from "../joinery/dowelled";
import { POCKET, PocketScrewed } from "../joinery/pocket-screwed";
import type { RailEnd } from "../joinery/rail-end";
import { fine, mm } from "../verdict/verdict";
import { TIME } from "./step";

interface Words {
  title: string;
  detail: string;
  hours: number;
  check: string;
}

/** In the place of mortising legs, and of cutting and fitting tenons, and how they are closed; null where rails have tenons. */
export interface RailEndWork {
  first: Words;
  fit: Words;
  /** said of the frame's glue-up */
  closing: string;
  /** no clamp stays on what screws hold */
  screwed: boolean;
}

/** @param joints  of long and end rails in their legs */
export function railEndWork(joints: readonly RailEnd[]): RailEndWork | null {
  const pegged = joints.filter((each): each is Dowelled => each.kind === "dowelled");
  if (pegged.length > 0) return dowelWork(pegged);
  const pockets = joints.filter((each): each is PocketScrewed => each.kind === "pocket-screwed");
  return pockets.length > 0 ? pocketWork(pockets) : null;
}

function dowelWork(joints: readonly Dowelled[]): RailEndWork {
  const holes = joints.reduce((sum, { count, dowels, rows }) => sum + count * dowels * rows, 0);
  const [{ diameter, hole, reach, long }] = joints;
  const ladders = joints.map((each) => `${named(each)} at ${dowelsAlong(each).map(fine).join(", ")}`);
  return {
    first: {
      title: "Bore legs and rail ends for the dowels",
      detail: `${holes} dowels of ${mm(diameter)} by ${mm(long)}: holes of ${fine(hole)}, ${mm(reach + DOWEL.deeper)} deep in both parts, from the outer faces against one jig while the legs are square. From the rails’ lower edges, ${ladders.join("; ")}: those of one rail pass between those of the other.`,
      hours: 2 * holes * TIME.dowelHole,
      check: "A dowel in each hole stands square, and stops at its mark.",
    },
    fit: {
      title: "Try the rails on dry dowels",
      detail:
        "Dowels for trying are sanded until they slip; those that are glued stay as they are, fluted or with a flat, so that glue gets out.",
      hours: 4 * TIME.tenon,
      check: "Each shoulder closes by hand; rails level with one another.",
    },
    closing: "Glue in the holes, not on the dowels alone; dowels into the rails first, wiped clean at the shoulders.",
    screwed: false,
  };
}

function pocketWork(joints: readonly PocketScrewed[]): RailEndWork {
  const holes = joints.reduce((sum, { count, screws }) => sum + count * screws, 0);
  const [{ long, section, seat }] = joints;
  return {
    first: {
      title: "Bore the pockets in the rails",
      detail: `${holes} at ${POCKET.slant}°, inside, every rail’s end alike: the jig set for ${fine(section.thickness)}, the bit’s stop so that ${fine(seat)} stay to the end. Before the rails are shaped, while they lie flat.`,
      hours: holes * TIME.pocket,
      check: "A screw in an offcut bored the same comes out in the middle of its end.",
    },
    fit: {
      title: "Try each rail to its leg with one screw",
      detail: "Faces clamped level first: a slanted screw draws the rail up while it goes in.",
      hours: 4 * TIME.tenon,
      check: "Shoulders closed, the outer faces as far in as they were drawn.",
    },
    closing: `Screws of ${mm(long)}, two clamped level and driven before the next; a little glue on the shoulders keeps them from working.`,
    screwed: true,
  };
}

const named = ({ enters }: { enters: string }) =>
  (enters.startsWith("stand-") ? enters.slice(6) : enters).replace("-", " ");
