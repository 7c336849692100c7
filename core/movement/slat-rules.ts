/** Where the screws of slats land. */
import type { PieceGeometry } from "../construction/geometry";
import { screwsOver, slatScrews } from "../construction/top/slat-screws";
import type { Form } from "../piece/schema";
import { set, Verdict, verdict } from "../verdict/verdict";

/** More or fewer slats are tried up to so many. Ours. */
const TRIED = 4;

/** Slats whose screws miss the legs. */
export function slatScrewsRule({ form, at }: { form: Form; at: PieceGeometry }): Verdict | null {
  if (form.field !== "slats") return null;
  const over = screwsOver(form, at);
  const beside = slatScrews(form, at).filter((each) => each.beside).length;
  const free = form.ends === "none" ? missing(form, at) : null;
  return verdict({
    id: "movement.slat-over-legs",
    stage: "movement",
    subject: ["slat", "leg"],
    level: over > 0 ? "fix" : "holds",
    text:
      over > 0 ? `${over} screws of the slats land in the legs’ end grain` : "Every screw of the slats lands in a rail",
    why: `${beside > 0 ? `${beside} that would stand over a leg go into the long rail beside it. ` : ""}In a leg’s head a screw holds nothing, splits it over its mortises, and lets water into the joint.`,
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
      if (width > 20 && screwsOver({ ...form, slats: { ...form.slats, count: tried } }, laid) === 0) return tried;
    }
  return null;
}
