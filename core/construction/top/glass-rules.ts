/** Glass let in between two slabs: thick enough, never pinched, never off its seats, in corners that a cutter reaches. */
import { fine, grade, mm, round1, set, Verdict, verdict } from "../../verdict/verdict";
import { between, gapChange, seen, SlabFacts } from "./slab-facts";
import { BED, beside, onEdge } from "./slabs";

/** Glass between slabs: a share of what it spans, and at least; it keeps so much seat and room, and slabs so much below it. @source common practice, from memory: a maker of glass tells it for the load */
const GLASS = {
  span: 1 / 45,
  least: 6,
  seat: { good: 6, least: 3 },
  room: { good: 1, least: 0.3 },
  below: { good: 12, least: 8 },
};

export const GLASS_RULES: readonly ((facts: SlabFacts) => Verdict | null)[] = [
  glassThick,
  glassHasRoom,
  glassLies,
  belowTheSeat,
  cornersFollow,
];

function glassThick(facts: SlabFacts): Verdict | null {
  const all = seen(facts);
  if (!all?.glass) return null;
  const [a, b] = all.slabs;
  const xs = [...a.back, ...b.front].map(([x]) => x);
  const span = Math.max(...xs.map((x) => onEdge(b.front, x) - onEdge(a.back, x)));
  const needed = Math.max(GLASS.least, Math.ceil(span * GLASS.span));
  const { thickness } = facts.form.slabs.between;
  const level = grade(thickness, "at least", needed, 0.7 * needed);
  return verdict({
    id: "form.glass-thick",
    stage: "form",
    subject: ["glass"],
    level,
    text: `Glass ${mm(thickness)} thick spans ${mm(Math.round(span))}`,
    why: `About ${mm(needed)} is wanted where plates are set down; tempered, its edges ground, cut to its shape before. It can't be cut afterwards, and no cutter's bearing may run on it.`,
    limit: needed,
    actual: thickness,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || needed > 25 ? [] : [set(`Order it ${mm(needed)} thick`, between("thickness"), needed)],
  });
}

/** In the wet month both slabs come nearer: the glass is never pinched. */
function glassHasRoom(facts: SlabFacts): Verdict | null {
  const all = seen(facts);
  if (!all?.glass) return null;
  const { clear, seat } = facts.form.slabs.between;
  const each = gapChange(facts, [all.slabs[0], all.slabs[1]]).wet / 2;
  const room = clear + each;
  const level = grade(room, "at least", GLASS.room.good, GLASS.room.least);
  const more = Math.ceil((GLASS.room.good - each) * 2) / 2;
  return verdict({
    id: "form.glass-room",
    stage: "form",
    subject: ["glass"],
    level,
    text:
      room > 0
        ? `The glass keeps ${fine(room)} beside each edge in ${facts.top.wet.name}`
        : `The slabs pinch the glass in ${facts.top.wet.name}`,
    why: `${fine(clear)} today; each slab's edge comes ${fine(-each)} nearer. Pinched glass breaks.`,
    limit: GLASS.room.good,
    actual: round1(room),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            {
              label: `Leave ${fine(more)} beside it`,
              patches: [
                { path: between("clear"), value: more },
                { path: between("seat"), value: seat + more - clear },
              ],
            },
          ],
  });
}

/** In the dry month both go apart: it still lies on its seats. */
function glassLies(facts: SlabFacts): Verdict | null {
  const all = seen(facts);
  if (!all?.glass) return null;
  const { clear, seat } = facts.form.slabs.between;
  // pushed to one side it lies on the other by so much less
  const lies = seat - 2 * clear - gapChange(facts, [all.slabs[0], all.slabs[1]]).dry;
  const level = grade(lies, "at least", GLASS.seat.good, GLASS.seat.least);
  const wider = Math.ceil(seat + GLASS.seat.good - lies);
  return verdict({
    id: "form.glass-seat",
    stage: "form",
    subject: ["glass"],
    level,
    text: `The glass lies on ${fine(lies)} at least in ${facts.top.dry.name}`,
    why: `A seat of ${mm(seat)}, ${fine(clear)} beside the glass today; pushed against one slab it lies on the other by that much less, and by all that both have dried.`,
    limit: GLASS.seat.good,
    actual: round1(lies),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" || wider > 60 ? [] : [set(`Cut seats ${mm(wider)} wide`, between("seat"), wider)],
  });
}

function belowTheSeat(facts: SlabFacts): Verdict | null {
  const all = seen(facts);
  if (!all?.glass) return null;
  const left = facts.at.top.thickness - all.glass.depth;
  const level = grade(left, "at least", GLASS.below.good, GLASS.below.least);
  const thicker = Math.ceil(all.glass.depth + GLASS.below.good);
  return verdict({
    id: "form.glass-below",
    stage: "form",
    subject: all.slabs.map(({ kind }) => kind),
    level,
    text: `${fine(left)} of slab stay below the glass`,
    why: `The rebate is ${fine(all.glass.depth)} deep: the glass and ${mm(BED)} of soft dots under it. A lip that is thinner splits off along the grain.`,
    limit: GLASS.below.good,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || thicker > 150
        ? []
        : [set(`Leave the slabs ${mm(thicker)} thick`, ["form", "top", "thickness"], thicker)],
  });
}

/**
 * Where an edge turns the cutter leaves it round: the glass, rounded less, would stand on the corner.
 *
 * @source derived: a circle of radius r in a corner of two lines that turn by φ stays r (1/cos(φ/2) − 1) off it
 */
export const cornerLeft = (radius: number, turn: number): number => radius * (1 / Math.cos(turn / 2) - 1);

function cornersFollow(facts: SlabFacts): Verdict | null {
  const all = seen(facts);
  if (!all?.glass) return null;
  const { radius, clear, seat } = facts.form.slabs.between;
  const edges = [beside(all.slabs[0].back, -seat), beside(all.slabs[1].front, seat)];
  const turns = edges.flatMap((edge) =>
    edge.slice(1, -1).map(([x, y], i) => {
      const [[xa, ya], [xb, yb]] = [edge[i], edge[i + 2]];
      return { x, turn: Math.abs(Math.atan2(yb - y, xb - x) - Math.atan2(y - ya, x - xa)) };
    }),
  );
  if (turns.length === 0) return null;
  const worst = turns.reduce((a, b) => (b.turn > a.turn ? b : a));
  const left = cornerLeft(radius, worst.turn);
  const level = grade(left, "at most", clear / 2, clear);
  const narrower = Math.floor((radius * clear) / 2 / left);
  return verdict({
    id: "form.glass-corners",
    stage: "form",
    subject: ["glass"],
    level,
    text: `A cutter of radius ${mm(radius)} leaves ${fine(left)} in the tightest corner`,
    why: `${mm(Math.round(worst.x))} from the left end the edge turns by ${((worst.turn * 180) / Math.PI).toFixed(1)}°; the glass has ${fine(clear)} of room. The template is rounded there by more than the cutter is.`,
    limit: round1(clear / 2),
    actual: round1(left),
    sense: "at most",
    unit: "mm",
    source: "derived: a circle in a corner of two lines",
    remedies:
      level === "holds" || narrower < 2
        ? []
        : [set(`Use a cutter of radius ${mm(narrower)}`, between("radius"), narrower)],
  });
}
