import { BlindTenon, blindTenon, Meets } from "../../../joinery/blind-tenon";
import { housing } from "../../../joinery/housing";
import type { KindOfJoint } from "../../../joinery/kinds";
import { lagged } from "../../../joinery/lag";
import { slidingDovetail } from "../../../joinery/sliding-dovetail";
import { throughTenon } from "../../../joinery/through-tenon";
import { TenonChoice, USUAL_TENON } from "../../../piece/base-choices";
import type { Form, JointChoices } from "../../../piece/schema";
import type { Shop } from "../../../piece/shop";
import type { Trestle } from "./place";

/** Two tenons that come at each other in one post stay so far apart, mm. @source common practice */
const APART = 4;
/** A strut's tenon is a stub: it is pushed, never pulled, mm. @source common practice */
const STRUT_TENON = 25;

/** The joints of a trestle, a group at a time. */
export function trestleJoints(at: Trestle, form: Form, choices: JointChoices, shop: Shop): KindOfJoint[] {
  const { trestle } = form;
  const { post, foot, brace, stretcher, ends, rows, bays } = at;
  const setting = (group: string): TenonChoice => choices.groups[group] ?? USUAL_TENON;
  const meets = (receives: string, enters: string, name: string, count: number): Meets => {
    const group = `${receives}+${enters}`;
    return { id: group, group, name, receives, enters, count };
  };
  const blind = (
    who: Meets,
    section: BlindTenon["section"],
    into: { depth: number; thickness: number },
    { most, pushed }: { most?: number; pushed?: boolean } = {},
  ) => blindTenon({ meets: who, section, into, setting: setting(who.group), shop, most, pushed });
  const posts = ends.length * rows.length;
  const section = { width: post.width, thickness: post.thickness };
  const relief = Math.min(trestle.foot.relief, foot.height / 2);
  const out: KindOfJoint[] = [
    blind(meets("foot", "post", "Post to foot", posts), section, {
      depth: foot.height - relief,
      thickness: foot.thickness,
    }),
    blind(meets("brace", "post", "Post to brace", posts), section, {
      depth: brace.height,
      thickness: brace.thickness,
    }),
  ];
  const rail = { width: stretcher.depth, thickness: stretcher.thickness };
  const through = { depth: post.thickness, thickness: post.width };
  const outer = meets("post", "stretcher", "Stretcher to post", 2 * rows.length);
  out.push(
    trestle.stretcher.joint === "blind"
      ? blind(outer, rail, through)
      : trestle.stretcher.joint === "lagged"
        ? lagged({ meets: outer, section: rail, into: through })
        : throughTenon({
            meets: outer,
            section: rail,
            into: through,
            proud: trestle.stretcher.proud,
            wedged: trestle.stretcher.joint === "wedged",
            thickness: setting(outer.group).thickness,
            shop,
          }),
  );
  if (bays.length > 1)
    out.push(
      blind(meets("middle-post", "stretcher", "Stretcher to middle post", 2 * rows.length), rail, through, {
        most: post.thickness / 2 - APART / 2 - 2,
      }),
    );
  if (at.ties.length > 0)
    out.push(
      slidingDovetail({
        meets: meets("brace", "tie", "Tie to brace", 2 * bays.length * at.ties.length),
        section: { width: trestle.ties.depth, thickness: trestle.ties.thickness },
        // the middle brace takes a tail from both sides
        into: { depth: bays.length > 1 ? brace.thickness / 2 : brace.thickness, thickness: brace.length },
      }),
    );
  if (at.strut) {
    const end = { width: at.strut.width * Math.SQRT2, thickness: at.strut.thickness };
    const count = 2 * posts;
    for (const [receives, name, depth] of [
      ["post", "Strut to post", post.width],
      ["brace", "Strut to brace", brace.height],
    ] as const) {
      const who = meets(receives, "strut", name, count);
      const into = { depth, thickness: receives === "post" ? post.thickness : brace.thickness };
      out.push(
        trestle.struts.joint === "shouldered"
          ? housing({ meets: who, section: end, into })
          : blind(who, end, into, { most: STRUT_TENON, pushed: true }),
      );
    }
  }
  if (at.uprights.length > 0) {
    const standing = { width: UPRIGHT_WIDTH, thickness: stretcher.thickness };
    const count = at.uprights.length * rows.length;
    out.push(
      blind(
        meets("stretcher", "upright", "Upright to stretcher", count),
        standing,
        {
          depth: stretcher.depth,
          thickness: stretcher.thickness,
        },
        { pushed: true },
      ),
      blind(
        meets("middle-brace", "upright", "Upright to middle brace", count),
        standing,
        {
          depth: brace.height,
          thickness: stretcher.thickness,
        },
        { pushed: true },
      ),
    );
  }
  return out;
}

/** An upright on the stretcher is so wide, mm. @source common practice */
export const UPRIGHT_WIDTH = 70;
