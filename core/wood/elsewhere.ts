import { fromRow, SpeciesRow } from "./row";

/** C = 1/(3000/S − 20), Wood Handbook ch. 13, rounded like its table. Kept here so that the table below can be read at once. */
const c = (shrinkage: number) => Math.round((1 / (3000 / shrinkage - 20)) * 1e5) / 1e5;

// Total shrinkage radial and tangential, density and stiffness from tables of European timbers, from memory.
const EUROPEAN_HARDWOODS: SpeciesRow[] = [
  ["european-ash", "European ash", c(5.0), c(8.0), 690, 12.3, "Springy, pale, open grained; works well with sharp irons.", ["#e7d8bb", "#cdb88f"]],
  ["european-oak", "European oak", c(4.3), c(8.6), 690, 11.5, "The table wood; rays on the quarter, stains blue-black against iron.", ["#d7b98a", "#b08e58"]],
  ["european-beech", "European beech", c(5.8), c(11.8), 720, 13.5, "Even and hard, cheap, and restless: few others move as much.", ["#dcb595", "#c2926b"]],
  ["wych-elm", "Elm", c(4.6), c(8.0), 620, 9.8, "Wild grain, hardly splits, planes both ways at once.", ["#c9a577", "#99744a"]],
  ["sweet-chestnut", "Sweet chestnut", c(4.2), c(6.8), 580, 9.0, "Oak's quiet cousin without the rays; tannin, so no bare iron.", ["#d6b384", "#ab8453"]],
  ["sycamore-maple", "Sycamore maple", c(4.0), c(8.2), 620, 10.0, "White and fine; keep it clean and dry it standing.", ["#f0e4cb", "#dac69c"]],
  ["lime", "Lime", c(5.5), c(9.1), 530, 9.5, "For carving; too soft for a working top.", ["#eadcb9", "#d3bd8d"]],
  ["european-walnut", "Walnut, European", c(5.4), c(7.5), 650, 11.0, "Wavy and cool brown; easy to work.", ["#947252", "#664a31"]],
  ["pear", "Pear", c(4.6), c(9.1), 700, 8.0, "Fine enough for wooden rules; steamed it is pink.", ["#cf9b7a", "#ab7554"]],
  ["european-cherry", "Cherry, European", c(5.0), c(8.7), 610, 10.5, "Warm, fine, burns easily.", ["#d3a276", "#ae774b"]],
  ["robinia", "Robinia", c(5.1), c(7.9), 750, 13.0, "Outdoors without finish; hard on tools.", ["#c7ae67", "#988042"]],
  ["european-birch", "Birch, European", c(5.3), c(7.8), 650, 14.0, "Pale, even, strong; not outdoors.", ["#ead7b3", "#d0b584"]],
];
const EUROPEAN_SOFTWOODS: SpeciesRow[] = [
  ["european-larch", "European larch", c(4.2), c(8.2), 600, 11.8, "Durable and resinous; splinters, and bleeds where it is warm.", ["#d9a97a", "#b0713f"]],
  ["scots-pine", "Scots pine", c(4.0), c(7.7), 520, 11.0, "Easy and knotty; sapwood turns blue when stored wet.", ["#e8c894", "#c79a5b"]],
  ["norway-spruce", "Norway spruce", c(3.6), c(7.8), 450, 11.0, "Light, stiff and soft; for hidden frames.", ["#ecd9b3", "#d0b481"]],
  ["silver-fir", "Silver fir", c(3.8), c(7.6), 450, 10.5, "Spruce without the resin.", ["#ead9b8", "#cdb68b"]],
  ["stone-pine", "Stone pine", c(3.0), c(6.2), 430, 8.5, "Scented, soft, steady; sound red knots.", ["#e4bd8c", "#c28a55"]],
];
const TROPICAL_ROWS: SpeciesRow[] = [
  ["mahogany", "Mahogany", 0.00172, 0.00238, 560, 10.3, "Steady, mild, stripes on the quarter; ask where it comes from.", ["#ad6a48", "#834428"]],
  ["teak", "Teak", 0.00101, 0.00186, 650, 10.7, "Oily and durable, dulls edges; wipe before gluing.", ["#b8894f", "#8b602e"]],
  ["spanish-cedar", "Spanish-cedar", 0.00141, 0.00219, 470, 9.9, "Light and scented; drawer linings.", ["#b97a55", "#8f5435"]],
  ["iroko", "Iroko", 0.00153, 0.00205, 640, 9.4, "Outdoors in place of teak; its dust irritates.", ["#b08040", "#7f5a26"]],
];

const SHRINKAGE = "shrinkage tables of European timbers, from memory; C = 1/(3000/S − 20)" as const;
export const EUROPEAN = [...EUROPEAN_HARDWOODS.map(fromRow("hardwood", SHRINKAGE)), ...EUROPEAN_SOFTWOODS.map(fromRow("softwood", SHRINKAGE))];
export const TROPICAL = TROPICAL_ROWS.map(fromRow("hardwood", "Wood Handbook FPL-GTR-282, Table 13-5, from memory"));
