/** Rules of drawers on bought slides: whether they go in, and what they carry. */
import { grade, Level, mm, round1, set, Verdict, verdict } from "../../../verdict/verdict";
import { roomIn, SLIDE, woodIn } from "./drawer";
import { at, CaseFacts } from "./facts";

/** What fills a drawer weighs so much for its room, kg/m³: clothes less, crockery and tools more. @source common practice, from memory */
const FILLED = 250;
/** So much depth may lie unused behind the slides, mm: they are sold in steps of 50. Ours */
const WASTED = { good: 100, most: 200 };

/** Slides go in behind the front, and draw most of the depth out. */
export function slidesGoIn({ at: place }: CaseFacts): Verdict | null {
  const { drawers, insideBack } = place;
  const [first] = drawers.filter(({ slides }) => slides);
  if (!first?.slides) return null;
  const behind =
    first.turned || drawers.some(({ turned }) => turned) ? (place.deep.from + place.deep.to) / 2 : insideBack;
  const room = first.head.face - behind;
  const spare = room - first.slides.length;
  const level: Level =
    spare < 0 ? "fix" : grade(spare, "at most", WASTED.good, WASTED.most) === "holds" ? "holds" : "tight";
  const longest = SLIDE.sold.findLast((each) => each <= room - SLIDE.clear);
  return verdict({
    id: "form.slides",
    stage: "form",
    subject: ["drawer-box-front", "case-side"],
    level,
    text:
      spare < 0
        ? `Slides ${mm(first.slides.length)} long are ${mm(-spare)} longer than the room behind the fronts`
        : level === "holds"
          ? `Slides ${mm(first.slides.length)} long go in with ${mm(round1(spare))} to spare`
          : `Slides ${mm(first.slides.length)} long leave ${mm(round1(spare))} behind them unused`,
    why: `${mm(round1(room))} from the back of a front to what is behind it; slides are sold in steps of 50, and a box is as long as its slides.`,
    limit: Math.floor(room),
    actual: first.slides.length,
    sense: "at most",
    unit: "mm",
    remedies:
      level === "holds" || longest === undefined || longest === first.slides.length
        ? []
        : [set(`Take slides ${mm(longest)} long`, at("drawers", "slides", "length"), longest)],
  });
}

/** The heaviest drawer, filled, against what a pair is rated for. @source derived: its wood, and its room filled as drawers are */
export function slidesCarry({ at: place, form, species }: CaseFacts): Verdict | null {
  const on = place.drawers.filter(({ slides }) => slides);
  if (on.length === 0) return null;
  const full = (each: (typeof on)[number]) => (woodIn(each) / 1e9) * species.density + (roomIn(each) / 1e9) * FILLED;
  const worst = on.reduce((a, b) => (full(b) > full(a) ? b : a));
  const { load } = form.case.drawers.slides;
  const kg = full(worst);
  const level = grade(kg, "at most", load, 1.3 * load);
  const better = Math.ceil(kg / 5) * 5;
  return verdict({
    id: "form.slides-load",
    stage: "form",
    subject: ["drawer-box-front", "drawer-side"],
    level,
    text: `Drawer ${worst.n} weighs about ${Math.round(kg)} kg when it is full, its slides carry ${Math.round(load)} kg`,
    why: `Its wood weighs ${((woodIn(worst) / 1e9) * species.density).toFixed(1)} kg; ${Math.round(roomIn(worst) / 1e6)} litres filled as drawers are, ${FILLED} kg to the cubic metre. Crockery and tools are heavier.`,
    limit: load,
    actual: round1(kg),
    sense: "at most",
    unit: "kg",
    source: "common practice, from memory",
    remedies: level === "holds" ? [] : [set(`Take slides for ${better} kg`, at("drawers", "slides", "load"), better)],
  });
}
