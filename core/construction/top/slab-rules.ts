/** Tops of slabs: whether they lie in the top's width, stay of one piece through a rebate, and leave the glass room through the year. */
import { fine, grade, Level, mm, round1, set, Verdict, verdict } from "../../verdict/verdict";
import { GLASS_RULES } from "./glass-rules";
import { gapChange, of, seen, SlabFacts } from "./slab-facts";
import { onEdge } from "./slabs";

/** @source common practice */
const SLAB = {
  /** a stretch of slab narrower than this breaks along its grain when it is lifted */
  narrow: { good: 80, least: 40 },
};
export const SLAB_RULES: readonly ((facts: SlabFacts) => Verdict | null)[] = [
  plainTop,
  withinTheTop,
  wideEnough,
  apart,
  ...GLASS_RULES,
];

/** What holds the ends of a panel has no place on slabs. */
function plainTop({ form }: SlabFacts): Verdict | null {
  if (form.field !== "slabs" || (form.ends === "none" && form.stiffener === "none")) return null;
  return verdict({
    id: "form.slabs-plain",
    stage: "form",
    subject: ["top"],
    level: "tight",
    text: `Slabs are made without ${form.ends !== "none" ? "what was chosen for their ends" : "what was chosen to keep them flat"}`,
    why: "Their ends and edges are their own; each is held along its own middle line. What was chosen stays in the record.",
    remedies: [
      {
        label: "Choose neither",
        patches: [
          { path: ["form", "ends"], value: "none" },
          { path: ["form", "stiffener"], value: "none" },
        ],
      },
    ],
  });
}

/** As they were measured they fill the top's width, and go no further. */
function withinTheTop(facts: SlabFacts): Verdict | null {
  const all = seen(facts);
  if (!all) return null;
  const { top } = facts.at;
  const most = Math.max(...all.slabs.map((slab) => slab.most));
  const over = most - top.width;
  const level: Level = Math.abs(over) <= 2 ? "holds" : over > 0 ? "fix" : "tight";
  return verdict({
    id: "form.slabs-width",
    stage: "form",
    subject: all.slabs.map(({ kind }) => kind),
    level,
    text:
      level === "holds"
        ? `The slabs reach ${mm(Math.round(most))} back: as wide as the top`
        : `The slabs reach ${mm(Math.round(most))} back, the top is ${mm(top.width)} wide`,
    why: "Edges are measured back from a straight line along the top's front, so that everything below is placed from it.",
    limit: top.width,
    actual: Math.round(most),
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [set(`Make the top ${mm(Math.round(most))} wide`, ["form", "top", "width"], Math.round(most))],
  });
}

function wideEnough(facts: SlabFacts): Verdict | null {
  const all = seen(facts);
  if (!all) return null;
  const widths = all.slabs.flatMap((slab) =>
    [...slab.front, ...slab.back].map(([x]) => ({ slab, x, wide: onEdge(slab.back, x) - onEdge(slab.front, x) })),
  );
  const worst = widths.reduce((a, b) => (b.wide < a.wide ? b : a));
  const level = grade(worst.wide, "at least", SLAB.narrow.good, SLAB.narrow.least);
  return verdict({
    id: "form.slabs-narrow",
    stage: "form",
    subject: [worst.slab.kind],
    level,
    text:
      worst.wide <= 0
        ? `The ${worst.slab.said}'s edges cross ${mm(Math.round(worst.x))} from the left end`
        : `The ${worst.slab.said} is ${mm(Math.round(worst.wide))} wide where it is narrowest`,
    why: `${mm(Math.round(worst.x))} from the left end. Under ${mm(SLAB.narrow.least)} it breaks along its grain when it is lifted.`,
    limit: SLAB.narrow.good,
    actual: Math.round(worst.wide),
    sense: "at least",
    unit: "mm",
    remedies: [],
  });
}

/** Two slabs never meet: what lies between them, or nothing, has room. */
function apart(facts: SlabFacts): Verdict | null {
  const all = seen(facts);
  if (!all || all.slabs.length < 2) return null;
  const [a, b] = all.slabs;
  const xs = [...a.back, ...b.front].map(([x]) => x);
  const gap = (x: number) => onEdge(b.front, x) - onEdge(a.back, x);
  const at = xs.reduce((p, q) => (gap(q) < gap(p) ? q : p));
  const wet = gapChange(facts, [a, b]).wet;
  const level: Level = gap(at) + wet <= 0 ? "fix" : gap(at) + wet < 5 ? "tight" : "holds";
  return verdict({
    id: "form.slabs-apart",
    stage: "form",
    subject: [a.kind, b.kind],
    level,
    text:
      level === "fix"
        ? `The slabs meet ${mm(Math.round(at))} from the left end`
        : `The slabs stay ${fine(gap(at) + wet)} apart where they come nearest`,
    why: `${fine(gap(at))} today, ${mm(Math.round(at))} from the left end; each moves about its own middle line, and in ${facts.top.wet.name} their inner edges have come ${fine(-wet)} nearer.`,
    limit: 5,
    actual: round1(gap(at) + wet),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            set(
              `Lay the back slab ${Math.ceil(10 - gap(at) - wet)} mm further back`,
              of("back"),
              facts.form.slabs.back.map((each) => ({
                ...each,
                from: each.from + Math.ceil(10 - gap(at) - wet),
                to: each.to + Math.ceil(10 - gap(at) - wet),
              })),
            ),
          ],
  });
}
