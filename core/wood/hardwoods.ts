import { fromRow, SpeciesRow } from "./row";

// Coefficients: Wood Handbook FPL-GTR-282, Table 13-5; density 1120 × specific gravity and stiffness: Tables 5-3; all from memory.
const ROWS: SpeciesRow[] = [
  ["white-ash", "White ash", 0.00169, 0.00274, 672, 12.0, "Springy and coarse; planes cleanly, bends well, glue lines vanish in the figure.", ["#e9dcc0", "#c9b083"]],
  ["black-ash", "Black ash", 0.00172, 0.00274, 549, 11.0, "Softer than white ash, brown and lively grained.", ["#dcc8a2", "#b39868"]],
  ["american-beech", "American beech", 0.0019, 0.00431, 717, 11.9, "Hard and even, moves a great deal: keep wide tops quarter-sawn or free.", ["#e0bd98", "#c69a70"]],
  ["yellow-birch", "Yellow birch", 0.00256, 0.00338, 694, 13.9, "Hard, fine, tears where the grain turns; moves nearly alike both ways.", ["#e6cfa9", "#cdab7b"]],
  ["sweet-birch", "Sweet birch", 0.00256, 0.00338, 728, 15.0, "The heaviest birch; sharp edges and patience.", ["#dfc39a", "#c29f6c"]],
  ["paper-birch", "Paper birch", 0.00219, 0.00304, 616, 11.0, "Pale and even, easily bruised while working.", ["#ecdcbc", "#d4bc90"]],
  ["black-cherry", "Black cherry", 0.00126, 0.00248, 560, 10.3, "A joy under the plane, burns under a dull blade, darkens for years.", ["#cf9a6e", "#a86f45"]],
  ["black-walnut", "Black walnut", 0.0019, 0.00274, 616, 11.6, "Cuts like cheese, steady once dry; sapwood is pale and soft.", ["#8a6748", "#5f432c"]],
  ["butternut", "Butternut", 0.00116, 0.00223, 426, 8.1, "Light, soft and quiet; dents with a fingernail.", ["#c9a57a", "#a17d51"]],
  ["sugar-maple", "Sugar maple", 0.00165, 0.00353, 706, 12.6, "Very hard, burns at the router, glue needs fresh surfaces.", ["#efdfc2", "#d9c096"]],
  ["red-maple", "Red maple", 0.00137, 0.00289, 605, 11.3, "Easier than sugar maple and moves less.", ["#e8d3b1", "#cfb284"]],
  ["silver-maple", "Silver maple", 0.00102, 0.00252, 526, 7.9, "Soft maple for painted or light work.", ["#ead8b9", "#d2b88c"]],
  ["bigleaf-maple", "Bigleaf maple", 0.00126, 0.00248, 538, 10.0, "Often figured; sharp irons and light cuts.", ["#e6cfaa", "#c9a878"]],
  ["red-oak", "Red oak", 0.00158, 0.00369, 706, 12.5, "Open pores you can blow through; not for the outdoors.", ["#d9b48c", "#b5875b"]],
  ["white-oak-american", "White oak, American", 0.0018, 0.00365, 762, 12.3, "Closed pores, rays on the quarter, blackens against iron when wet.", ["#d4b689", "#ad8a58"]],
  ["american-elm", "American elm", 0.00144, 0.00338, 560, 9.2, "Interlocked and hard to split, so good for seats; planes fuzzy.", ["#cfae83", "#a58254"]],
  ["rock-elm", "Rock elm", 0.00165, 0.00285, 706, 10.6, "The hard elm; bends best of all.", ["#d3b489", "#a88659"]],
  ["hickory", "Hickory, true", 0.00259, 0.00411, 806, 14.9, "Toughest of the common woods; moves so much that wide tops suffer.", ["#dbbd94", "#b28d5e"]],
  ["pecan", "Pecan hickory", 0.00169, 0.00315, 739, 11.9, "A little milder than true hickory.", ["#d7b58b", "#ad8659"]],
  ["hackberry", "Hackberry", 0.00165, 0.00315, 594, 8.2, "Like a pale elm; stains blue if dried slowly.", ["#e2d2a9", "#bfa775"]],
  ["black-locust", "Black locust", 0.00158, 0.00252, 773, 14.1, "Rots hardly at all; hard on edges, drill everything.", ["#c9ad66", "#9c8040"]],
  ["honeylocust", "Honeylocust", 0.00144, 0.0023, 672, 11.2, "Steady for its weight, showy grain.", ["#d0986a", "#a46c42"]],
  ["sycamore-american", "Sycamore, American", 0.00172, 0.00296, 549, 9.8, "Lace on the quarter; flat-sawn it warps.", ["#dfbf9d", "#bd9570"]],
  ["sweetgum", "Sweetgum", 0.00183, 0.00365, 582, 11.3, "Interlocked, wants to twist; keep it narrow.", ["#cda17a", "#a3764f"]],
  ["yellow-poplar", "Yellow-poplar", 0.00158, 0.00289, 470, 10.9, "Easy, cheap and green; for paint and hidden parts.", ["#d8d2a4", "#b0a873"]],
  ["basswood", "Basswood", 0.0023, 0.0033, 414, 10.1, "Carves in any direction; too soft for a table top.", ["#eadfc4", "#d4c49b"]],
  ["red-alder", "Red alder", 0.00151, 0.00256, 459, 9.5, "Even and mild; takes stain like cherry.", ["#d6ac84", "#b1835a"]],
  ["quaking-aspen", "Quaking aspen", 0.00119, 0.00234, 426, 8.1, "Pale, light, a little woolly.", ["#ece3cd", "#d5c8a5"]],
];

export const AMERICAN_HARDWOODS = ROWS.map(fromRow("hardwood", "Wood Handbook FPL-GTR-282, Table 13-5, from memory"));
