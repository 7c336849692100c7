import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { grade, Level, mm, set, Verdict, verdict, Remedy } from "../verdict/verdict";
import { Adhesive, ADHESIVES } from "./adhesives";
import type { GlueStage } from "./stages";

export interface GlueFacts {
  piece: Piece;
  stages: readonly GlueStage[];
  adhesive: Adhesive;
  shop: Shop;
}

/** Every rule of the glue-up stage. */
export const GLUE_RULES: ((facts: GlueFacts) => Verdict | null)[] = [
  openTime,
  clampsReach,
  clampCount,
  clampForce,
  planer,
  stageWeight,
  warmth,
  weather,
];

/** Smaller glue-ups, where they can be had. */
function smaller({ choices, form }: GlueFacts["piece"]): Remedy[] {
  if (form.field === "stripes")
    return form.stripes.sections === null
      ? []
      : [set("Let Taller choose the sections", ["form", "stripes", "sections"], null)];
  return choices.stages === "all-at-once" ? [set("Glue in halves", ["choices", "stages"], "halves")] : [];
}

function openTime({ stages, adhesive, piece }: GlueFacts): Verdict | null {
  const slowest = longest(stages);
  if (!slowest) return null;
  const level = grade(slowest.minutes, "at most", 0.8 * adhesive.open, adhesive.open);
  const slower = ADHESIVES.find((each) => each.open * 0.8 >= slowest.minutes && each.outdoors >= adhesive.outdoors);
  return verdict({
    id: "glueup.open",
    stage: "glue-up",
    subject: [slowest.id],
    level,
    text:
      level === "fix"
        ? `Glue skins over before the clamps are on: ${minutes(slowest.minutes)} of work`
        : `${minutes(slowest.minutes)} of work, ${adhesive.open} min open`,
    why: `${slowest.name}: spreading, laying and clamping with ${piece.glueUp.hands === 1 ? "one pair of hands" : `${piece.glueUp.hands} pairs of hands`}; ${lower(adhesive.name)} stays open about ${adhesive.open} min.`,
    limit: adhesive.open,
    actual: Math.round(slowest.minutes * 10) / 10,
    sense: "at most",
    unit: "min",
    remedies:
      level === "holds"
        ? []
        : [
            ...smaller(piece),
            ...(slower ? [set(`Use ${lower(slower.name)}`, ["glueUp", "adhesive"], slower.id)] : []),
            ...(piece.glueUp.hands < 2 ? [set("Get a second pair of hands", ["glueUp", "hands"], 2)] : []),
          ],
  });
}

function clampsReach({ stages, piece }: GlueFacts): Verdict | null {
  const widest = stages.reduce<GlueStage | null>((a, b) => (!a || b.width > a.width ? b : a), null);
  if (!widest) return null;
  const level: Level = widest.clamps.owned === 0 ? "fix" : "holds";
  return verdict({
    id: "glueup.reach",
    stage: "glue-up",
    subject: [widest.id],
    level,
    text:
      level === "fix"
        ? `No clamp in the shop opens ${mm(widest.clamps.reach)}`
        : `${widest.clamps.owned} clamps open wide enough`,
    why: `At its widest the glue-up is ${mm(widest.width)}, and the pads want 20 mm.`,
    limit: widest.clamps.reach,
    actual: null,
    unit: "mm",
    source: "the shop's own tools",
    remedies: level === "fix" ? smaller(piece) : [],
  });
}

function clampCount({ stages }: GlueFacts): Verdict | null {
  const lacking = ({ clamps }: GlueStage) =>
    Math.max(clamps.places.length - clamps.owned, clamps.places.length + clamps.cauls - clamps.all);
  const most = stages.reduce<GlueStage | null>((a, b) => (!a || lacking(b) > lacking(a) ? b : a), null);
  if (!most) return null;
  const need = most.clamps.places.length;
  const { cauls, all } = most.clamps;
  const across = grade(most.clamps.owned, "at least", need, Math.ceil(need * 0.7));
  // cauls can be pressed by hand screws, weights or wedges
  const level = across === "holds" && need + cauls > all ? "tight" : across;
  return verdict({
    id: "glueup.count",
    stage: "glue-up",
    subject: [most.id],
    level,
    text:
      across === "holds" && level === "tight"
        ? `${need} clamps and ${cauls} for the cauls, ${all} in the shop`
        : `${need} clamps every ${mm(most.clamps.spacing)}, ${most.clamps.owned} in the shop`,
    why: `${cauls} more press the cauls, of ${all} in all. Pressure spreads from each clamp in a cone of 45°; above and below in turn keeps the panel flat.${across === "holds" ? "" : " Where they are short or few: two hooked together end to end, or wedges driven between battens screwed to the bench."}`,
    limit: need,
    actual: most.clamps.owned,
    sense: "at least",
    unit: "clamps",
  });
}

function clampForce({ stages }: GlueFacts): Verdict | null {
  const pressed = ({ clamps }: GlueStage) => Math.min(clamps.places.length, clamps.owned) * clamps.forceEach;
  const share = (each: GlueStage) => pressed(each) / each.clamps.forceNeeded;
  const stage = stages
    .filter(({ clamps }) => clamps.owned > 0)
    .reduce<GlueStage | null>((a, b) => (!a || share(b) < share(a) ? b : a), null);
  if (!stage) return null;
  const have = pressed(stage);
  return verdict({
    id: "glueup.force",
    stage: "glue-up",
    subject: [stage.id],
    level: have >= stage.clamps.forceNeeded ? "holds" : "tight",
    text:
      have >= stage.clamps.forceNeeded
        ? "The clamps press hard enough"
        : `Clamps give about ${Math.round((100 * have) / stage.clamps.forceNeeded)} % of the textbook pressure`,
    why: `${Math.round(stage.clamps.forceNeeded)} kN asked, about ${Math.round(have)} kN there. Ordinary glue-ups fall short of it: the joints must close by hand first.`,
    limit: Math.round(stage.clamps.forceNeeded),
    actual: Math.round(have),
    sense: "at least",
    unit: "kN",
  });
}

function planer({ stages, piece, shop }: GlueFacts): Verdict | null {
  if (stages.length === 0) return null;
  // the last seam of a panel beside the top carries that panel's name
  const parts = stages.filter(({ id }) => id !== "last" && !id.endsWith("-last"));
  // where every part is one strip, nothing glued goes through: the whole is flattened after its seams
  const widest = Math.max(...(parts.length > 0 ? parts : stages).map((stage) => stage.width));
  const level: Level = widest <= shop.planerWidth ? "holds" : "tight";
  // two strips have no half that is glued; of three, one half has two
  const halved = ({ width, strips }: GlueStage) =>
    width <= shop.planerWidth ||
    (strips.length > 2 && (width * Math.ceil(strips.length / 2)) / strips.length <= shop.planerWidth);
  return verdict({
    id: "glueup.planer",
    stage: "glue-up",
    subject: ["panel"],
    level,
    text: level === "holds" ? "Each glued part passes the planer" : "The panel is too wide for the planer",
    why: `${mm(widest)} against ${mm(shop.planerWidth)}. ${level === "holds" ? "Only the last seam is left to hand." : "Flatten it by hand or with a router sled, or glue in halves."}`,
    limit: shop.planerWidth,
    actual: Math.round(widest),
    sense: "at most",
    unit: "mm",
    source: "the shop's own tools",
    remedies: level === "tight" && stages.every(halved) ? smaller(piece) : [],
  });
}

function stageWeight({ stages, piece, shop }: GlueFacts): Verdict | null {
  if (stages.length === 0) return null;
  const heaviest = Math.max(...stages.map((stage) => stage.weight));
  const can = shop.lift * piece.glueUp.hands;
  return verdict({
    id: "glueup.weight",
    stage: "glue-up",
    subject: ["panel"],
    level: grade(heaviest, "at most", can, 1.6 * can),
    text: `The heaviest stage weighs about ${Math.round(heaviest)} kg`,
    why: `${piece.glueUp.hands === 1 ? "One person turns" : `${piece.glueUp.hands} people turn`} about ${can} kg with clamps on.`,
    limit: can,
    actual: Math.round(heaviest),
    sense: "at most",
    unit: "kg",
    remedies:
      heaviest > can && piece.glueUp.hands < 3
        ? [set("Get another pair of hands", ["glueUp", "hands"], piece.glueUp.hands + 1)]
        : [],
  });
}

function warmth({ adhesive, shop }: GlueFacts): Verdict {
  const level = grade(shop.temperature, "at least", adhesive.coldest + 3, adhesive.coldest);
  return verdict({
    id: "glueup.warmth",
    stage: "glue-up",
    level,
    text: level === "fix" ? `Too cold for ${lower(adhesive.name)}` : `${shop.temperature} °C in the shop`,
    why: `Below ${adhesive.coldest} °C it chalks and fails, wood included.`,
    limit: adhesive.coldest,
    actual: shop.temperature,
    sense: "at least",
    unit: "°C",
  });
}

function weather({ piece, adhesive }: GlueFacts): Verdict | null {
  if (piece.brief.place !== "porch") return null;
  return verdict({
    id: "glueup.weather",
    stage: "glue-up",
    level: adhesive.outdoors ? "holds" : "fix",
    text: adhesive.outdoors ? `${adhesive.name} stands the porch` : `${adhesive.name} lets go outdoors`,
    why: "A porch is damp for months.",
    remedies: adhesive.outdoors ? [] : [set("Use water-resistant PVA", ["glueUp", "adhesive"], "pva-water")],
  });
}

const longest = (stages: readonly GlueStage[]) =>
  stages.reduce<GlueStage | null>((a, b) => (!a || b.minutes > a.minutes ? b : a), null);
const minutes = (n: number) => `${n < 10 ? n.toFixed(1) : Math.round(n)} min`;
const lower = (name: string) => name[0].toLowerCase() + name.slice(1);
