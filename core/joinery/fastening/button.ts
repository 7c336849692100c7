import { worked } from "../../construction/bearers";
import { playAlong, slotPlay } from "../../movement/buttons";
import { between, FasteningWay, GROOVE_STOP, grooveIn } from "./way";

/** A button's groove lies so far below the bearer's upper edge; its tongue is so thick, with a little over. mm @source common practice */
const GROOVE = { drop: 12, tongue: 9, over: 1 };
/** A button that is screwed home still stands off the top by so much, so that it draws it down, mm. @source common practice */
const DRAWS = 1;
/** A wooden block whose tongue slides in a groove along the grain, in a slot across it. */
export const button: FasteningWay = {
  names: { choice: "Wooden buttons", one: "button", many: "Buttons", id: "button" },
  room: { long: "its groove", across: "its slot" },
  play: ({ buttons }, rail) =>
    rail === "long"
      ? { ...playAlong(buttons), setOff: 0 }
      : { dry: slotPlay(buttons), wet: slotPlay(buttons), setOff: 0 },
  prepare: ({ buttons }, { all, across }) => ({
    title: `Groove the ${all} for the buttons`,
    detail: `${GROOVE.tongue + GROOVE.over} mm wide and ${buttons.grooveDepth} mm deep on the inside, ${GROOVE.drop} mm below the edge, stopped ${GROOVE_STOP} mm before every joint${across ? `; slots ${buttons.slotLength} mm long on the ${across}` : ""}. Tongues are ${GROOVE.tongue} mm thick.`,
    hours: 1,
  }),
  make: ({ buttons }) => ({
    title: "Rebate and drill the buttons, then saw them off",
    detail: `On each stick’s ends and between: ${buttons.tongue} mm long tongues, ${GROOVE.drop - DRAWS} mm down from the upper face, so that the screw draws the top, and rebated from below until ${GROOVE.tongue} mm are left. A hole through each, then crosscut to a stop.`,
  }),
  attach: ({ buttons }, { along, across }) => ({
    title: "Attach the top with buttons",
    detail: `Buttons ${[along && `set ${buttons.engaged} mm deep on the ${along}`, across && `in the middle of their slots on the ${along ? "ends" : across}`].filter(Boolean).join(", ")}. Loosen each screw a turn.`,
  }),
  cuts: ({ buttons }, place) => {
    const { bearer, along } = place;
    const size = {
      drop: GROOVE.drop,
      high: GROOVE.tongue + GROOVE.over,
      deep: Math.min(buttons.grooveDepth, bearer.thickness),
    };
    const half = bearer.length / 2 - GROOVE_STOP;
    if (worked(bearer) === "along")
      return along.length > 0
        ? between(-half, half, bearer.entered ?? []).map((stretch) => grooveIn(place, { ...size, ...stretch }))
        : [];
    return along.map((at) =>
      grooveIn(place, { ...size, from: at - buttons.slotLength / 2, to: at + buttons.slotLength / 2 }),
    );
  },
};
