/** Whether a case that hangs on a wall stays there, and who can put it up. */
import { grade, Level, listed, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { SHELF_LOAD } from "../../sag";
import { USUAL } from "../../usual";
import { at, CaseFacts, openingsOf } from "./facts";
import { HUNG, studsBehind } from "./hung";
import { shelvesOf } from "./inside";

/** Contents of a drawer, kg for each litre. @source common practice: linen, tools, paper */
const IN_DRAWER = 0.25;
/** Whoever reaches up holds on to the front's edge with so much, kg. @source common practice: a third of an adult */
const HANGS_ON = 25;
/** A hanging case with its bottom lower than this is sat on, higher than that not reached, mm. @source common practice */
const USE = { low: 200, high: 1650 };
/** Studs that stand close, mm. @source common practice */
const CLOSE = 400;
const GRAVITY = 9.81;

/** What lies in it when it is full, kg. */
function contents({ at: place }: CaseFacts): number {
  const shelves = [
    ...place.bays.map(({ from, to }) => to - from),
    ...shelvesOf(place).map(({ bay }) => place.bays[bay].to - place.bays[bay].from),
    ...place.loose.map(({ across }) => across.to - across.from),
  ].reduce((sum, long) => sum + Math.max(0, long), 0);
  const drawers = place.drawers.reduce(
    (sum, { width, high, deep }) => sum + (width * (high.to - high.from) * (deep.to - deep.from)) / 1e6,
    0,
  );
  return (shelves * SHELF_LOAD) / GRAVITY + drawers * IN_DRAWER;
}

/**
 * What its screws carry: all of it across, and what would turn it down about its lower edge pulled out.
 *
 * @source derived: moments about the case's lower back edge; pull and shear of one screw added, each by its own limit
 */
export function hungHolds(facts: CaseFacts): Verdict | null {
  const { at: place, form, weight } = facts;
  const { onWall: hung } = place;
  if (!hung) return null;
  const { hang } = form.case;
  const own = weight + contents(facts);
  const deep = place.deep.to - place.deep.from;
  const lever = Math.max(1, (hung.y.from + hung.y.to) / 2 - place.lift);
  // a full case by its middle, whoever holds on to it by its front
  const pull = (own * (deep / 2) + HANGS_ON * deep) / lever;
  const down = own + HANGS_ON;
  const each = { pull: pull / hang.pulls, bear: down / hang.bears };
  const screws = hung.fixings.length * hung.each;
  const inside = place.inside.to - place.inside.from;
  const said = screws === 1 ? "1 screw carries" : `${screws} screws carry`;
  const wanted = Math.ceil(each.pull + each.bear);
  const share = screws > 0 ? (each.pull + each.bear) / screws : Infinity;
  const level: Level = screws === 0 ? "fix" : grade(share, "at most", 1, 1.3);
  return verdict({
    id: "form.hang-load",
    stage: "form",
    subject: ["hang-rail"],
    level,
    text:
      screws === 0
        ? "No stud stands behind the hanging rail"
        : level === "holds"
          ? `${said} it, full: ${screws > 1 ? "each " : ""}${Math.round(100 * share)} % of what it may`
          : `${said} ${Math.round(100 * share)} % of what ${screws > 1 ? "they" : "it"} may`,
    why: `About ${Math.round(weight)} kg, ${Math.round(own - weight)} in it, and ${HANGS_ON} of whoever holds on to its front: ${Math.round(down)} kg across the screws, and ${Math.round(pull)} kg pull at them, ${mm(lever)} above the edge it would turn about. A screw in this wall carries ${hang.bears} across and ${hang.pulls} pulled out, as typed from its packet.`,
    limit: 100,
    ...(Number.isFinite(share) ? { actual: Math.round(100 * share) } : {}),
    sense: "at most",
    unit: "%",
    source: "derived: moments about the lower back edge; pull and shear added by their limits",
    remedies:
      level === "holds"
        ? []
        : [
            ...(hang.wall === "masonry" && wanted <= 24
              ? [set(`Screw it with ${wanted}`, at("hang", "fixings"), wanted)]
              : []),
            ...(hang.wall === "studs" && hang.studs > CLOSE && wanted <= hung.each * studsBehind(inside, CLOSE)
              ? [set(`Fix it to studs ${mm(CLOSE)} apart`, at("hang", "studs"), CLOSE)]
              : []),
          ],
  });
}

/** Where it hangs, and how many lift it there. */
export function hungUp({ at: place, weight }: CaseFacts): Verdict | null {
  if (!place.onWall) return null;
  const out = [...(place.drawers.length > 0 ? ["drawers"] : []), ...(place.doors.length > 0 ? ["doors"] : [])];
  const level = grade(weight, "at most", USUAL.topWeightTwo, 2 * USUAL.topWeightTwo);
  return verdict({
    id: "form.hang-lift",
    stage: "form",
    subject: ["case-side", "hang-rail"],
    level,
    text:
      weight <= USUAL.topWeightOnePerson
        ? `About ${Math.round(weight)} kg: one person lifts it, another drives the first screw`
        : `About ${Math.round(weight)} kg: ${weight <= USUAL.topWeightTwo ? "two people" : "it takes more than two people, or a lift, to"} hold it while a third drives the screws`,
    why: `One person lifts ${USUAL.topWeightOnePerson} kg, two ${USUAL.topWeightTwo}. A batten screwed level to the wall below it carries it meanwhile${out.length > 0 ? `; ${listed(out)} stay out until it hangs` : ""}.`,
    limit: USUAL.topWeightTwo,
    actual: Math.round(weight),
    sense: "at most",
    unit: "kg",
    remedies: [],
  });
}

/** What was meant for a case that stands free. */
function drawnIntoWall(form: CaseFacts["form"]): Verdict {
  const front = form.case.bays.map((bay) => ({
    ...bay,
    rows: bay.rows.map((row) => (row.holds === "drawers-through" ? { ...row, holds: "drawer" as const } : row)),
  }));
  return verdict({
    id: "form.hang-where",
    stage: "form",
    subject: ["drawer-front", "hang-rail"],
    level: "fix",
    text: "Drawers that should open behind open into the wall",
    why: "A case that hangs has its back to a wall.",
    remedies: [set("Draw them out in front only", at("bays"), front)],
  });
}

/** Every opening an equal share of what is high. */
const shared = (bays: CaseFacts["form"]["case"]["bays"]) =>
  bays.map((bay) => ({ ...bay, rows: bay.rows.map((row) => ({ ...row, height: null })) }));

/** High enough to pass under, low enough to reach into; its rails need the top of every bay. */
export function hungWhere({ at: place, form }: CaseFacts): Verdict | null {
  const { onWall: hung, lift } = place;
  if (!hung) return null;
  const rail = hung.y.to - hung.y.from;
  if (openingsOf(place).some(({ opening: { holds } }) => holds === "drawers-through")) return drawnIntoWall(form);
  const level: Level = rail < HUNG.least ? "fix" : lift < USE.low || lift > USE.high ? "tight" : "holds";
  const to = lift < USE.low ? USE.low : USE.high;
  const { height } = form;
  return verdict({
    id: "form.hang-where",
    stage: "form",
    subject: ["hang-rail", "case-bottom"],
    level,
    text:
      rail < HUNG.least
        ? `The first openings leave the hanging rail ${mm(Math.max(0, Math.round(rail)))}`
        : lift < USE.low
          ? `Its bottom hangs only ${mm(lift)} above the floor: it will be sat and stood on`
          : lift > USE.high
            ? `Its bottom hangs ${mm(lift)} above the floor: nobody reaches into it`
            : `Its bottom hangs ${mm(lift)} above the floor`,
    why: `Between ${USE.low} and ${USE.high} mm people pass below it and reach into it. What hangs over a worktop leaves 500 mm above that.`,
    remedies:
      rail < HUNG.least
        ? [set("Make the openings share the height", at("bays"), shared(form.case.bays))]
        : level === "tight"
          ? [
              {
                label: `Hang it with its bottom at ${to} mm`,
                patches: [
                  { path: at("lift"), value: to },
                  { path: ["form", "height"], value: Math.min(2400, height + to - lift) },
                  { path: ["brief", "topHeight"], value: Math.min(2400, height + to - lift) },
                ],
              },
            ]
          : [],
  });
}
