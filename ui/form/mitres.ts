/** What may hold a mitred corner, as every form names it. */
export const MITRE_NAMES = [
  { value: "spline", name: "A spline" },
  { value: "loose", name: "Loose tenons" },
  { value: "keys", name: "Keys across the corner" },
  { value: "dowels", name: "Dowels through the corner" },
];
