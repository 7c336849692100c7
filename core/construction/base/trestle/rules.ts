import { tipping } from "../tipping";
import { bearsAcross } from "../tied";
import { kneeRoomUnder } from "../knee-room";
import { grade, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Rule } from "../base";
import type { Facts } from "./facts";
import { racking, stretcherHeight, stretcherLong, strutsApart, tiesOnBrace } from "./tie-rules";

/** Every rule of a trestle, in the order a maker would ask. */
export const TRESTLE_RULES: readonly Rule<Facts>[] = [
  endsFit,
  kneeRoom,
  footUnderPost,
  tips,
  braceBears,
  stretcherLong,
  stretcherHeight,
  racking,
  strutsApart,
  tiesOnBrace,
];

function endsFit({ form, at }: Facts): Verdict {
  const room = Math.min(...at.bays.map(({ from, to }) => to - from));
  const level = grade(room, "at least", 400, 60);
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["post", "stretcher"],
    level: Math.min(room, at.post.shoulder) <= 0 ? "fix" : level,
    text:
      at.post.shoulder <= 0
        ? "Foot and brace together are higher than the whole"
        : room <= 0
          ? "The ends overlap: nothing is left for the stretcher"
          : `${mm(room)} between the ends`,
    why: `The top is ${mm(at.top.length)} long, less two overhangs of ${mm(form.overhang.end)} and ${at.ends.length} posts of ${mm(at.post.thickness)}; posts ${mm(at.post.shoulder)} between foot and brace.`,
    limit: 400,
    actual: Math.round(room),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set("Overhang the ends by 300 mm", ["form", "overhang", "end"], 300)],
  });
}

function kneeRoom({ form, at }: Facts): Verdict | null {
  return kneeRoomUnder(form, at, {
    ...{ kind: "brace", one: "brace", many: "braces" },
    remedies: (good) => {
      const height = Math.max(30, Math.floor(at.under - good));
      return [set(`Make braces ${height} mm high`, ["form", "trestle", "brace", "height"], height)];
    },
  });
}

function footUnderPost({ at }: Facts): Verdict {
  const stands = at.rows.length > 1 ? Math.abs(at.rows[1] - at.rows[0]) + at.post.width : at.post.width;
  const over = at.foot.length - stands;
  const level = grade(over, "at least", 100, 0);
  const to = Math.ceil((stands + 200) / 10) * 10;
  return verdict({
    id: "form.foot",
    stage: "form",
    subject: ["foot", "post"],
    level,
    text:
      over < 0
        ? `The foot is ${mm(-over)} shorter than what stands on it`
        : level === "holds"
          ? `Feet go ${mm(over / 2)} beyond the posts at each side`
          : `Feet end ${mm(over / 2)} beyond the posts`,
    why: `Posts take ${mm(stands)} of the foot's ${mm(at.foot.length)}; a mortise near its end splits out.`,
    limit: 100,
    actual: Math.round(over),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make feet ${to} mm long`, ["form", "trestle", "foot", "length"], to)],
  });
}

function tips({ at, form, weight }: Facts): Verdict | null {
  return tipping({
    ...{ at, form, weight, subject: ["foot", "top"] },
    mend: (apart) =>
      apart > at.foot.length ? [set(`Make feet ${apart} mm long`, ["form", "trestle", "foot", "length"], apart)] : [],
  });
}

function braceBears({ at }: Facts): Verdict {
  return bearsAcross(at, { length: at.brace.length, one: "brace", kind: "brace" }, (to) =>
    set(`Make braces ${to} mm long`, ["form", "trestle", "brace", "length"], to),
  );
}
