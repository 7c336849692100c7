/**
 * What becomes of a kind of part: a panel composed of chosen boards, slats, legs left long, posts and feet of thick stock, rails, ends and
 * frames of a top, small blocks that nobody sees; what is bought and comes from no board, what is cut from a sheet.
 */
export type Role =
  "panel" | "slat" | "leg" | "post" | "rail" | "end-board" | "frame" | "block" | "button" | "bought" | "sheet";

/** One stick, two leaves, a core with four resawn faces, two boards glued and sawn at 45°. */
export const MAKES = ["solid", "laminated", "core-faces", "diagonal"] as const;
export type Make = (typeof MAKES)[number];
