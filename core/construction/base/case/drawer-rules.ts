/** Rules of drawers and doors by their size, and of what is pulled over by them. */
import { grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { Dovetail, SLOPES, tailsAt } from "../../../joinery/dovetail";
import { isDrawn } from "../../../piece/case-choices";
import { DRAWER, ofSize, SLIDE, woodIn } from "./drawer";
import { at, CaseFacts, openingsOf, ordinal } from "./facts";
import type { Case } from "./case";

/** A drawer so much wider than it is deep turns in its opening before it runs. @source common practice */
const WIDE = { good: 1.6, most: 2.4 };
/** What stands so high is pulled over by who climbs on a drawer, mm; what is so many times as high as deep by a push. @source common practice */
const TALL = { height: 600, times: 2.5 };
/** Who pulls himself up on an open drawer weighs so much, kg, and it hangs out by so much of its depth. @source furniture stability standards, from memory: a child of 25 kg */
const CLIMBS = { kg: 25, out: 0.75 };
const GRAVITY = 9.81;

/** Every opening that should hold a drawer has one. */
export function drawersMade({ at: place, form }: CaseFacts): Verdict | null {
  const wanted = openingsOf(place).filter(({ opening }) => isDrawn(opening.holds));
  if (wanted.length === 0) return null;
  const without = wanted.filter(({ i, j }) => !place.drawers.some(({ bay, row }) => bay === i && row === j));
  const [first] = without;
  return verdict({
    id: "form.drawers",
    stage: "form",
    subject: first ? ["case-side", "drawer-rail"] : ["drawer-front"],
    level: first ? "fix" : "holds",
    text: first
      ? `No drawer goes into the ${ordinal(first.j)} opening of the ${ordinal(first.i)} bay`
      : `${place.drawers.length} drawer${place.drawers.length > 1 ? "s fit their openings" : " fits its opening"}`,
    why: first
      ? place.slid
        ? `${mm(first.bay.to - first.bay.from)} wide, ${mm(first.opening.to - first.opening.from)} high, ${mm(place.deep.to - place.insideBack)} deep: the shortest slides that are sold are ${mm(SLIDE.sold[0])} long, and a box wants ${mm(DRAWER.least)} inside its sides.`
        : `${mm(first.bay.to - first.bay.from)} wide, ${mm(first.opening.to - first.opening.from)} high: less a front of ${mm(form.case.drawers.front)}, sides of ${mm(form.case.drawers.side)}, the bottom ${mm(DRAWER.up)} up in its grooves and the gaps, nothing is left inside.`
      : "Each is its opening less the gaps that are chosen, its bottom in grooves of front and sides.",
    remedies: first
      ? [set("Leave that opening empty", [...at("bays"), first.i, "rows", first.j, "holds"], "nothing")]
      : [],
  });
}

/** Drawers that are drawn out behind want no back. */
export function drawnBehind({ at: place }: CaseFacts): Verdict | null {
  const behind = place.drawers.filter(({ turned }) => turned);
  if (behind.length === 0) return null;
  return verdict({
    id: "form.drawers-behind",
    stage: "form",
    subject: ["drawer-front", "case-back"],
    level: place.back > 0 ? "fix" : "holds",
    text:
      place.back > 0
        ? `The back shuts in ${behind.length > 1 ? `${behind.length} drawers` : "the drawer"} that should open there`
        : `${behind.length} drawer${behind.length > 1 ? "s are" : " is"} drawn out behind`,
    why: "Two drawers meet back to back in the middle of the case; each has its rail before it, and both run on one pair of runners.",
    remedies: place.back > 0 ? [set("Leave the back out", at("back"), "none")] : [],
  });
}

/** A drawer much wider than deep turns in its opening. */
export function drawersRun({ at: place }: CaseFacts): Verdict | null {
  if (place.drawers.length === 0 || place.slid) return null;
  const ratio = ({ width, deep }: Case["drawers"][number]) => width / (deep.to - deep.from);
  const worst = place.drawers.reduce((a, b) => (ratio(b) > ratio(a) ? b : a));
  const level = grade(ratio(worst), "at most", WIDE.good, WIDE.most);
  return verdict({
    id: "form.drawers-run",
    stage: "form",
    subject: ["drawer-side", "drawer-front"],
    level,
    text:
      level === "holds"
        ? "The drawers are deep enough for their width to run straight"
        : `A drawer ${mm(worst.width)} wide and ${mm(worst.deep.to - worst.deep.from)} deep jams when one hand draws it`,
    why: "Pulled at one end it turns until its corners touch: the longer its sides for its width, the less it can turn.",
    limit: WIDE.good,
    actual: Math.round(ratio(worst) * 100) / 100,
    sense: "at most",
    remedies: [],
  });
}

/**
 * Whether it stands when someone pulls himself up on an open drawer.
 *
 * @source derived: moments about the front feet; the load from stability standards, from memory
 */
export function pulledOver({ at: place, form, weight, species }: CaseFacts): Verdict | null {
  const { drawers, deep, feet } = place;
  const high = form.height;
  const tallForDepth = high > TALL.times * (deep.to - deep.from);
  if (place.onWall || (drawers.length === 0 && !tallForDepth)) return null;
  const front = Math.max(...feet.map(({ z, width }) => z + width / 2));
  const middle = (deep.from + deep.to) / 2;
  const out = drawers.length > 0 ? CLIMBS.out * Math.max(...drawers.map((each) => each.deep.to - each.deep.from)) : 0;
  const lever = deep.to - front + out;
  // the drawer takes its own weight out with it: reckoned by the species of the piece
  const drawn = (Math.max(0, ...drawers.map(woodIn)) / 1e9) * species.density;
  const holds = weight * (front - middle) - drawn * out;
  const stands = lever <= 0 ? Infinity : Math.max(0, holds / lever);
  const fixed = form.case.wall;
  const level: Level = fixed
    ? "holds"
    : (drawers.length > 0 && high >= TALL.height && stands < CLIMBS.kg) || tallForDepth
      ? "fix"
      : drawers.length > 0 && stands < CLIMBS.kg
        ? "tight"
        : "holds";
  return verdict({
    id: "form.tips",
    stage: "form",
    subject: ["case-side", "drawer-front"],
    level,
    text: fixed
      ? "Fixed to the wall: nobody pulls it over"
      : drawers.length > 0
        ? `Empty, with a drawer drawn out, it tips under ${Math.round(stands)} kg`
        : `${mm(high)} high on ${mm(deep.to - deep.from)}: a push tips it`,
    why: `About ${Math.round(weight)} kg stand on feet ${mm(front - middle)} before the middle; ${drawers.length > 0 ? `the heaviest drawer, ${drawn.toFixed(1)} kg, hangs out ${mm(out)}. A child who climbs on it weighs ${CLIMBS.kg} kg` : "it is higher than two and a half times its depth"}. A bracket into a stud or a plug in masonry holds ${Math.ceil((CLIMBS.kg * GRAVITY) / 10) * 10} N many times over.`,
    ...(drawers.length > 0
      ? { limit: CLIMBS.kg, actual: Math.round(stands), sense: "at least" as const, unit: "kg" }
      : {}),
    source: "derived: moments about the front feet; load from stability standards, from memory",
    remedies: level === "holds" ? [] : [set("Fix it to the wall", at("wall"), true)],
  });
}

/** Every opening that should be closed by a door is, and no door is wider than its frame carries. */
export function doorsMade({ at: place }: CaseFacts): Verdict | null {
  const wanted = openingsOf(place).filter(({ opening: { holds } }) => holds !== "nothing" && !isDrawn(holds));
  if (wanted.length === 0) return null;
  const without = wanted.find(({ i, j }) => !place.doors.some(({ bay, row }) => bay === i && row === j));
  const wide = place.doors.reduce((most, { across }) => Math.max(most, across.to - across.from), 0);
  const level: Level = without ? "fix" : grade(wide, "at most", LEAF.good, LEAF.most);
  const pair = place.doors.find(({ across }) => across.to - across.from === wide);
  return verdict({
    id: "form.doors",
    stage: "form",
    subject: without ? ["case-side", "divider"] : ["door-stile", "door-rail"],
    level,
    text: without
      ? `No door goes into the ${ordinal(without.j)} opening of the ${ordinal(without.i)} bay`
      : level === "holds"
        ? `${place.doors.length} door${place.doors.length > 1 ? "s fit their openings" : " fits its opening"}`
        : `A door ${mm(wide)} wide sags on its hinges and swings far into the room`,
    why: without
      ? "Two stiles, two rails and a panel in their grooves want more room than there is, or the grooves are too deep for the frame."
      : `Each is its opening ${place.doors[0]?.overlay ? "and what it covers of the edges round that" : "less the gap round it"}. Framed in solid wood a door hangs well up to about ${mm(LEAF.good)}.`,
    limit: LEAF.good,
    actual: Math.round(wide),
    sense: "at most",
    unit: "mm",
    remedies: without
      ? [set("Leave that opening open", [...at("bays"), without.i, "rows", without.j, "holds"], "nothing")]
      : level !== "holds" && pair
        ? [set("Close it by two doors", [...at("bays"), pair.bay, "rows", pair.row, "holds"], "doors")]
        : [],
  });
}
/** How wide a leaf is. @source common practice */
const LEAF = { good: 550, most: 750 };

/** A bottom's groove runs out through the front's corner unless it lies in a tail, which hides it. */
export function grooveHidden({ at: { drawers }, joints, form }: CaseFacts): Verdict | null {
  const rows = joints.filter((joint): joint is Dovetail => joint.kind === "dovetail" && joint.lap > 0);
  const found = drawers.flatMap((drawer) => {
    const row = rows.find(({ enters }) => enters === ofSize("drawer-side", drawer));
    if (!row) return [];
    const splay = row.length * SLOPES[row.slope];
    const [from, to] = [DRAWER.up, DRAWER.up + drawer.bottom.thickness];
    const hidden = tailsAt(row).some((tail) => tail.from + splay <= from + 1e-9 && tail.to - splay >= to - 1e-9);
    return [{ drawer, hidden }];
  });
  if (found.length === 0) return null;
  const shows = found.find(({ hidden }) => !hidden);
  return verdict({
    id: "form.drawer-groove",
    stage: "form",
    subject: ["drawer-front", "drawer-side"],
    level: shows ? "tight" : "holds",
    text: shows
      ? `The bottom’s groove shows at the ends of drawer ${shows.drawer.n}’s front`
      : "The bottoms’ grooves are hidden by the lowest tails",
    why: `It lies ${mm(DRAWER.up)} above the lower edge and is ploughed from end to end: a tail covers it, a pin is cut through.`,
    remedies:
      shows && form.case.drawers.tails !== null
        ? [set("Let Taller choose the tails", at("drawers", "tails"), null)]
        : [],
  });
}

/** Every loose shelf that is asked for has its pins. */
export function shelvesMade({ at: place }: CaseFacts): Verdict | null {
  const wanted = openingsOf(place).filter(({ opening: { shelves } }) => shelves > 0);
  if (wanted.length === 0) return null;
  const without = wanted.find(({ i, j }) => !place.loose.some(({ bay, row }) => bay === i && row === j));
  return verdict({
    id: "form.loose-shelves",
    stage: "form",
    subject: without ? ["case-side"] : [...new Set(place.loose.map(({ kind }) => kind))],
    level: without ? "fix" : "holds",
    text: without
      ? `No loose shelf goes into the ${ordinal(without.j)} opening of the ${ordinal(without.i)} bay`
      : `${place.loose.length} loose ${place.loose.length > 1 ? "shelves lie on their" : "shelf lies on its"} pins`,
    why: without
      ? `${mm(without.opening.to - without.opening.from)} high, ${without.opening.shelves} shelves of ${mm(place.inner)} leave too little between them, or too little from front to back for two pins.`
      : "Four pins each, with holes a place above and below where the opening has room for them.",
    remedies: without
      ? [set("Leave its shelves out", [...at("bays"), without.i, "rows", without.j, "shelves"], 0)]
      : [],
  });
}
