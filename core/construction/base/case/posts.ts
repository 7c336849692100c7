/** Legs that are a case's corners: flush with its sides inside, proud of them outside, glued to them edge to edge. mm */
import type { AssemblyPart } from "../../../assembly/part";
import { BACK, FRONT, UP } from "../../../assembly/vector";
import { grade, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Footprint } from "../../geometry";
import { usualRange } from "../../usual";
import type { Contact } from "../contact";
import type { Span } from "../leg-frame/place";
import type { Case, CornerPosts } from "./case";
import { besideOf, runnersOf } from "./frames";
import { PULL } from "./cut";
import { at, CaseFacts } from "./facts";

/** Sides go on so far below the bottom, which is let into them; a loose tenon for so much of a side's height, mm. @source common practice */
export const POSTS = { below: 15, every: 200 };
/** Usual posts; a side between them; so much thicker than the side at least: loose tenons and a step that is meant, mm. @source common practice */
const SIZES = { usual: { low: 35, high: 60 }, between: { good: 150, least: 60 }, proud: { good: 10, least: 6 } };

/** With no room between them, a rule says so. */
export function cornerPosts({ from, to }: Span, post: number): CornerPosts {
  const middle = (from + to) / 2;
  return { post, between: { from: Math.min(from + post, middle - 0.5), to: Math.max(to - post, middle + 0.5) } };
}

/** Where they touch the floor. */
export const postFeet = ({ x, z }: { x: Span; z: Span }, post: number): Footprint[] =>
  [z.from + post / 2, z.to - post / 2].flatMap((middle) =>
    [x.from + post / 2, x.to - post / 2].map((across) => ({ x: across, z: middle, length: post, width: post })),
  );

const FRONT_POST = "case-post";
const BACK_POST = "case-post-back";
/** Kinds of the posts there are. */
export const postKinds = ({ cornered }: Pick<Case, "cornered">) => (cornered ? [FRONT_POST, BACK_POST] : []);

/** Something that stands at a side of the case, from so far behind to so far in front: z. */
export interface Upright extends Span {
  id: string;
  kind: string;
  said: string;
}

/** What stands at a side between two depths, from behind: the side alone, or a post, the side, a post. */
export function uprights(
  { cornered, deep, face }: Pick<Case, "cornered" | "deep" | "face">,
  way: -1 | 1,
  { from, to }: Span,
): Upright[] {
  const n = way < 0 ? 1 : 2;
  const side = { id: `P${n}`, kind: "case-side", said: "side" };
  const all: Upright[] = cornered
    ? [
        { id: `PO${n}`, kind: BACK_POST, said: "back post", from: deep.from, to: cornered.between.from },
        { ...side, ...cornered.between },
        { id: `PO${n + 2}`, kind: FRONT_POST, said: "front post", from: cornered.between.to, to: deep.to },
      ]
    : [{ ...side, from: deep.from, to: face }];
  return all
    .map((each) => ({ ...each, from: Math.max(each.from, from), to: Math.min(each.to, to) }))
    .filter((each) => each.to > each.from);
}

/** What stands at a side in a depth; the side where nothing does. */
export const uprightAt = (place: Pick<Case, "cornered" | "deep" | "face">, way: -1 | 1, z: number): Upright =>
  uprights(place, way, { from: z - 0.01, to: z + 0.01 })[0] ??
  uprights(place, way, place.deep)[0] ?? { id: `P${way < 0 ? 1 : 2}`, kind: "case-side", said: "side", from: z, to: z };

/** What stands beside a bay in a depth: a divider, the side, or one of its posts. */
export function besideAt(place: Case, { bay, way, z }: { bay: number; way: -1 | 1; z: number }): string {
  const { id, divider } = besideOf(place, bay, way);
  return divider ? id : uprightAt(place, way, z).id;
}

/** Posts PO1, PO2 behind, PO3, PO4 in front. */
export function postParts({ cornered, outside, deep, under }: Case): Omit<AssemblyPart, "cuts" | "adds">[] {
  if (!cornered) return [];
  const { post } = cornered;
  return [deep.from, deep.to - post].flatMap((z, i) =>
    [outside.from, outside.to - post].map((x, j) => ({
      ...{ id: `PO${2 * i + j + 1}`, kind: i === 0 ? BACK_POST : FRONT_POST },
      ...(i === 0 ? { name: "Back post", plural: "Back posts" } : { name: "Front post", plural: "Front posts" }),
      ...{ letter: "PO", make: "solid" as const, role: "leg" as const },
      note: "Flush with its side inside, proud of it outside; left long at the foot until the case is levelled.",
      shape: { length: under, width: post, thickness: post },
      // up, to the front, to the right
      place: { at: [x, 0, z] as const, x: UP, y: FRONT },
      opens: [(j === 0 ? -1 : 1) * PULL.along, 0, (i === 0 ? -1 : 1) * (PULL.back / 2)] as const,
    })),
  );
}

/** Sides to posts, long grain to long grain: loose tenons that keep them flush inside. */
export function postContacts(place: Case): Contact[] {
  const { cornered, outside, edge, side, foot, under } = place;
  if (!cornered) return [];
  const { between, post } = cornered;
  const width = under - foot;
  return ([-1, 1] as const).flatMap((way, i) => {
    const [left, right] =
      way < 0 ? [outside.from + edge - side, outside.from + edge] : [outside.to - edge, outside.to - edge + side];
    return [
      { z: between.from, to: { at: [right, foot, between.from] as const, x: BACK, y: UP }, behind: true },
      { z: between.to, to: { at: [left, foot, between.to] as const, x: FRONT, y: UP }, behind: false },
    ].map(({ to, behind }): Contact => ({
      group: `${behind ? BACK_POST : FRONT_POST}+case-side`,
      name: `Side to ${behind ? "back" : "front"} post`,
      ...{ enters: `P${i + 1}`, receives: `PO${i + (behind ? 1 : 3)}`, how: "edge", depth: post, face: to },
      section: { width, thickness: side },
      every: POSTS.every,
    }));
  });
}

/** Runners and strips go past the posts beside them, screwed to the side between. */
export const postsAgainst = (place: Case): { a: string; b: string }[] =>
  place.cornered
    ? runnersOf(place).flatMap(({ id, side, divider, from, to }) =>
        divider ? [] : uprights(place, side, { from, to }).map((each) => ({ a: id, b: each.id })),
      )
    : [];

/** Thick enough to stand on, slight enough to be sawn from what is sold. */
export function postSize({ at: { cornered } }: CaseFacts): Verdict | null {
  if (!cornered) return null;
  return usualRange("form.case-post", FRONT_POST, "A corner post’s thickness", {
    actual: cornered.post,
    range: SIZES.usual,
    path: at("post"),
    reasons: {
      low: "It stands on little, and the rails of drawers find little to enter.",
      high: "The case looks like a bench, and stock that thick is rare.",
    },
  });
}

/** Posts with a side between them that they stand proud of, and rails above. */
export function postsStand({ at: { cornered, side }, form }: CaseFacts): Verdict | null {
  if (!cornered) return null;
  const { post, between } = cornered;
  const [left, proud] = [between.to - between.from, post - side];
  const joined = form.case.corners !== "rails" && form.case.corners !== "sub-top";
  const [wide, step] = [
    grade(left, "at least", SIZES.between.good, SIZES.between.least),
    grade(proud, "at least", SIZES.proud.good, SIZES.proud.least),
  ];
  const slim = Math.max(SIZES.usual.low, Math.ceil(side + SIZES.proud.good));
  const square = (size: number) => [set(`Make the posts ${size} mm square`, at("post"), size)];
  return verdict({
    id: "form.case-posts",
    stage: "form",
    subject: [FRONT_POST, "case-side"],
    level:
      joined || wide === "fix" || step === "fix" ? "fix" : wide === "tight" || step === "tight" ? "tight" : "holds",
    text: joined
      ? "Over corner posts the top lies on rails: it is joined to no side between them"
      : step !== "holds"
        ? `Posts of ${mm(post)} are hardly thicker than the sides of ${mm(side)}`
        : wide !== "holds"
          ? `Only ${mm(Math.max(0, left))} of a side are left between the posts`
          : `Sides of ${mm(left)} between posts that stand ${mm(proud)} proud of them`,
    why: "The grain of posts and sides runs upright alike: glued edge to edge they swell and shrink from front to back as one board, and nothing is held across its grain.",
    remedies: joined
      ? [set("Lay the top on rails", at("corners"), "rails")]
      : step !== "holds"
        ? square(Math.max(45, slim))
        : wide !== "holds" && slim < post
          ? square(slim)
          : [],
  });
}
