import { fine, Remedy } from "../verdict/verdict";
import type { Plan } from "../plan/derived";
import type { Piece } from "../piece/schema";
import type { Patch } from "../piece/patch";
import type { Species } from "../wood/species";
import { TOP_NAMES } from "../piece/movement-choices";
import { coefficientAt } from "./coefficient";
import { WAYS } from "../joinery/fastening";
import { FILMS } from "./finish";
import { governing } from "./governing";

/** Another way to make the same top, to be set beside the one that is chosen. */
export interface Alternative {
  id: string;
  group: string;
  name: string;
  patches: Patch[];
  /** whether it can be taken as it is: boards can't be turned quarter-sawn by a press */ takeable: boolean;
}

/** Ring angle of boards sold as quarter-sawn, degrees. @source common practice */
const QUARTER_SAWN = 80;

/** Every other choice that changes how the top moves or is held, but the one that stands. */
export function alternatives(piece: Piece, species: Species): Alternative[] {
  const one = (
    group: string,
    id: string,
    name: string,
    { path, value, takeable = true }: { path: Patch["path"]; value: unknown; takeable?: boolean },
  ): Alternative => ({ id: `${group}-${id}`, group, name, patches: [{ path, value }], takeable });
  const others = <T extends string>(group: string, names: Record<T, string>, now: T, path: Patch["path"]) =>
    (Object.keys(names) as T[]).filter((id) => id !== now).map((id) => one(group, id, names[id], { path, value: id }));
  const ring = (id: string, name: string, angle: number) =>
    one("Sawn", id, name, {
      path: ["fitted"],
      value: [{ what: "top", coefficient: coefficientAt(species, angle), uncertainty: 0, on: piece.day }],
      takeable: false,
    });
  const films = FILMS.filter((film) => film.id !== "varnish-one").map((film) => [film.id, film.name] as const);
  const unboarded = (each: Alternative): Alternative =>
    piece.panels.top.strips.length > 0
      ? { ...each, patches: [...each.patches, { path: ["panels", "top", "strips"], value: [] }] }
      : each;
  return [
    ...others("Field", TOP_NAMES.field, piece.form.field, ["form", "field"]),
    ...others(
      "Ends",
      { none: "Nothing at its ends", breadboards: "Breadboard ends", frame: "A frame round it" },
      piece.form.ends,
      ["form", "ends"],
    ),
    ...others(
      "Flat by",
      { none: "Nothing below", channels: "Steel channels let in", battens: "Battens below", ring: "A ring below" },
      piece.form.stiffener,
      ["form", "stiffener"],
    ),
    unboarded(ring("quarter", "All quarter-sawn", QUARTER_SAWN)),
    unboarded(ring("flat", "All flat-sawn", 0)),
    ...others("Finish", Object.fromEntries(films) as Record<Piece["finish"], string>, piece.finish, ["finish"]),
    ...others(
      "Below",
      { alike: "Finished alike below", "one-coat": "One coat below", bare: "Bare below" },
      piece.faces.below,
      ["faces", "below"],
    ),
    ...others("Fastened", namesOf(WAYS), piece.joints.fastening, ["joints", "fastening"]),
    ...others(
      "Fixed line",
      { centre: "Fixed at the centre", "front-edge": "Fixed at the front edge", "back-edge": "Fixed at the back edge" },
      piece.choices.fixedLine,
      ["choices", "fixedLine"],
    ),
  ];
}

export interface Difference {
  what: string;
  here: string;
  there: string;
}

/** What changes between two plans of one piece; lengths as “N mm”. Lines that stay the same are left out. */
export function differences(here: { plan: Plan; piece: Piece }, there: { plan: Plan; piece: Piece }): Difference[] {
  const rows: [string, (of: { plan: Plan; piece: Piece }) => string][] = [
    ["Narrowest", ({ plan }) => `${signed(plan.top.dry.change)} in ${plan.top.dry.name}`],
    ["Widest", ({ plan }) => `${signed(plan.top.wet.change)} in ${plan.top.wet.name}`],
    ["Moisture", ({ plan }) => `${plan.top.dry.moisture.toFixed(1)} to ${plan.top.wet.moisture.toFixed(1)} %`],
    ["Half of a change goes through in", ({ plan }) => `${plan.courses.top.half} days`],
    [
      "Closest to binding",
      (of) => {
        const g = governing(of.plan, of.piece);
        return `${g.what}: ${fine(Math.max(...g.travel.map(Math.abs)))}`;
      },
    ],
    [
      "Room it has there",
      (of) => {
        const { play } = governing(of.plan, of.piece);
        const least = Math.min(play.dry, play.wet);
        return Number.isFinite(least) ? `${fine(least)} at least` : "any amount";
      },
    ],
    ["Left free it bends by", ({ plan }) => fine(Math.max(...plan.top.bow.map(Math.abs)))],
    [
      "Legs out of square by",
      ({ plan }) => plan.verdicts.find((each) => each.id === "movement.square")?.text.match(/[\d.]+ mm/)?.[0] ?? "",
    ],
    ["To fix, tight, in Movement", ({ plan }) => `${count(plan, "fix")}, ${count(plan, "tight")}`],
    [
      "First to fail",
      ({ plan }) => plan.verdicts.find((each) => each.stage === "movement" && each.level === "fix")?.text ?? "nothing",
    ],
    ["Parts", ({ plan }) => `${plan.parts.reduce((sum, each) => sum + each.count, 0)}`],
    ["Bench hours", ({ plan }) => `${Math.round(plan.steps.reduce((sum, each) => sum + each.hours, 0))}`],
  ];
  return rows.map(([what, of]) => ({ what, here: of(here), there: of(there) })).filter((row) => row.here !== row.there);
}

/** The alternative as one press. */
export const takeIt = (alternative: Alternative): Remedy => ({
  label: `Take it: ${alternative.name.toLowerCase()}`,
  patches: alternative.patches,
});

const namesOf = <T extends string>(ways: Record<T, { names: { choice: string } }>) =>
  Object.fromEntries(
    Object.entries<{ names: { choice: string } }>(ways).map(([id, { names }]) => [id, names.choice]),
  ) as Record<T, string>;
const count = (plan: Plan, level: string) =>
  plan.verdicts.filter((each) => each.stage === "movement" && each.level === level).length;
const signed = (n: number) => `${n > 0 ? "+" : ""}${fine(n)}`;
