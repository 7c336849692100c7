import { fromRow, SpeciesRow } from "./row";

// Coefficients: Wood Handbook FPL-GTR-282, Table 13-5; density 1120 × specific gravity and stiffness: Table 5-3; all from memory.
const ROWS: SpeciesRow[] = [
  ["baldcypress", "Baldcypress", 0.0013, 0.00216, 515, 9.9, "Oily and durable; good outdoors.", ["#ddb987", "#b98f58"]],
  ["western-redcedar", "Western redcedar", 0.00111, 0.00234, 358, 7.7, "Very light and durable, soft as cork; its dust troubles many.", ["#c98d63", "#9d6440"]],
  ["northern-white-cedar", "Northern white-cedar", 0.00101, 0.00229, 347, 5.5, "The lightest of them; boats and shingles.", ["#dcc193", "#b89762"]],
  ["yellow-cedar", "Yellow-cedar", 0.00095, 0.00208, 493, 9.8, "Fine, steady, durable, smells of it.", ["#ecd79f", "#cdb26d"]],
  ["douglas-fir", "Douglas-fir, coast", 0.00165, 0.00267, 538, 13.4, "Stiff; hard late wood sands in ridges.", ["#dba878", "#b2703f"]],
  ["white-fir", "White fir", 0.00112, 0.00245, 437, 10.3, "Plain construction wood.", ["#eadbbb", "#cbb48a"]],
  ["western-hemlock", "Western hemlock", 0.00144, 0.00274, 504, 11.3, "Even and pale for a softwood.", ["#e0c8a2", "#bb9c70"]],
  ["western-larch", "Western larch", 0.00155, 0.00323, 582, 12.9, "Hard and resinous, splinters.", ["#d09f6c", "#a36c3b"]],
  ["eastern-white-pine", "Eastern white pine", 0.00071, 0.00212, 392, 8.5, "Moves least of all; soft and friendly.", ["#efdcb2", "#d6b97f"]],
  ["ponderosa-pine", "Ponderosa pine", 0.00133, 0.00216, 448, 8.9, "Broad pale sapwood, easy to work.", ["#ecd3a3", "#cda667"]],
  ["longleaf-pine", "Longleaf pine", 0.00176, 0.00263, 661, 13.7, "Heavy and pitchy; old floor boards make tables.", ["#dba66b", "#b0743a"]],
  ["redwood", "Redwood, old growth", 0.0012, 0.00205, 448, 9.2, "Steady and durable, bruises easily.", ["#b3694b", "#8a4730"]],
  ["sitka-spruce", "Sitka spruce", 0.00148, 0.00263, 448, 10.8, "Stiff for its weight.", ["#ecd8b2", "#cfb381"]],
  ["eastern-redcedar", "Eastern redcedar", 0.00106, 0.00162, 526, 6.1, "Aromatic, knotty, very steady.", ["#b9644c", "#8e4233"]],
];

export const SOFTWOODS = ROWS.map(fromRow("softwood", "Wood Handbook FPL-GTR-282, Table 13-5, from memory"));
