/** Screws: in slots, in oversized holes, driven tight, or none at all. */
import { FasteningWay, holeIn, shared } from "./way";

/** Where a bearer is deeper, a screw starts from a counterbore that leaves so much of it, mm. @source common practice */
export const COUNTERBORED = 30;
/** A counterbore is so much wider than the washer in it, mm. @source common practice */
export const WASHER_ROOM = 2;

const attach = () => ({
  title: "Screw the top on",
  detail: "Each screw where Movement sets it off, a turn loose after tightening.",
});

/** Screws in slots of cleats or plates. */
export const slotted: FasteningWay = {
  names: { choice: "Slotted cleats or plates", one: "slotted cleat", many: "Screws in slots", id: "slot" },
  room: { long: "its slot", across: "its slot" },
  play: ({ slotted: { slot, screw, setOff } }, _, need) => shared(Math.max(0, slot - screw), setOff, need),
  prepare: ({ slotted: { slot } }) => ({
    title: "Make the cleats and fix them",
    detail: `Slots ${slot} mm long across the top's grain, counterbored flat for the washers; glued and screwed inside, flush with the upper edge.`,
    hours: 1,
  }),
  attach,
  cuts: () => [],
};

/** Screws up through holes larger than they are, under washers. */
export const oversized: FasteningWay = {
  names: {
    choice: "Oversized holes, washers",
    one: "screw in an oversized hole",
    many: "Screws in oversized holes",
    id: "hole",
  },
  room: { long: "its hole", across: "its hole" },
  play: ({ oversized: { hole, screw, setOff } }, _, need) => shared(Math.max(0, hole - screw), setOff, need),
  prepare: ({ oversized: { hole, washer } }, { all, thin }) => ({
    title: `Drill the ${all} for the top's screws`,
    detail: thin
      ? `${hole} mm holes; washers of ${washer} mm lie flat below.`
      : `${hole} mm holes, counterbored flat for ${washer} mm washers.`,
    hours: 0.75,
  }),
  attach,
  cuts: ({ oversized: { hole, washer } }, place) => {
    const { thickness, depth } = place.bearer;
    const [through, wide] = [Math.min(hole, thickness), Math.min(washer + WASHER_ROOM, thickness)];
    return place.along.flatMap((along) => [
      holeIn(place, { along, diameter: through, from: depth, to: 0 }),
      ...(depth > COUNTERBORED ? [holeIn(place, { along, diameter: wide, from: depth, to: COUNTERBORED })] : []),
    ]);
  },
};

/** The top lies between tabs and is held by its weight. */
export const loose: FasteningWay = {
  names: { choice: "Nothing: loose between tabs", one: "tab", many: "Tabs under a loose top", id: "tab" },
  room: { long: "there", across: "there" },
  play: ({ loose: { gap } }) => ({ wet: gap, dry: Infinity, setOff: 0 }),
  prepare: ({ loose: { gap } }) => ({
    title: "Make the tabs",
    detail: `${gap} mm free at each on the day.`,
    hours: 0.75,
  }),
  attach: () => ({ title: "Lay the top on", detail: "Between its tabs, centred; nothing holds it but its weight." }),
  cuts: () => [],
};

/** Nothing gives. */
export const screwed: FasteningWay = {
  names: { choice: "Screws driven tight", one: "screw", many: "Screws driven tight", id: "screw" },
  room: { long: "there", across: "there" },
  play: () => ({ dry: 0, wet: 0, setOff: 0 }),
  prepare: () => null,
  attach: () => ({ title: "Screw the top on", detail: "Tight, as chosen: see what Movement says of it." }),
  cuts: () => [],
};
