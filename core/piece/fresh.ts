import { USUAL_LEG, USUAL_LOW, USUAL_SHELF, USUAL_TRESTLE, USUAL_X } from "./base-choices";
import { freshCutting, USUAL_OUTLINE } from "./cutting-choices";
import { USUAL_FASTENING, USUAL_TOP } from "./movement-choices";
import { USUAL_BOUGHT } from "./bought-choices";
import { USUAL_BENT } from "./bent-choices";
import { USUAL_BOX } from "./box-choices";
import { USUAL_CASE } from "./case-choices";
import { USUAL_DROP } from "./drop-choices";
import { USUAL_TURN } from "./turn-choices";
import { USUAL_FEET } from "./feet-choices";
import { USUAL_EXISTING } from "./existing-choices";
import { NO_OWN } from "./own-choices";
import { USUAL_PARTING } from "./parting-choices";
import { USUAL_PLANK } from "./plank-choices";
import { USUAL_HATCH } from "./hatch-choices";
import { USUAL_FACING } from "./facing-choices";
import { USUAL_RING } from "./ring-choices";
import { USUAL_SLABS } from "./slab-choices";
import { USUAL_STAKED } from "./staked-choices";
import { USUAL_SPLAYED } from "./splayed-choices";
import { USUAL_SPLAYED_FRAME } from "./splayed-frame-choices";
import { PanelChoice, Piece, PIECE_FORMAT, PIECE_VERSION } from "./schema";

/** A new table to start from: a usual kitchen, six chairs, ash. `day` is today, an ISO date. */
export function freshPiece(name: string, day: string): Piece {
  return {
    format: PIECE_FORMAT,
    version: PIECE_VERSION,
    name,
    commission: "",
    times: 1,
    day,
    species: "european-ash",
    moisture: { value: 8.5, on: day },
    brief: {
      room: { length: 4800, width: 3600, height: 2500 },
      seats: { daily: 4, most: 6 },
      seating: "chairs",
      place: "indoors",
      climate: { kind: "typical", id: "heated-temperate" },
      topHeight: 750,
      match: "",
      deadline: null,
      things: [],
    },
    form: {
      kind: "leg-and-apron",
      use: "table",
      top: {
        length: 1800,
        width: 850,
        thickness: 28,
        edge: { kind: "eased", size: 3, rim: null, angle: null },
        ...USUAL_OUTLINE,
      },
      overhang: { end: 40, side: 40 },
      height: 750,
      leg: { section: 75, taper: "none", foot: 50, make: "solid", ...USUAL_LEG },
      apron: { depth: 95, thickness: 25, reveal: 5, arch: 0 },
      low: USUAL_LOW,
      crossRails: 1,
      middleLegs: false,
      cornerBlocks: true,
      trestle: USUAL_TRESTLE,
      xFrame: USUAL_X,
      splayed: USUAL_SPLAYED,
      staked: USUAL_STAKED,
      splayedFrame: USUAL_SPLAYED_FRAME,
      plank: USUAL_PLANK,
      bent: USUAL_BENT,
      bought: USUAL_BOUGHT,
      existing: USUAL_EXISTING,
      case: USUAL_CASE,
      box: USUAL_BOX,
      shelf: USUAL_SHELF,
      feet: USUAL_FEET,
      ...USUAL_TOP,
      parting: USUAL_PARTING,
      drop: USUAL_DROP,
      turn: USUAL_TURN,
      slabs: USUAL_SLABS,
      ring: USUAL_RING,
      facing: USUAL_FACING,
      hatch: USUAL_HATCH,
      sheetSold: null,
    },
    joints: {
      legRail: { kind: "mortise-tenon", thickness: null, length: null, tenons: null, meeting: "mitred", haunch: true },
      groups: {},
      dovetails: {},
      buttons: { width: 30, tongue: 13, engaged: 8, grooveDepth: 13, slotLength: 45, spacing: 320 },
      ...USUAL_FASTENING,
    },
    choices: {
      rings: "alternate",
      fixedLine: "centre",
      edges: "jointer",
      stages: "all-at-once",
      alignment: "none",
      squeezeOut: "scrape-rubbery",
      legs: "left-long",
    },
    panels: { top: freshPanel() },
    cutting: freshCutting(),
    glueUp: { adhesive: "pva", hands: 1, runs: [] },
    finish: "oil-wax",
    own: NO_OWN,
    kinds: {},
    ...freshSurroundings(),
    asBuilt: [],
    log: [],
    done: [],
  };
}

/** A panel nothing is chosen for. */
export const freshPanel = (): PanelChoice => ({
  strips: [],
  pinned: [],
  banned: [],
  crosscutFirst: true,
  sawnFace: null,
});

/** What a piece begins with beside its form: faces alike, delivered when it is done, nothing inset, nothing fitted. */
export const freshSurroundings = (): Pick<Piece, "faces" | "delivery" | "insets" | "fitted"> => ({
  faces: { below: "alike", sun: "room", heater: "room" },
  delivery: null,
  insets: [],
  fitted: [],
});
