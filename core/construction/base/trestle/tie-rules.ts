/** What ties the ends of a trestle, and what stiffens them: stretcher, struts, ties. */
import { Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { fromOneBoard, racksAlong } from "../tied";
import type { Facts } from "./facts";

/** Sizes of stretchers, mm. @source common practice */
const TRESTLE = { stretcher: { low: 120, high: 420 }, stiff: 80 };

export function stretcherLong({ at, joints, longest }: Facts): Verdict | null {
  const end = joints.find((each) => each.id === "post+stretcher");
  const whole = Math.max(...at.bays.map(({ from, to }) => to - from)) + 2 * (end?.length ?? 0);
  return fromOneBoard(
    { whole, longest },
    at.ends.length === 2 ? [set("Stand it on three ends", ["form", "trestle", "ends"], 3)] : [],
  );
}

export function stretcherHeight({ at }: Facts): Verdict {
  const { height, depth } = at.stretcher;
  const upper = height + depth;
  const clear = at.post.from + at.post.shoulder;
  const out = height < at.post.from || upper > clear;
  const level: Level = out
    ? "fix"
    : height < TRESTLE.stretcher.low || upper > TRESTLE.stretcher.high
      ? "tight"
      : "holds";
  const to = Math.round(Math.min(clear - depth, Math.max(at.post.from, 260)));
  return verdict({
    id: "form.stretcher",
    stage: "form",
    subject: ["stretcher", "post"],
    level,
    text: out
      ? "The stretcher misses the posts"
      : level === "holds"
        ? `The stretcher runs ${mm(height)} above the floor`
        : height < TRESTLE.stretcher.low
          ? `Feet trip on a stretcher at ${mm(height)}`
          : `Knees meet a stretcher that ends at ${mm(upper)}`,
    why: `Between ${TRESTLE.stretcher.low} and ${TRESTLE.stretcher.high} mm feet rest on it and knees pass; posts run from ${mm(at.post.from)} to ${mm(clear)}.`,
    limit: TRESTLE.stretcher.low,
    actual: height,
    unit: "mm",
    remedies:
      level === "holds" ? [] : [set(`Run it ${to} mm above the floor`, ["form", "trestle", "stretcher", "height"], to)],
  });
}

/** A trestle is two I shapes: the tie between them is what stops it racking along; one that is only drawn tight must be deep enough. */
export function racking({ at, form }: Facts): Verdict {
  const { stiff } = TRESTLE;
  return racksAlong({
    ...{ deep: at.stretcher.depth, stiff, least: form.trestle.stretcher.joint === "lagged" ? stiff : 50 },
    ...{ subject: ["stretcher"], folds: "the ends" },
    why: `Nothing else ties the ends along${at.ties.length > 0 ? " but the ties above" : ""}: the height of its shoulders is the lever.`,
    remedies: [set(`Make it ${stiff + 30} mm deep`, ["form", "trestle", "stretcher", "depth"], stiff + 30)],
  });
}

export function strutsApart({ at }: Facts): Verdict | null {
  const { strut, rows, post, brace } = at;
  if (!strut) return null;
  const inner = rows.length > 1 ? rows[1] - rows[0] - post.width - 2 * strut.reach : Infinity;
  const outer = brace.length / 2 - (Math.max(...rows) + post.width / 2 + strut.reach);
  const tall = post.shoulder - strut.reach;
  const slim = strut.reach - 2 * strut.width * Math.SQRT2;
  const level: Level =
    inner < 0 || outer < 0 || tall < 0 || slim < -strut.width ? "fix" : outer < 20 ? "tight" : "holds";
  const most =
    Math.floor(
      Math.min(strut.reach + Math.min(0, inner / 2), strut.reach + Math.min(0, outer - 20), post.shoulder - 40) / 5,
    ) * 5;
  return verdict({
    id: "form.struts",
    stage: "form",
    subject: ["strut", "brace"],
    level,
    text:
      inner < 0
        ? `The struts of two posts meet each other by ${mm(-inner)}`
        : outer < 0
          ? `The struts reach ${mm(-outer)} beyond the brace`
          : tall < 0
            ? "The struts are longer than the posts are high"
            : slim < -strut.width
              ? "The struts are too short for their width"
              : `Struts ${mm(strut.reach * Math.SQRT2)} long at 45°, ${mm(strut.width * Math.SQRT2)} of shoulder at each end`,
    why: `They reach ${mm(strut.reach)} up and out from the post; long point to long point is √2 times that.`,
    limit: null,
    actual: null,
    source: "derived: a square's diagonal",
    remedies:
      level === "holds" || most < 60 || most === strut.reach
        ? []
        : [set(`Let them reach ${most} mm`, ["form", "trestle", "struts", "reach"], most)],
  });
}

export function tiesOnBrace({ at, form }: Facts): Verdict | null {
  if (at.ties.length === 0) return null;
  const over = at.brace.length / 2 - (form.trestle.ties.apart / 2 + form.trestle.ties.thickness / 2);
  const wood = at.brace.height - form.trestle.ties.depth;
  const level: Level = over < 0 || wood < 0 ? "fix" : over < 30 || wood < 8 ? "tight" : "holds";
  const to = Math.floor((at.brace.length - form.trestle.ties.thickness - 80) / 10) * 10;
  return verdict({
    id: "form.ties",
    stage: "form",
    subject: ["tie", "brace"],
    level,
    text:
      over < 0
        ? `The ties lie ${mm(-over)} beyond the braces`
        : wood < 0
          ? "The ties are deeper than the braces are high"
          : `Ties ${mm(over)} from the braces' ends`,
    why: `A dovetail needs wood beside it: 30 mm to the end, and 8 mm of brace left below it.`,
    limit: 30,
    actual: Math.round(over),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || to < 40 ? [] : [set(`Lay them ${to} mm apart`, ["form", "trestle", "ties", "apart"], to)],
  });
}
