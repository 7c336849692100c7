import type { FasteningWay } from "./way";

/** A plate of two rings: one end turns in a recess of the bearer's upper edge, the other goes with the top. */
export const figure8: FasteningWay = {
  names: { choice: "Figure-8 plates", one: "figure-8 plate", many: "Figure-8 plates", id: "plate" },
  // a plate of centre distance s swung by θ gives s sin θ square to its line and nothing along it
  play: ({ figure8: plate }, rail) => {
    const swing =
      rail === "long" && plate.lengthwise === "across" ? 0 : plate.centres * Math.sin((plate.swing * Math.PI) / 180);
    return { dry: swing, wet: swing, setOff: 0 };
  },
  prepare: ({ figure8: plate }, { all, along, across }) => ({
    title: `Recess the ${all} for the plates`,
    detail: `As deep as a plate is thick, relieved so that each swings ${plate.swing}° both ways: ${along ? `on the ${along} from lying ${plate.lengthwise === "along" ? "along the rail" : "square to it"}, ` : ""}on the ${across} from standing square to the rail.`,
    hours: 1,
  }),
  attach: ({ figure8: plate }, { along, across }) => ({
    title: "Attach the top with its plates",
    detail: `A plate gives square to its own line, never along it: ${along ? `on the ${along} each lies ${plate.lengthwise === "along" ? "along the rail" : "square to it and holds the top there"}, ` : ""}on the ${across} each stands square to the rail.`,
  }),
  // as deep as the plate is thick and cut to it: marked from the plate
  cuts: () => [],
};
