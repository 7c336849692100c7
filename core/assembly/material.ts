/** What parts are of that come from no board: steel, and sheets as they are sold. */
/** The colours of steel where it is drawn beside wood. */
export const STEEL: readonly [string, string] = ["#9aa6ab", "#7b878c"];

/** A sheet good: what it weighs, kg/m³; how its length and width change, per percent MC; what it looks like. */
interface Sheet {
  name: string;
  density: number;
  change: number;
  /** in bending, both ways taken together, GPa */
  stiffness: number;
  colour: readonly [string, string];
  /** as it is sold, mm */
  sold: { length: number; width: number };
}

/** @source Wood Handbook ch. 12, from memory: plywood and fibreboard change some 0.02 to 0.03 % in their plane for a percent of moisture;
 * plywood bends with 6 to 9 GPa, fibreboard of medium density with 2.5 to 3.5 */
export const SHEETS: Record<"plywood" | "fibreboard", Sheet> = {
  plywood: {
    ...{ name: "Plywood", density: 650, change: 0.0002, stiffness: 7, colour: ["#e6d3ae", "#cdb588"] },
    sold: { length: 2500, width: 1250 },
  },
  fibreboard: {
    ...{ name: "Fibreboard", density: 740, change: 0.0003, stiffness: 3, colour: ["#c9b391", "#ab9470"] },
    sold: { length: 2440, width: 1220 },
  },
};
export type SheetName = keyof typeof SHEETS;

/** Edges of a sheet are knocked: so much is cut off all round first, mm. @source common practice */
export const SHEET_EDGE = 5;

/** A sheet as the maker buys it, or as it is usually sold, mm. */
export type SheetSize = { length: number; width: number };
export const soldAs = (material: SheetName, bought: SheetSize | null): SheetSize => bought ?? SHEETS[material].sold;

/** What of a sheet can be used, along its face’s grain and across it, mm. */
export const usable = ({ length, width }: SheetSize): SheetSize => ({
  length: length - 2 * SHEET_EDGE,
  width: width - 2 * SHEET_EDGE,
});

/** Glass: a pale green, as its edges show. */
const GLASS = ["#bcd3cb", "#7f9a91"] as const;

/** What is neither wood nor metal, by its kind of part. */
const LOOKS: Readonly<Record<string, readonly [string, string]>> = {
  glass: GLASS,
  "facing-cork": ["#c79a62", "#a2743f"],
  "facing-leather": ["#6b4634", "#4d3125"],
  "facing-linoleum": ["#5f6f63", "#46544a"],
};

/** What a part looks like: in its wood, as its sheet, as what it is covered with, as metal. */
export const coloursOf = (
  { bought, sheet, kind }: { bought?: object; sheet?: { material: SheetName }; kind: string },
  wood: (kind: string) => readonly [string, string],
): readonly [string, string] => LOOKS[kind] ?? (bought ? STEEL : sheet ? SHEETS[sheet.material].colour : wood(kind));
