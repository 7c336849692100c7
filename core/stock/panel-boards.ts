/** Which boards a panel is made of: whether they are there, free, sound and alike. */
import { isComposed } from "../construction/geometry";
import { widestWindow } from "../layout/candidates";
import { offcutOf } from "../layout/stretches";
import { grade, mm, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { edgeLoss, heldBy, narrowest } from "./board";
import type { PanelFacts } from "./panel-facts";

/** Boards that differ by more dry apart, percent. @source common practice */
const MOISTURE_SPREAD = 1.5;

export function chosen({ laid, at, name }: PanelFacts): Verdict | null {
  if (laid.length > 0 || !isComposed(at.core)) return null;
  return verdict({
    id: "boards.chosen",
    stage: "boards",
    level: "fix",
    subject: ["top"],
    text: `No boards are chosen for the ${name} yet`,
    why: `Let Taller compose the ${name} from the rack, or drag boards up from it.`,
  });
}

export function gone({ missing, piece, rack, at, shop }: PanelFacts): Verdict | null {
  if (missing.length === 0) return null;
  const { strips } = piece.panels.top;
  // a stretch that was kept for it while the rest was sawn for another piece lies on an offcut now
  const length = at.core.length + shop.lengthAllowance;
  const moved = strips.map((strip) => {
    if (!missing.includes(strip.board)) return strip;
    const left = rack.flatMap(({ id, cutFrom, cutAt, length: long }) =>
      cutFrom === strip.board && cutAt !== undefined ? [{ id, from: cutAt, length: long }] : [],
    );
    const on = offcutOf({ from: strip.slide, to: strip.slide + length }, left, shop);
    return on ? { ...strip, board: on.id, slide: Math.max(0, round1(strip.slide - on.from)) } : strip;
  });
  const found = moved.filter((strip) => !strips.includes(strip)).map(({ board }) => board);
  return verdict({
    id: "boards.gone",
    stage: "boards",
    level: "fix",
    subject: missing.map((id) => `strip:${id}`),
    text: `${list(missing)} ${missing.length === 1 ? "is" : "are"} no longer on the rack`,
    why:
      found.length > 0
        ? `The rest was sawn for another piece; what was kept for this one is on ${list(found)}.`
        : "The panel still names a board that was cut up or renamed.",
    remedies: [
      ...(found.length > 0 ? [set(`Take ${list(found)} in its place`, ["panels", "top", "strips"], moved)] : []),
      set(
        "Take it out of the panel",
        ["panels", "top", "strips"],
        strips.filter((strip) => !missing.includes(strip.board)),
      ),
    ],
  });
}

export function taken({ laid, piece, shop }: PanelFacts): Verdict | null {
  const kept = (each: (typeof laid)[number]): string | null =>
    each.board.reservedBy?.name ??
    heldBy(each.board, each.strip.slide, each.strip.slide + each.length + shop.lengthAllowance);
  const mine = laid.filter((each) => kept(each) !== null);
  if (mine.length === 0) return null;
  const ids = mine.map(({ board }) => board.id);
  const [one] = mine;
  const partly = one.board.reservedBy === null;
  return verdict({
    id: "boards.taken",
    stage: "boards",
    level: "fix",
    subject: ids.map((id) => `strip:${id}`),
    text: `${list(ids)} ${ids.length === 1 ? "is" : "are"} reserved for ${kept(one)}${partly ? " where this piece would cut it" : ""}`,
    why: partly
      ? "Pieces of one commission may share a board, each its own stretch of it."
      : "One board can be in one piece only, or in several of one commission, each with its own stretch.",
    remedies: [
      set(
        `Take ${list(ids)} out of the panel`,
        ["panels", "top", "strips"],
        piece.panels.top.strips.filter((strip) => !ids.includes(strip.board)),
      ),
    ],
  });
}

export function defectsInside({ laid, shop, piece, name }: PanelFacts): Verdict[] {
  return laid.flatMap((each) => {
    const length = each.length + shop.lengthAllowance;
    const inside = each.board.defects.filter(
      (d) => d.x < each.strip.slide + length && d.x + d.length > each.strip.slide,
    );
    if (inside.length === 0) return [];
    const window = widestWindow(each.board, Math.min(length, each.board.length));
    const clearAt = (slide: number) => !each.board.defects.some((d) => d.x < slide + length && d.x + d.length > slide);
    const move = clearAt(window.slide) && Math.abs(window.slide - each.strip.slide) > 0.5;
    const ripped =
      each.full <= window.width - 2 * edgeLoss(each.board, shop) && Math.abs(window.slide - each.strip.slide) < 1;
    const index = piece.panels.top.strips.indexOf(each.strip);
    return [
      verdict({
        id: `boards.defect-${each.board.id}`,
        stage: "boards",
        subject: [`strip:${each.board.id}`],
        level: ripped ? "holds" : "tight",
        text: ripped
          ? `The ${inside[0].kind} in ${each.board.id} is ripped off`
          : `The ${inside[0].kind} in ${each.board.id} falls inside the ${name}`,
        why: `It lies ${mm(inside[0].x)} from the board's left end${ripped ? `, within the ${mm(narrowest(each.board) - each.full)} that are cut away` : ""}.`,
        remedies: move
          ? [set(`Slide ${each.board.id} past it`, ["panels", "top", "strips", index, "slide"], window.slide)]
          : [],
      }),
    ];
  });
}

export function moistureSpread({ laid }: PanelFacts): Verdict | null {
  if (laid.length === 0) return null;
  const values = laid.map(({ board }) => board.moisture);
  const spread = Math.max(...values) - Math.min(...values);
  return verdict({
    id: "boards.moisture",
    stage: "boards",
    level: grade(spread, "at most", MOISTURE_SPREAD, 2 * MOISTURE_SPREAD),
    subject: laid.map(({ board }) => `strip:${board.id}`),
    text: `Boards differ by ${round1(spread)} % moisture`,
    why: "Boards that dry apart leave steps at their seams; stack them together until they agree.",
    limit: MOISTURE_SPREAD,
    actual: round1(spread),
    sense: "at most",
    unit: "%",
  });
}

export function partsHaveBoards({ lacking, laid, at }: PanelFacts): Verdict | null {
  if (laid.length === 0 && lacking.length === 0 && isComposed(at.core)) return null;
  return verdict({
    id: "boards.parts",
    stage: "boards",
    level: lacking.length ? "fix" : "holds",
    subject: lacking.map((each) => each.name),
    text: lacking.length
      ? `No board on the rack for ${lacking.map((each) => `${each.count} ${each.name.toLowerCase()}`).join(", ")}`
      : "Every part has a board",
    why: lacking.length
      ? "They stand on the shopping list under Cutting."
      : "Whatever is not in a panel is laid out under Cutting.",
  });
}

const list = (ids: readonly string[]) =>
  ids.length < 3 ? ids.join(" and ") : `${ids.slice(0, -1).join(", ")} and ${ids.at(-1)}`;
