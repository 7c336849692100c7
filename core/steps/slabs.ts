/** How slabs become a top: flattened, cleaned to their own edges, squared; the glass ordered by their template, its seat cut when it has come. */
import { BED, glassOf, slabsOf } from "../construction/top/slabs";
import { flattening } from "../layout/strip-thickness";
import type { Form } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { fine, listed, mm } from "../verdict/verdict";
import type { Step } from "./step";

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;

/** Hours in a week, for what is waited for. */
const WEEK = 7 * 24;

export function slabSteps(form: Form, top: { length: number; thickness: number }, shop: Shop): TopStep[] {
  const slabs = slabsOf(form, top);
  const glass = glassOf(form, slabs);
  const kinds = slabs.map(({ kind }) => kind);
  const widest = Math.max(...slabs.map(({ least, most }) => most - least));
  const { between } = form.slabs;
  const several = slabs.length > 1;
  const steps: TopStep[] = [
    {
      id: "flatten",
      title: several ? "Flatten the slabs" : "Flatten the slab",
      detail: `To ${fine(top.thickness)} ${flattening(widest, shop)}. First the face that rocks least, on shims, then the other; after each a day on stickers: a slab moves when it is opened.`,
      parts: kinds,
      after: ["rough-cut"],
      hours: 2.5 * slabs.length,
      check: "No rock on winding sticks over 1 mm; as thick at every corner.",
      caution: "Two lift a slab: it turns over along its heavy edge.",
    },
    {
      id: "edges-own",
      title: several ? "Clean their own edges and square the ends" : "Clean its own edges and square its ends",
      detail: `Bark and everything soft off, by drawknife along the grain, then by hand round the curves. Ends sawn to ${mm(top.length)} square to the line the edges were measured from.${several ? " Edges that meet the gap are sawn square down, to the line." : ""} Checks that run out at an end are stopped with keys before anything is glued.`,
      parts: kinds,
      after: ["flatten"],
      hours: 2 * slabs.length,
      check: `Measured once more as ${several ? "they lie" : "it lies"}, every width at its place: typed in, what was planned before gives way.`,
    },
  ];
  if (!glass) return steps;
  return [
    ...steps,
    {
      id: "glass-template",
      title: "Make the template the glass is ordered by",
      detail: `Both slabs blocked in their places, front edges on the line. The gap traced onto thin sheet, ${fine(between.seat - between.clear)} added beside each edge, every corner rounded by ${mm(between.radius)} at least. Ordered ${mm(between.thickness)} thick, tempered, edges ground${between.measured ? "" : `: about ${between.weeks} ${between.weeks === 1 ? "week" : "weeks"}`}.`,
      parts: kinds,
      after: ["edges-own"],
      hours: 1.5,
      ...(between.measured ? {} : { wait: between.weeks * WEEK, waitFor: "the glass to come" }),
      once: true,
    },
    {
      id: "glass-seat",
      title: "Rout the seats from a second template",
      detail: `Traced from the glass that came, not from the first template, ${fine(between.clear)} larger all round; a cutter of radius ${mm(between.radius)} follows it, in passes, to ${fine(glass.depth)}: the glass and ${mm(BED)} of soft dots. Uphill along the curves it tears: climb the last half millimetre.`,
      parts: kinds,
      after: ["glass-template"],
      hours: 2.5,
      check:
        "The glass drops in by its own weight, level with the wood; it can be pushed as far to one side as to the other.",
      caution:
        "No bearing runs on glass, tempered least of all: a nick and it is crumbs. Gloves, and the pane on felt.",
    },
  ];
}

/** Kinds of part that are the field of the top. */
export const fieldKinds = (form: Form, top: { length: number }): string[] =>
  form.field === "slats" ? ["slat"] : form.field === "slabs" ? slabsOf(form, top).map(({ kind }) => kind) : ["top"];

/** "SL1 350 to 372 mm wide", for the sheets. */
export const slabsSaid = (form: Form, top: { length: number }): string =>
  listed(
    slabsOf(form, top).map(({ said, least, most }) => `the ${said} ${mm(Math.round(most - least))} at its widest`),
  );
