/** A formula as it is used, where it holds, and where it comes from. */
export interface Formula {
  id: string;
  name: string;
  formula: string[];
  symbols: string;
  range: string;
  source: string;
  checked: string;
}

const HANDBOOK = "Wood Handbook, FPL-GTR-282";

export const FORMULAS: Formula[] = [
  {
    id: "room",
    name: "From the air outside to the room",
    formula: [
      "W = 0.621945 · h p(T) / (101325 − h p(T))",
      "h inside = 101325 (W + w) / ((0.621945 + W + w) · p(T inside))",
    ],
    symbols:
      "h humidity from 0 to 1, p(T) saturation pressure in Pa, W and w kg of water a kg of air: outside, and added inside (all of it at 0 °C outside, a tenth above 20 °C)",
    range: "−100 to 200 °C, sea level; a room never over 60 % when it is cooled",
    source: "ASHRAE Handbook, Fundamentals, ch. 1; EN ISO 13788 for the summer's share of added water, from memory",
    checked: "the psychrolib package, 200 random states, within 0.1 %",
  },
  {
    id: "emc",
    name: "Equilibrium moisture",
    formula: [
      "EMC = 1800/W · [ Kh/(1 − Kh) + (K₁Kh + 2K₁K₂K²h²)/(1 + K₁Kh + K₁K₂K²h²) ]",
      "W = 349 + 1.29T + 0.0135T²;  K = 0.805 + 0.000736T − 0.00000273T²",
      "K₁ = 6.27 − 0.00938T − 0.000303T²;  K₂ = 1.91 + 0.0407T − 0.000293T²",
    ],
    symbols: "T in °C, h humidity from 0 to 1",
    range: "0 to 99 % humidity, −20 to 60 °C here",
    source: `${HANDBOOK}, Eq. 4-5, from memory`,
    checked: "Table 4-2, 150 cells from memory, within 0.15",
  },
  {
    id: "diffusion",
    name: "Moisture in the wood",
    formula: [
      "∂m/∂t = ∂(D ∂m/∂z)/∂z through the thickness",
      "into each face: s (EMC − m at the face)",
      "D = 2.5·10⁻¹⁰ · e^((440 − ρ)/250) · 1.13^(m − 10) · 1.5^((T − 20)/10)",
    ],
    symbols: "m moisture in %, z through the thickness, D m²/s, ρ density in kg/m³, s velocity of exchange in m/s",
    range:
      "order of magnitude: D of one species varies by a half either way; a bar open on four sides counts as a slab of 1/√(1/a² + 1/b²)",
    source: "Fick's law; values common practice, order of magnitude",
    checked:
      "Crank's series for a slab with surface resistance, 12 to 75 mm, a quarter of a day to three years, within 0.5 %",
  },
  {
    id: "finish",
    name: "What a finish holds back",
    formula: [
      "1/s = 1/s air + 1/s film,  s air = 3·10⁻⁷ m/s",
      "s film = s measured · (450/ρ) · (slope 30 to 90 % at 26.7 °C / slope in this room) · p(T)/p(26.7)",
    ],
    symbols: "s measured on 19 mm ponderosa pine; slope: percent MC a unit of humidity",
    range: "three coats, or one; a film that is worn or cracked holds back less",
    source: `fitted to ${HANDBOOK}, ch. 16, from memory`,
    checked: "published effectiveness after 1, 7 and 14 days, seven finishes, within 5 points",
  },
  {
    id: "width",
    name: "Change of width",
    formula: [
      "dD = D · C · (M₂ − M₁)",
      "outside 6 to 14 %: dD = D (M₂ − M₁) / (3000/S − 30 + M₁),  S = 3000/(1/C + 20)",
    ],
    symbols: "D mm, C change a percent, M moisture in %, held to 30 at most, S total shrinkage in %",
    range: "C from 6 to 14 %; the second form from oven dry to 30 %",
    source: `${HANDBOOK}, ch. 13`,
    checked: "its worked example: 232 mm of flat-sawn white fir, 8 to 11 %: 1.705 mm",
  },
  {
    id: "rings",
    name: "Ring angle",
    formula: [
      "C(θ) = C_T cos²θ + C_R sin²θ",
      "over a board: C_R + (C_T − C_R)(θ₂ − θ₁)/(tan θ₂ − tan θ₁)",
      "out of square: (C_T − C_R) ΔM sin 2θ",
    ],
    symbols: "θ between rings and face, 0 flat-sawn, 90 quarter-sawn",
    range: "rings that are circles round one pith",
    source: "derived: strain is a tensor",
    checked: "numeric integration, 100 random boards",
  },
  {
    id: "cup",
    name: "Cup and the panel's arc",
    formula: [
      "cup = (C_T − C_R) ΔM (w/2) atan(w/2r)",
      "turn of a board's edges: (C_T − C_R) ΔM (θ − ½ sin 2θ)",
      "faces that differ: κ = 12 C/t³ ∫ m z dz,  arc = κ w²/8",
    ],
    symbols: "w width, r distance of the pith, t thickness in mm, κ curvature",
    range: "a free board or panel: an upper bound, the base holds it and creep lowers it",
    source: "derived",
    checked: "identities; the shape's rise against κ w²/8",
  },
  {
    id: "slots",
    name: "Pegs, slots and gaps",
    formula: [
      "slot = peg + wet travel + dry travel + 1",
      "set off outward by (dry − wet)/2; not set off: slot = peg + 2 · the longer travel + 1",
      "travel = Σ strips between the fixed peg and this one · C ΔM, less a fiftieth in the end board",
    ],
    symbols: "travel away from the fixed line, from today's width",
    range: "any number of pegs, fixed line at the centre or an edge",
    source: "derived; clearance common practice",
    checked: "a plain independent calculation, 500 random tops",
  },
  {
    id: "restraint",
    name: "Where movement is stopped",
    formula: [
      "round each closed loop of joints: Σ ± L · C ΔM, less the plays = what the wood must bear",
      "strain = that / wood across the grain in the loop;  slip of a glued stretch = half of it",
    ],
    symbols: "L between two joints along one axis; C a fiftieth along the grain",
    range: "warns from 0.5 % of strain or 0.4 mm of slip, fails at 1 % or 0.8 mm; slow change gives back about half",
    source: "derived; limits common practice",
    checked: "thirteen constructions against C ΔM by hand",
  },
  {
    id: "fasteners",
    name: "Fasteners",
    formula: [
      "figure-8 plate: s sin θ to the side, pulling in s − √(s² − y²)",
      "slot or hole: (slot − screw)/2 each way, shared by the travel when set off",
      "button on a long rail: groove − engaged, tongue − engaged; 4 mm must stay in",
    ],
    symbols: "s between centres, θ swing, y travel",
    range: "square to the plate's own line; along it a plate gives nothing",
    source: "geometry; engagement common practice",
    checked: "identities",
  },
  {
    id: "meter",
    name: "A pin meter's reading",
    formula: ["(R + 0.567 − 0.026T + 0.000051T²) / (0.881 · 1.0056^T) + species offset"],
    symbols: "R the reading on the scale for Douglas-fir, T °C of the wood",
    range: "6 to 25 %",
    source: "Garrahan's form, from memory; the offset is the meter maker's",
    checked: "leaves a reading near 20 °C as it is",
  },
  {
    id: "fit",
    name: "A coefficient from measured widths",
    formula: [
      "C = Σ(M − M̄)(w/w̄ − 1) / Σ(M − M̄)², centred by piece",
      "± 2 √(max(scatter, 0.1 mm/w)² + (C · 0.4 %)²) / √Σ(M − M̄)²",
    ],
    symbols: "w measured width, M moisture beside it",
    range: "three readings of one piece of wood, 1.5 % apart at least",
    source: "least squares; errors of caliper and meter common practice",
    checked: "holds the truth in over 90 of 100 seeded trials",
  },
];
