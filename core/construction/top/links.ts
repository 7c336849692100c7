/** What the parts of a top hold one another by, and slats their bearers. */
import { underOf } from "../../movement/buttons";
import type { Breadboards } from "../../movement/breadboard";
import type { Stiffeners } from "../../movement/flat";
import { around, Link, point } from "../../movement/restraint";
import type { Form } from "../../piece/schema";
import { Remedy, set } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";
import { fieldAt } from "../parting/parting";
import { slatLines } from "./core";
import { slabOver, slabsOf } from "./slabs";
import { slatScrews } from "./slat-screws";

export interface TopLinkFacts {
  form: Form;
  at: PieceGeometry;
  breadboards: Breadboards | null;
  stiffeners: Stiffeners | null;
}

/** What holds the top together, by its construction. */
export function topLinks(facts: TopLinkFacts): Link[] {
  const { form } = facts;
  // glass lies in its rebates, and holds nothing
  if (form.field === "slabs") return [];
  const ends = form.ends === "breadboards" ? breadboardLinks(facts) : form.ends === "frame" ? framedLinks(facts) : [];
  return [...(form.field === "slats" ? slatLinks(facts) : []), ...ends, ...stiffenerLinks(facts)];
}

/** Marks of the end boards, and of the sides of a frame, as the top numbers them. */
const endBoardAt = (side: number) => `D${side > 0 ? 2 : 1}`;
const frameAt = (letter: string, side: number) => `${letter}${side > 0 ? 1 : 2}`;

/** The part over a place under the top: its field, or what holds its ends there. x and z from the middle of the top, mm */
export function partOver(
  form: Pick<Form, "ends" | "field" | "slabs">,
  at: PieceGeometry,
  { x, z }: { x: number; z: number },
): string {
  const { ends } = form;
  if (at.core.slabs) return slabOver(slabsOf(form, at.top), at, { x, z })?.id ?? "SL1";
  if (ends === "none" || underOf(at, { x, z }) === "field") return fieldAt(at, { x, z });
  if (ends === "breadboards") return endBoardAt(x);
  return Math.abs(x) > at.core.shoulder / 2 ? frameAt("G", x) : frameAt("F", z);
}

function breadboardLinks({ form, at, breadboards }: TopLinkFacts): Link[] {
  const { breadboard: choice } = form;
  // each slat is glued to the end boards at its own middle and moves about it
  if (form.field === "slats")
    return [1, -1].flatMap((side) =>
      slatLines(form, at).map((z, i): Link => ({
        id: `slat-end-${i + 1}-${side}`,
        name: "the glue at its middle",
        a: endBoardAt(side),
        b: `S${i + 1}`,
        kind: "glue",
        hold: [point(side * (at.core.shoulder / 2)), null, around(z, Math.min(choice.glued, at.core.width / 3))],
      })),
    );
  return [1, -1].flatMap((side) =>
    breadboards!.pegs.map((peg): Link => {
      const z = at.core.width / 2 - peg.at;
      const x = side * (at.core.shoulder / 2);
      if (peg.fixed)
        return {
          id: `peg-fixed-${side}`,
          name: "the glue at its fixed peg",
          a: endBoardAt(side),
          b: "T",
          kind: "glue",
          hold: [point(x), null, around(z, choice.glued)],
          mend: choice.glued > 80 ? [set("Glue 80 mm only", ["form", "breadboard", "glued"], 80)] : [],
        };
      const fixedAt = at.core.width / 2 - breadboards!.pegs.find((each) => each.fixed)!.at;
      const range: [number, number] = z >= fixedAt ? [-peg.room.dry, peg.room.wet] : [-peg.room.wet, peg.room.dry];
      const tight = choice.slots === "none";
      return {
        id: `${peg.id}-${side}`,
        name: tight ? "pegs driven tight" : "pegs in slots",
        a: endBoardAt(side),
        b: "T",
        kind: tight ? "peg" : "slot",
        hold: [null, null, point(z)],
        ...(tight ? {} : { play: { axis: 2, range } }),
        mend: tight ? [set("Cut the slots as Movement asks", ["form", "breadboard", "slots"], "computed")] : [],
      };
    }),
  );
}

function stiffenerLinks({ at, stiffeners }: TopLinkFacts): Link[] {
  if (!stiffeners) return [];
  const { kind, x: places, bolts } = stiffeners;
  return places.flatMap((x, i) =>
    bolts.map((bolt): Link => {
      const z = at.top.width / 2 - bolt.at;
      const held = at.top.width / 2 - bolts.find((each) => each.fixed)!.at;
      const range: [number, number] = z >= held ? [-bolt.room.dry, bolt.room.wet] : [-bolt.room.wet, bolt.room.dry];
      return {
        id: `${bolt.id}-${i + 1}`,
        name: kind === "channels" ? "the bolts of its channel" : "the screws of its batten",
        a: kind === "channels" ? `channel-${i + 1}` : places.length > 1 ? `J${i + 1}` : "J",
        b: fieldAt(at, { x, z }),
        kind: bolt.fixed ? "screw" : "slot",
        hold: [bolt.fixed ? point(x) : null, null, point(z)],
        ...(bolt.fixed ? {} : { play: { axis: 2, range } }),
      };
    }),
  );
}

function slatLinks({ at, form }: TopLinkFacts): Link[] {
  const { screws, screwSpread, clearance } = form.slats;
  const across = at.bearers.filter((each) => each.run === "across").map(({ part, at: x }) => ({ id: part, x }));
  const rails = across.filter(({ x }) => Math.abs(x) < at.core.shoulder / 2);
  // what lies below the end boards or the frame holds those at their middles
  const ends = across.filter((rail) => !rails.includes(rail) && form.ends !== "none");
  const held = ends.map(({ id, x }): Link => ({
    id: `end-${id}`,
    name: "the screw at its middle",
    a: id,
    b: form.ends === "frame" ? frameAt("G", x) : endBoardAt(x),
    kind: "screw",
    hold: [point(x), null, point(0)],
  }));
  const screwed = slatScrews(form, at).flatMap(({ slat, part, x, z, beside }): Link[] => {
    const screw = (n: number, place: number, rigid: boolean): Link => ({
      id: `slat-${slat + 1}-${part}${beside ? (x < 0 ? "-left" : "-right") : ""}-${n}`,
      name: "the screws through it",
      a: part,
      b: `S${slat + 1}`,
      kind: rigid ? "screw" : "slot",
      hold: [null, null, point(place)],
      ...(rigid ? {} : { play: { axis: 2, range: [-clearance / 2, clearance / 2] } }),
      mend: [set("Use one screw across each slat", ["form", "slats", "screws"], "one")],
    });
    return screws === "one" || beside
      ? [screw(1, z, true)]
      : [screw(1, z - screwSpread / 2, true), screw(2, z + screwSpread / 2, clearance === 0)];
  });
  return [...screwed, ...held];
}

/** Slats in a frame: a peg through each tongue at its middle. */
function slatEndLinks(form: Form, at: PieceGeometry): Link[] {
  return [1, -1].flatMap((x) =>
    slatLines(form, at).map((z, i): Link => ({
      id: `slat-end-${i + 1}-${x}`,
      name: "the peg at its middle",
      a: frameAt("G", x),
      b: `S${i + 1}`,
      kind: "peg",
      hold: [point(x * (at.core.shoulder / 2)), null, point(z)],
    })),
  );
}

function framedLinks({ at, form }: TopLinkFacts): Link[] {
  const { width, corners, gap, groove, panel } = form.frame;
  const [x0, z0] = [at.top.length / 2 - width / 2, at.top.width / 2 - width / 2];
  const tenon = corners === "mitred" ? width : Math.min(width, 60);
  const mend: Remedy[] =
    corners === "mitred" ? [set("Tenon the frame's corners", ["form", "frame", "corners"], "tenoned")] : [];
  const cornersOf = [1, -1].flatMap((x) =>
    [1, -1].map((z): Link => ({
      id: `corner-${x}-${z}`,
      name: corners === "mitred" ? "the mitre of its frame" : "the corner of its frame",
      a: frameAt("F", z),
      b: frameAt("G", x),
      kind: "glue",
      hold: [corners === "mitred" ? around(x * x0, width) : point(x * x0), null, around(z * z0, tenon)],
      mend,
    })),
  );
  if (form.field === "slats") return [...cornersOf, ...slatEndLinks(form, at)];
  const inner = at.core.width / 2;
  const held = [1, -1].map((z): Link =>
    panel === "glued"
      ? {
          id: `panel-${z}`,
          name: "glue in its groove",
          a: frameAt("F", z),
          b: "T",
          kind: "glue",
          hold: [null, null, point(z * inner)],
          mend: [set("Let the panel float", ["form", "frame", "panel"], "floating")],
        }
      : {
          id: `panel-${z}`,
          name: "its groove",
          a: frameAt("F", z),
          b: "T",
          kind: "slot",
          hold: [null, null, point(z * inner)],
          play: { axis: 2, range: z > 0 ? [-(groove - gap), gap] : [-gap, groove - gap] },
        },
  );
  return [...cornersOf, ...held];
}
