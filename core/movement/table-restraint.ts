/** The table or bench as a graph of what holds what: one member a part, one link a joint, straight from the plan. */
import type { TableGeometry } from "../form/leg-and-apron";
import type { LegRailJoint } from "../joinery/tenon";
import type { Piece } from "../piece/schema";
import { Remedy, set } from "../verdict/verdict";
import type { Species } from "../wood/species";
import type { Breadboards } from "./breadboard";
import { LENGTHWISE } from "./breadboard";
import type { Fastener } from "./buttons";
import { boardCoefficient } from "./coefficient";
import { FASTENING_NAMES, playOf } from "./fastenings";
import type { Channels } from "./flat";
import { Axis, Link, Member } from "./restraint";
import { fixedLine, TopMovement, UNKNOWN_RINGS } from "./year";

export interface Held {
  piece: Pick<Piece, "form" | "joints" | "choices">;
  at: TableGeometry;
  species: Species;
  top: TopMovement;
  joints: readonly LegRailJoint[];
  fasteners: readonly Fastener[];
  breadboards: Breadboards | null;
  channels: Channels | null;
}

/** Courses of moisture the members follow: by how thick they are. */
export type CourseName = "top" | "rail" | "leg";

const point = (x: number): [number, number] => [x, x];
const around = (middle: number, width: number): [number, number] => [middle - width / 2, middle + width / 2];

export function tableGraph(held: Held): { members: Member[]; links: Link[] } {
  const { species, at, top, piece } = held;
  const flat = boardCoefficient(species, UNKNOWN_RINGS.left, UNKNOWN_RINGS.right);
  const member = (id: string, name: string, grain: Axis, course: CourseName, across = flat): Member => ({
    id,
    name,
    grain,
    course,
    coefficients: ([0, 1, 2] as const).map((axis) =>
      axis === grain ? across * LENGTHWISE : across,
    ) as Member["coefficients"],
  });
  const square = (species.radial + species.tangential) / 2;
  const members = [
    ...[1, -1].flatMap((x) => [1, -1].map((z) => member(`leg-${x}-${z}`, "leg", 1, "leg", square))),
    ...[1, -1].map((z) => member(`long-rail-${z}`, "long rail", 0, "rail")),
    ...[1, -1].map((x) => member(`end-rail-${x}`, "end rail", 2, "rail")),
    ...at.crossRails.map((_, i) => member(`cross-rail-${i + 1}`, "cross-rail", 2, "rail")),
    ...(piece.form.construction === "slatted"
      ? slatPlaces(at, piece).map((_, i) => member(`slat-${i + 1}`, "slat", 0, "top", top.coefficient))
      : [member("top", "top", 0, "top", top.coefficient)]),
  ];
  const links = [...frameLinks(held)];
  switch (piece.form.construction) {
    case "slatted":
      links.push(...slatLinks(held));
      break;
    case "framed": {
      members.push(
        ...[1, -1].map((z) => member(`frame-long-${z}`, "long side of the frame", 0, "top")),
        ...[1, -1].map((x) => member(`frame-end-${x}`, "end of the frame", 2, "top")),
      );
      links.push(...framedLinks(held));
      break;
    }
    case "breadboard":
      members.push(...[1, -1].map((x) => member(`end-board-${x}`, "end board", 2, "top")));
      links.push(...breadboardLinks(held), ...fastenerLinks(held));
      break;
    case "channel":
      members.push(
        ...held.channels!.x.map((_, i): Member => ({
          id: `channel-${i + 1}`,
          name: "steel channel",
          grain: null,
          course: "top",
          coefficients: [0, 0, 0],
        })),
      );
      links.push(...channelLinks(held), ...fastenerLinks(held));
      break;
    case "solid":
      links.push(...fastenerLinks(held));
  }
  return { members, links };
}

/** Legs and rails: each tenon's glue is a stretch up the leg. */
function frameLinks({ at, joints, piece }: Held): Link[] {
  const fewer: Remedy[] =
    (piece.joints.legRail.tenons ?? (at.rail.depth > 100 ? 2 : 1)) >= 2
      ? []
      : [set("Cut two tenons with a gap", ["joints", "legRail", "tenons"], 2)];
  const tenons = (
    joint: LegRailJoint | undefined,
    id: string,
    name: string,
    a: string,
    b: string,
    x: number,
    z: number,
  ): Link[] =>
    Array.from({ length: joint?.tenons ?? 1 }, (_, i): Link => {
      const width = joint?.tenonWidth ?? at.rail.depth;
      const upper = at.rail.upperEdge - (joint?.shoulders.top ?? 0) - i * (width + (joint?.gap ?? 0));
      // the second tenon's joint to the first is the rail itself: only its own glue is judged
      return {
        id: `${id}-${i + 1}`,
        name,
        a,
        b,
        kind: "glue",
        hold: [i === 0 ? point(x) : null, [upper - width, upper], i === 0 ? point(z) : null],
        mend: fewer,
        stretched: true,
      };
    });
  const long = joints.find((each) => each.rail === "long-rail");
  const end = joints.find((each) => each.rail === "end-rail");
  const cross = joints.find((each) => each.rail === "cross-rail");
  const legX = at.frame.length / 2 - at.leg.section / 2;
  const legZ = at.frame.width / 2 - at.leg.section / 2;
  return [1, -1]
    .flatMap((x) =>
      [1, -1].flatMap((z) => [
        ...tenons(long, `long-${x}-${z}`, "its tenon", `leg-${x}-${z}`, `long-rail-${z}`, x * legX, z * at.longRail.z),
        ...tenons(end, `end-${x}-${z}`, "its tenon", `leg-${x}-${z}`, `end-rail-${x}`, x * at.endRail.x, z * legZ),
      ]),
    )
    .concat(
      at.crossRails.flatMap((rail, i) =>
        [1, -1].flatMap((z) =>
          tenons(
            cross,
            `cross-${i + 1}-${z}`,
            "its tenon",
            `long-rail-${z}`,
            `cross-rail-${i + 1}`,
            rail.x,
            z * at.longRail.z,
          ),
        ),
      ),
    );
}

/** The fixed line first, then every fastener with the room it has. */
function fastenerLinks({ piece, at, fasteners }: Held): Link[] {
  const kind = piece.joints.fastening;
  const names = FASTENING_NAMES[kind];
  const line = at.top.width / 2 - fixedLine(piece.choices.fixedLine, at.top.width);
  const across = [1, -1]
    .map((x) => ({ id: `end-rail-${x}`, x: x * at.endRail.x }))
    .concat(at.crossRails.map((rail, i) => ({ id: `cross-rail-${i + 1}`, x: rail.x })));
  const inside = at.longRail.z;
  const fixed: Link[] =
    kind === "loose" || kind === "screwed"
      ? []
      : Math.abs(line) < inside
        ? across.map((rail): Link => ({
            id: `fixed-${rail.id}`,
            name: "the fixed screw",
            a: rail.id,
            b: "top",
            kind: "screw",
            hold: [point(rail.x), null, point(line)],
          }))
        : [
            {
              id: "fixed-long",
              name: "the fixed screws",
              a: `long-rail-${line < 0 ? -1 : 1}`,
              b: "top",
              kind: "screw",
              hold: [point(0), null, point((line < 0 ? -1 : 1) * inside)],
            },
          ];
  const worst = (rail: "long" | "across") => fasteners.filter((each) => (rail === "long") === (each.rail === "long"));
  const need = { long: extremes(worst("long")), across: extremes(worst("across")) };
  const others = fasteners.map((each): Link => {
    const rail = each.rail === "long" ? "long" : "across";
    const play = playOf(piece.joints, rail, need[rail]);
    const side = each.z >= line ? 1 : -1;
    const range: [number, number] = side > 0 ? [-play.dry, play.wet] : [-play.wet, play.dry];
    const to =
      each.rail === "long"
        ? `long-rail-${sideOf(each.z)}`
        : each.rail === "end"
          ? `end-rail-${sideOf(each.x)}`
          : `cross-rail-${Number(each.id.split("-").at(-2))}`;
    return {
      id: each.id,
      name: kind === "screwed" ? "screws driven tight" : names.many.toLowerCase(),
      a: to,
      b: "top",
      kind: kind === "screwed" ? "screw" : "slot",
      hold: [null, null, point(each.rail === "long" ? sideOf(each.z) * inside : each.z)],
      ...(kind === "screwed" ? {} : { play: { axis: 2, range: finite(range) } }),
      mend: kind === "screwed" ? [set("Hold it with wooden buttons", ["joints", "fastening"], "button")] : [],
    };
  });
  return [...fixed, ...others];
}

const sideOf = (n: number) => (n < 0 ? -1 : 1);
const finite = ([low, high]: [number, number]): [number, number] => [Math.max(-1e6, low), Math.min(1e6, high)];
const extremes = (all: readonly Fastener[]) => ({
  dry: Math.max(0, ...all.flatMap((each) => [-each.dry, -each.wet])),
  wet: Math.max(0, ...all.flatMap((each) => [each.dry, each.wet])),
});

function breadboardLinks({ piece, at, breadboards }: Held): Link[] {
  const { breadboard: choice } = piece.form;
  return [1, -1].flatMap((side) =>
    breadboards!.pegs.map((peg): Link => {
      const z = at.core.width / 2 - peg.at;
      const x = side * (at.core.shoulder / 2);
      if (peg.fixed)
        return {
          id: `peg-fixed-${side}`,
          name: "the glue at its fixed peg",
          a: `end-board-${side}`,
          b: "top",
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
        a: `end-board-${side}`,
        b: "top",
        kind: tight ? "peg" : "slot",
        hold: [null, null, point(z)],
        ...(tight ? {} : { play: { axis: 2, range } }),
        mend: tight ? [set("Cut the slots as Movement asks", ["form", "breadboard", "slots"], "computed")] : [],
      };
    }),
  );
}

function channelLinks({ at, channels }: Held): Link[] {
  return channels!.x.flatMap((x, i) =>
    channels!.bolts.map((bolt): Link => {
      const z = at.top.width / 2 - bolt.at;
      const held = at.top.width / 2 - channels!.bolts.find((each) => each.fixed)!.at;
      const range: [number, number] = z >= held ? [-bolt.room.dry, bolt.room.wet] : [-bolt.room.wet, bolt.room.dry];
      return {
        id: `${bolt.id}-${i + 1}`,
        name: "the bolts of its channel",
        a: `channel-${i + 1}`,
        b: "top",
        kind: bolt.fixed ? "screw" : "slot",
        hold: [bolt.fixed ? point(x) : null, null, point(z)],
        ...(bolt.fixed ? {} : { play: { axis: 2, range } }),
      };
    }),
  );
}

const slatPlaces = (at: TableGeometry, piece: Held["piece"]) =>
  Array.from(
    { length: at.core.count },
    (_, i) => -at.top.width / 2 + at.core.width / 2 + i * (at.core.width + piece.form.slats.gap),
  );

function slatLinks({ at, piece }: Held): Link[] {
  const { screws, screwSpread, clearance } = piece.form.slats;
  const rails = [1, -1]
    .map((x) => ({ id: `end-rail-${x}`, x: x * at.endRail.x }))
    .concat(at.crossRails.map((rail, i) => ({ id: `cross-rail-${i + 1}`, x: rail.x })));
  return slatPlaces(at, piece).flatMap((z, i) =>
    rails.flatMap((rail): Link[] => {
      const screw = (n: number, place: number, rigid: boolean): Link => ({
        id: `slat-${i + 1}-${rail.id}-${n}`,
        name: "the screws through it",
        a: rail.id,
        b: `slat-${i + 1}`,
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

function framedLinks({ at, piece }: Held): Link[] {
  const { width, corners, gap, groove, panel } = piece.form.frame;
  const [x0, z0] = [at.top.length / 2 - width / 2, at.top.width / 2 - width / 2];
  const tenon = corners === "mitred" ? width : Math.min(width, 60);
  const mend: Remedy[] =
    corners === "mitred" ? [set("Tenon the frame's corners", ["form", "frame", "corners"], "tenoned")] : [];
  const cornersOf = [1, -1].flatMap((x) =>
    [1, -1].map((z): Link => ({
      id: `corner-${x}-${z}`,
      name: corners === "mitred" ? "the mitre of its frame" : "the corner of its frame",
      a: `frame-long-${z}`,
      b: `frame-end-${x}`,
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
          a: `frame-long-${z}`,
          b: "top",
          kind: "glue",
          hold: [null, null, point(z * inner)],
          mend: [set("Let the panel float", ["form", "frame", "panel"], "floating")],
        }
      : {
          id: `panel-${z}`,
          name: "its groove",
          a: `frame-long-${z}`,
          b: "top",
          kind: "slot",
          hold: [null, null, point(z * inner)],
          play: { axis: 2, range: z > 0 ? [-(groove - gap), gap] : [-gap, groove - gap] },
        },
  );
  return [...cornersOf, ...held];
}
