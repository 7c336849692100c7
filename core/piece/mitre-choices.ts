/** What holds a mitred corner: a spline or loose tenons in the cut, keys across it or dowels through it once it is glued. */
export const MITRES = ["spline", "loose", "keys", "dowels"] as const;
