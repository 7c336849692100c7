import type { AssemblyPart } from "../../../assembly/part";
import { dimension, formEdit, Item } from "../../../drawing/scene";
import { KIND_RULES } from "../../../joinery/joint-rules";
import { stepOf as step } from "../../../steps/step";
import { mm } from "../../../verdict/verdict";
import type { Base, BaseFacts, BaseWork } from "../base";
import { Existing, placeExisting } from "./place";
import { EXISTING_RULES } from "./rules";

/** How far it is drawn off the top when the piece is pulled apart, mm. */
const PULL = 160;

/** A top for something that exists: it brings nothing but the places that bear it. */
export const existing: Base<Existing> = {
  kind: "existing",
  name: "What is there",
  place: placeExisting,
  joints: () => [],
  parts: partsThere,
  meetings: () => [],
  formRules: EXISTING_RULES,
  jointRules: KIND_RULES,
  work,
  dimensions,
  setOuts: () => [],
  describe: (_, { choices: { places } }) =>
    `A top for what is there: ${named(places.map(({ name }) => `the ${name[0].toLowerCase()}${name.slice(1)}`))}.`,
  sizes: (_, { choices: { places } }) => [
    ["It lies on", places.map(({ name, length, width }) => `${name}, ${mm(length)} by ${mm(width)}`).join("; ")],
  ],
};

const named = (all: readonly string[]) =>
  all.length < 2 ? all.join() : `${all.slice(0, -1).join(", ")} and ${all.at(-1)}`;

/** What is there, as high as what a screw meets: neither sawn nor weighed. */
function partsThere({ at: { under, choices } }: BaseFacts<Existing>): AssemblyPart[] {
  return choices.places.map(({ name, x, z, length, width, depth, low }, i) => ({
    ...{
      id: `E${i + 1}`,
      kind: "existing",
      name,
      letter: "E",
      role: "bought",
      make: "solid",
      note: "is there already",
    },
    bought: { mass: 0, weeks: 0, measured: choices.measured },
    shape: { length, width, thickness: depth },
    // flat under the top: its length along the piece, its width across it, down from where it bears
    place: { at: [x - length / 2, under - low - depth, z + width / 2], x: [1, 0, 0], y: [0, 0, -1] },
    ...{ adds: [], cuts: [], opens: [0, -PULL, 0] },
  }));
}

/** Measured first, packed level, and the top laid on. */
function work({ at: { choices } }: BaseFacts<Existing>): BaseWork {
  const packed = choices.places.filter(({ low }) => low > 0);
  const measure = step({
    id: "measure-there",
    title: "Measure what is there",
    detail: `Each place from one corner, both diagonals over all, heights at every corner with a long level${choices.places.some(({ of }) => of === "masonry") ? ", and where the wall bows away from a straightedge" : ""}. A template of thin sheet tells more than numbers where nothing is square.`,
    ...{ parts: ["existing"], after: [], hours: 1 },
    check: "The diagonals agree, or by how much they don't is written down.",
  });
  const pack = step({
    id: "pack-there",
    title: "Pack what is low",
    detail:
      packed.map(({ name, low }) => `${name}: ${mm(low)}`).join("; ") +
      ". Over its whole length, so that the top is borne and not bent.",
    ...{ parts: ["existing"], after: [measure.id], hours: 0.5 },
  });
  const last = packed.length > 0 ? pack.id : measure.id;
  return {
    steps: packed.length > 0 ? [measure, pack] : [measure],
    levelling: [],
    apart: [measure.id],
    closing: measure.id,
    closed: [last],
    standing: [last],
    seen: [],
  };
}

/** Where each place lies from the top's middle is typed on the plan; its height from the floor at the end. */
function dimensions(
  _: unknown,
  { choices: { places }, top, under }: Existing,
): { plan: Item[]; front: Item[]; side: Item[] } {
  return {
    plan: [],
    front: places.slice(0, 4).map(({ name, x, length, depth, low }, i) =>
      dimension([x - length / 2, under - low - depth], [x + length / 2, under - low - depth], {
        offset: -14,
        value: length,
        edit: formEdit(`Length of ${name}`, "existing", "places", String(i), "length"),
      }),
    ),
    side: [dimension([-top.width / 2, 0], [top.width / 2, 0], { offset: -18, value: top.width })],
  };
}
