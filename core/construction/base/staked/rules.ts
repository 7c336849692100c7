import { grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Staked } from "../../../joinery/staked";
import { usualRange } from "../../usual";
import type { BaseRuleFacts, Rule } from "../base";
import { isOnePanel } from "./parts";
import type { StakedLegs } from "./place";
import { legStress, STRESS } from "./stress";
import { feetOut, headsFit, kneeRoom, tips } from "./stand-rules";

type Facts = BaseRuleFacts<StakedLegs>;

const RULED = {
  /** a leg leans by so much at most before it slides and bends, degrees @source common practice */
  high: 18,
  most: 26,
};

/** Every rule of legs in the top itself, in the order a maker would ask. */
export const STAKED_RULES: readonly Rule<Facts>[] = [
  topWhole,
  headsFit,
  splay,
  slim,
  turnedOf,
  stiff,
  feetOut,
  kneeRoom,
  tips,
];

const path = (...rest: string[]) => ["form", "staked", ...rest];
const joinedBy = ({ joints }: Facts) => joints.find((each): each is Staked => each.kind === "staked");

function topWhole({ form }: Facts): Verdict {
  const whole = isOnePanel(form);
  return verdict({
    id: "form.staked-top",
    stage: "form",
    subject: ["top", "staked-leg"],
    level: whole ? "holds" : "fix",
    text: whole
      ? "The legs stand in one panel, each by itself: nothing hinders its width"
      : "The legs have no one panel over them to stand in",
    why: "Nothing joins the legs below, so they part and close with the top as it moves. Slats, slabs, end boards and a frame are held by what lies across them: here nothing does.",
    remedies: whole
      ? []
      : [
          ...(form.field === "slats" || form.field === "slabs"
            ? [set("Make the top one panel", ["form", "field"], "solid")]
            : []),
          ...(form.ends !== "none" ? [set("Leave its ends plain", ["form", "ends"], "none")] : []),
        ],
  });
}

function splay({ at, form }: Facts): Verdict {
  const { degrees, out, edge } = at.lean;
  const level: Level = degrees > RULED.most ? "fix" : degrees > RULED.high ? "tight" : "holds";
  const { stand } = form.staked;
  const sight = form.staked.stand === "corners" && degrees > 0 ? sightOf(at) : null;
  return verdict({
    id: "form.splay",
    stage: "form",
    subject: ["staked-leg"],
    level,
    text:
      degrees === 0
        ? "Legs stand upright"
        : `Legs lean ${degrees.toFixed(1)}°${sight === null ? "" : `, on sight lines ${sight.toFixed(1)}° from the line along the top`}: feet stand ${mm(out)} outside their mortises`,
    why: `Seen along its sight line a leg leans by that one angle, and is bored by it; an edge is ${mm(edge)} long. Over ${RULED.high}° it slides on a smooth floor and bends its tenon.`,
    limit: RULED.high,
    actual: Math.round(degrees * 10) / 10,
    sense: "at most",
    unit: "°",
    source: "derived: tan R = √(tan² a + tan² b), the sight line by tan b / tan a",
    remedies:
      level === "holds"
        ? []
        : stand === "round"
          ? [set("Splay the legs 10°", path("splay", "out"), 10)]
          : [
              {
                label: "Splay them 10° toward the ends, 8° toward the sides",
                patches: [
                  { path: path("splay", "end"), value: 10 },
                  { path: path("splay", "side"), value: 8 },
                ],
              },
            ],
  });
}

/** Of legs at corners: from the line along the top, degrees. */
export const sightOf = ({ legs }: Pick<StakedLegs, "legs">) =>
  (Math.atan2(Math.abs(legs[0].z), Math.abs(legs[0].x)) * 180) / Math.PI;

function slim({ at }: Facts): Verdict {
  return usualRange("form.leg", "staked-leg", "A leg section", {
    actual: at.section,
    range: { low: 35, high: 140 },
    path: path("section"),
    reasons: { low: "Its tenon is all that holds it, and it whips.", high: "It looks like a post." },
  });
}

/** A lathe turns sticks of one piece, and leaves the tenon round. */
function turnedOf({ form }: Facts): Verdict | null {
  const { shape, make, tenon } = form.staked;
  if (shape !== "round") return null;
  const bad = make !== "solid" ? "make" : tenon.shape === "square" ? "tenon" : null;
  return verdict({
    id: "form.turned",
    stage: "form",
    subject: ["staked-leg"],
    level: bad ? "tight" : "holds",
    text:
      bad === "make"
        ? "A leg turned from leaves shows its glue lines winding round it"
        : bad === "tenon"
          ? "A round leg with a square tenon: it is cut before the leg is turned"
          : `Legs are turned round, their tenons with them`,
    why: "Leg and tenon are turned between the same centres: neither can stand aslant to the other.",
    remedies:
      bad === "make"
        ? [set("Turn each from one stick", path("make"), "solid")]
        : bad === "tenon"
          ? [set("Make the tenons round", path("tenon", "shape"), "round")]
          : [],
  });
}

function stiff(facts: Facts): Verdict | null {
  const joint = joinedBy(facts);
  if (!joint) return null;
  const { at, form } = facts;
  const { bends, pressed } = legStress(joint, at);
  const [a, b] = [
    grade(bends, "at most", STRESS.bends.good, STRESS.bends.least),
    grade(pressed, "at most", STRESS.pressed.good, STRESS.pressed.least),
  ];
  const worse = bends / STRESS.bends.good > pressed / STRESS.pressed.good;
  const level: Level = a === "fix" || b === "fix" ? "fix" : a === "tight" || b === "tight" ? "tight" : "holds";
  const wider = Math.ceil(joint.size * Math.cbrt(bends / STRESS.bends.good));
  const deeper = Math.sqrt(pressed / STRESS.pressed.good);
  const thicker = Math.ceil(at.top.thickness * Math.max(deeper, Math.cbrt(bends / STRESS.bends.good)));
  const section = Math.max(form.staked.section, Math.ceil(wider / 0.6));
  return verdict({
    id: "form.racking",
    stage: "form",
    subject: ["staked-leg", "top"],
    level,
    text:
      level === "holds"
        ? "The tenons alone keep the legs from folding"
        : worse
          ? `Tenons of ${mm(joint.size)} bend when somebody leans on an edge`
          : `Tenons ${mm(Math.round(joint.through ? joint.behind : joint.reach))} long work loose in the top`,
    why: `${STRESS.push} N from the side at ${mm(at.under)} bend ${at.legs.length} tenons by ${bends.toFixed(1)} N/mm² and press them in their mortises by ${pressed.toFixed(1)} N/mm². Dry hardwood bears ${STRESS.bends.good} and ${STRESS.pressed.good} for good; nothing else ties these legs.`,
    limit: worse ? STRESS.bends.good : STRESS.pressed.good,
    actual: Math.round(10 * (worse ? bends : pressed)) / 10,
    sense: "at most",
    unit: "N/mm²",
    source: "derived: M = F h / n; W = π d³ / 32 or d³ / 6; p = 6 M / (d l²)",
    remedies:
      level === "holds"
        ? []
        : [
            ...(a !== "holds" && section <= 250 && wider <= 150
              ? [
                  {
                    label: `Make tenons ${mm(wider)} thick, legs ${mm(section)}`,
                    patches: [
                      { path: path("tenon", "size"), value: wider },
                      { path: path("section"), value: section },
                    ],
                  },
                ]
              : []),
            ...(b !== "holds" && thicker <= 150
              ? [set(`Make the top ${mm(thicker)} thick`, ["form", "top", "thickness"], thicker)]
              : []),
          ],
  });
}
