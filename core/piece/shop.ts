/** What the workshop owns and how it works. Sizes in mm. */
import * as v from "valibot";
import { climateSchema } from "./climate";
import { between, choice, count, distance, list, name, size, text } from "./fields";

const sizes = (field: string, most: number) => list(`${field} list`, size(field, 1, most), 60);

/** @source common practice: lengths and diameters as they are sold */
const USUAL_DOWELS = [
  { diameter: 6, measured: null, length: 30 },
  { diameter: 8, measured: null, length: 40 },
  { diameter: 10, measured: null, length: 40 },
  { diameter: 10, measured: null, length: 60 },
  { diameter: 12, measured: null, length: 60 },
];
/** @source common practice, from memory */
const USUAL_POCKET_SCREWS = [25, 32, 38, 50, 63];

export const shopSchema = v.strictObject({
  name: name("shop name"),
  jointerWidth: size("jointer width", 50, 1000),
  jointerLength: size("jointer bed length", 300, 6000),
  planerWidth: size("planer width", 50, 2000),
  /** null: there is none */
  bandsawHeight: v.nullable(size("bandsaw height", 20, 1000)),
  /** the thickest stock the table saw's blade comes through, standing square and tilted to 45°, and what a sled's base takes of it */
  bladeReach: v.optional(size("blade's reach", 20, 400), 76),
  bevelReach: v.optional(size("blade's reach at 45°", 10, 300), 53),
  sledBase: v.optional(distance("sled base", 60), 12),
  /** the thickest stock a track saw cuts, what a mitre saw takes wide and high, the widest panel a router sled and a drum sander take; null where the shop has none */
  trackSaw: v.optional(v.nullable(size("track saw's depth", 10, 200)), null),
  mitreSaw: v.optional(
    v.nullable(
      v.strictObject({ width: size("mitre saw's width", 40, 600), height: size("mitre saw's height", 20, 300) }),
    ),
    null,
  ),
  routerSled: v.optional(v.nullable(size("router sled's width", 100, 3000)), null),
  drumSander: v.optional(v.nullable(size("drum sander's width", 100, 2000)), null),
  /** a computer-driven router: its bed, how high it works and its longest bit; null where there is none */
  drivenRouter: v.optional(
    v.nullable(
      v.strictObject({
        length: size("driven router's bed length", 200, 6000),
        width: size("driven router's bed width", 200, 3000),
        depth: size("height under the driven router", 10, 400),
        bit: size("driven router's longest bit", 5, 200),
      }),
    ),
    null,
  ),
  /** the widest board the crosscut saw takes in one cut, and the longest that can be ripped with room before and behind the saw */
  crosscutWidth: v.optional(size("crosscut saw's width", 50, 3000), 310),
  ripLength: v.optional(size("longest board ripped", 200, 12000), 3000),
  chisels: sizes("chisel", 80),
  routerBits: sizes("router bit", 60),
  /** cutters for edges with a bearing: quarter rounds by their radius, chamfers by the widest they cut */
  edgeBits: v.optional(
    list(
      "edge cutters",
      v.strictObject({ kind: choice("edge cutter", ["round", "chamfer"]), size: size("edge cutter size", 0.5, 50) }),
      60,
    ),
    [],
  ),
  mortiseDepth: size("mortise depth the shop can cut", 5, 300),
  looseTenons: list(
    "loose tenons",
    v.strictObject({
      thickness: size("loose tenon thickness", 3, 40),
      width: size("loose tenon width", 5, 120),
      /** null: cut to length from a stick */
      length: v.optional(v.nullable(size("loose tenon length", 10, 400)), null),
    }),
    60,
  ),
  /** bought round; what they measure is asked, since they are seldom what they are sold as */
  dowels: v.optional(
    list(
      "dowels",
      v.strictObject({
        diameter: size("dowel diameter", 3, 40),
        measured: v.optional(v.nullable(size("measured dowel diameter", 2.5, 42)), null),
        length: size("dowel length", 10, 200),
      }),
      60,
    ),
    USUAL_DOWELS,
  ),
  /** lengths of screws for pockets; none where the shop has no jig for them */
  pocketScrews: v.optional(sizes("pocket screw", 150), USUAL_POCKET_SCREWS),
  clamps: list(
    "clamps",
    v.strictObject({
      reach: size("clamp reach", 50, 4000),
      count: count("clamps", 0, 200),
      force: between("clamp force", 0.5, 20, " kN"),
    }),
    60,
  ),
  kerf: distance("saw kerf", 8),
  jointing: distance("jointing allowance an edge", 10),
  cleaning: distance("cleaning a face", 5),
  /** strips of a panel are planed so much over its thickness: the glued panel is flattened and sanded */
  panelOver: v.optional(distance("left on a panel's thickness", 10), 1.5),
  lengthAllowance: distance("length allowance", 200),
  widthAllowance: distance("width allowance", 30),
  keepOffcut: size("shortest offcut kept", 100, 3000),
  temperature: between("shop temperature", -10, 45, " °C"),
  lift: between("what one person lifts", 5, 60, " kg"),
  currency: v.optional(
    v.pipe(text("currency", 3), v.regex(/^[A-Z]{3}$/, "A currency is three capitals, such as EUR.")),
    "EUR",
  ),
  climate: v.optional(climateSchema, { kind: "typical", id: "shop-heated" }),
});

export type Shop = v.InferOutput<typeof shopSchema>;

export const USUAL_SHOP: Shop = {
  name: "Demo workshop",
  jointerWidth: 260,
  jointerLength: 1800,
  planerWidth: 410,
  bandsawHeight: 300,
  bladeReach: 76,
  bevelReach: 53,
  sledBase: 12,
  trackSaw: null,
  mitreSaw: null,
  routerSled: null,
  drumSander: null,
  drivenRouter: null,
  crosscutWidth: 310,
  ripLength: 3000,
  chisels: [6, 8, 10, 12, 15, 20],
  routerBits: [6, 8, 10, 12],
  edgeBits: [
    { kind: "round", size: 3 },
    { kind: "round", size: 6 },
    { kind: "chamfer", size: 10 },
  ],
  mortiseDepth: 75,
  looseTenons: [
    { thickness: 8, width: 30, length: null },
    { thickness: 10, width: 40, length: null },
    { thickness: 12, width: 50, length: null },
  ],
  dowels: USUAL_DOWELS,
  pocketScrews: USUAL_POCKET_SCREWS,
  clamps: [
    { reach: 600, count: 6, force: 4 },
    { reach: 1000, count: 8, force: 5 },
    { reach: 1250, count: 4, force: 5 },
  ],
  kerf: 3,
  jointing: 1.5,
  cleaning: 0.8,
  panelOver: 1.5,
  lengthAllowance: 40,
  widthAllowance: 6,
  keepOffcut: 500,
  temperature: 17,
  lift: 25,
  currency: "EUR",
  climate: { kind: "typical", id: "shop-heated" },
};
