/** Random pieces that the schema takes: the demo's and a fresh one with any of their fields drawn anew, on the demo's rack with odd boards among it. */
import { kindSchema } from "../../core/piece/kinds";
import { readdirSync, readFileSync } from "node:fs";
import fc from "fast-check";
import * as v from "valibot";
import { OUTDOOR_PLACES } from "../../core/climate/outdoors";
import { TYPICAL_CLIMATES } from "../../core/climate/rooms";
import { checkPiece, readPiece } from "../../core/formats/piece-file";
import { readRack } from "../../core/formats/rack-csv";
import { checkShop } from "../../core/formats/shop-file";
import { ADHESIVES } from "../../core/glueup/adhesives";
import { freshPiece } from "../../core/piece/fresh";
import { applyPatches } from "../../core/piece/patch";
import { Piece, pieceSchema } from "../../core/piece/schema";
import { Shop, shopSchema } from "../../core/piece/shop";
import { boardSchema, RackBoard } from "../../core/stock/board";
import { SPECIES } from "../../core/wood/species";
import { Hints, Unit, unitsOf, valuesOf } from "./from-schema";

export const TODAY = "2026-11-23";
const read = (file: string) => readFileSync(new URL(`../../demo/${file}`, import.meta.url), "utf8");

/** The demo's five pieces, its rack and its shop. */
export const DEMO_PIECES: Piece[] = readdirSync(new URL("../../demo/pieces", import.meta.url))
  .sort((a, b) => a.localeCompare(b, "en", { numeric: true }))
  .map((file) => {
    const piece = readPiece(read(`pieces/${file}`));
    if (!piece.ok) throw new Error(piece.message);
    return piece.piece;
  });
export const DEMO_RACK: RackBoard[] = readRack(read("rack.csv"), SPECIES, TODAY).boards.map((board) => ({
  ...board,
  reservedBy: null,
}));
export const DEMO_SHOP: Shop = (() => {
  const shop = checkShop(read("shop.json"));
  if (!shop.ok) throw new Error(shop.message);
  return shop.shop;
})();

const from = (values: readonly string[]) => fc.constantFrom(...values);
const MARKS = ["A", "B", "C", "D", "E", "F", "G", "K", "L", "S", "T"].flatMap((letter) =>
  [1, 2, 3, 4].map((n) => `${letter}${n}`),
);
const HINTS: Hints = {
  species: from(SPECIES.map((each) => each.id)),
  board: from(DEMO_RACK.map((each) => each.id)),
  pinned: from(DEMO_RACK.map((each) => each.id)),
  banned: from(DEMO_RACK.map((each) => each.id)),
  outdoor: from(OUTDOOR_PLACES.map((each) => each.id)),
  fill: from(TYPICAL_CLIMATES.map((each) => each.id)),
  id: from([...TYPICAL_CLIMATES.map((each) => each.id), "B1", "a"]),
  adhesive: from(ADHESIVES.map((each) => each.id)),
  pieces: from(MARKS),
  piece: from(MARKS),
  as: from(MARKS),
  part: from(["top", "leg", "long-rail", "end-rail", "cross-rail", "slat", "end-board"]),
  own: from(["own-1", "own-2", "own-3"]),
  to: from(["top", "leg", "long-rail", "end-rail", "own-2", "post", "stretcher", "end"]),
  what: from(["top", "shelf", ...DEMO_RACK.slice(0, 5).map((each) => each.id)]),
};

/** What is drawn often: a maker changes these first, and rules meet there. */
const OFTEN = [
  "kind",
  "field",
  "ends",
  "stiffener",
  "taper",
  "make",
  "fastening",
  "width",
  "length",
  "species",
  "count",
  "strips",
  "outline",
];

const patchesOf = (schema: v.GenericSchema, most: number) => {
  const units = unitsOf(schema);
  const often = units.filter((unit) => OFTEN.includes(unit.path.at(-1)!));
  const common = often.length > 0 ? often : units;
  const patch = (unit: Unit) =>
    valuesOf(unit.schema, HINTS, unit.path.at(-1)!).map((value) => ({ path: unit.path, value }));
  return fc.array(
    fc.oneof(
      { weight: 2, arbitrary: fc.constantFrom(...units).chain(patch) },
      { weight: 1, arbitrary: fc.constantFrom(...common).chain(patch) },
    ),
    { maxLength: most },
  );
};

/** Parts of another wood, moisture or finish. */
const ownKinds = fc.dictionary(
  from([
    "leg",
    "long-rail",
    "end-rail",
    "end-board",
    "shelf",
    "foot",
    "post",
    "brace",
    "stretcher",
    "batten",
    "nothing",
  ]),
  valuesOf(kindSchema, HINTS) as fc.Arbitrary<Piece["kinds"][string]>,
  { maxKeys: 4 },
);

/** A piece the schema takes; it shrinks to the fewest fields that still fail. */
export const randomPiece: fc.Arbitrary<Piece> = fc
  .tuple(
    fc.constantFrom(freshPiece("Random table", TODAY), ...DEMO_PIECES),
    fc.oneof({ weight: 3, arbitrary: patchesOf(pieceSchema, 6) }, { weight: 1, arbitrary: patchesOf(pieceSchema, 60) }),
    fc.oneof({ weight: 3, arbitrary: fc.constant({}) }, { weight: 1, arbitrary: ownKinds }),
  )
  .map(([base, patches, kinds]) => {
    const read = checkPiece({ ...applyPatches(base, patches), kinds });
    if (!read.ok) throw new Error(`The generator drew what the schema refuses: ${read.message}`);
    return read.piece;
  });

export const randomShop: fc.Arbitrary<Shop> = fc.oneof(
  { weight: 3, arbitrary: fc.constant(DEMO_SHOP) },
  { weight: 1, arbitrary: patchesOf(shopSchema, 8).map((patches) => applyPatches(DEMO_SHOP, patches)) },
);

const oddBoard = (valuesOf(boardSchema, HINTS) as fc.Arbitrary<RackBoard>).map((board) => ({
  ...board,
  reservedBy: null,
}));
/** Boards the schema takes, each with a name of its own. */
export const oddBoards: fc.Arbitrary<RackBoard[]> = fc
  .array(oddBoard, { maxLength: 8 })
  .map((odd) => odd.filter((board, i) => odd.findIndex((each) => each.id === board.id) === i));

export const randomRack: fc.Arbitrary<RackBoard[]> = fc.oneof(
  { weight: 3, arbitrary: fc.constant(DEMO_RACK) },
  { weight: 1, arbitrary: fc.constant<RackBoard[]>([]) },
  {
    weight: 2,
    arbitrary: oddBoards.map((odd) => [
      ...DEMO_RACK.filter((board) => !odd.some((each) => each.id === board.id)),
      ...odd,
    ]),
  },
);
