import { between, FasteningWay, GROOVE_STOP, grooveIn } from "./way";

/** Tongue of a clip that must stay in its groove, mm. @source common practice */
export const LEAST_CLIP = 3;
/** A clip's groove lies so far below the bearer's upper edge and is one saw kerf high, mm. @source common practice */
const GROOVE = { drop: 10, high: 3 };

/** A bent clip whose tongue goes in along the grain, and slides across it. */
export const zClip: FasteningWay = {
  names: { choice: "Z-clips", one: "Z-clip", many: "Z-clips", id: "clip" },
  room: { long: "its groove", across: "there" },
  play: ({ zClip: clip }, rail) =>
    rail === "across"
      ? { dry: Infinity, wet: Infinity, setOff: 0 }
      : { wet: clip.groove - clip.engaged, dry: clip.engaged - LEAST_CLIP, setOff: 0 },
  prepare: ({ zClip: clip }, { all }) => ({
    title: `Groove the ${all} for the clips`,
    detail: `${clip.groove} mm deep on the inside, right round, stopped ${GROOVE_STOP} mm before every joint.`,
    hours: 0.75,
  }),
  attach: ({ zClip: clip }, { along, across }) => ({
    title: "Attach the top with clips",
    detail: `${clip.engaged} mm engaged on the ${along ?? across}.`,
  }),
  cuts: ({ zClip: clip }, place) => {
    const half = place.bearer.length / 2 - GROOVE_STOP;
    const size = { drop: GROOVE.drop, high: GROOVE.high, deep: Math.min(clip.groove, place.bearer.thickness) };
    return half > 0 && place.along.length > 0
      ? between(-half, half, place.bearer.entered).map((stretch) => grooveIn(place, { ...size, ...stretch }))
      : [];
  },
};
