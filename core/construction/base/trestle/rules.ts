import { tipping } from "../tipping";
import { kneeRoomUnder } from "../knee-room";
import { grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Rule } from "../base";
import type { Facts } from "./facts";
import { racking, stretcherHeight, stretcherLong, strutsApart, tiesOnBrace } from "./tie-rules";

/** Sizes of trestles, mm. @source common practice */
const TRESTLE = {
  bears: 0.6,
  hidden: 20,
};

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

function tips({ at, weight }: Facts): Verdict | null {
  return tipping({
    ...{ at, weight, subject: ["foot", "top"] },
    mend: (apart) =>
      apart > at.foot.length ? [set(`Make feet ${apart} mm long`, ["form", "trestle", "foot", "length"], apart)] : [],
  });
}

function braceBears({ at }: Facts): Verdict {
  const share = at.brace.length / at.top.width;
  const over = at.brace.length - (at.top.width - 2 * TRESTLE.hidden);
  const level: Level = share < 0.3 ? "fix" : share < TRESTLE.bears || over > 0 ? "tight" : "holds";
  const to = Math.floor((at.top.width * 0.8) / 10) * 10;
  return verdict({
    id: "form.brace",
    stage: "form",
    subject: ["brace", "top"],
    level,
    text:
      over > 0
        ? `The brace shows ${over > 2 * TRESTLE.hidden ? "beyond" : "at"} the top's edge`
        : level === "holds"
          ? `Braces bear ${Math.round(100 * share)} % of the top's width`
          : `Braces bear only ${Math.round(100 * share)} % of the top's width`,
    why: `A brace ${mm(at.brace.length)} long under ${mm(at.top.width)}: it keeps the top flat as far as it goes, and wants its fastenings near the edges.`,
    limit: Math.round(TRESTLE.bears * at.top.width),
    actual: at.brace.length,
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make braces ${to} mm long`, ["form", "trestle", "brace", "length"], to)],
  });
}
