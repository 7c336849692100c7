/** Whether the parts of a piece leave one another room. */
import type { Clash } from "../assembly/clashes";
import type { AssemblyPart } from "../assembly/part";
import type { Touch } from "../assembly/touching";
import { edgesOf } from "../piece/kinds";
import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { fine, set, Verdict, verdict } from "../verdict/verdict";
import { straightEdged } from "./edges";

interface FitFacts {
  clashes: readonly Clash[];
  /** opened, drawn out: what then fills the same room */
  opened: readonly { name: string; clashes: readonly Clash[] }[];
  touches: readonly Touch[];
  parts: readonly AssemblyPart[];
  kinds: Piece["kinds"];
  shop: Pick<Shop, "edgeBits">;
}

export const FIT_RULES: ((facts: FitFacts) => Verdict | null)[] = [partsFit, opens, joinedWhereTheyTouch, edgesCut];

/** So many pairs are named; the others are counted. */
const NAMED = 3;

/** No two parts fill the same room, joints worked: the pairs that share most are named. */
function partsFit({ clashes, parts }: FitFacts): Verdict | null {
  if (parts.length === 0) return null;
  const said = calling(parts);
  const worst = [...clashes].sort((a, b) => b.volume - a.volume);
  const [first] = worst;
  const others = worst.slice(1, NAMED).map(({ parts: [a, b] }) => `${a} and ${b}`);
  const more = worst.length - 1 - others.length;
  return verdict({
    id: "form.fit",
    stage: "form",
    subject: [...new Set(worst.flatMap(({ kinds }) => kinds))],
    level: first ? "fix" : "holds",
    text: first
      ? `${capital(said(first.parts[0]))} and ${said(first.parts[1])} fill the same room`
      : `${parts.length} parts, and none stands in another`,
    why: first
      ? `They share ${Math.max(1, Math.round(first.volume / 1000))} cm³ with their joints cut${others.length > 0 ? `; so do ${others.join(", ")}${more > 0 ? ` and ${more} more` : ""}` : ""}. Move or shorten one of them.`
      : "Every two parts were held against each other with their joints cut.",
    source: "derived: what two bodies share",
    remedies: [],
  });
}

/** What opens meets nothing on its way: judged where it ends. */
function opens({ opened, parts }: FitFacts): Verdict | null {
  if (opened.length === 0) return null;
  const said = calling(parts);
  const met = opened.find(({ clashes }) => clashes.length > 0);
  const worst = met?.clashes.reduce((a, b) => (b.volume > a.volume ? b : a));
  return verdict({
    id: "form.opens",
    stage: "form",
    subject: worst?.kinds ?? [],
    level: worst ? "fix" : "holds",
    text: worst
      ? `With ${met!.name}, ${said(worst.parts[0])} stands in ${said(worst.parts[1])}`
      : `With ${opened.length > 1 ? `each of ${opened.length} openings` : opened[0].name} nothing stands in its way`,
    why: worst
      ? `They share ${Math.max(1, Math.round(worst.volume / 1000))} cm³ there${met!.clashes.length > 1 ? `, and ${met!.clashes.length - 1} other pair${met!.clashes.length > 2 ? "s do" : " does"}` : ""}: it does not open so far.`
      : "Every part that goes was held against every one that stays, where it ends.",
    source: "derived: what two bodies share",
    remedies: [],
  });
}

/** Wherever parts stand face to face something holds them, or they are kept apart: the pair with most of it is named. */
function joinedWhereTheyTouch({ touches, parts }: FitFacts): Verdict | null {
  if (touches.length === 0) return null;
  const byId = new Map(parts.map((part) => [part.id, part]));
  const worst = touches.reduce((a, b) => (b.area > a.area ? b : a));
  const [one, other] = worst.parts.map((id) => byId.get(id)!);
  const said = ({ id, name, said: sentence }: AssemblyPart) => `${sentence ?? name.toLowerCase()} ${id}`;
  return verdict({
    id: "form.touching",
    stage: "form",
    subject: [one.kind, other.kind],
    level: "tight",
    text: `${capital(said(one))} and ${said(other)} stand face to face, and nothing joins them`,
    why: `They touch over ${Math.max(1, Math.round(worst.area / 100))} cm²${touches.length > 1 ? `, and ${touches.length - 1} other pair${touches.length > 2 ? "s" : ""} with them` : ""}: finish sticks there, dust and water stay there, and one pushes the other when it swells. Keep them a few mm apart, or let one enter the other.`,
    source: "derived: faces of bodies that lie in one plane",
    remedies: [],
  });
}

/** Edges fit their parts, and something the shop owns cuts them; the worst is named. */
function edgesCut({ parts, kinds, shop }: FitFacts): Verdict | null {
  const chosen = Object.entries(edgesOf(kinds)).flatMap(([kind, edge]) => {
    const part = parts.find((each) => each.kind === kind);
    return part ? [{ kind, edge, part, most: Math.min(part.shape.width, part.shape.thickness) / 2 }] : [];
  });
  if (chosen.length === 0) return null;
  const bit = { eased: null, rounded: "round", chamfered: "chamfer" } as const;
  const owned = ({ edge }: (typeof chosen)[number]) =>
    edge.how === "eased" ||
    shop.edgeBits.some(
      ({ kind, size }) =>
        kind === bit[edge.how] && (kind === "round" ? Math.abs(size - edge.size) < 0.05 : size >= edge.size),
    );
  const large = chosen.find(({ edge, most }) => edge.size > most);
  const high = chosen.find(({ edge }) => edge.how === "rounded" && edge.raised >= edge.size);
  const without = chosen.find((each) => !owned(each));
  const worst = large ?? high ?? without;
  const rounds = shop.edgeBits.filter(({ kind }) => kind === "round").map(({ size }) => size);
  const fitting = rounds.filter((size) => worst && size <= worst.most).sort((a, b) => b - a)[0];
  const remedy = (label: string, change: object) =>
    worst ? [set(label, ["kinds", worst.kind, "edges"], { ...worst.edge, ...change })] : [];
  const shaped = chosen.filter(({ part }) => !straightEdged(part.shape));
  return verdict({
    id: "form.edges",
    stage: "form",
    subject: worst ? [worst.kind] : chosen.map(({ kind }) => kind),
    level: large || high ? "fix" : without ? "tight" : "holds",
    text: large
      ? `An edge of ${fine(large.edge.size)} is more than half of the ${large.part.name.toLowerCase()}`
      : high
        ? `A cutter raised by ${fine(high.edge.raised)} leaves nothing of its round of ${fine(high.edge.size)}`
        : without
          ? `Nothing in the shop cuts an edge ${without.edge.how} by ${fine(without.edge.size)}`
          : `Edges of ${chosen.length} kind${chosen.length > 1 ? "s" : ""} of part are cut with what the shop owns`,
    why: `They stop beside whatever bears on them.${shaped.length > 0 ? ` ${shaped.map(({ part }) => part.name).join(", ")}: shaped parts get theirs along the template, after it.` : ""}${without ? ` Quarter rounds here: ${rounds.length > 0 ? `${rounds.join(", ")} mm` : "none"}.` : ""}`,
    source: "the shop's own tools",
    remedies: large
      ? remedy("Ease them by 1 mm", { how: "eased", size: 1, raised: 0 })
      : high
        ? remedy("Set the cutter down to the face", { raised: 0 })
        : without
          ? [
              ...(fitting === undefined
                ? []
                : remedy(`Round them by ${fitting} mm`, { how: "rounded", size: fitting })),
              ...remedy("Ease them by hand, 1 mm", { how: "eased", size: 1 }),
            ]
          : [],
  });
}

/** How sentences call parts: by their name and their mark. */
function calling(parts: readonly AssemblyPart[]): (id: string) => string {
  const byId = new Map(parts.map((part) => [part.id, part]));
  return (id) => {
    const { name, said } = byId.get(id)!;
    return `${said ?? name.toLowerCase()} ${id}`;
  };
}

const capital = (text: string) => `${text[0].toUpperCase()}${text.slice(1)}`;
