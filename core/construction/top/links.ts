/** What the parts of a top hold one another by, and slats their bearers. */
import type { Breadboards } from "../../movement/breadboard";
import type { Channels } from "../../movement/flat";
import { around, Link, point } from "../../movement/restraint";
import type { Form } from "../../piece/schema";
import { Remedy, set } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";

export interface TopLinkFacts {
  form: Form;
  at: PieceGeometry;
  breadboards: Breadboards | null;
  channels: Channels | null;
}

/** What holds the top together, by its construction. */
export function topLinks(facts: TopLinkFacts): Link[] {
  switch (facts.form.construction) {
    case "slatted":
      return slatLinks(facts);
    case "framed":
      return framedLinks(facts);
    case "breadboard":
      return breadboardLinks(facts);
    case "channel":
      return channelLinks(facts);
    case "solid":
      return [];
  }
}

/** Marks of the end boards, and of the sides of a frame, as the top numbers them. */
const endBoardAt = (side: number) => `D${side > 0 ? 2 : 1}`;
const frameAt = (letter: string, side: number) => `${letter}${side > 0 ? 1 : 2}`;

function breadboardLinks({ form, at, breadboards }: TopLinkFacts): Link[] {
  const { breadboard: choice } = form;
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

function channelLinks({ at, channels }: TopLinkFacts): Link[] {
  return channels!.x.flatMap((x, i) =>
    channels!.bolts.map((bolt): Link => {
      const z = at.top.width / 2 - bolt.at;
      const held = at.top.width / 2 - channels!.bolts.find((each) => each.fixed)!.at;
      const range: [number, number] = z >= held ? [-bolt.room.dry, bolt.room.wet] : [-bolt.room.wet, bolt.room.dry];
      return {
        id: `${bolt.id}-${i + 1}`,
        name: "the bolts of its channel",
        a: `channel-${i + 1}`,
        b: "T",
        kind: bolt.fixed ? "screw" : "slot",
        hold: [bolt.fixed ? point(x) : null, null, point(z)],
        ...(bolt.fixed ? {} : { play: { axis: 2, range } }),
      };
    }),
  );
}

const slatPlaces = (at: PieceGeometry, form: Form) =>
  Array.from(
    { length: at.core.count },
    (_, i) => -at.top.width / 2 + at.core.width / 2 + i * (at.core.width + form.slats.gap),
  );

function slatLinks({ at, form }: TopLinkFacts): Link[] {
  const { screws, screwSpread, clearance } = form.slats;
  const rails = at.bearers.filter((each) => each.run === "across").map(({ part, at: x }) => ({ id: part, x }));
  return slatPlaces(at, form).flatMap((z, i) =>
    rails.flatMap((rail): Link[] => {
      const screw = (n: number, place: number, rigid: boolean): Link => ({
        id: `slat-${i + 1}-${rail.id}-${n}`,
        name: "the screws through it",
        a: rail.id,
        b: `S${i + 1}`,
        kind: rigid ? "screw" : "slot",
        hold: [null, null, point(place)],
        ...(rigid ? {} : { play: { axis: 2, range: [-clearance / 2, clearance / 2] } }),
        mend: [set("Use one screw across each slat", ["form", "slats", "screws"], "one")],
      });
      return screws === "one"
        ? [screw(1, z, true)]
        : [screw(1, z - screwSpread / 2, true), screw(2, z + screwSpread / 2, clearance === 0)];
    }),
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
