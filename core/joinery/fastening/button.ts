import { playAlong, slotPlay } from "../../movement/buttons";
import { FasteningWay, grooveIn } from "./way";

/** A button's groove lies so far below the bearer's upper edge; its tongue is so thick, with a little over. mm @source common practice */
const GROOVE = { drop: 12, tongue: 9, over: 1 };
/** A groove stops so far short of the shoulders, mm. @source common practice */
const STOP = 10;

/** A wooden block whose tongue slides in a groove along the grain, in a slot across it. */
export const button: FasteningWay = {
  names: { choice: "Wooden buttons", one: "button", many: "Buttons", id: "button" },
  play: ({ buttons }, rail) =>
    rail === "long"
      ? { ...playAlong(buttons), setOff: 0 }
      : { dry: slotPlay(buttons), wet: slotPlay(buttons), setOff: 0 },
  prepare: ({ buttons }, { all, across }) => ({
    title: `Groove the ${all} for the buttons`,
    detail: `${buttons.grooveDepth} mm deep on the inside, ${GROOVE.drop} mm below the edge; slots ${buttons.slotLength} mm long on the ${across}.`,
    hours: 1,
  }),
  attach: ({ buttons }, { along, across }) => ({
    title: "Attach the top with buttons",
    detail: `Centre line marked; buttons ${along ? `set ${buttons.engaged} mm deep on the ${along}, ` : ""}in the middle of their slots on the ${along ? "ends" : across}. Loosen each screw a turn.`,
  }),
  cuts: ({ buttons }, place) => {
    const { bearer, along } = place;
    const size = {
      drop: GROOVE.drop,
      high: GROOVE.tongue + GROOVE.over,
      deep: Math.min(buttons.grooveDepth, bearer.thickness),
    };
    const half = bearer.length / 2 - STOP;
    if (bearer.run === "along")
      return half > 0 && along.length > 0 ? [grooveIn(place, { ...size, from: -half, to: half })] : [];
    return along.map((at) =>
      grooveIn(place, { ...size, from: at - buttons.slotLength / 2, to: at + buttons.slotLength / 2 }),
    );
  },
};
