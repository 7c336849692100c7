/** A plate of metal bolted below wood: inserts with a thread, or screws, where its holes are once they have been measured. */
import { fine, mm } from "../verdict/verdict";
import { Meets, TENON } from "./blind-tenon";
import { Brought, Held, Joint, JointBodies, round, SettingCard } from "./joint";

/** A threaded insert M6: its hole in hardwood, its length; a screw into wood and its pilot hole. mm @source common practice */
const INSERT = { drill: 9, long: 15, bolt: 6 };
const SCREW = { drill: 3.5, diameter: 5 };
/** Wood that stays over a hole from below, mm. @source common practice: a drill's point must not show */
export const OVER = 5;

export interface Bolted extends Joint {
  kind: "bolted";
  into: "inserts" | "screws";
  /** from the face's corner: along it and across it, mm */
  holes: { y: number; z: number }[];
  drill: number;
  deep: number;
  plate: number;
  bolt: number;
  section: { width: number; thickness: number };
  behind: number;
  measured: boolean;
  /** how sentences call what the bolts pass */
  said: "plate" | "tube";
}

export interface BoltedInputs {
  meets: Meets;
  /** of the plate, along the face and across it */
  section: { width: number; thickness: number };
  plate: number;
  top: number;
  into: Bolted["into"];
  holes: Bolted["holes"];
  measured: boolean;
  said?: Bolted["said"];
}

/** Holes as deep as an insert is long and a little more, or as the top leaves wood over a screw. */
export function bolted(inputs: BoltedInputs): Bolted {
  const { meets, section, plate, top, into, holes, measured, said = "plate" } = inputs;
  const most = Math.max(1, top - OVER);
  const deep = into === "inserts" ? INSERT.long + 2 : Math.max(1, Math.min(most, Math.floor(top * 0.7)));
  return {
    ...meets,
    kind: "bolted",
    ...{ into, holes, deep, plate, section, measured, said },
    drill: into === "inserts" ? INSERT.drill : SCREW.drill,
    bolt: into === "inserts" ? INSERT.bolt : SCREW.diameter,
    behind: top,
    length: 0,
    glueArea: 0,
    tool: { kind: "drill", size: into === "inserts" ? INSERT.drill : SCREW.drill },
    walls: [{ where: "over the holes in the top", left: top - deep, good: OVER + 1, least: TENON.wall / 2 }],
  };
}

export function boltedBodies({ holes, drill, deep, plate, bolt, into }: Bolted): JointBodies {
  return {
    adds: [],
    cuts: holes.map(({ y, z }) => ({ ...round("x", drill, [0, y, z], deep), markedFrom: "the plates that came" })),
    own: holes.map(({ y, z }) => round("x", bolt + 1, [-plate, y, z], plate)),
    brings: holes.flatMap(({ y, z }): Brought[] => [
      {
        ...round("x", bolt, [-plate, y, z], plate + deep - 2),
        ...(into === "inserts"
          ? { name: `Bolt M${bolt} with its washer`, plural: `Bolts M${bolt} with their washers`, of: "steel" as const }
          : { name: "Screw with its washer", plural: "Screws with their washers", of: "steel" as const }),
      },
      ...(into === "inserts"
        ? [
            {
              ...round("x", drill, [0, y, z], deep - 2),
              name: `Threaded insert M${bolt}`,
              plural: `Threaded inserts M${bolt}`,
              of: "steel" as const,
            },
          ]
        : []),
    ]),
  };
}

/** What its slots let go is the fastening's: the plate itself ties nothing. */
export const boltedHeld = (): Held[] => [];

export function boltedCard(joint: Bolted): SettingCard {
  const { holes, drill, deep, into, section, bolt, measured, said } = joint;
  const rows = [...new Set(holes.map(({ z }) => Math.round(z * 2) / 2))].sort((a, b) => a - b);
  const along = [...new Set(holes.map(({ y }) => Math.round(y * 2) / 2))].sort((a, b) => a - b);
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      {
        what: measured ? "Holes, as they were measured" : `Holes as ordered: measure the ${said} before any is drilled`,
        setting: `${holes.length} in each ${said}`,
      },
      {
        what: said === "tube" ? "From the ring’s outside, along the tube" : "From the plate’s edge, along it",
        setting: along.map((y) => mm(y)).join(", "),
      },
      { what: "From its other edge", setting: rows.map((z) => mm(z)).join(", ") },
      {
        what: into === "inserts" ? `Hole for an insert M${bolt}` : "Pilot hole",
        setting: `${fine(drill)}, ${mm(deep)} deep, with a stop`,
      },
      {
        what: said === "tube" ? "Tube" : "Plate",
        setting: `${mm(section.width)} by ${mm(section.thickness)} by ${mm(joint.plate)}`,
      },
    ],
    marked: `Marked through the ${said} itself, lying where it will: a bolt in the middle of its slot on the day.`,
  };
}
