import type { Loop, Spot } from "../../assembly/outline";
import type { Vec } from "../../assembly/vector";
import { Bearer, onBearer } from "../../construction/geometry";
import type { JointChoices } from "../../piece/schema";
import type { BearerPlace, CutBody, FasteningWay } from "./way";

/** A plate's rings and how thick it is; its screw so far from the bearer's inner face; room round it in its recess, mm. @source common practice */
export const PLATE = { ring: 19, thickness: 3, inset: 8, room: 0.5 };
const RADIUS = PLATE.ring / 2 + PLATE.room;

/** How it lies on a bearer before it swings: along it, or square to it. */
export const plateLies = ({ figure8 }: Pick<JointChoices, "figure8">, { run }: Pick<Bearer, "run">) =>
  run === "along" && figure8.lengthwise === "along" ? "along" : "square";

/** How far its recess comes from the bearer's inner face toward the outer one, mm. */
export function recessReach(joints: Pick<JointChoices, "figure8">, bearer: Pick<Bearer, "run" | "thickness">): number {
  const { centres, swing } = joints.figure8;
  const pivot = Math.min(PLATE.inset, bearer.thickness / 2);
  const out = plateLies(joints, bearer) === "along" ? centres * Math.sin((swing * Math.PI) / 180) : 0;
  return pivot + out + RADIUS;
}

/** A plate of two rings: one end turns in a recess of the bearer's upper edge, the other goes with the top. */
export const figure8: FasteningWay = {
  names: { choice: "Figure-8 plates", one: "figure-8 plate", many: "Figure-8 plates", id: "plate" },
  room: { long: "its recess", across: "its recess" },
  // a plate of centre distance s swung by θ gives s sin θ square to its line and nothing along it
  play: ({ figure8: plate }, rail) => {
    const swing =
      rail === "long" && plate.lengthwise === "across" ? 0 : plate.centres * Math.sin((plate.swing * Math.PI) / 180);
    return { dry: swing, wet: swing, setOff: 0 };
  },
  prepare: ({ figure8: plate }, { all, along, across }) => ({
    title: `Recess the ${all} for the plates`,
    detail: `As deep as a plate is thick, relieved so that each swings ${plate.swing}° both ways: ${along ? `on the ${along} from lying ${plate.lengthwise === "along" ? "along the rail" : "square to it"}` : ""}${along && across ? ", " : ""}${across ? `on the ${across} from standing square to the rail` : ""}.`,
    hours: 1,
  }),
  attach: ({ figure8: plate }, { along, across }) => ({
    title: "Attach the top with its plates",
    detail: `A plate gives square to its own line, never along it: ${along ? `on the ${along} each lies ${plate.lengthwise === "along" ? "along the rail" : "square to it and holds the top there"}` : ""}${along && across ? ", " : ""}${across ? `on the ${across} each stands square to the rail` : ""}.`,
  }),
  cuts: (joints, place) => place.along.map((along) => recess(joints, place, along)),
};

/** All that a plate passes while it swings both ways about its screw, as deep as it is thick, in the bearer's upper edge. */
function recess(joints: JointChoices, { bearer, under }: BearerPlace, along: number): CutBody {
  const pivot = bearer.inside * (bearer.thickness / 2 - Math.min(PLATE.inset, bearer.thickness / 2));
  const from = onBearer(bearer, along, pivot);
  const [next, aside] = [onBearer(bearer, along + 1, pivot), onBearer(bearer, along, pivot + bearer.inside)];
  const [x, y]: [Vec, Vec] = [
    [next.x - from.x, 0, next.z - from.z],
    [aside.x - from.x, 0, aside.z - from.z],
  ];
  const swept = sweptBy(joints.figure8, plateLies(joints, bearer) === "along" ? 0 : Math.PI / 2);
  const [least, most] = [Math.min, Math.max].map((of): Spot => [
    of(...swept.map(({ at }) => at[0])) + (of === Math.min ? -1 : 1) * RADIUS,
    of(...swept.map(({ at }) => at[1])) + (of === Math.min ? -1 : 1) * RADIUS,
  ]);
  // x × y points down where the inner face lies ahead of the outer one, else up
  const down = x[2] * y[0] - x[0] * y[2] < 0;
  const corner = (axis: 0 | 2) => least[0] * x[axis] + least[1] * y[axis];
  return {
    shape: {
      ...{ length: most[0] - least[0], width: most[1] - least[1], thickness: PLATE.thickness },
      face: { outer: swept.map(({ at, rise }) => ({ at: [at[0] - least[0], at[1] - least[1]], rise })), holes: [] },
    },
    place: { at: [from.x + corner(0), down ? under : under - PLATE.thickness, from.z + corner(2)], x, y },
  };
}

/** The outline of what a plate passes, its screw in the origin. @param way  where it points, radians from x */
function sweptBy({ centres, swing }: JointChoices["figure8"], way: number): Loop {
  const half = Math.max(0.02, (swing * Math.PI) / 180);
  const [low, high, square] = [way - half, way + half, Math.PI / 2];
  const spot = (angle: number, long: number, from = 0, far = 0): Spot => [
    Math.cos(angle) * long + Math.cos(from) * far,
    Math.sin(angle) * long + Math.sin(from) * far,
  ];
  const bow = (radius: number, span: number) => radius * (1 - Math.cos(span / 2));
  return [
    { at: spot(low - square, RADIUS, low, centres), rise: bow(RADIUS, square) },
    { at: spot(low, centres + RADIUS), rise: bow(centres + RADIUS, 2 * half) },
    { at: spot(high, centres + RADIUS), rise: bow(RADIUS, square) },
    { at: spot(high + square, RADIUS, high, centres), rise: 0 },
    { at: spot(high + square, RADIUS), rise: bow(RADIUS, Math.PI - 2 * half) },
    { at: spot(low - square, RADIUS), rise: 0 },
  ];
}
