/** What a piece is used as: what it is called, how high it stands, who sits at it and where, what room it wants around it. One value a use. */

import type { USES } from "../piece/brief-choices";
import type { Patch } from "../piece/patch";
import type { Piece } from "../piece/schema";

export type UseId = (typeof USES)[number];

interface Range {
  low: number;
  high: number;
}

export interface Use {
  id: UseId;
  /** in a sentence, one and several; and in a list to choose from */
  noun: string;
  nouns: string;
  name: string;
  height: Range;
  /** what its height is tried with */
  triedWith: string;
  /** who sits: round it, at one long side of it, on it, or nobody; with the length of edge a place takes daily and at most, mm */
  seats: { where: "round" | "side" | "on"; daily: number; most: number } | null;
  /** free height for knees below, mm; null where no knees come under it */
  kneeRoom: { good: number; least: number } | null;
  /** between its edge and a wall: what it must have and what is good, mm, and what each is for; null where it only has to fit */
  around: { least: number; good: number; to: string; toGood: string } | null;
  leg: Range;
  apron: Range;
  top: Range;
  /** of the top over its base, at the sides */
  overhang: Range;
}

const TABLE = { leg: { low: 70, high: 90 }, apron: { low: 90, high: 120 }, top: { low: 25, high: 40 } };
const LIGHT = { leg: { low: 35, high: 70 }, apron: { low: 50, high: 100 }, top: { low: 18, high: 35 } };
const KNEES = { good: 610, least: 580 };
const AT_TABLE = {
  least: 900,
  good: 1100,
  to: "to get up from a chair",
  toGood: "to walk behind someone seated",
};

/** Sizes are common practice; those of meeting and standing tables and of stands are from memory. mm @source common practice */
const ALL: readonly Use[] = [
  {
    ...{ id: "table", noun: "table", nouns: "Dining tables", name: "A dining table" },
    ...{ height: { low: 720, high: 760 }, triedWith: "the client's chairs" },
    ...{ seats: { where: "round", daily: 600, most: 500 }, kneeRoom: KNEES, around: AT_TABLE },
    ...{ ...TABLE, overhang: { low: 25, high: 50 } },
  },
  {
    ...{ id: "desk", noun: "desk", nouns: "Desks", name: "A desk" },
    ...{ height: { low: 700, high: 750 }, triedWith: "the client's chair" },
    ...{ seats: { where: "side", daily: 1000, most: 700 }, kneeRoom: KNEES },
    around: { least: 750, good: 1000, to: "to push a chair back", toGood: "to walk behind someone who works" },
    ...{ leg: { low: 50, high: 90 }, apron: { low: 60, high: 120 }, top: { low: 22, high: 40 } },
    overhang: { low: 0, high: 60 },
  },
  {
    ...{ id: "standing", noun: "standing desk", nouns: "Standing desks", name: "A desk to stand at" },
    ...{ height: { low: 1000, high: 1150 }, triedWith: "the client's elbows: their height less 30" },
    ...{ seats: null, kneeRoom: null },
    around: { least: 600, good: 900, to: "to stand at it", toGood: "to walk behind someone who stands" },
    ...{ leg: { low: 50, high: 90 }, apron: { low: 60, high: 140 }, top: { low: 22, high: 40 } },
    overhang: { low: 0, high: 80 },
  },
  {
    ...{ id: "meeting", noun: "table", nouns: "Meeting tables", name: "A meeting table" },
    ...{ height: { low: 720, high: 760 }, triedWith: "the client's chairs" },
    ...{ seats: { where: "round", daily: 700, most: 600 }, kneeRoom: KNEES, around: { ...AT_TABLE, good: 1200 } },
    ...{ ...TABLE, overhang: { low: 25, high: 80 } },
  },
  {
    ...{ id: "low", noun: "low table", nouns: "Low tables", name: "A low table" },
    ...{ height: { low: 350, high: 480 }, triedWith: "the seat beside it: it stands as high, or 50 lower" },
    ...{ seats: null, kneeRoom: null },
    around: { least: 350, good: 450, to: "for legs between it and a seat", toGood: "to walk between it and a seat" },
    ...{ ...LIGHT, overhang: { low: 0, high: 60 } },
  },
  {
    ...{ id: "side", noun: "side table", nouns: "Side tables", name: "A side table" },
    ...{ height: { low: 450, high: 700 }, triedWith: "the arm of the seat beside it" },
    ...{ seats: null, kneeRoom: null, around: null },
    ...{ ...LIGHT, overhang: { low: 0, high: 40 } },
  },
  {
    ...{ id: "stand", noun: "stand", nouns: "Stands", name: "A stand" },
    ...{ height: { low: 150, high: 900 }, triedWith: "what it carries" },
    ...{ seats: null, kneeRoom: null, around: null },
    ...{ leg: { low: 20, high: 70 }, apron: { low: 25, high: 100 }, top: { low: 15, high: 35 } },
    overhang: { low: 0, high: 40 },
  },
  {
    ...{ id: "case", noun: "case", nouns: "Cases", name: "A case: chest, sideboard, cabinet" },
    ...{ height: { low: 400, high: 1300 }, triedWith: "what stands beside it and what it holds" },
    ...{ seats: null, kneeRoom: null, around: null },
    ...{ leg: { low: 30, high: 60 }, apron: { low: 40, high: 100 }, top: { low: 18, high: 32 } },
    overhang: { low: 0, high: 30 },
  },
  {
    ...{ id: "bench", noun: "bench", nouns: "Benches", name: "A bench" },
    ...{ height: { low: 420, high: 470 }, triedWith: "the client's table" },
    ...{ seats: { where: "on", daily: 600, most: 500 }, kneeRoom: null, around: null },
    ...{ leg: { low: 40, high: 75 }, apron: { low: 55, high: 100 }, top: { low: 20, high: 40 } },
    overhang: { low: 0, high: 50 },
  },
  {
    ...{ id: "stool", noun: "stool", nouns: "Stools", name: "A stool" },
    ...{ height: { low: 420, high: 480 }, triedWith: "the client's table" },
    ...{ seats: { where: "on", daily: 360, most: 320 }, kneeRoom: null, around: null },
    ...{ leg: { low: 30, high: 50 }, apron: { low: 35, high: 80 }, top: { low: 20, high: 40 } },
    overhang: { low: 0, high: 30 },
  },
];

/** The use a piece is made for. */
export const useOf = ({ use }: { use: UseId }): Use => ALL.find(({ id }) => id === use)!;
/**
 * What changes when a piece is made as something else: where its height is not of that use, the nearest that is; where it has fewer places
 * than are asked, as many as it has. Everything a maker typed that can stand stays.
 */
export function madeAs(use: UseId, { form, brief }: Pick<Piece, "form" | "brief">): Patch[] {
  const now = useOf({ use });
  const { low, high } = now.height;
  const height = Math.max(low, Math.min(high, brief.topHeight));
  const places = (which: "daily" | "most") =>
    Math.max(1, Math.min(brief.seats[which], placesAt(now, form.top, which).total));
  // a room proposes how long a table must be that people sit round; of the others the maker says it
  const counted = now.seats !== null && now.seats.where !== "round";
  return [
    { path: ["form", "use"], value: use },
    ...(height === brief.topHeight
      ? []
      : [
          { path: ["brief", "topHeight"], value: height },
          { path: ["form", "height"], value: height },
        ]),
    ...(counted ? [{ path: ["brief", "seats"], value: { daily: places("daily"), most: places("most") } }] : []),
  ];
}
/** Uses as a maker chooses among them. */
export const useChoices = ALL.map(({ id, name }) => ({ value: id, name }));

/** How many find a place: along two sides and at ends that are wide enough, along one side, or on it. */
export function placesAt(
  { seats }: Use,
  { length, width }: { length: number; width: number },
  which: "daily" | "most",
): { sides: number; ends: number; total: number } {
  if (!seats) return { sides: 0, ends: 0, total: 0 };
  const along = Math.max(0, Math.floor(length / seats[which] + 1e-9));
  const sides = seats.where === "round" ? 2 * along : along;
  const ends = seats.where === "round" && width >= HEAD ? 2 : 0;
  return { sides, ends, total: sides + ends };
}
/** An end is sat at where the top is so wide, mm. @source common practice: a place of 600 between two corners of 75 */
const HEAD = 750;
