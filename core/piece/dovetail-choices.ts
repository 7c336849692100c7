/** A row of dovetails as the maker spaces it. */
import * as v from "valibot";
import { count, list, size, text } from "./fields";

const rowSchema = v.strictObject({
  /** null: as the width asks for */
  tails: v.nullable(count("tails in a row", 1, 24)),
  /** of a pin and of a half pin, at their narrow side */
  pin: v.nullable(size("width of a pin", 2, 60)),
  half: v.nullable(size("width of a half pin", 2, 100)),
  /** middles of the pins between tails, from the lower edge; null: evenly spread */
  middles: v.nullable(list("middles of the pins", size("middle of a pin", 0, 3000), 23)),
});
export type DovetailRow = v.InferOutput<typeof rowSchema>;

/** What a row begins with. */
export const USUAL_ROW: DovetailRow = { tails: null, pin: null, half: null, middles: null };

/** By group, such as "drawer-front+drawer-side"; absent: the width decides. */
export const dovetailFields = {
  dovetails: v.optional(v.record(text("group of dovetails", 60), rowSchema), {}),
};
