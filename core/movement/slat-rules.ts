/** Where the screws of slats land. */
import type { PieceGeometry } from "../construction/geometry";
import { slatLines } from "../construction/top/core";
import type { Form } from "../piece/schema";
import { set, Verdict, verdict } from "../verdict/verdict";

/** A screw stays so far from a leg under the slat, mm. @source common practice */
const CLEAR = 8;
/** More or fewer slats are tried up to so many. Ours. */
const TRIED = 4;

type Slatted = Pick<Form, "slats" | "field" | "ends">;

/** Screws of slats over what stands on its end below, such as a leg's head with its joint: how many, each once. */
export function screwsOverLegs(form: Slatted, at: Pick<PieceGeometry, "core" | "bearers" | "posts">): number {
  const across = at.bearers.filter(({ run }) => run === "across");
  const offsets = form.slats.screws === "one" ? [0] : [-form.slats.screwSpread / 2, form.slats.screwSpread / 2];
  return slatLines(form, at)
    .flatMap((line) => offsets.map((off) => line + off))
    .reduce(
      (sum, z) =>
        sum +
        across.filter((bearer) =>
          at.posts.some(
            (post) =>
              Math.abs(bearer.at - post.x) < post.length / 2 + CLEAR && Math.abs(z - post.z) < post.width / 2 + CLEAR,
          ),
        ).length,
      0,
    );
}

/** Slats whose screws miss the legs. */
export function slatScrews({ form, at }: { form: Form; at: PieceGeometry }): Verdict | null {
  if (form.field !== "slats") return null;
  const over = screwsOverLegs(form, at);
  const free = form.ends === "none" ? missing(form, at) : null;
  return verdict({
    id: "movement.slat-over-legs",
    stage: "movement",
    subject: ["slat", "leg"],
    level: over > 0 ? "fix" : "holds",
    text:
      over > 0 ? `${over} screws of the slats land in the legs’ end grain` : "Every screw of the slats lands in a rail",
    why: "In a leg’s head a screw holds nothing, splits it over its mortises, and lets water into the joint.",
    limit: 0,
    actual: over,
    sense: "at most",
    unit: "screws",
    remedies: over > 0 && free !== null ? [set(`Lay ${free} slats`, ["form", "slats", "count"], free)] : [],
  });
}

/** The nearest number of slats none of whose screws land in a leg. */
function missing(form: Form, at: PieceGeometry): number | null {
  const { count, gap } = form.slats;
  for (let off = 1; off <= TRIED; off += 1)
    for (const tried of [count + off, count - off]) {
      if (tried < 2) continue;
      const width = (at.top.width - (tried - 1) * gap) / tried;
      const laid = { ...at, core: { ...at.core, count: tried, width } };
      if (width > 20 && screwsOverLegs({ ...form, slats: { ...form.slats, count: tried } }, laid) === 0) return tried;
    }
  return null;
}
